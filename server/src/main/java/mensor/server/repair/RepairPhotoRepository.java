package mensor.server.repair;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RepairPhotoRepository extends JpaRepository<RepairPhotoEntity, UUID> {
    List<RepairPhotoEntity> findByDefectIdOrderByAddedAt(UUID defectId);
}
