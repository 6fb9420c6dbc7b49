package mensor.server.inspection;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.ChainFile;
import mensor.server.job.Jobs;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.record.Signatures;
import mensor.server.web.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A job's signed records and whether they fit together. */
@RestController
@RequestMapping("/api/jobs/{id}/chain")
class ChainController {
    private final Jobs jobs;
    private final Signatures signatures;
    private final InspectionRepository inspections;
    private final Joints joints;
    private final ChainSeals seals;
    private final SignedRows rows;

    ChainController(
            Jobs jobs,
            Signatures signatures,
            InspectionRepository inspections,
            Joints joints,
            ChainSeals seals,
            SignedRows rows) {
        this.rows = rows;
        this.seals = seals;
        this.jobs = jobs;
        this.signatures = signatures;
        this.inspections = inspections;
        this.joints = joints;
    }

    /** @param fault the first record that does not fit, and why; absent where all do */
    record ChainView(
            int records, @Nullable String last, @Nullable String fault) {}

    @GetMapping("/check")
    @Transactional(readOnly = true)
    public ChainView check(@PathVariable UUID id) {
        ChainFile chain = chain(id);
        List<ChainFile.Link> links = chain.links();
        return new ChainView(
                links.size(),
                links.isEmpty() ? null : links.get(links.size() - 1).sha256(),
                chain.check()
                        .map(f -> "record " + f.place() + ", " + f.mark() + ": " + f.problem())
                        .or(() -> seals.fault(id))
                        .or(() -> rows.fault(id))
                        .orElse(null));
    }

    /** A receipt of the last record, to be kept elsewhere: {@code ./mensor verify --seal} compares it with the records. */
    @GetMapping(path = "/seal", produces = MediaType.APPLICATION_JSON_VALUE)
    @Transactional(readOnly = true)
    public ResponseEntity<String> seal(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"seal.json\"")
                .body(seals.receipt(id)
                        .orElseThrow(() -> Refusal.notFound("nothing is signed in this job yet"))
                        .write());
    }

    /** As a file, to be checked elsewhere. */
    @GetMapping(produces = MediaType.APPLICATION_JSON_VALUE)
    @Transactional(readOnly = true)
    public ResponseEntity<String> file(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"signed-records.json\"")
                .body(chain(id).write());
    }

    private ChainFile chain(UUID job) {
        List<Signatures.ChainPlace> placed = signatures.ofJob(job);
        Map<UUID, UUID> jointOf = new HashMap<>();
        inspections
                .findAllById(
                        placed.stream().map(Signatures.ChainPlace::inspectionId).toList())
                .forEach(i -> jointOf.put(i.id(), i.jointId()));
        Map<UUID, String> marks = new HashMap<>();
        joints.all(jointOf.values()).forEach((StoredJoint j) -> marks.put(j.id(), j.mark()));
        return new ChainFile(
                jobs.get(job).name(),
                placed.stream()
                        .map(p -> new ChainFile.Link(
                                p.place(), marks.get(jointOf.get(p.inspectionId())), p.sha256(), p.record()))
                        .toList());
    }
}
