package mensor.server.job;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface JobRepository extends JpaRepository<JobEntity, UUID> {
    List<JobEntity> findAllByOrderByName();

    Optional<JobEntity> findByName(String name);
}
