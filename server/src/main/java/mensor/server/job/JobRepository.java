package mensor.server.job;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface JobRepository extends JpaRepository<JobEntity, UUID> {
    List<JobEntity> findAllByOrderByName();

    Optional<JobEntity> findByName(String name);

    /** One after the other: of two who sign in one job the second waits. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<JobEntity> findForSigningById(UUID id);
}
