package mensor.server.welding;

import java.time.Instant;
import java.util.UUID;
import mensor.server.joint.Welding;
import mensor.server.joint.WeldingForm;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
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

/** What is recorded of a weld before the last inspection. A change has the open looks at the joint judged anew. */
@RestController
@RequestMapping("/api/joints/{id}/welding-record")
class WeldingController {
    private final WeldingRecords records;
    private final WeldingViews views;
    private final Welding welding;
    private final WeldInspections inspections;

    WeldingController(WeldingRecords records, WeldingViews views, Welding welding, WeldInspections inspections) {
        this.records = records;
        this.views = views;
        this.welding = welding;
        this.inspections = inspections;
    }

    @AllOptional
    record WeldingEntryForm(WeldingEntryKind kind, WeldingContent content, Long version) {}

    record WholeChange(long version, WeldingForm whole) {}

    @AllOptional
    record WeldingEnd(Instant at) {}

    @GetMapping
    WeldingView open(@PathVariable UUID id) {
        return views.of(records.open(id), inspections.inspectionsAt(id));
    }

    @PutMapping("/entries/{entryId}")
    @Transactional
    WeldingView put(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID entryId,
            @RequestBody WeldingEntryForm form) {
        return changed(
                id,
                records.put(actor, id, entryId, form.kind(), form.content(), form.version(), inspections.isSigned(id)));
    }

    @DeleteMapping("/entries/{entryId}")
    @Transactional
    WeldingView withdraw(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID entryId,
            @RequestParam long version) {
        return changed(id, records.withdraw(actor, id, entryId, version, inspections.isSigned(id)));
    }

    @PostMapping("/entries/{entryId}/restore")
    @Transactional
    WeldingView restore(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID entryId) {
        return changed(id, records.restore(actor, id, entryId, inspections.isSigned(id)));
    }

    /** What holds for the weld as a whole. */
    @PutMapping("/whole")
    @Transactional
    WeldingView whole(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody WholeChange change) {
        welding.record(actor, id, change.version(), change.whole());
        return changed(id, records.open(id));
    }

    /** When it was last welded: the wait of delayed steels runs from it. */
    @PutMapping("/welded")
    @Transactional
    WeldingView welded(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody WeldingEnd welded) {
        return changed(id, records.welded(actor, id, welded.at()));
    }

    private WeldingView changed(UUID id, WeldingRecords.State o) {
        inspections.rejudgeOpen(id);
        return views.of(o, inspections.inspectionsAt(id));
    }
}
