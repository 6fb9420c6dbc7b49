package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.exchange.ChainFile;
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
    private final JobRecords records;
    private final ChainSeals seals;

    ChainController(JobRecords records, ChainSeals seals) {
        this.records = records;
        this.seals = seals;
    }

    /** @param fault the first record that does not fit, and why; absent where all do */
    record ChainView(
            int records, @Nullable String last, @Nullable String fault) {}

    @GetMapping("/check")
    @Transactional(readOnly = true)
    public ChainView check(@PathVariable UUID id) {
        ChainFile chain = records.chain(id);
        List<ChainFile.Link> links = chain.links();
        return new ChainView(
                links.size(),
                links.isEmpty() ? null : links.get(links.size() - 1).sha256(),
                records.fault(id, chain).orElse(null));
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
                .body(records.chain(id).write());
    }
}
