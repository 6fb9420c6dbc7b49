package mensor.server.repair;

import jakarta.persistence.LockModeType;
import jakarta.persistence.QueryHint;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.jpa.repository.QueryHints;
import org.springframework.data.repository.query.Param;

interface DefectRepository extends JpaRepository<DefectEntity, UUID> {
    List<DefectEntity> findByJointIdAndCapacityOrderByNumber(UUID jointId, String capacity);

    List<DefectEntity> findByJointIdOrderByNumber(UUID jointId);

    List<DefectEntity> findByInspectionIdOrderByPlaceIndex(UUID inspectionId);

    List<DefectEntity> findByJobIdOrderByNumber(UUID jobId);

    @Query("select coalesce(max(d.number), 0) from DefectEntity d where d.jobId = :job")
    int lastNumber(@Param("job") UUID job);

    String STANDINGS =
            "select i.id, d.disposition, d.state, (select count(h) from RepairHoldEntity h where h.defectId = d.id"
                    + " and h.releasedAt is null and h.dropped = false) from InspectionEntity i, DefectEntity d, InspectionEntity raised"
                    + " where d.jointId = i.jointId and d.capacity = i.capacity and raised.id = d.inspectionId"
                    + " and (raised.id = i.id or d.state <> 'closed' and raised.cycle < i.cycle) and i.id ";

    /**
     * What each inspection waits for: of what it raised and of what an earlier one raised that nobody accepted since, what was
     * decided, where it stands, and whether something waits.
     */
    @Query(STANDINGS + "= :inspection")
    List<Object[]> standings(@Param("inspection") UUID inspection);

    /** The same for the lists, as stored: it is asked while a transaction ends, when all was written. */
    @Query(STANDINGS + "in :inspections")
    @QueryHints(@QueryHint(name = "org.hibernate.flushMode", value = "COMMIT"))
    List<Object[]> standings(@Param("inspections") Collection<UUID> inspections);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<DefectEntity> findForChangeById(UUID id);
}
