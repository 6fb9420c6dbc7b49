package mensor.server.repair;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;

interface DefectRepository extends JpaRepository<DefectEntity, UUID> {
    List<DefectEntity> findByJointIdAndCapacityOrderByNumber(UUID jointId, String capacity);

    List<DefectEntity> findByJointIdOrderByNumber(UUID jointId);

    List<DefectEntity> findByInspectionIdOrderByPlaceIndex(UUID inspectionId);

    /** All that is not closed, of any job. */
    List<DefectEntity> findByStateNot(String closed);

    List<DefectEntity> findByJobIdOrderByNumber(UUID jobId);

    List<DefectEntity> findByIdIn(List<UUID> ids);

    @Query("select coalesce(max(d.number), 0) from DefectEntity d where d.jobId = :job")
    int lastNumber(@Param("job") UUID job);

    /** For the lists: which look raised it, what was decided, where it stands, and whether something waits. */
    @Query(
            "select d.inspectionId, d.disposition, d.state, (select count(h) from RepairHoldEntity h where h.defectId = d.id"
                    + " and h.releasedAt is null and h.dropped = false) from DefectEntity d where :inspection is null or d.inspectionId = :inspection")
    List<Object[]> standings(@Param("inspection") UUID inspection);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<DefectEntity> findForChangeById(UUID id);
}
