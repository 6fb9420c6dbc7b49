package mensor.server.testpiece;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SpecimenRepository extends JpaRepository<SpecimenEntity, UUID> {
    List<SpecimenEntity> findByJointIdOrderByRecordedAt(UUID jointId);
}
