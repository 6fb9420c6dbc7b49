package mensor.server.scan;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mensor.scan.ScanSection;
import mensor.server.inspection.BenchView;
import mensor.server.inspection.BenchViews;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.server.web.UploadedFile;
import mensor.weld.Joint;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The scans of an inspection. */
@RestController
@RequestMapping("/api/inspections/{id}/scans")
class ScanController {
    private final Scans scans;
    private final ScanLines lines;
    private final LiveScans live;
    private final Recount recount;
    private final ScanStore store;
    private final BenchViews views;

    ScanController(Scans scans, ScanLines lines, LiveScans live, Recount recount, ScanStore store, BenchViews views) {
        this.scans = scans;
        this.lines = lines;
        this.live = live;
        this.recount = recount;
        this.store = store;
        this.views = views;
    }

    /** @param proposals the ids of what is taken over */
    @AllOptional
    record TakenForm(Set<UUID> proposals) {}

    @GetMapping
    List<ScanView> all(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return scans.of(actor, id);
    }

    /** The drawn scans of all inspections of the weld, the oldest first: before a repair and after it. */
    @GetMapping("/of-weld")
    List<ScanView.WeldScanView> ofWeld(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return scans.ofWeld(actor, id);
    }

    /** The body is the scan's bytes, kept as they come. */
    @UploadedFile
    @PutMapping("/{scanId}")
    List<ScanView> put(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID scanId,
            @RequestParam String name,
            @RequestParam(required = false) UUID gauge,
            HttpServletRequest request)
            throws IOException {
        scans.checkMayAdd(actor, id);
        try (ScanStore.Received received = scans.receive(request.getInputStream())) {
            return scans.add(actor, id, scanId, name, gauge, received);
        }
    }

    /**
     * Scans by the simulated scanner: lines of JSON as it moves along, first what is read of this weld, then a line a profile; the scan is kept at the end,
     * or where whoever asked goes away.
     *
     * @param speed in mm a second
     */
    @PostMapping(value = "/{scanId}/live", produces = MediaType.APPLICATION_NDJSON_VALUE)
    void live(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID scanId,
            @RequestParam(defaultValue = "60") double speed,
            @RequestParam(required = false) Long seed,
            HttpServletResponse response)
            throws IOException, InterruptedException {
        if (!(speed >= 1 && speed <= 2000)) {
            throw Refusal.invalid("speed", "1 to 2000 mm a second");
        }
        Joint joint = live.joint(actor, id);
        response.setContentType(MediaType.APPLICATION_NDJSON_VALUE);
        long made = seed == null ? scanId.getMostSignificantBits() : seed;
        live.scan(actor, id, scanId, joint, new SimulatedScanner(joint, made, speed), response.getOutputStream());
    }

    @DeleteMapping("/{scanId}")
    List<ScanView> takeOff(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID scanId) {
        return scans.setWithdrawn(actor, id, scanId, true);
    }

    @PostMapping("/{scanId}/restore")
    List<ScanView> restore(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID scanId) {
        return scans.setWithdrawn(actor, id, scanId, false);
    }

    @PostMapping("/{scanId}/measure")
    List<ScanView> again(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID scanId) {
        return scans.again(actor, id, scanId);
    }

    @PostMapping("/{scanId}/take")
    @Transactional
    BenchView take(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID scanId,
            @RequestBody TakenForm form) {
        if (form.proposals() == null || form.proposals().isEmpty()) {
            throw Refusal.invalid("proposals", "which of them?");
        }
        return views.of(scans.take(actor, id, scanId, form.proposals()));
    }

    @GetMapping("/{scanId}/lines")
    ScanView.LinesView lines(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID scanId,
            @RequestParam(required = false) Double from,
            @RequestParam(required = false) Double to) {
        return lines.lines(actor, id, scanId, from, to);
    }

    @GetMapping("/{scanId}/section")
    ScanSection section(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID scanId,
            @RequestParam double at) {
        return lines.section(actor, id, scanId, at);
    }

    @GetMapping(value = "/{scanId}/surface", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    byte[] surface(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID scanId) {
        return lines.surface(actor, id, scanId);
    }

    /** @param with another scan of the weld, of this inspection where {@code of} names no other */
    @GetMapping("/{scanId}/compared")
    ScanView.ComparedView compared(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID scanId,
            @RequestParam UUID with,
            @RequestParam(required = false) UUID of) {
        return lines.compare(actor, id, scanId, of == null ? id : of, with);
    }

    /** Whether what was measured comes to the same again. */
    @GetMapping("/{scanId}/again")
    ScanView.RecountView recount(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID scanId) {
        return recount.of(actor, id, scanId);
    }

    /** The scan as it came. */
    @GetMapping(value = "/{scanId}/file", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<Resource> file(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID scanId) {
        ScanEntity scan = scans.seen(actor, id, scanId);
        Path file = store.file(scan.sha256());
        if (!Files.exists(file)) {
            throw ScanStore.notHere();
        }
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(scan.name())
                                .build()
                                .toString())
                .body(new FileSystemResource(file));
    }
}
