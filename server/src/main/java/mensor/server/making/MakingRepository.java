package mensor.server.making;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface MakingRepository extends JpaRepository<MakingEntry, UUID> {
    List<MakingEntry> findByJointIdOrderBySequence(UUID joint);

    long countByJointId(UUID joint);
}
