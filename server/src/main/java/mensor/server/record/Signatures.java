package mensor.server.record;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import mensor.exchange.ChainFile;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The frozen records. */
@Service
public class Signatures {
    private final SignatureRepository signatures;
    private final Installations installations;

    Signatures(SignatureRepository signatures, Installations installations) {
        this.signatures = signatures;
        this.installations = installations;
    }

    @Transactional(readOnly = true)
    public Optional<SignatureView> of(UUID inspectionId) {
        return signatures
                .findByInspectionId(inspectionId)
                .map(s -> s.view(s.origin() == null ? null : installations.elsewhere(s.origin())));
    }

    /** Who signed it. */
    @Transactional(readOnly = true)
    public UUID signer(UUID inspectionId) {
        return signatures.findByInspectionId(inspectionId).orElseThrow().personId();
    }

    /** The frozen text itself, over which the sum was taken. */
    @Transactional(readOnly = true)
    public Optional<String> frozen(UUID inspectionId) {
        return signatures.findByInspectionId(inspectionId).map(SignatureEntity::canonical);
    }

    @Transactional
    public void freeze(SignatureContent f) {
        signatures.save(new SignatureEntity(f, sha256(f.canonical())));
    }

    /**
     * A signed record and what it shows beyond its document.
     *
     * @param shown absent in a record that was signed before it was kept
     */
    public record Kept(String record, Optional<String> shown) {}

    @Transactional(readOnly = true)
    public Optional<Kept> kept(UUID inspectionId) {
        return signatures
                .findByInspectionId(inspectionId)
                .map(s -> new Kept(s.canonical(), Optional.ofNullable(s.shown())));
    }

    /** Keeps what a record shows that was signed before this was kept. */
    @Transactional
    public void keepShown(UUID inspectionId, String shown) {
        signatures.findByInspectionId(inspectionId).orElseThrow().keepShown(shown);
    }

    @Transactional(readOnly = true)
    public List<UUID> withoutShown() {
        return signatures.inspectionsWithoutShown();
    }

    /** A frozen record at its place among the job's. */
    public record ChainPlace(UUID inspectionId, int place, String sha256, String record) {}

    private static ChainPlace placed(SignatureEntity s) {
        return new ChainPlace(s.inspectionId(), s.place(), s.sha256(), s.canonical());
    }

    /** The record that was signed last in a job. */
    @Transactional(readOnly = true)
    public Optional<ChainPlace> last(UUID jobId) {
        return signatures.findFirstByJobIdOrderByPlaceDesc(jobId).map(Signatures::placed);
    }

    /** An inspection's record at its place among the job's. */
    @Transactional(readOnly = true)
    public Optional<ChainPlace> placed(UUID inspectionId) {
        return signatures.findByInspectionId(inspectionId).map(Signatures::placed);
    }

    /** All signed records of a job, in their order. */
    @Transactional(readOnly = true)
    public List<ChainPlace> ofJob(UUID jobId) {
        return signatures.findByJobIdOrderByPlace(jobId).stream()
                .map(Signatures::placed)
                .toList();
    }

    /** A record's place among the job's, and its sum; the record itself is long. */
    public record Head(int place, String sha256) {}

    @Transactional(readOnly = true)
    public List<Head> headsOf(UUID jobId) {
        return signatures.headsOf(jobId);
    }

    /** Of the records that were signed here: no other is sealed. */
    @Transactional(readOnly = true)
    public List<Head> ownHeadsOf(UUID jobId) {
        return signatures.ownHeadsOf(jobId);
    }

    /** The seals that came with records from elsewhere. */
    @Transactional(readOnly = true)
    public List<String> originSeals(UUID jobId) {
        return signatures.findByJobIdOrderByPlace(jobId).stream()
                .map(SignatureEntity::originSeal)
                .filter(Objects::nonNull)
                .toList();
    }

    /** Whether such a record stands at such a place, in whichever job. */
    @Transactional(readOnly = true)
    public boolean stands(Head head) {
        return signatures.existsByPlaceAndSha256(head.place(), head.sha256());
    }

    /** Whoever signed, as the record names them. */
    public record Signer(UUID personId, String name, String certificate, String capacity) {}

    /** What is frozen by a signature. */
    public record SignatureContent(
            UUID inspectionId,
            UUID jobId,
            int place,
            String verdict,
            Signer signer,
            Instant at,
            String canonical,
            String shown) {}

    public static String sha256(String text) {
        return ChainFile.sha256(text);
    }

    public static String sha256(byte[] bytes) {
        return ChainFile.sha256(bytes);
    }
}
