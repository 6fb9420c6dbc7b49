package mensor.judge;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mensor.criteria.CriteriaBook;
import mensor.criteria.Rule;
import mensor.criteria.SizeEvidence;
import mensor.inspection.Cover;
import mensor.inspection.Crack;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Overlap;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.Undercut;
import mensor.inspection.Undersize;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.weld.Joint;
import mensor.weld.Toe;

/**
 * The verdict of a weld after a repair: what was recorded before stands outside the repaired stretches, clipped at their ends;
 * inside them only what was recorded since; the code's windows go over the whole. What was inspected for must be inspected for
 * again, and the size is read anew in each repaired stretch as if it were a weld by itself (D1.1 7.25 wants repairs examined
 * by the same method and criteria, from memory; that the stretch is read by itself is common practice, no source).
 */
public final class Reinspection {

    private Reinspection() {}

    /**
     * What was done since the inspection before.
     *
     * @param stretches what was taken out, ground or welded, along the weld
     * @param corrected indications of the inspection before that lie nowhere (a short weld) and were put right
     * @param acceptedIndications those that the Engineer's document accepts as they are
     * @param acceptedReadings readings that the Engineer's document accepts as they are
     */
    public record Repair(
            List<Span> stretches,
            Set<Integer> corrected,
            Set<Integer> acceptedIndications,
            Set<Integer> acceptedReadings) {
        public Repair {
            stretches = List.copyOf(stretches);
            corrected = Set.copyOf(corrected);
            acceptedIndications = Set.copyOf(acceptedIndications);
            acceptedReadings = Set.copyOf(acceptedReadings);
        }
    }

    /** Places beside the repaired stretch that are inspected too: answered true, or covered another way. */
    public record Beside(Optional<Boolean> reverseFace, Optional<Boolean> groundPlaces) {
        public static final Beside ANSWERED = new Beside(Optional.of(true), Optional.of(true));
    }

    /** Where a reading or an indication of the joined look comes from. */
    public record Source(boolean before, int index) {}

    /**
     * Both looks as one.
     *
     * @param readings for each reading of the inspection where it comes from; likewise {@code indications}
     */
    public record Combination(
            Inspection inspection, Repair repair, List<Source> readings, List<Source> indications, List<String> notes) {

        /** What stands beside the code: the contract as it is now, each uncertainty of the reading that it belongs to. */
        public Terms terms(Terms before, Terms fresh) {
            return new Terms(
                    fresh.guard()
                            .map(g -> new Guard(
                                    g.factor(),
                                    pick(readings, before.guard().map(Guard::readings), g.readings()),
                                    pick(indications, before.guard().map(Guard::indications), g.indications()))),
                    fresh.deviations());
        }

        private static List<Optional<Length>> pick(
                List<Source> sources, Optional<List<Optional<Length>>> before, List<Optional<Length>> fresh) {
            return sources.stream()
                    .map(s -> s.before() ? before.flatMap(b -> b.get(s.index())) : fresh.get(s.index()))
                    .toList();
        }
    }

    /** The stretches to be inspected: the repaired ones with at least 2 in [50 mm] to each side, within the weld. */
    public static List<Span> stretches(Joint joint, List<Span> repaired) {
        Length more = joint.length().unit().pick(Length.inches(2), Length.millimetres("50"));
        Ruler ruler = joint.ruler();
        List<Span> wide = new ArrayList<>();
        for (Span s : repaired) {
            if (!joint.closed()) {
                Length from = s.from().minus(more);
                Length last = joint.length().max(s.to());
                wide.add(new Span(
                        from.isNegative() ? ruler.whole().from() : from,
                        s.to().plus(more).min(last)));
                continue;
            }
            Length extent = s.wraps() ? joint.length().minus(s.from()).plus(s.to()) : s.extent();
            wide.add(
                    extent.plus(more.times(2)).isUnder(joint.length())
                            ? new Span(ruler.place(s.from().minus(more)), ruler.place(s.to().plus(more)))
                            : ruler.whole());
        }
        return ruler.straight(wide).spans();
    }

    public static Combination join(Inspection before, Repair repair, Inspection fresh) {
        return new Combiner(before, repair, fresh).joined();
    }

    /** Judges both as one, and holds open what was not re-inspected. */
    public static Evaluation evaluate(
            Combination joined, Inspection before, Inspection fresh, Beside beside, CriteriaBook book, Terms terms) {
        Evaluation whole = Judge.evaluate(joined.inspection(), book, terms);
        Set<Criterion> notAgain = EnumSet.noneOf(Criterion.class);
        Judge.evaluate(fresh, book).todo().stream().filter(Todo::clearable).forEach(t -> notAgain.add(t.criterion()));
        String where = stretches(fresh.joint(), joined.repair().stretches()).stream()
                .map(Span::shown)
                .collect(Collectors.joining(" and "));
        List<Ask> unread = sizeUnread(joined, book);
        List<Finding> findings = new ArrayList<>();
        for (Finding f : whole.findings()) {
            Finding open = f;
            boolean ofBook = f.id().equals(f.criterion().id());
            if (f.criterion() == Criterion.READINESS) {
                open = besides(f, beside);
            } else if (ofBook
                    && f.verdict() == Verdict.ACCEPT
                    && f.criterion() == Criterion.SIZE
                    && !unread.isEmpty()) {
                open = f.leftOpen(
                        Why.REPAIR_SIZE_UNREAD.of(),
                        unread.get(0),
                        "a repaired stretch is read as if it were a weld by itself");
            } else if (ofBook
                    && notAgain.contains(f.criterion())
                    && f.verdict() != Verdict.REJECT
                    && f.verdict() != Verdict.NOT_APPLICABLE) {
                open = f.leftOpen(
                        Why.NOT_REINSPECTED.of(),
                        inspectedBefore(before, f.criterion())
                                ? Ask.Kind.REINSPECT_ALONG.of(where)
                                : Ask.Kind.INSPECT_WHOLE.of(),
                        "");
            }
            findings.add(open);
        }
        List<String> notes = new ArrayList<>(joined.notes());
        notes.addAll(whole.notes());
        return new Evaluation(
                book,
                Verdict.of(findings.stream().map(Finding::verdict).toList()),
                List.copyOf(findings),
                Judge.todo(findings),
                List.copyOf(notes));
    }

    private static Finding besides(Finding readiness, Beside beside) {
        List<Ask> asks = new ArrayList<>();
        if (!beside.reverseFace().orElse(false)) {
            asks.add(Ask.Kind.REVERSE_FACE.of());
        }
        if (!beside.groundPlaces().orElse(false)) {
            asks.add(Ask.Kind.GROUND_PLACES.of());
        }
        if (asks.isEmpty()) {
            return readiness;
        }
        boolean waited = readiness.verdict() == Verdict.INCOMPLETE;
        return readiness.alsoAsks(asks, waited ? readiness.reason() : Why.BESIDE_REPAIR_OPEN.of());
    }

    private static boolean inspectedBefore(Inspection before, Criterion criterion) {
        return before.isClear(criterion)
                || before.coveredBy(criterion).isPresent()
                || before.indications().stream().anyMatch(i -> i.criterion() == criterion);
    }

    /** Where a repaired stretch of a fillet has not been read enough. */
    private static List<Ask> sizeUnread(Combination joined, CriteriaBook book) {
        Inspection inspection = joined.inspection();
        Joint joint = inspection.joint();
        Optional<SizeEvidence> evidence = book.rule(Criterion.SIZE, joint, inspection.units())
                .leaves()
                .flatMap(r -> r instanceof Rule.FilletSize f
                        ? java.util.stream.Stream.of(f.evidence())
                        : r instanceof Rule.ThroatSize t
                                ? java.util.stream.Stream.of(t.evidence())
                                : java.util.stream.Stream.empty())
                .findFirst();
        if (evidence.isEmpty()) {
            return List.of();
        }
        SpanSet welded = joint.segments().isEmpty()
                ? SpanSet.of(List.of(joint.ruler().whole()))
                : joint.ruler().straight(joint.segments());
        List<Span> repaired = joint.ruler().straight(joined.repair().stretches()).intersect(welded).spans().stream()
                .filter(s -> s.extent().isPositive())
                .toList();
        if (repaired.isEmpty()) {
            return List.of();
        }
        List<Length> stations = Occurrence.readings(inspection, Reading.Station.class).stream()
                .filter(f -> SectionSize.of(joint, f.what())
                        .filter(SectionSize::isWhole)
                        .isPresent())
                .map(f -> joint.ruler().place(f.what().at()))
                .toList();
        List<Span> tried = new ArrayList<>();
        Occurrence.readings(inspection, Reading.Blade.class)
                .forEach(f -> tried.add(f.what().span()));
        Occurrence.indications(inspection, Undersize.class)
                .forEach(f -> tried.add(f.what().span()));
        return new SizeEvidenceCheck(
                        evidence.get(), joint.ruler(), joint.ruler().straight(tried), stations)
                .missing(repaired);
    }

    /** Puts the two inspections together. */
    private static final class Combiner {
        private final Inspection before;
        private final Repair repair;
        private final Inspection fresh;
        private final Ruler ruler;
        private final SpanSet out;
        private final SpanSet again;
        private final List<Reading> readings = new ArrayList<>();
        private final List<Source> readingSources = new ArrayList<>();
        private final List<Indication> indications = new ArrayList<>();
        private final List<Source> indicationSources = new ArrayList<>();
        private final List<String> notes = new ArrayList<>();

        Combiner(Inspection before, Repair repair, Inspection fresh) {
            this.before = before;
            this.repair = repair;
            this.fresh = fresh;
            this.ruler = fresh.joint().ruler();
            this.out = ruler.straight(repair.stretches());
            this.again = SpanSet.of(stretches(fresh.joint(), repair.stretches()));
        }

        Combination joined() {
            for (int i = 0; i < before.readings().size(); i++) {
                if (repair.acceptedReadings().contains(i)) {
                    notes.add(
                            "The reading at " + before.readings().get(i).span().shown()
                                    + " is accepted as it is by the Engineer's document.");
                } else {
                    Source source = new Source(true, i);
                    left(before.readings().get(i)).forEach(r -> add(r, source));
                }
            }
            for (int i = 0; i < before.indications().size(); i++) {
                Indication old = before.indications().get(i);
                if (repair.acceptedIndications().contains(i)) {
                    notes.add(capital(old.kind().words())
                            + (old.isPlaced() ? " at " + old.span().shown() : "")
                            + " is accepted as it is by the Engineer's document.");
                } else if (!repair.corrected().contains(i) && !isReadAnew(old)) {
                    Source source = new Source(true, i);
                    left(old).forEach(x -> add(x, source));
                }
            }
            for (int i = 0; i < fresh.readings().size(); i++) {
                add(fresh.readings().get(i), new Source(false, i));
            }
            for (int i = 0; i < fresh.indications().size(); i++) {
                add(fresh.indications().get(i), new Source(false, i));
            }
            return new Combination(inspection(), repair, readingSources, indicationSources, notes);
        }

        private void add(Reading r, Source source) {
            readings.add(r);
            readingSources.add(source);
        }

        private void add(Indication i, Source source) {
            indications.add(i);
            indicationSources.add(source);
        }

        private Inspection inspection() {
            Set<Criterion> clear = new HashSet<>();
            for (Criterion c : Criterion.values()) {
                if (c.clearable() && fresh.isClear(c) && indications.stream().noneMatch(i -> i.criterion() == c)) {
                    clear.add(c);
                }
            }
            return new Inspection(
                    fresh.joint(),
                    fresh.units(),
                    fresh.conditions(),
                    clear,
                    false,
                    covers(),
                    readings,
                    indications,
                    fresh.addenda(),
                    fresh.choices(),
                    fresh.welding());
        }

        /** One cover of the whole weld a criterion, and every stretch that was covered or could not be reached. */
        private List<Cover> covers() {
            Map<Criterion, String> by = new LinkedHashMap<>();
            List<Cover> covers = new ArrayList<>();
            before.covered().forEach(c -> gather(c, by, covers, ""));
            fresh.covered().forEach(c -> gather(c, by, covers, "; after the repair "));
            by.forEach((criterion, words) -> covers.add(new Cover(criterion, words)));
            return List.copyOf(covers);
        }

        private static void gather(Cover c, Map<Criterion, String> by, List<Cover> stretches, String joint) {
            if (c.where().isPresent()) {
                if (!stretches.contains(c)) {
                    stretches.add(c);
                }
            } else {
                by.merge(c.criterion(), c.by().orElseThrow(), (a, b) -> a + joint + b);
            }
        }

        /** What of a stretch lies outside what was repaired; of a place, itself or nothing. */
        private List<Span> outside(Span span) {
            if (span.from().compareTo(span.to()) == 0) {
                return out.covers(ruler.place(span.from())) ? List.of() : List.of(span);
            }
            SpanSet whole = SpanSet.of(ruler.straight(span));
            List<Span> rest = whole.minus(out).spans();
            return rest.equals(whole.spans()) ? List.of(span) : rest;
        }

        private List<Reading> left(Reading r) {
            List<Span> rest = outside(r.span());
            if (rest.isEmpty()) {
                return List.of();
            }
            return r instanceof Reading.Blade b
                    ? rest.stream()
                            .map(s -> (Reading) new Reading.Blade(s, b.atLeast(), b.face(), b.division(), b.gauge()))
                            .toList()
                    : List.of(r);
        }

        private List<Indication> left(Indication i) {
            if (!i.isPlaced()) {
                return List.of(i);
            }
            List<Span> rest = outside(i.span());
            if (rest.isEmpty() || rest.size() == 1 && rest.get(0).equals(i.span())) {
                return rest.isEmpty() ? List.of() : List.of(i);
            }
            if (i instanceof Crack c) {
                return rest.stream()
                        .map(s -> (Indication) new Crack(s, c.where()))
                        .toList();
            }
            if (i instanceof Porosity p) {
                notes.add("Of the " + p.count() + " pores at " + p.span().shown()
                        + " nobody told how many went out with the repair: all are counted where they lay outside it.");
                return rest.size() == 1
                        ? List.of(new Porosity(rest.get(0), p.diameter(), p.count(), p.division()))
                        : List.of(p);
            }
            return rest.stream().map(i::along).toList();
        }

        /** The same thing recorded again beside the repair, in the stretch that was re-inspected: the new one stands. */
        private boolean isReadAnew(Indication old) {
            boolean inspectedAt = old.isPlaced()
                    && SpanSet.of(ruler.straight(old.span())).minus(again).isEmpty()
                    && again.covers(ruler.place(old.span().from()));
            return inspectedAt
                    && fresh.indications().stream()
                            .anyMatch(n -> n.kind() == old.kind()
                                    && toe(n) == toe(old)
                                    && n.span().equals(old.span()));
        }

        private static Toe toe(Indication i) {
            return i instanceof Undercut u ? u.toe() : i instanceof Overlap o ? o.toe() : null;
        }

        private static String capital(String s) {
            return Character.toUpperCase(s.charAt(0)) + s.substring(1);
        }
    }
}
