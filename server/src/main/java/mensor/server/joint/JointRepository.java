package mensor.server.joint;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

public interface JointRepository extends JpaRepository<JointEntity, UUID> {
    List<JointEntity> findByJobIdOrderByLotAscMarkAscWeldNoAscSideAsc(UUID job);

    List<JointEntity> findByJobIdAndDesignOrderByMarkAscWeldNoAscSideAsc(UUID job, String design);

    /** The joints of delayed steel whose welding date is known: their wait ends by itself. */
    List<JointEntity> findByDelayHoursNotNullAndWeldedAtNotNull();

    List<JointEntity> findByJobId(UUID job);

    long countByJobId(UUID job);

    long countByProcedureId(UUID procedure);

    /** For a change: two people's entries on one joint are taken one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<JointEntity> findForChangeById(UUID id);

    /** How many joints were set up with each procedure: its id and the number. */
    @Query("select j.procedureId, count(j) from JointEntity j where j.procedureId is not null group by j.procedureId")
    List<Object[]> countByProcedure();

    /** How many welds each job has: its id and the number. */
    @Query("select j.jobId, count(j) from JointEntity j group by j.jobId")
    List<Object[]> countByJob();

    /** Mark, weld number and side of every weld of a job: what names it. */
    @Query("select j.mark, j.weldNo, j.side from JointEntity j where j.jobId = ?1")
    List<Object[]> namesOfJob(UUID job);
}
