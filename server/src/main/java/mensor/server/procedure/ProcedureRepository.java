package mensor.server.procedure;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ProcedureRepository extends JpaRepository<ProcedureEntity, UUID> {
    List<ProcedureEntity> findAllByOrderByNumberAscCreatedAtAsc();

    Optional<ProcedureEntity> findByNumberAndRevision(String number, String revision);

    Optional<ProcedureEntity> findFirstByNumberOrderByCreatedAtDesc(String number);
}
