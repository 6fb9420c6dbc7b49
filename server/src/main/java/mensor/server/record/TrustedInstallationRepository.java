package mensor.server.record;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrustedInstallationRepository extends JpaRepository<TrustedInstallation, UUID> {
    Optional<TrustedInstallation> findByFingerprint(String fingerprint);

    List<TrustedInstallation> findAllByOrderByName();
}
