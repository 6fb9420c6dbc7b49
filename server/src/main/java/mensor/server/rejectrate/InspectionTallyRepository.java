package mensor.server.rejectrate;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;

interface InspectionTallyRepository extends JpaRepository<InspectionTally, UUID> {
    void deleteByJointId(UUID jointId);

    /** The last signed inspection of each weld that no tally counts. */
    @Query(
            "select i.id from InspectionEntity i where i.capacity = :capacity and i.state = mensor.server.inspection.StoredInspection.State.SIGNED"
                    + " and i.signedElsewhere is null and i.cycle = 0 and not exists (select 1 from InspectionTally t where t.jointId = i.jointId)"
                    + " and i.revision = (select max(k.revision) from InspectionEntity k where k.jointId = i.jointId and k.cycle = 0"
                    + " and k.capacity = :capacity and k.state = mensor.server.inspection.StoredInspection.State.SIGNED)")
    List<UUID> notCounted(@Param("capacity") String capacity);
}
