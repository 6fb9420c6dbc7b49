package mensor.server.record;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SignatureRepository extends JpaRepository<SignatureEntity, UUID> {
    Optional<SignatureEntity> findByInspectionId(UUID inspectionId);

    Optional<SignatureEntity> findFirstByJobIdOrderByPlaceDesc(UUID jobId);

    List<SignatureEntity> findByJobIdOrderByPlace(UUID jobId);

    @Query("select s.inspectionId from SignatureEntity s where s.shown is null order by s.signedAt")
    List<UUID> inspectionsWithoutShown();

    @Query("select new mensor.server.record.Signatures$Head(s.place, s.sha256) from SignatureEntity s"
            + " where s.jobId = ?1 order by s.place")
    List<Signatures.Head> headsOf(UUID jobId);

    @Query("select new mensor.server.record.Signatures$Head(s.place, s.sha256) from SignatureEntity s"
            + " where s.jobId = ?1 and s.origin is null order by s.place")
    List<Signatures.Head> ownHeadsOf(UUID jobId);

    boolean existsByPlaceAndSha256(int place, String sha256);
}
