package mensor.server.people;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AccessTokenRepository extends JpaRepository<AccessToken, UUID> {
    Optional<AccessToken> findByHash(String hash);

    List<AccessToken> findByPersonIdOrderByMadeAtDesc(UUID personId);

    List<AccessToken> findAllByOrderByMadeAtDesc();
}
