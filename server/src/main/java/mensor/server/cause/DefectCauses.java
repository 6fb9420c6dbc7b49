package mensor.server.cause;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mensor.cause.CauseTrace;
import mensor.cause.Fact;
import mensor.cause.FusionDoubt;
import mensor.cause.PassesAtPlace;
import mensor.cause.Situation;
import mensor.cause.Surroundings;
import mensor.cause.Tracer;
import mensor.inspection.InProcessInspection;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.ProcessQuestion;
import mensor.length.Length;
import mensor.length.Span;
import mensor.server.inspection.Bench;
import mensor.server.inspection.InspectionResult;
import mensor.server.joint.StoredJoint;
import mensor.server.testpiece.Specimens;
import mensor.server.web.Refusal;
import mensor.server.welding.WeldingRecords;
import mensor.testpiece.CuttingPlan;
import mensor.testpiece.SpecimenDefect;
import mensor.testpiece.SpecimenKind;
import mensor.weld.LoggedPass;
import mensor.weld.Named;
import mensor.weld.Procedure;
import mensor.weld.Sign;
import mensor.weld.Stagger;
import mensor.weld.Steel;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Traces an inspection with all that is known around its weld. */
@Component
public class DefectCauses {
    /** What no criterion judges and what can be traced all the same. */
    private static final List<Situation> ALSO = List.of(Situation.WAVY, Situation.TIE_IN);

    /** Asks about the accepted indications too: why did this happen? */
    private static final String ACCEPTED = "accepted";

    private final Trials trials;
    private final Specimens tests;

    DefectCauses(Trials trials, Specimens tests) {
        this.trials = trials;
        this.tests = tests;
    }

    CausesView view(Bench.State o, List<String> also) {
        Inspection inspection = o.judged().inspection();
        List<Trials.TrialView> tried = trials.around(o.joint());
        Surroundings around = around(o.joint(), o.judged().welding(), tried);
        boolean accepted = also.contains(ACCEPTED);
        List<CauseTrace> traced = Tracer.trace(
                inspection,
                o.judged().evaluation(),
                around,
                situations(also.stream().filter(a -> !a.equals(ACCEPTED)).toList()),
                accepted);
        return new CausesView(
                inspection.joint().mark(),
                Stream.concat(traced.stream().map(t -> defect(t, o.judged())), broken(o, inspection, around).stream())
                        .toList(),
                Tracer.common(traced).stream()
                        .map(c -> new CausesView.CommonView(
                                c.cause().id(), c.cause().title(), c.explains(), c.leaves()))
                        .toList(),
                doubts(o.judged(), around),
                Arrays.stream(Sign.values()).map(s -> sign(s, inspection)).toList(),
                also(o),
                tried,
                tests.of(o.joint()));
    }

    /** What the failed specimens of the weld stand for, each traced at the place where it was cut. */
    private List<CausesView.DefectView> broken(Bench.State o, Inspection inspection, Surroundings around) {
        CuttingPlan plan = CuttingPlan.of(inspection.joint());
        List<Indication> defects = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (Specimens.SpecimenView s : tests.of(o.joint())) {
            Span where = tests.place(s, o.joint().unit())
                    .filter(p -> !p.to().isOver(inspection.joint().length()))
                    .or(() -> Named.find(SpecimenKind.class, s.kind())
                            .flatMap(k -> SpecimenDefect.place(plan, k, s.specimen())))
                    .orElseGet(() -> inspection.joint().ruler().whole());
            if (!s.withdrawn()) {
                tests.defect(s, o.joint().unit(), where).ifPresent(d -> {
                    defects.add(d);
                    names.add(s.specimen());
                });
            }
        }
        if (defects.isEmpty()) {
            return List.of();
        }
        List<CauseTrace> traced = Tracer.traceAll(inspection.showing(defects), around);
        return traced.stream()
                .map(t -> causes(
                        null,
                        t,
                        names.get(t.indication().orElseThrow()) + " showed "
                                + t.situation().trouble()))
                .toList();
    }

    /** What else may be asked about; what was accepted only where something was. */
    private static List<CausesView.AlsoView> also(Bench.State o) {
        Set<Integer> rejecting = o.judged().evaluation().rejected().stream()
                .flatMap(f -> f.indications().stream())
                .collect(Collectors.toSet());
        List<CausesView.AlsoView> also = new ArrayList<>();
        if (rejecting.size() < o.judged().inspection().indications().size()) {
            also.add(new CausesView.AlsoView(ACCEPTED, "what is accepted"));
        }
        ALSO.forEach(s -> also.add(new CausesView.AlsoView(s.id(), s.trouble())));
        return also;
    }

    /** Without what was said beside the record: as the rates count it. */
    public List<CauseTrace> traced(Bench.State o) {
        return Tracer.trace(
                o.judged().inspection(),
                o.judged().evaluation(),
                around(o.joint(), o.judged().welding(), trials.around(o.joint())),
                List.of());
    }

    private static List<Situation> situations(List<String> also) {
        return also.stream()
                .map(id -> Named.find(Situation.class, id)
                        .filter(ALSO::contains)
                        .orElseThrow(() -> Refusal.invalid(
                                "also",
                                "one of "
                                        + String.join(
                                                ", ",
                                                ALSO.stream().map(Situation::id).toList()) + " is required, got \"" + id
                                        + "\"")))
                .distinct()
                .toList();
    }

    private static Surroundings around(StoredJoint joint, WeldingRecords.State made, List<Trials.TrialView> tried) {
        List<Length> startsAndStops = made.loggedPasses().stream()
                .flatMap(p -> Stream.concat(p.starts().stream(), p.stops().stream()))
                .toList();
        List<Surroundings.BoxLabel> labels = made.boxLabels();
        List<Surroundings.Remark> remarks = new ArrayList<>(Surroundings.remarks(
                made.answers().stream().map(WeldingRecords.Read::what).toList()));
        remarks.addAll(Surroundings.fitUp(made.fitUp().items()));
        made.sights().forEach(s -> Surroundings.seen(s.what(), s.where()).ifPresent(remarks::add));
        Surroundings.warm(made.loggedPasses(), made.procedure()).ifPresent(remarks::add);
        stacked(made).ifPresent(remarks::add);
        return new Surroundings(
                remarks,
                startsAndStops,
                labels,
                made.procedure().map(Procedure::name),
                made.procedure().map(Procedure::steel).orElse(Steel.UNKNOWN),
                Trials.asEvidence(tried),
                changes(made));
    }

    private static List<PassesAtPlace.ChangeHere> changes(WeldingRecords.State made) {
        Length end = made.asFitted().length();
        List<LoggedPass> passes = made.loggedPasses();
        return IntStream.range(0, passes.size())
                .boxed()
                .flatMap(i -> passes.get(i).detail().changes().stream()
                        .map(c -> new PassesAtPlace.ChangeHere(i, passes.get(i).holds(c, end), c.what(), c.to())))
                .toList();
    }

    private static Optional<Surroundings.Remark> stacked(WeldingRecords.State made) {
        boolean stacked = !Stagger.stacked(made.loggedPasses(), made.asFitted().ruler(), made.apart())
                .isEmpty();
        return stacked
                ? Optional.of(new Surroundings.Remark(
                        Fact.REMARK_STACKED,
                        "starts and stops of neighbouring passes lie over each other",
                        Optional.empty()))
                : Optional.empty();
    }

    private static List<CausesView.DoubtView> doubts(InspectionResult judged, Surroundings around) {
        List<InProcessInspection.Answer> answers = judged.welding().answers().stream()
                .map(WeldingRecords.Read::what)
                .toList();
        boolean oldWeld = answers.stream().anyMatch(a -> a.question() == ProcessQuestion.OLD_WELD && !a.asWanted());
        return FusionDoubt.of(judged.inspection(), judged.evaluation(), around, oldWeld).stream()
                .map(d -> new CausesView.DoubtView(d.why(), d.test()))
                .toList();
    }

    private static CausesView.SignView sign(Sign s, Inspection inspection) {
        boolean seen = inspection.welding().signs().contains(s);
        boolean absent = inspection.welding().signsAbsent().contains(s);
        return new CausesView.SignView(s.id(), Tracer.words(s), seen ? Boolean.TRUE : absent ? Boolean.FALSE : null);
    }

    private static CausesView.DefectView defect(CauseTrace t, InspectionResult judged) {
        return causes(entry(t, judged), t, t.situation().trouble());
    }

    private static CausesView.DefectView causes(@Nullable UUID entry, CauseTrace t, String trouble) {
        return new CausesView.DefectView(
                entry,
                t.kind(),
                trouble,
                t.situation().id(),
                t.causes().stream()
                        .map(c -> new CausesView.CauseView(
                                c.cause().id(),
                                c.cause().title(),
                                c.name(),
                                c.cause().isHands(),
                                c.standing().id(),
                                c.speaksFor(),
                                c.speaksAgainst(),
                                c.check(),
                                c.change().text(),
                                c.prevention()))
                        .toList(),
                t.ruledOut().stream()
                        .map(r -> new CausesView.RuledOutView(r.cause().title(), r.why()))
                        .toList(),
                t.next()
                        .map(n -> new CausesView.NextView(n.ask(), n.sign().id(), n.settles()))
                        .orElse(null),
                t.doubt());
    }

    private static UUID entry(CauseTrace t, InspectionResult judged) {
        if (t.indication().isPresent()) {
            return judged.entryOfIndication(t.indication().getAsInt());
        }
        return t.reading().isPresent() ? judged.entryOfReading(t.reading().getAsInt()) : null;
    }
}
