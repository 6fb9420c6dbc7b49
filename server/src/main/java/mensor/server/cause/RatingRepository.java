package mensor.server.cause;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RatingRepository extends JpaRepository<RatingEntity, UUID> {}
