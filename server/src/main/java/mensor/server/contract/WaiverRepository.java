package mensor.server.contract;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WaiverRepository extends JpaRepository<WaiverEntity, UUID> {
    List<WaiverEntity> findByInspectionIdOrderByWaivedAt(UUID inspectionId);
}
