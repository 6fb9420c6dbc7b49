package mensor.server.testpiece;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SpecimenRepository extends JpaRepository<SpecimenEntity, UUID> {
    List<SpecimenEntity> findByPieceIdOrderByRecordedAt(UUID pieceId);

    List<SpecimenEntity> findByPieceIdInOrderByRecordedAt(java.util.Collection<UUID> pieces);

    List<SpecimenEntity> findByJointIdOrderByRecordedAt(UUID jointId);
}
