package mensor.server.testpiece;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RatingRepository extends JpaRepository<RatingEntity, UUID> {
    List<RatingEntity> findByInspectionIdOrderByRatedAt(UUID inspectionId);

    List<RatingEntity> findByPieceIdInOrderByRatedAt(Collection<UUID> pieces);

    Optional<RatingEntity> findByPieceIdAndRatedBy(UUID pieceId, UUID ratedBy);

    Optional<RatingEntity> findByInspectionIdAndRatedBy(UUID inspectionId, UUID ratedBy);
}
