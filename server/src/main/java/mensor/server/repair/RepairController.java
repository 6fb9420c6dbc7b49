package mensor.server.repair;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.server.inspection.Bench;
import mensor.server.people.Actor;
import mensor.server.photo.PictureFile;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.server.web.UploadedFile;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Rejected places: what is decided, what waits, what was done, and the inspection after it. */
@RestController
@RequestMapping("/api")
class RepairController {
    private final Repairs repairs;
    private final RepairSteps steps;
    private final RepairedWelds repaired;
    private final RepairPhotos photos;
    private final HoldRelease releases;
    private final DefectViews views;
    private final RepairsList list;
    private final Bench bench;

    RepairController(
            Repairs repairs,
            RepairSteps steps,
            RepairedWelds repaired,
            RepairPhotos photos,
            HoldRelease releases,
            DefectViews views,
            RepairsList list,
            Bench bench) {
        this.repairs = repairs;
        this.steps = steps;
        this.repaired = repaired;
        this.photos = photos;
        this.releases = releases;
        this.views = views;
        this.list = list;
        this.bench = bench;
    }

    @AllOptional
    record Notification(String notified, Long version) {}

    @AllOptional
    record Why(String why, Long version) {}

    record InspectionStart(UUID inspectionId) {}

    /** @param depth how deep a defect's excavation goes, as {@code DEFECT:LENGTH}; any number of them, nothing is stored */
    @GetMapping("/inspections/{id}/defects")
    DefectsView ofInspection(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestParam(required = false, defaultValue = "") List<String> depth) {
        Bench.State o = bench.open(actor, id);
        return views.of(o, depths(depth, o.joint().unit()));
    }

    private static Map<UUID, Length> depths(List<String> said, Unit unit) {
        Map<UUID, Length> depths = new HashMap<>();
        for (String s : said) {
            int colon = s.indexOf(':');
            if (colon < 0) {
                throw Refusal.invalid("depth", "a defect's id, a colon and a depth are required");
            }
            try {
                Length read = Length.parse(s.substring(colon + 1), unit);
                if (!read.isPositive()) {
                    throw Refusal.invalid("depth", "a depth over zero is required, got " + read.shownWithUnit());
                }
                depths.put(UUID.fromString(s.substring(0, colon)), read);
            } catch (LengthFormatException e) {
                throw Refusal.invalid("depth", e.getMessage());
            } catch (IllegalArgumentException e) {
                throw Refusal.invalid("depth", "a defect's id, a colon and a depth are required");
            }
        }
        return depths;
    }

    /** The re-inspection of all that this one rejected. */
    @PostMapping("/inspections/{id}/re-inspection")
    InspectionStart reinspect(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return new InspectionStart(repaired.reinspect(actor, id).id());
    }

    @GetMapping("/repairs")
    DefectsView.RepairsPage page(
            @RequestParam(required = false) UUID job,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "") String where,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(defaultValue = "100") int size) {
        return list.page(new RepairsList.Wanted(job, find, where, sort, from, size));
    }

    @GetMapping("/defects/{id}")
    DefectsView.TicketView ticket(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return views.ticket(actor, id);
    }

    @PutMapping("/defects/{id}/disposition")
    DefectsView.TicketView decide(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody Repairs.Decision decision) {
        repairs.decide(actor, id, decision);
        return ticket(actor, id);
    }

    @PutMapping("/defects/{id}/notification")
    DefectsView.TicketView notified(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody Notification notified) {
        repairs.notified(actor, id, notified.notified(), notified.version());
        return ticket(actor, id);
    }

    @PutMapping("/defects/{id}/steps/{state}")
    DefectsView.TicketView step(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable String state,
            @RequestBody StepForm form) {
        steps.record(actor, id, state, form);
        return ticket(actor, id);
    }

    @PostMapping("/defects/{id}/back")
    DefectsView.TicketView back(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody Why why) {
        steps.back(actor, id, why.why(), why.version());
        return ticket(actor, id);
    }

    /** The body is the document's bytes: a PDF, PNG or JPEG. */
    @UploadedFile
    @PutMapping("/defects/{id}/holds/{kind}/document")
    DefectsView.TicketView release(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable String kind,
            @RequestParam(required = false) String number,
            @RequestParam(required = false) String engineer,
            @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate date,
            @RequestParam(required = false) String name,
            HttpServletRequest request)
            throws IOException {
        byte[] sent = request.getInputStream().readNBytes(DocumentFile.MOST_BYTES + 1);
        releases.release(actor, id, kind, new HoldRelease.EngineersDocument(number, engineer, date, name, sent));
        return ticket(actor, id);
    }

    @GetMapping("/defects/{id}/holds/{kind}/document")
    ResponseEntity<byte[]> document(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable String kind) {
        DocumentFileEntity file = releases.file(id, kind);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(file.type()))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("document-" + kind)
                                .build()
                                .toString())
                .body(file.bytes());
    }

    /** A hold that is a question, answered with no. */
    @PostMapping("/defects/{id}/holds/{kind}/denied")
    DefectsView.TicketView deny(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable String kind,
            @RequestBody Why why) {
        releases.deny(actor, id, kind, why.why());
        return ticket(actor, id);
    }

    @UploadedFile
    @PutMapping("/defects/{id}/photos/{photoId}")
    DefectsView.TicketView photo(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID photoId,
            HttpServletRequest request)
            throws IOException {
        photos.add(actor, id, photoId, PictureFile.of(request.getInputStream().readNBytes(PictureFile.MOST_BYTES + 1)));
        return ticket(actor, id);
    }

    @GetMapping(
            value = "/defects/{id}/photos/{photoId}",
            produces = {"image/jpeg", "image/png"})
    ResponseEntity<byte[]> photo(@PathVariable UUID id, @PathVariable UUID photoId) {
        PictureFile file = photos.find(id, photoId).orElseThrow(() -> Refusal.notFound("there is no such picture"));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(file.type()))
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable())
                .body(file.bytes());
    }
}
