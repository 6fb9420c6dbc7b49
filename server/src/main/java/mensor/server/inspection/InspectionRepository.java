package mensor.server.inspection;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;

interface InspectionRepository extends JpaRepository<InspectionEntity, UUID> {
    String LINE =
            "select new mensor.server.inspection.Worklist$Line(j.id, i.id, j.jobId, j.lot, j.mark, j.weldNo, j.side,"
                    + " j.inWords, j.weldingPosition, j.welder, j.wps, j.design, j.weldedAt, j.delayHours, i.stage, i.capacity, i.cycle, i.revision, i.state,"
                    + " i.verdict, i.rejects, i.todos, i.entryCount, i.holder)";

    List<InspectionEntity> findByJointIdOrderByCycleDescRevisionDesc(UUID jointId);

    /** The inspections, with their joint and without the documents, whose kit holds a gauge, or with an entry that names it: {@code like} patterns of both. */
    @Query(LINE + " from InspectionEntity i, JointEntity j where i.jointId = j.id and (i.conditions like :kit or exists"
            + " (select 1 from EntryEntity e where e.inspectionId = i.id and e.content like :named)) order by j.mark")
    List<Worklist.Line> touchedBy(@Param("kit") String kit, @Param("named") String named);

    /** Signed rejects, the newest revision of each inspection, of which no defect is kept. */
    @Query("select i.id from InspectionEntity i where i.state = mensor.server.inspection.StoredInspection.State.SIGNED"
            + " and i.verdict = 'reject' and not exists (select 1 from DefectEntity d where d.jointId = i.jointId"
            + " and d.capacity = i.capacity) and not exists (select 1 from InspectionEntity k where k.amends = i.id"
            + " and k.state = mensor.server.inspection.StoredInspection.State.SIGNED)")
    List<UUID> rejectedWithoutDefects();

    /** Open inspections of a job: for a change of what holds beside the code. */
    @Query(
            "select new mensor.server.inspection.OpenInspection(i.id, i.jointId, j.design, i.entryCount = 0 and i.follows is null"
                    + " and i.conditions = '{}' and j.weldedAt is null) from InspectionEntity i, JointEntity j"
                    + " where i.jointId = j.id and j.jobId = :job and i.state <> mensor.server.inspection.StoredInspection.State.SIGNED"
                    + " order by j.mark, i.id")
    List<OpenInspection> openOf(@Param("job") UUID job);

    /** Untouched ones come to what one like them came to; one that was touched meanwhile is left as it is. */
    @Modifying
    @Query("update InspectionEntity i set i.verdict = :verdict, i.rejects = :rejects, i.todos = :todos,"
            + " i.version = i.version + 1 where i.id = :id and i.entryCount = 0")
    int judgedAs(
            @Param("id") UUID id,
            @Param("verdict") String verdict,
            @Param("rejects") int rejects,
            @Param("todos") int todos);

    /** The looks of a job's joints, with each joint's id: for what is done to many at once. */
    List<InspectionEntity> findByJointIdIn(Collection<UUID> joints);

    /** For a change: two people's entries on one inspection are taken one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<InspectionEntity> findForChangeById(UUID id);
}
