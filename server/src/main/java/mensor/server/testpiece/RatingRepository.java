package mensor.server.testpiece;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RatingRepository extends JpaRepository<RatingEntity, UUID> {
    List<RatingEntity> findByInspectionIdOrderByRatedAt(UUID inspectionId);

    Optional<RatingEntity> findByInspectionIdAndRatedBy(UUID inspectionId, UUID ratedBy);
}
