package mensor.server.cause;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrialRepository extends JpaRepository<TrialEntity, UUID> {
    List<TrialEntity> findByJointIdOrderByChangedAt(UUID jointId);

    List<TrialEntity> findByWelderOrderByChangedAt(String welder);
}
