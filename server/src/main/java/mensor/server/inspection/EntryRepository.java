package mensor.server.inspection;

import jakarta.persistence.QueryHint;
import java.util.List;
import java.util.UUID;
import mensor.inspection.Entry;
import org.hibernate.jpa.HibernateHints;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.QueryHints;

interface EntryRepository extends JpaRepository<EntryEntity, UUID> {
    /** All of an inspection, to read: hundreds that nobody changes would else be compared with themselves at each flush. */
    @QueryHints(@QueryHint(name = HibernateHints.HINT_READ_ONLY, value = "true"))
    List<EntryEntity> findByInspectionIdOrderBySequence(UUID inspectionId);

    /** Those of one kind, to change. */
    List<EntryEntity> findByInspectionIdAndKindOrderBySequence(UUID inspectionId, Entry.Sort kind);
}
