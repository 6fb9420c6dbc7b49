package mensor.server.weldmap;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MapSheetRepository extends JpaRepository<MapSheetEntity, UUID> {
    List<MapSheetEntity> findByJobIdOrderByNameAscAddedAtAsc(UUID jobId);
}
