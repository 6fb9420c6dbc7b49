package mensor.server.inspection;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;

public interface InspectionRepository extends JpaRepository<InspectionEntity, UUID> {
    String LINE =
            "select new mensor.server.inspection.Worklist$Line(j.id, i.id, j.jobId, j.lot, j.mark, j.weldNo, j.side,"
                    + " j.inWords, j.weldingPosition, j.welder, j.design, j.weldedAt, j.delayHours, i.stage, i.capacity, i.revision, i.state,"
                    + " i.verdict, i.rejects, i.todos, i.entryCount, i.holder)";

    List<InspectionEntity> findByJointIdOrderByRevisionDesc(UUID jointId);

    /** Every look with its joint, without the documents: what the worklist is made of. */
    @Query(LINE + " from InspectionEntity i, JointEntity j where i.jointId = j.id and (:job is null or j.jobId = :job)")
    List<Worklist.Line> lines(@Param("job") UUID job);

    /** As above, the looks whose kit holds a gauge, or with an entry that names it: {@code like} patterns of both. */
    @Query(LINE + " from InspectionEntity i, JointEntity j where i.jointId = j.id and (i.conditions like :kit or exists"
            + " (select 1 from EntryEntity e where e.inspectionId = i.id and e.content like :named)) order by j.mark")
    List<Worklist.Line> touchedBy(@Param("kit") String kit, @Param("named") String named);

    /** The looks of a job's joints, with each joint's id: for what is done to many at once. */
    List<InspectionEntity> findByJointIdIn(Collection<UUID> joints);

    /** For a change: two people's entries on one inspection are taken one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<InspectionEntity> findForChangeById(UUID id);
}
