package mensor.server.joint;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface JointRepository extends JpaRepository<JointEntity, UUID> {
    List<JointEntity> findByJobIdOrderByLotAscMarkAscWeldNoAscSideAsc(UUID job);

    List<JointEntity> findByJobIdAndDesignOrderByMarkAscWeldNoAscSideAsc(UUID job, String design);

    /** The joints of delayed steel whose wait after welding has ended and that were not judged since. */
    @Query("select new mensor.server.joint.WaitOver(j.id, j.mark, j.waitEndsAt) from JointEntity j"
            + " where j.waitEndsAt <= ?1 order by j.waitEndsAt")
    List<WaitOver> waitedUntil(Instant now);

    /** Judged since its wait ended; one that was welded again waits again. */
    @Transactional
    @Modifying
    @Query("update JointEntity j set j.waitEndsAt = null where j.id = ?1 and j.waitEndsAt = ?2")
    void judgedAfterWait(UUID id, Instant ended);

    List<JointEntity> findByCriteriaOrderByCreatedAtDesc(String criteria);

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

    Optional<JointEntity> findFirstByJobIdOrderByCreatedAtDesc(UUID jobId);

    Optional<JointEntity> findFirstByJobIdAndLotOrderByCreatedAtDesc(UUID jobId, String lot);
}
