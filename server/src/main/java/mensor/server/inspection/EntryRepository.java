package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface EntryRepository extends JpaRepository<EntryEntity, UUID> {
    List<EntryEntity> findByInspectionIdOrderBySequence(UUID inspectionId);
}
