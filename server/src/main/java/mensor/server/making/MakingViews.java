package mensor.server.making;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mensor.draw.MakingDrawing;
import mensor.length.Unit;
import mensor.look.LookItem;
import mensor.look.ProcessQuestion;
import mensor.server.joint.JointEntity;
import mensor.server.joint.WeldingForm;
import mensor.server.people.People;
import mensor.weld.Named;
import mensor.weld.Procedure;
import mensor.weld.ProcedurePass;
import mensor.weld.Range;
import mensor.weld.RodClock;
import mensor.weld.Staggering;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Makes what is shown of a weld's making. */
@Component
public class MakingViews {
    private static final double MM_PER_INCH = 25.4;

    private final People people;
    private final JsonMapper json;

    MakingViews(People people, JsonMapper json) {
        this.people = people;
        this.json = json;
    }

    /**
     * The looks at the weld.
     *
     * @param signed one of them is signed, so that the fit-up stands
     * @param latest where the bench opens
     */
    public record Looks(boolean signed, @Nullable UUID latest) {}

    public MakingView of(Making.Opened o, Looks looks) {
        Map<UUID, String> names = new HashMap<>();
        people.all().forEach(p -> names.put(p.id(), p.name()));
        JointEntity j = o.joint();
        return new MakingView(
                j.id(),
                looks.latest(),
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
                o.asFitted().delayed().orElse(false),
                o.procedure().map(p -> procedure(j.procedureId(), p)).orElse(null),
                json.readValue(j.welding(), WeldingForm.class),
                o.entries().stream().map(e -> entry(e, names)).toList(),
                new MakingView.FitUpView(
                        o.isFitUpBegun(),
                        o.fitUp().verdict().id(),
                        o.isFitUpBegun() && o.fitUp().stops(),
                        o.fitUp().items().stream().map(MakingViews::item).toList(),
                        o.fitUp().raised().stream().map(r -> r.reason()).toList()),
                o.departures().stream()
                        .map(d -> new MakingView.DepartureView(
                                d.pass() < 0
                                        ? null
                                        : o.passes().get(d.pass()).entry().id(),
                                d.line(),
                                d.fault()))
                        .toList(),
                o.process().stream().map(MakingViews::item).toList(),
                Arrays.stream(ProcessQuestion.values())
                        .filter(q -> !q.isGrooveOnly() || !o.asFitted().isFillet())
                        .map(q -> new MakingView.QuestionView(q.id(), q.title()))
                        .toList(),
                o.rods().stream().map(r -> rods(r, o)).toList(),
                o.apart().in(j.unit()).shown(),
                MakingDrawing.of(
                        o.asFitted().ruler(),
                        j.unit(),
                        o.asFitted().gaps(),
                        o.readings().stream().map(Making.Read::what).toList(),
                        o.loggedPasses(),
                        Staggering.stacked(o.loggedPasses(), o.asFitted().ruler(), o.apart()),
                        o.answers().stream().map(Making.Read::what).toList()),
                looks.signed());
    }

    private MakingView.MadeEntry entry(MakingEntry e, Map<UUID, String> names) {
        return new MakingView.MadeEntry(
                e.id(),
                e.kind(),
                json.readValue(e.content(), MakingContent.class),
                names.getOrDefault(e.enteredBy(), ""),
                e.enteredAt(),
                e.isWithdrawn(),
                e.withdrawnWhy(),
                e.version());
    }

    private static MakingView.ItemView item(LookItem i) {
        return new MakingView.ItemView(
                i.id(),
                i.title(),
                i.verdict().id(),
                i.measured(),
                i.allowed(),
                i.reason(),
                i.where().map(s -> s.shown()).orElse(null),
                i.citation());
    }

    private static MakingView.RodsView rods(Making.Read<RodClock> r, Making.Opened o) {
        RodClock c = r.what();
        return new MakingView.RodsView(
                r.entry().id(),
                c.electrode(),
                c.shown(o.now()),
                c.isOut(),
                c.isOver(o.now()),
                RodClock.limit(c.electrode())
                        .map(l -> Range.plain(l.toMinutes() / 60.0) + " h")
                        .orElse(null));
    }

    private static MakingView.CopiedProcedure procedure(UUID id, Procedure p) {
        return new MakingView.CopiedProcedure(
                id, p.name(), p.passes().stream().map(w -> pass(p, w)).toList());
    }

    private static MakingView.CopiedPass pass(Procedure p, ProcedurePass w) {
        boolean inch = p.units() == Unit.INCH;
        String unit = inch ? "in/min" : "mm/min";
        Optional<Range> travel =
                w.travel().map(t -> inch ? new Range(t.low() / MM_PER_INCH, t.high() / MM_PER_INCH) : t);
        StringBuilder ranges = new StringBuilder(w.rod());
        w.ampsOrRods().ifPresent(r -> ranges.append(", ").append(r.shown("A")));
        w.volts().ifPresent(r -> ranges.append(", ").append(r.shown("V")));
        travel.ifPresent(r -> ranges.append(", ").append(new Range(round(r.low()), round(r.high())).shown(unit)));
        return new MakingView.CopiedPass(
                w.kind().id(),
                w.electrode(),
                w.diameter().shownWithUnit(),
                w.ampsOrRods().map(MakingViews::middle).orElse(null),
                w.volts().map(MakingViews::middle).orElse(null),
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
