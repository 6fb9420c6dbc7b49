package mensor.server.scan;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ScanRepository extends JpaRepository<ScanEntity, UUID> {
    List<ScanEntity> findByInspectionIdOrderByAddedAt(UUID inspectionId);
}
