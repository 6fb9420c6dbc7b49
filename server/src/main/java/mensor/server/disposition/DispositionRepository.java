package mensor.server.disposition;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DispositionRepository extends JpaRepository<DispositionEntity, UUID> {
    List<DispositionEntity> findByInspectionId(UUID inspectionId);

    Optional<DispositionEntity> findByInspectionIdAndFinding(UUID inspectionId, String finding);
}
