package mensor.server.welding;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WeldingEntryRepository extends JpaRepository<WeldingEntry, UUID> {
    List<WeldingEntry> findByJointIdOrderBySequence(UUID joint);

    long countByJointId(UUID joint);
}
