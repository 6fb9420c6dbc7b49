package mensor.server.jobarchive;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BroughtJobRepository extends JpaRepository<BroughtJob, UUID> {}
