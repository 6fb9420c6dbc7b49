package mensor.server.weldmap;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MapPinRepository extends JpaRepository<MapPinEntity, UUID> {
    List<MapPinEntity> findBySheetIdIn(Collection<UUID> sheets);

    Optional<MapPinEntity> findBySheetIdAndJointId(UUID sheet, UUID joint);
}
