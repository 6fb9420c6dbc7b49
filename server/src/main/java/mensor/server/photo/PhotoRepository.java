package mensor.server.photo;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PhotoRepository extends JpaRepository<PhotoEntity, UUID> {
    List<PhotoEntity> findByInspectionIdOrderByAddedAt(UUID inspectionId);
}
