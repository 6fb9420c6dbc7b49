package mensor.server.scan;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ScanRepository extends JpaRepository<ScanEntity, UUID> {
    List<ScanEntity> findByInspectionIdOrderByAddedAt(UUID inspectionId);

    @Query("select s.inspectionId from ScanEntity s where not s.withdrawn group by s.inspectionId"
            + " order by max(s.addedAt) desc limit :most")
    List<UUID> scanned(int most);
}
