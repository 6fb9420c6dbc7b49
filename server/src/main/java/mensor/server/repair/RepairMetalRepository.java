package mensor.server.repair;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;

interface RepairMetalRepository extends JpaRepository<RepairMetalEntity, UUID> {
    /** The weldings of repairs that were recorded before their metal was counted. */
    @Query("select s.id from RepairStepEntity s where s.state = :welded and s.withdrawnWhy is null"
            + " and not exists (select 1 from RepairMetalEntity m where m.stepId = s.id)")
    List<UUID> notCounted(@Param("welded") String welded);
}
