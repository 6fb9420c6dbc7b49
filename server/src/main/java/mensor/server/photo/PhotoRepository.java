package mensor.server.photo;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PhotoRepository extends JpaRepository<PhotoEntity, UUID> {
    List<PhotoEntity> findByInspectionIdOrderByAddedAt(UUID inspectionId);

    @Query("select p.inspectionId, count(p) from PhotoEntity p where not p.withdrawn group by p.inspectionId"
            + " order by max(p.addedAt) desc limit :most")
    List<Object[]> counted(int most);
}
