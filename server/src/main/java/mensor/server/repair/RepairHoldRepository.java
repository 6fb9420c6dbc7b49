package mensor.server.repair;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RepairHoldRepository extends JpaRepository<RepairHoldEntity, UUID> {
    List<RepairHoldEntity> findByDefectIdOrderByRaisedAt(UUID defectId);
}
