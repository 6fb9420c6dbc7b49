package mensor.server.cause;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TestPieceRepository extends JpaRepository<TestPieceEntity, UUID> {
    List<TestPieceEntity> findByJointIdOrderByRecordedAt(UUID jointId);
}
