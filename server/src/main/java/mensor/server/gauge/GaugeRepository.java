package mensor.server.gauge;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface GaugeRepository extends JpaRepository<GaugeEntity, UUID> {
    List<GaugeEntity> findAllByOrderByName();

    Optional<GaugeEntity> findByName(String name);

    List<GaugeEntity> findByNameIn(Collection<String> names);
}
