package mensor.server.gauge;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface KitRepository extends JpaRepository<KitEntity, UUID> {
    Optional<KitEntity> findByPersonIdAndKitDay(UUID person, LocalDate day);
}
