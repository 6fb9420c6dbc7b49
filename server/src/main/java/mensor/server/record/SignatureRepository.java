package mensor.server.record;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SignatureRepository extends JpaRepository<SignatureEntity, UUID> {
    Optional<SignatureEntity> findByInspectionId(UUID inspectionId);
}
