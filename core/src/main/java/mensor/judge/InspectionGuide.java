package mensor.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mensor.criteria.SizeEvidence;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Overlap;
import mensor.inspection.Reading;
import mensor.inspection.Undercut;
import mensor.inspection.Undersize;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.weld.Joint;
import mensor.weld.Toe;

/**
 * What to inspect next, in the order a person walks: from the datum to the end along toe A with the gauge in the hand,
 * then along toe B, then what is inspected for along the whole weld. It proposes; nothing is judged by it.
 */
public final class InspectionGuide {
    private static final Set<Criterion> ALONG_THE_TOES = Set.of(Criterion.UNDERCUT, Criterion.OVERLAP);

    private static final List<Criterion> ORDER = List.of(
            Criterion.UNDERCUT,
            Criterion.OVERLAP,
            Criterion.CRACK,
            Criterion.FUSION,
            Criterion.CRATER,
            Criterion.POROSITY,
            Criterion.PROFILE,
            Criterion.SLAG,
            Criterion.SPATTER,
            Criterion.ROOT,
            Criterion.MISALIGNMENT,
            Criterion.LENGTH,
            Criterion.AS_DRAWN,
            Criterion.ARC_STRIKE);

    /** What a step asks: a reading at a place, one to repeat with a finer gauge, something to measure, or an inspection. */
    public enum Kind {
        STATION,
        REPEAT,
        MEASURE,
        INSPECT
    }

    /**
     * One step of the inspection.
     *
     * @param place where to stand; absent where it is about the whole weld
     * @param criterion what it serves
     * @param indication the index of what is to be read again, if it is one
     * @param reading likewise
     */
    public record Step(
            Kind kind,
            Optional<Span> place,
            Criterion criterion,
            String words,
            Optional<Integer> indication,
            Optional<Integer> reading) {}

    private final Inspection inspection;
    private final Evaluation evaluation;
    private final Joint joint;

    private InspectionGuide(Inspection inspection, Evaluation evaluation) {
        this.inspection = inspection;
        this.evaluation = evaluation;
        this.joint = inspection.joint();
    }

    /** The steps that are left, the next first; empty where all was inspected. */
    public static List<Step> steps(Inspection inspection, Evaluation evaluation) {
        return new InspectionGuide(inspection, evaluation).steps();
    }

    private List<Step> steps() {
        List<Step> first = new ArrayList<>(stations());
        List<Step> second = new ArrayList<>();
        for (Finding f : evaluation.findings()) {
            if (f.nearLimit()) {
                f.readings().forEach(n -> first.add(again(f, n)));
                for (int n : f.indications()) {
                    (isOnB(n) ? second : first).add(seenAgain(f, n));
                }
            }
        }
        Comparator<Step> fromTheDatum =
                Comparator.comparing(s -> s.place().orElseThrow().from());
        first.sort(fromTheDatum);
        second.sort(fromTheDatum);
        List<Step> steps = new ArrayList<>(first);
        steps.addAll(second);
        steps.addAll(inspections());
        steps.addAll(measures(first.stream().anyMatch(s -> s.kind() == Kind.STATION)));
        return steps;
    }

    /** A crown is read as often as a size is (common practice, no source). */
    private List<Step> stations() {
        boolean needed = joint.isFillet()
                ? evaluation.todo().stream().anyMatch(t -> t.criterion() == Criterion.SIZE)
                : evaluation.todo().stream().anyMatch(t -> t.criterion() == Criterion.PROFILE);
        if (!needed) {
            return List.of();
        }
        List<Length> read = new ArrayList<>();
        List<Span> tried = new ArrayList<>();
        for (Reading r : inspection.readings()) {
            if (r instanceof Reading.Blade b) {
                tried.addAll(joint.ruler().straight(b.span()));
            } else if (r instanceof Reading.Station s && serves(s)) {
                read.add(s.at());
            }
        }
        for (Indication i : inspection.indications()) {
            if (i instanceof Undersize u) {
                tried.addAll(joint.ruler().straight(u.span()));
            }
        }
        SizeEvidence rule = inspection.units().pick(SizeEvidence.inches(), SizeEvidence.millimetres());
        String what = joint.isFillet() ? (joint.throat().isPresent() ? "the throat" : "the legs") : "the crown";
        return new StationPlan(rule, joint.ruler(), SpanSet.of(tried), read)
                .wanted(joint.segments()).stream()
                        .map(at -> new Step(
                                Kind.STATION,
                                Optional.of(Span.at(at)),
                                joint.isFillet() ? Criterion.SIZE : Criterion.PROFILE,
                                "Read " + what + " at " + at.shown(),
                                Optional.empty(),
                                Optional.empty()))
                        .toList();
    }

    private boolean serves(Reading.Station s) {
        if (!joint.isFillet()) {
            return s.reinforcement().isPresent();
        }
        return joint.throat().isPresent()
                ? s.throat().isPresent()
                : s.legA().isPresent() && s.legB().isPresent();
    }

    private boolean isOnB(int indication) {
        Indication i = inspection.indications().get(indication);
        return i instanceof Undercut u && u.toe() == Toe.B || i instanceof Overlap o && o.toe() == Toe.B;
    }

    private Step again(Finding f, int reading) {
        Span place = inspection.readings().get(reading).span();
        String words = "Read " + f.criterion().title().toLowerCase(java.util.Locale.ROOT) + " at " + place.shown()
                + " again with a finer gauge";
        return new Step(Kind.REPEAT, Optional.of(place), f.criterion(), words, Optional.empty(), Optional.of(reading));
    }

    private Step seenAgain(Finding f, int indication) {
        Indication i = inspection.indications().get(indication);
        String toe = i instanceof Undercut u ? " on " + joint.toeName(u.toe()) : "";
        String words = "Read the " + i.kind().words() + " at " + i.span().shown() + toe + " again with a finer gauge";
        return new Step(
                Kind.REPEAT, Optional.of(i.span()), f.criterion(), words, Optional.of(indication), Optional.empty());
    }

    private List<Step> inspections() {
        return evaluation.todo().stream()
                .filter(Todo::clearable)
                .sorted(Comparator.comparingInt(t -> ORDER.indexOf(t.criterion())))
                .map(t -> new Step(
                        Kind.INSPECT, Optional.empty(), t.criterion(), words(t), Optional.empty(), Optional.empty()))
                .toList();
    }

    private String words(Todo t) {
        String title = t.criterion().title();
        return ALONG_THE_TOES.contains(t.criterion())
                ? title + ": inspect " + joint.toeName(Toe.A) + " to the end, then " + joint.toeName(Toe.B)
                : title + ": inspect the whole weld";
    }

    /** What else must be measured; of the size only what no station would answer. */
    private List<Step> measures(boolean stationsWanted) {
        return evaluation.todo().stream()
                .filter(t -> !t.clearable() && t.criterion() != Criterion.READINESS)
                .filter(t ->
                        !(stationsWanted && t.criterion() == (joint.isFillet() ? Criterion.SIZE : Criterion.PROFILE)))
                .map(t -> new Step(
                        Kind.MEASURE,
                        place(t),
                        t.criterion(),
                        t.criterion().title() + ": " + t.ask(),
                        Optional.empty(),
                        Optional.empty()))
                .toList();
    }

    private Optional<Span> place(Todo t) {
        return evaluation.finding(t.id()).flatMap(Finding::span);
    }
}
