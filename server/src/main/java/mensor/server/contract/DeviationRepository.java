package mensor.server.contract;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DeviationRepository extends JpaRepository<DeviationEntity, UUID> {
    List<DeviationEntity> findByJointIdOrderByRecordedAt(UUID jointId);
}
