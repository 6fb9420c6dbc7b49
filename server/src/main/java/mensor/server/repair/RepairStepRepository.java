package mensor.server.repair;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RepairStepRepository extends JpaRepository<RepairStepEntity, UUID> {
    List<RepairStepEntity> findByDefectIdOrderByRecordedAt(UUID defectId);
}
