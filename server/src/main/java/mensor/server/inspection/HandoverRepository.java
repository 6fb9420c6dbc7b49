package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HandoverRepository extends JpaRepository<HandoverEntity, UUID> {
    List<HandoverEntity> findByInspectionIdOrderByAt(UUID inspectionId);
}
