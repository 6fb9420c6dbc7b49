package mensor.server.inspection;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mensor.drawing.QuietMarks;
import mensor.drawing.SectionDrawing;
import mensor.drawing.StripDrawing;
import mensor.inspection.Entry;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.judge.InspectionGuide;
import mensor.judge.Reinspection;
import mensor.length.Length;
import mensor.length.Span;
import mensor.server.contract.Deviations;
import mensor.server.criteria.CriteriaChecks;
import mensor.server.gauge.Gauges;
import mensor.server.job.ContractTerms;
import mensor.server.job.Jobs;
import mensor.server.joint.JointForm;
import mensor.server.joint.StoredJoint;
import mensor.server.people.People;
import mensor.server.photo.Photos;
import mensor.server.photo.StoredPhoto;
import mensor.server.record.Signatures;
import mensor.server.welding.WeldingRecords;
import mensor.server.welding.WeldingViews;
import mensor.weld.Joint;
import mensor.weld.Stagger;
import mensor.weld.Toe;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Makes what the bench shows of an opened look. */
@Component
public class BenchViews {
    private final People people;
    private final JsonMapper json;
    private final Signatures signatures;
    private final RepairStanding repairs;
    private final Bench bench;
    private final WeldingViews weldingViews;
    private final Gauges gauges;
    private final Jobs jobs;
    private final Deviations deviations;
    private final GaugeFaults faults;
    private final CriteriaChecks books;
    private final EvaluationViews evaluations;
    private final Photos photos;
    private final Clock clock;

    BenchViews(
            People people,
            JsonMapper json,
            Signatures signatures,
            RepairStanding repairs,
            Bench bench,
            WeldingViews weldingViews,
            Gauges gauges,
            Jobs jobs,
            Deviations deviations,
            GaugeFaults faults,
            CriteriaChecks books,
            EvaluationViews evaluations,
            Photos photos,
            Clock clock) {
        this.photos = photos;
        this.deviations = deviations;
        this.faults = faults;
        this.books = books;
        this.evaluations = evaluations;
        this.people = people;
        this.json = json;
        this.signatures = signatures;
        this.repairs = repairs;
        this.bench = bench;
        this.weldingViews = weldingViews;
        this.gauges = gauges;
        this.jobs = jobs;
        this.clock = clock;
    }

    public BenchView of(Bench.State o) {
        Map<UUID, String> names = new HashMap<>();
        people.all().forEach(p -> names.put(p.id(), p.name()));
        StoredInspection i = o.inspection();
        Inspection inspection = o.judged().inspection();
        WeldingRecords.State made = o.judged().welding();
        Evaluation evaluation = o.judged().evaluation();
        List<GaugeFaults.GaugeFaultView> notInCalibration = faults.of(o);
        RepairStanding.Standing standing = i.isSigned() ? repairs.of(i.id()) : RepairStanding.Standing.NONE;
        return new BenchView(
                i.id(),
                UUID.randomUUID().toString(),
                i.version(),
                i.stage(),
                i.capacity(),
                i.revision(),
                i.amends(),
                i.reason(),
                i.state(),
                i.holder() == null ? null : names.get(i.holder()),
                joint(o.joint(), inspection.joint(), o.judged()),
                o.judged().conditions(),
                o.entries().stream()
                        .map(e -> EntryView.of(e, names.getOrDefault(e.enteredBy(), "")))
                        .toList(),
                evaluations.of(o.judged()),
                StripDrawing.of(inspection, evaluation),
                o.judged().sections(),
                SectionDrawing.asDrawn(inspection.joint()),
                o.handovers().stream()
                        .map(h -> new BenchView.HandoverView(
                                names.getOrDefault(h.from(), ""),
                                names.getOrDefault(h.to(), ""),
                                h.note(),
                                inspected(h),
                                h.at()))
                        .toList(),
                bench.ofJoint(o.joint().id()).stream()
                        .map(r -> new BenchView.RevisionView(
                                r.id(), r.stage(), r.capacity(), r.revision(), r.state(), r.verdict()))
                        .toList(),
                signatures.of(i.id()).orElse(null),
                standing,
                again(o, names),
                weldingViews.of(made, bench.inspectionsAt(o.joint().id())),
                QuietMarks.of(
                        inspection.joint().ruler(),
                        made.loggedPasses(),
                        Stagger.stacked(made.loggedPasses(), inspection.joint().ruler(), made.apart()),
                        made.answers().stream().map(WeldingRecords.Read::what).toList()),
                seenBy(o, names),
                gauges.names(o.judged().conditions().gaugeIds()),
                jobs.due(jobs.get(o.joint().jobId())),
                contract(o.judged().contract().terms()),
                deviations.standing(o.joint().id()),
                notInCalibration,
                photos(o, names),
                i.isSigned() ? List.of() : guide(o.judged()),
                i.isSigned() ? null : books.stop(evaluation.book()).orElse(null),
                next(o, standing, evaluation, notInCalibration));
    }

    /** What to do next; an inspection that could be signed but for a gauge or an unchecked book says so. */
    private String next(
            Bench.State o,
            RepairStanding.Standing standing,
            Evaluation evaluation,
            List<GaugeFaults.GaugeFaultView> notInCalibration) {
        StoredInspection i = o.inspection();
        boolean ready = !i.isSigned() && evaluation.verdict() != Verdict.INCOMPLETE;
        if (ready && notInCalibration.stream().anyMatch(f -> f.waived() == null)) {
            return "Replace the gauge, or have it waived";
        }
        if (ready && books.stop(evaluation.book()).isPresent()) {
            return "Check the criteria against your copy";
        }
        return NextStep.of(i, standing, NextStep.wait(o.joint().readyAt(), clock.instant()));
    }

    private BenchView.AgainView again(Bench.State o, Map<UUID, String> names) {
        StoredInspection i = o.inspection();
        if (i.follows() == null) {
            return null;
        }
        RepairSummary since = json.readValue(i.repaired(), RepairSummary.class);
        List<Span> repaired = since.spans(o.joint().unit());
        Joint joint = o.judged().inspection().joint();
        List<Span> inspectAlong = Reinspection.stretches(joint, repaired);
        return new BenchView.AgainView(
                i.follows(),
                i.cycle(),
                shown(repaired),
                shown(inspectAlong),
                spans(joint.ruler().straight(repaired).spans()),
                spans(inspectAlong),
                since.defects(),
                o.judged().indications().stream()
                        .filter(e -> !e.inspectionId().equals(i.id()))
                        .map(EntryEntity::id)
                        .toList(),
                o.judged().before().stream()
                        .map(e -> EntryView.of(e, names.getOrDefault(e.enteredBy(), "")))
                        .toList());
    }

    private static String shown(List<Span> spans) {
        return spans.stream().map(Span::shown).collect(Collectors.joining(" and "));
    }

    private static List<BenchView.SpanView> spans(List<Span> spans) {
        return spans.stream()
                .map(s -> new BenchView.SpanView(StripDrawing.mm(s.from()), StripDrawing.mm(s.to())))
                .toList();
    }

    private static BenchView.ContractView contract(ContractTerms terms) {
        List<String> lines = new ArrayList<>();
        terms.allLimits()
                .forEach(l ->
                        lines.add(l.id() + (l.max() == null ? "" : " at most " + l.max()) + " (" + l.note() + ")"));
        if (terms.isPerToe()) {
            lines.add("undercut of each toe by itself (" + terms.undercutNote() + ")");
        }
        if (terms.isGuarded()) {
            lines.add("guarded acceptance, " + terms.factor().toPlainString() + " u (" + terms.guardNote() + ")");
        }
        return new BenchView.ContractView(lines, terms.isGuarded(), terms.isPerToe());
    }

    private static String inspected(HandoverEntity h) {
        return h.fromPlace() == null ? null : h.fromPlace() + "–" + h.toPlace();
    }

    private static List<BenchView.StepView> guide(InspectionResult judged) {
        Joint joint = judged.inspection().joint();
        String reading = !joint.isFillet() ? "crown " : joint.throat().isPresent() ? "throat " : "leg ";
        return InspectionGuide.steps(judged.inspection(), judged.evaluation()).stream()
                .map(s -> new BenchView.StepView(
                        s.kind(),
                        s.place().map(p -> StripDrawing.mm(p.from())).orElse(null),
                        s.place().map(p -> StripDrawing.mm(p.to())).orElse(null),
                        s.place().map(Span::shown).orElse(null),
                        s.criterion().id(),
                        s.words(),
                        s.kind() == InspectionGuide.Kind.STATION
                                ? reading + s.place().orElseThrow().shown().replace(' ', '-') + " "
                                : null,
                        s.indication()
                                .map(n -> judged.indications().get(n).id())
                                .or(() -> s.reading()
                                        .map(n -> judged.readings().get(n).id()))
                                .orElse(null)))
                .toList();
    }

    /** The pictures at their places; one of a withdrawn entry is not shown. */
    private List<BenchView.PhotoView> photos(Bench.State o, Map<UUID, String> names) {
        List<BenchView.PhotoView> views = new ArrayList<>();
        for (StoredPhoto p : photos.of(o.inspection().id())) {
            place(p, o)
                    .ifPresent(at -> views.add(new BenchView.PhotoView(
                            p.id(), at, p.place(), p.entryId(), names.getOrDefault(p.takenBy(), ""), p.isWithdrawn())));
        }
        return views;
    }

    private static Optional<Double> place(StoredPhoto p, Bench.State o) {
        if (p.place() != null) {
            return Optional.of(StripDrawing.mm(Length.parse(p.place(), o.joint().unit())));
        }
        InspectionResult judged = o.judged();
        Optional<Span> span = at(judged.indications(), judged.inspection().indications(), p.entryId())
                .map(Indication::span)
                .or(() -> at(judged.readings(), judged.inspection().readings(), p.entryId())
                        .map(Reading::span));
        return span.map(s -> StripDrawing.mm(s.from()));
    }

    private static <T> Optional<T> at(List<EntryEntity> entries, List<T> what, UUID entry) {
        return IntStream.range(0, entries.size())
                .filter(i -> entries.get(i).id().equals(entry))
                .mapToObj(what::get)
                .findFirst();
    }

    /** Who recorded what, and over which stretch: an inspection is one record of all who worked on it. */
    private List<BenchView.SeenByView> seenBy(Bench.State o, Map<UUID, String> names) {
        Map<UUID, Set<EntryEntity>> byPerson = new LinkedHashMap<>();
        o.entries().stream()
                .filter(e -> !e.isWithdrawn())
                .forEach(e -> byPerson.computeIfAbsent(e.enteredBy(), k -> new LinkedHashSet<>())
                        .add(e));
        List<BenchView.SeenByView> seen = new ArrayList<>();
        byPerson.forEach((person, entries) -> {
            List<Span> spans = Stream.concat(
                            spans(o.judged().readings(), o.judged().inspection().readings(), entries, Reading::span),
                            spans(
                                    o.judged().indications(),
                                    o.judged().inspection().indications(),
                                    entries,
                                    Indication::span))
                    .filter(s -> !s.wraps())
                    .toList();
            Optional<Length> from = spans.stream().map(Span::from).min(Comparator.naturalOrder());
            Optional<Length> to = spans.stream().map(Span::to).max(Comparator.naturalOrder());
            seen.add(new BenchView.SeenByView(
                    names.getOrDefault(person, ""),
                    from.map(f -> new Span(f, to.orElseThrow()).shown()).orElse(null),
                    entries.size(),
                    entries.stream().anyMatch(e -> e.kind() == Entry.Sort.CLEAR)));
        });
        return seen;
    }

    private static <T> Stream<Span> spans(
            List<EntryEntity> all, List<T> what, Set<EntryEntity> wanted, Function<T, Span> span) {
        return IntStream.range(0, all.size())
                .filter(i -> wanted.contains(all.get(i)))
                .mapToObj(i -> span.apply(what.get(i)));
    }

    private BenchView.JointView joint(StoredJoint j, Joint joint, InspectionResult judged) {
        String size =
                joint.size().or(joint::throat).map(l -> l.in(l.unit()).shown()).orElse("");
        return new BenchView.JointView(
                j.id(),
                jobs.get(j.jobId()).name(),
                j.lot(),
                j.criteria(),
                judged.bookTitle(),
                judged.edition(),
                j.units(),
                j.mark(),
                j.weldNo(),
                j.side(),
                j.welder(),
                j.wps(),
                j.drawing(),
                j.drawingRev(),
                j.inWords(),
                j.position(),
                joint.toeName(Toe.A),
                joint.toeName(Toe.B),
                joint.isFillet(),
                size,
                json.readValue(j.document(), JointForm.class));
    }
}
