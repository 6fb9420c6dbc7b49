package mensor.server.repair;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.repair.HoldKind;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.Named;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a defect waits for, released by the Engineer's document or answered with no. */
@Service
public class HoldRelease {
    private final Repairs repairs;
    private final DefectRepository defects;
    private final DocumentFileRepository files;
    private final Holds holds;
    private final Clock clock;

    HoldRelease(Repairs repairs, DefectRepository defects, DocumentFileRepository files, Holds holds, Clock clock) {
        this.repairs = repairs;
        this.defects = defects;
        this.files = files;
        this.holds = holds;
        this.clock = clock;
    }

    /** The Engineer's word on a hold. */
    public record EngineersDocument(String number, String engineer, LocalDate date, String fileName, byte[] file) {}

    @Transactional
    public void release(Actor actor, UUID id, String kind, EngineersDocument given) {
        if (!actor.recordsEngineer()) {
            throw Refusal.forbidden(
                    "the Engineer's documents are recorded by the welding engineer or the quality manager");
        }
        DefectEntity d = repairs.forChange(id, null);
        RepairHoldEntity hold = openHold(d, kind);
        List<FieldProblem> problems = new ArrayList<>();
        text(problems, "number", given.number(), 60, "the number of the Engineer's document is required");
        text(problems, "engineer", given.engineer(), 120, "the Engineer's name is required");
        if (given.date() == null || given.date().isAfter(LocalDate.now(clock))) {
            problems.add(new FieldProblem("date", "the day on the document, not in the future"));
        }
        String type = DocumentFile.typeOf(given.file());
        if (type == null) {
            problems.add(new FieldProblem("file", "the document itself: a PDF, PNG or JPEG of up to 10 MB"));
        }
        if (!problems.isEmpty()) {
            throw Refusal.invalid(problems);
        }
        String sha256 = DocumentFile.sha256(given.file());
        if (!files.existsById(sha256)) {
            files.saveAndFlush(new DocumentFileEntity(sha256, type, given.file()));
        }
        hold.release(
                new RepairHoldEntity.Document(
                        given.number().strip(),
                        given.engineer().strip(),
                        given.date(),
                        DocumentFile.name(given.fileName(), type),
                        sha256),
                actor.id(),
                clock.instant());
        d.touched();
        holds.closeIfReleased(d, clock.instant());
        defects.saveAndFlush(d);
    }

    private static void text(List<FieldProblem> problems, String field, String value, int most, String wanted) {
        if (value == null || value.isBlank() || value.length() > most) {
            problems.add(new FieldProblem(field, wanted + ", up to " + most + " letters"));
        }
    }

    /** A hold that is a question, answered with no. */
    @Transactional
    public void deny(Actor actor, UUID id, String kind, String why) {
        if (!actor.is(Role.WELDING_ENGINEER)) {
            throw Refusal.forbidden("the welding engineer answers this");
        }
        if (why == null || why.isBlank() || why.length() > 500) {
            throw Refusal.invalid("why", "say why it does not hold");
        }
        DefectEntity d = repairs.forChange(id, null);
        RepairHoldEntity hold = openHold(d, kind);
        if (!hold.kind().mayBeDenied()) {
            throw Refusal.conflict("only the Engineer's document releases this");
        }
        hold.deny(why.strip(), actor.id(), clock.instant());
        d.touched();
        defects.saveAndFlush(d);
    }

    private RepairHoldEntity openHold(DefectEntity d, String kind) {
        HoldKind wanted = Named.find(HoldKind.class, kind).orElseThrow(() -> Refusal.notFound("there is no such hold"));
        return holds.open(d).stream()
                .filter(h -> h.kind() == wanted)
                .findFirst()
                .orElseThrow(() -> Refusal.conflict(d.number() + " does not wait for that"));
    }

    DocumentFileEntity file(UUID defect, String kind) {
        return holds.of(repairs.get(defect)).stream()
                .filter(h -> h.kind().id().equals(kind) && h.fileSha256() != null)
                .findFirst()
                .flatMap(h -> files.findById(h.fileSha256()))
                .orElseThrow(() -> Refusal.notFound("no document is kept for that"));
    }
}
