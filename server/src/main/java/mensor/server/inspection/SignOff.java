package mensor.server.inspection;

import java.time.Clock;
import java.util.UUID;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.server.people.Actor;
import mensor.server.record.SigningClock;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Signing an inspection: accept or reject as it was judged, never an incomplete one; what is signed is frozen. */
@Service
public class SignOff {
    private final Bench bench;
    private final InspectionRepository inspections;
    private final SigningRules rules;
    private final SignatureWriter writer;
    private final SignedRows rows;
    private final ApplicationEventPublisher events;
    private final SigningClock signingClock;
    private final Clock clock;

    SignOff(
            Bench bench,
            InspectionRepository inspections,
            SigningRules rules,
            SignatureWriter writer,
            SignedRows rows,
            ApplicationEventPublisher events,
            SigningClock signingClock,
            Clock clock) {
        this.bench = bench;
        this.inspections = inspections;
        this.rules = rules;
        this.writer = writer;
        this.rows = rows;
        this.events = events;
        this.signingClock = signingClock;
        this.clock = clock;
    }

    /**
     * The signature as the inspector gives it.
     *
     * @param version the inspection's, as it was shown; somebody else's later entry refuses the signature
     */
    @AllOptional
    public record SignForm(long version, String verdict, String capacity) {}

    @Transactional
    public Bench.State sign(Actor actor, UUID inspectionId, SignForm form) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        if (form.version() != inspection.version()) {
            throw Refusal.stale(
                    "somebody changed this inspection after it was shown to you; check it, then sign", null);
        }
        if (!inspection.capacity().equals(form.capacity())) {
            throw Refusal.invalid(
                    "capacity",
                    "this inspection is " + capacityWords(inspection.capacity())
                            + "; the other side inspects and signs in a record of its own");
        }
        Bench.State opened = bench.open(actor, inspectionId);
        rules.check(actor, opened);
        Evaluation evaluation = opened.judged().evaluation();
        if (evaluation.verdict() == Verdict.INCOMPLETE) {
            throw Refusal.conflict("the inspection is incomplete: "
                    + evaluation.todo().size() + " still to do; finish it, or hand it over");
        }
        if (!evaluation.verdict().id().equals(form.verdict())) {
            throw Refusal.conflict("the inspection comes to "
                    + evaluation.verdict().id() + "; it cannot be signed as " + form.verdict());
        }
        signingClock.check();
        inspection.judged(evaluation); // what is signed is what the lists say
        // the clock and the register go on; what they said at the signature stands
        inspection.setConditions(writer.canonical(opened.judged().conditions()));
        inspection.keepContract(writer.canonical(opened.judged().contract()));
        inspections.flush(); // the rows are summed as they are stored
        // the paper that is on file now, never a free text
        String certificate = actor.certificate();
        writer.freeze(
                opened,
                new SignatureWriter.Signing(
                        actor,
                        certificate,
                        form.verdict(),
                        form.capacity(),
                        clock.instant(),
                        rules.beside(actor, opened),
                        rows.sums(inspectionId)));
        inspection.sign();
        events.publishEvent(new InspectionSigned(inspectionId));
        inspections.flush();
        return bench.open(actor, inspectionId);
    }

    private static String capacityWords(String capacity) {
        return capacity.equals(StoredInspection.QC) ? "QC (for the fabricator)" : "verification (for the owner)";
    }
}
