package mensor.server.inspection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mensor.drawing.QuietMarks;
import mensor.drawing.SectionDrawing;
import mensor.drawing.StripDrawing;
import mensor.inspection.Entry;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.length.Length;
import mensor.length.Span;
import mensor.server.people.People;
import mensor.server.welding.WeldingRecords;
import mensor.server.welding.WeldingViews;
import mensor.weld.Stagger;
import org.springframework.stereotype.Component;

/** Makes what the bench shows of an opened inspection. */
@Component
public class BenchViews {
    private final People people;
    private final Bench bench;
    private final WeldingViews weldingViews;
    private final EvaluationViews evaluations;
    private final JointViews joints;
    private final RecordStanding records;
    private final ReinspectionViews reinspections;
    private final PhotoViews photos;

    BenchViews(
            People people,
            Bench bench,
            WeldingViews weldingViews,
            EvaluationViews evaluations,
            JointViews joints,
            RecordStanding records,
            ReinspectionViews reinspections,
            PhotoViews photos) {
        this.people = people;
        this.bench = bench;
        this.weldingViews = weldingViews;
        this.evaluations = evaluations;
        this.joints = joints;
        this.records = records;
        this.reinspections = reinspections;
        this.photos = photos;
    }

    public BenchView of(Bench.State o) {
        return of(o, false);
    }

    /** @param signedOnly a viewer learns nothing of an inspection that is still open */
    BenchView of(Bench.State o, boolean signedOnly) {
        Map<UUID, String> names = people.names();
        StoredInspection i = o.inspection();
        Inspection inspection = o.judged().inspection();
        WeldingRecords.State made = o.judged().welding();
        RecordStanding.RecordState standing = records.of(o);
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
                joints.joint(o.joint(), inspection.joint(), o.judged()),
                o.judged().conditions(),
                o.entries().stream()
                        .map(e -> EntryView.of(e, names.getOrDefault(e.enteredBy(), "")))
                        .toList(),
                evaluations.of(o.judged()),
                StripDrawing.of(inspection, o.judged().evaluation()),
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
                        .filter(r -> !signedOnly || r.isSigned())
                        .map(r -> new BenchView.RevisionView(
                                r.id(), r.stage(), r.capacity(), r.revision(), r.state(), r.verdict()))
                        .toList(),
                standing.signature(),
                standing.repair(),
                reinspections.of(o, names),
                weldingViews.of(
                        made,
                        signedOnly
                                ? new WeldingViews.InspectionState(true, i.id())
                                : bench.inspectionsAt(o.joint().id())),
                QuietMarks.of(
                        inspection.joint().ruler(),
                        inspection.joint()::shown,
                        made.loggedPasses(),
                        Stagger.stacked(made.loggedPasses(), inspection.joint().ruler(), made.apart()),
                        made.answers().stream().map(WeldingRecords.Read::what).toList()),
                seenBy(o, names),
                evaluations.gauges(o.judged()),
                joints.due(o.joint()),
                JointViews.contract(o.judged().contract().terms()),
                joints.deviations(o.joint()),
                standing.notInCalibration(),
                photos.of(o, names),
                i.isSigned() ? List.of() : GuideSteps.of(o.judged()),
                standing.stop(),
                standing.next());
    }

    private static String inspected(HandoverEntity h) {
        return h.fromPlace() == null ? null : h.fromPlace() + "–" + h.toPlace();
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
}
