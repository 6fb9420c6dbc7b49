package mensor.server.welding;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mensor.drawing.WeldingDrawing;
import mensor.exchange.WeldingParts;
import mensor.inspection.InspectionItem;
import mensor.inspection.PoolSight;
import mensor.inspection.ProcessQuestion;
import mensor.length.Unit;
import mensor.plan.OpenRoot;
import mensor.plan.SchoolTopic;
import mensor.server.job.Schools;
import mensor.server.joint.StoredJoint;
import mensor.server.joint.WeldingForm;
import mensor.server.people.People;
import mensor.weld.CardLine;
import mensor.weld.FirstRodCard;
import mensor.weld.LoggedPass;
import mensor.weld.Named;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.PlannedAngles;
import mensor.weld.Procedure;
import mensor.weld.ProcedurePass;
import mensor.weld.Protection;
import mensor.weld.Range;
import mensor.weld.RodClock;
import mensor.weld.SquarenessCard;
import mensor.weld.Stagger;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Makes what is shown of a weld's welding record. */
@Component
public class WeldingViews {
    private static final double MM_PER_INCH = 25.4;

    private final People people;
    private final MachineReadings machines;
    private final JsonMapper json;

    WeldingViews(People people, MachineReadings machines, JsonMapper json) {
        this.people = people;
        this.machines = machines;
        this.json = json;
    }

    /**
     * The looks at the weld.
     *
     * @param signed one of them is signed, so that the fit-up stands
     * @param latest where the bench opens
     */
    public record InspectionState(boolean signed, @Nullable UUID latest) {}

    public WeldingView of(WeldingRecords.State o, InspectionState inspections) {
        Map<UUID, String> names = people.names();
        StoredJoint j = o.joint();
        return new WeldingView(
                j.id(),
                inspections.latest(),
                j.version(),
                j.mark(),
                j.weldNo(),
                o.asFitted().inWords(),
                j.units(),
                o.asFitted().isFillet(),
                o.asFitted().backing().orElse(false),
                j.position(),
                j.welder(),
                j.weldedAt(),
                o.asFitted().isDelayed(),
                o.procedure().map(p -> procedure(j.procedureId(), p)).orElse(null),
                json.readValue(j.welding(), WeldingForm.class),
                o.entries().stream().map(e -> entry(e, names)).toList(),
                new WeldingView.FitUpView(
                        o.isFitUpBegun(),
                        o.fitUp().verdict().id(),
                        o.isFitUpBegun() && o.fitUp().stops(),
                        o.fitUp().items().stream().map(WeldingViews::item).toList(),
                        o.fitUp().raised().stream().map(r -> r.reason()).toList()),
                o.departures().stream()
                        .map(d -> new WeldingView.DepartureView(
                                d.pass() < 0
                                        ? null
                                        : o.passes().get(d.pass()).entry().id(),
                                d.line(),
                                d.fault()))
                        .toList(),
                o.process().stream().map(WeldingViews::item).toList(),
                Arrays.stream(ProcessQuestion.values())
                        .filter(q -> !q.isGrooveOnly() || !o.asFitted().isFillet())
                        .map(q -> new WeldingView.QuestionView(
                                q.id(), SchoolTopic.practice(o.schools()).title(q)))
                        .toList(),
                o.rods().stream().map(r -> rods(r, o)).toList(),
                o.apart().in(j.unit()).shown(),
                WeldingDrawing.of(
                        o.asFitted(),
                        j.unit(),
                        o.readings().stream().map(WeldingRecords.Read::what).toList(),
                        o.loggedPasses(),
                        Stagger.stacked(o.loggedPasses(), o.asFitted().ruler(), o.apart()),
                        o.answers().stream().map(WeldingRecords.Read::what).toList()),
                firstRod(o),
                squareness(o),
                Arrays.stream(PassKind.values())
                        .map(k -> new WeldingView.AnglesView(
                                k.id(),
                                PlannedAngles.of(o.asFitted(), k).stream()
                                        .map(PlannedAngles::shown)
                                        .toList()))
                        .toList(),
                OpenRoot.lines(o.asFitted(), rootRod(o), o.schools()),
                Arrays.stream(PoolSight.values())
                        .map(s -> new WeldingView.SightView(s.id(), s.title(), s.isStop(), restart(s, o.schools())))
                        .toList(),
                Schools.shown(o.schools()),
                inspections.signed());
    }

    /** Of the root as recorded, else as the procedure has it; none where it is not laid by stick. */
    private static Optional<String> rootRod(WeldingRecords.State o) {
        Optional<Pass> root = o.loggedPasses().stream()
                .map(LoggedPass::pass)
                .filter(p -> p.kind().equals(Optional.of(PassKind.ROOT)))
                .findFirst();
        return root.isPresent()
                ? root.filter(Pass::isStick).flatMap(Pass::electrode)
                : o.procedure()
                        .flatMap(p -> p.pass(PassKind.ROOT))
                        .filter(p -> p.process().isStick())
                        .map(ProcedurePass::electrode);
    }

    /** How to go on after a stop; where the shop picked how far ahead a restart begins, that too. */
    private static String restart(PoolSight sight, Map<String, String> schools) {
        return SchoolTopic.RESTART_LEAD
                .picked(schools)
                .filter(s -> sight.isStop())
                .map(s -> sight.restart() + " Strike " + s.title() + " of the crater, a short arc back over it.")
                .orElseGet(sight::restart);
    }

    private WeldingView.FirstRodView firstRod(WeldingRecords.State o) {
        List<String> protection =
                Protection.lines(o.asFitted().position(), o.asFitted().grade());
        Optional<WeldingEntry> card = o.latest(WeldingEntryKind.FIRST_ROD);
        String content = card.map(WeldingEntry::content).orElse("{}");
        FirstRodCard.Answers answers = WeldingParts.firstRod(content, o.joint().unit(), machines::named);
        List<CardLine> lines = FirstRodCard.lines(
                answers,
                o.procedure().flatMap(p -> p.pass(answers.kind())),
                o.asFitted().position());
        return new WeldingView.FirstRodView(
                card.map(WeldingEntry::id).orElse(null),
                card.map(e -> json.readValue(e.content(), WeldingContent.class)).orElse(null),
                card.map(WeldingEntry::version).orElse(0L),
                FirstRodCard.stops(lines),
                shown(lines),
                protection);
    }

    private WeldingView.SquarenessView squareness(WeldingRecords.State o) {
        Optional<WeldingEntry> card = o.latest(WeldingEntryKind.SQUARENESS);
        return new WeldingView.SquarenessView(
                card.map(WeldingEntry::id).orElse(null),
                card.map(e -> json.readValue(e.content(), WeldingContent.class)).orElse(null),
                card.map(WeldingEntry::version).orElse(0L),
                shown(SquarenessCard.lines(WeldingParts.squareness(
                        card.map(WeldingEntry::content).orElse("{}"), o.joint().unit(), o.asFitted()))));
    }

    private static List<WeldingView.CardLineView> shown(List<CardLine> lines) {
        return lines.stream()
                .map(l -> new WeldingView.CardLineView(
                        l.title(), l.read(), l.wanted(), l.state().id()))
                .toList();
    }

    private WeldingView.MadeEntry entry(WeldingEntry e, Map<UUID, String> names) {
        return new WeldingView.MadeEntry(
                e.id(),
                e.kind(),
                json.readValue(e.content(), WeldingContent.class),
                names.getOrDefault(e.enteredBy(), ""),
                e.enteredAt(),
                e.isWithdrawn(),
                e.withdrawnWhy(),
                e.version());
    }

    private static WeldingView.ItemView item(InspectionItem i) {
        return new WeldingView.ItemView(
                i.id(),
                i.title(),
                i.verdict().id(),
                i.measured(),
                i.allowed(),
                i.reason(),
                i.where().map(s -> s.shown()).orElse(null),
                i.citation());
    }

    private static WeldingView.RodsView rods(WeldingRecords.Read<RodClock> r, WeldingRecords.State o) {
        RodClock c = r.what();
        return new WeldingView.RodsView(
                r.entry().id(),
                c.electrode(),
                c.shown(o.now()),
                c.isOut(),
                c.isOver(o.now()),
                RodClock.limit(c.electrode())
                        .map(l -> Range.plain(l.toMinutes() / 60.0) + " h")
                        .orElse(null));
    }

    private static WeldingView.CopiedProcedure procedure(UUID id, Procedure p) {
        return new WeldingView.CopiedProcedure(
                id, p.name(), p.passes().stream().map(w -> pass(p, w)).toList());
    }

    private static WeldingView.CopiedPass pass(Procedure p, ProcedurePass w) {
        boolean inch = p.units() == Unit.INCH;
        String unit = inch ? "in/min" : "mm/min";
        Optional<Range> travel =
                w.travel().map(t -> inch ? new Range(t.low() / MM_PER_INCH, t.high() / MM_PER_INCH) : t);
        StringBuilder ranges = new StringBuilder(w.rod());
        w.ampsOrRods().ifPresent(r -> ranges.append(", ").append(r.shown("A")));
        w.volts().ifPresent(r -> ranges.append(", ").append(r.shown("V")));
        travel.ifPresent(r -> ranges.append(", ").append(new Range(round(r.low()), round(r.high())).shown(unit)));
        return new WeldingView.CopiedPass(
                w.kind().id(),
                w.process().id(),
                w.electrode(),
                w.diameter().shownWithUnit(),
                w.ampsOrRods().map(WeldingViews::middle).orElse(null),
                w.volts().map(WeldingViews::middle).orElse(null),
                w.polarity().map(Named::id).orElse(null),
                p.progression().map(Named::id).orElse(null),
                w.technique()
                        .or(() -> p.stringerOnly() ? Optional.of(mensor.weld.Technique.STRINGER) : Optional.empty())
                        .map(Named::id)
                        .orElse(null),
                travel.map(t -> Range.plain(middle(t)) + " " + unit).orElse(null),
                p.preheatF().isPresent() ? p.preheatF().getAsDouble() : null,
                ranges.toString());
    }

    private static double middle(Range r) {
        return round((r.low() + r.high()) / 2);
    }

    private static double round(double d) {
        return Math.round(d * 10) / 10.0;
    }
}
