package mensor.server.testpiece;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SpecimenRepository extends JpaRepository<SpecimenEntity, UUID> {
    @Query("select distinct s.jointId from SpecimenEntity s where s.withdrawn = false and s.jointId is not null")
    Set<UUID> joints();

    List<SpecimenEntity> findByPieceIdInOrderByRecordedAt(java.util.Collection<UUID> pieces);

    List<SpecimenEntity> findByJointIdOrderByRecordedAt(UUID jointId);
}
