package mensor.server.inspection;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

public interface InspectionRepository extends JpaRepository<InspectionEntity, UUID> {
    List<InspectionEntity> findByJointIdOrderByRevisionDesc(UUID jointId);

    /** For a change: two people's entries on one inspection are taken one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<InspectionEntity> findForChangeById(UUID id);
}
