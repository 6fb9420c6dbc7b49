package mensor.inspection;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.Toe;
import mensor.weld.WeldingRecord;

/**
 * One look at one weld: what was read, seen, inspected for and not seen. Every place lies on the weld; a criterion that was
 * cleared has no indication.
 *
 * @param units the drawing's units, the column of the code that judges
 * @param clear what was inspected for along the whole weld and not seen
 * @param clearAllElse everything clearable that has no indication was inspected for and not seen
 * @param choices how the code is read where it is silent
 */
public record Inspection(
        Joint joint,
        Unit units,
        Conditions conditions,
        Set<Criterion> clear,
        boolean clearAllElse,
        List<Cover> covered,
        List<Reading> readings,
        List<Indication> indications,
        List<Addendum> addenda,
        ReadingChoices choices,
        WeldingRecord welding) {

    /** @throws InvalidField naming the first field that cannot be */
    public Inspection {
        clear = Set.copyOf(clear);
        covered = List.copyOf(covered);
        readings = List.copyOf(readings);
        indications = List.copyOf(indications);
        addenda = List.copyOf(addenda);
        for (int i = 0; i < readings.size(); i++) {
            checkOnWeld(joint, "readings[" + i + "]", readings.get(i).span());
        }
        for (int i = 0; i < indications.size(); i++) {
            checkIndication(joint, "indications[" + i + "]", indications.get(i));
        }
        for (int i = 0; i < covered.size(); i++) {
            String path = "covered[" + i + "]";
            covered.get(i).where().ifPresent(w -> joint.checkWithin(path, w));
        }
        for (Criterion c : clear) {
            if (indications.stream().anyMatch(x -> x.criterion() == c)) {
                throw new InvalidField("clear", c.id() + " is said to be clear, but an indication of it is recorded");
            }
        }
    }

    /** An inspection of a joint with nothing inspected yet. */
    public static Inspection begin(Joint joint, Unit units) {
        return new Inspection(
                joint,
                units,
                Conditions.UNANSWERED,
                Set.of(),
                false,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                ReadingChoices.CAREFUL,
                WeldingRecord.NONE);
    }

    /** The same weld with other flaws alone, as where specimens of it showed what the eye did not. */
    public Inspection showing(List<Indication> other) {
        return new Inspection(
                joint, units, conditions, Set.of(), false, covered, readings, other, List.of(), choices, welding);
    }

    /** The same inspection, of a weld that was made so. */
    public Inspection madeBy(WeldingRecord record) {
        return new Inspection(
                joint,
                units,
                conditions,
                clear,
                clearAllElse,
                covered,
                readings,
                indications,
                addenda,
                choices,
                record);
    }

    private static void checkIndication(Joint joint, String path, Indication indication) {
        boolean besideTheWeld = indication instanceof ArcStrike
                || indication instanceof NotAsDrawn
                || indication instanceof Crack crack
                        && crack.where().filter(CrackPlace.BASE::equals).isPresent();
        if (besideTheWeld) {
            if (indication.span().from().isNegative()) {
                throw new InvalidField(
                        path + ".at",
                        "lies before the datum, got " + indication.span().from());
            }
            if (indication.span().wraps() && !joint.closed()) {
                throw new InvalidField(path + ".to", "lies before from");
            }
        } else if (indication instanceof BaseMetalDamage) {
            if (indication.span().wraps()) {
                throw new InvalidField(path + ".to", "lies before from");
            }
        } else if (!(indication instanceof ShortWeld)) {
            checkOnWeld(joint, path, indication.span());
        }
    }

    private static void checkOnWeld(Joint joint, String path, Span span) {
        if (span.from().compareTo(span.to()) == 0) {
            joint.checkPlace(path + ".at", span.from());
        } else {
            joint.checkWithin(path, span);
        }
    }

    /** The same inspection with other readings and indications. */
    public Inspection with(List<Reading> otherReadings, List<Indication> otherIndications) {
        return new Inspection(
                joint,
                units,
                conditions,
                clear,
                clearAllElse,
                covered,
                otherReadings,
                otherIndications,
                addenda,
                choices,
                welding);
    }

    /** The same inspection held against another column of numbers, without the contract's own limits. */
    public Inspection by(Unit otherUnits) {
        return new Inspection(
                joint,
                otherUnits,
                conditions,
                clear,
                clearAllElse,
                covered,
                readings,
                indications,
                List.of(),
                choices,
                welding);
    }

    /** The same inspection with its light, access and gauges. */
    public Inspection seenUnder(Viewing viewing) {
        Conditions c = new Conditions(
                conditions.cleaned(),
                conditions.ambient(),
                conditions.coated(),
                conditions.hoursSinceWelding(),
                Optional.of(viewing));
        return new Inspection(
                joint, units, c, clear, clearAllElse, covered, readings, indications, addenda, choices, welding);
    }

    /** Whether a criterion was inspected for along the whole weld and nothing was found. */
    public boolean isClear(Criterion criterion) {
        return clear.contains(criterion)
                || clearAllElse
                        && criterion.clearable()
                        && indications.stream().noneMatch(i -> i.criterion() == criterion);
    }

    public boolean undercutPerToe() {
        return choices.undercutPerToe();
    }

    /** What covers a criterion along the whole weld, in words: one cover, or stretches that make up the weld. */
    public Optional<String> coveredBy(Criterion criterion) {
        List<Cover> mine = covers(criterion).filter(Cover::isAccessible).toList();
        Optional<String> whole =
                mine.stream().filter(c -> c.where().isEmpty()).map(Cover::words).findFirst();
        SpanSet stretches = coveredStretches(criterion);
        boolean all =
                SpanSet.of(List.of(joint.ruler().whole())).minus(stretches).isEmpty();
        return whole.isEmpty() && all
                ? Optional.of(mine.stream().map(Cover::words).collect(Collectors.joining("; ")))
                : whole;
    }

    private Stream<Cover> covers(Criterion criterion) {
        return covered.stream().filter(c -> c.criterion() == criterion);
    }

    /** The stretches of the weld where something covers the criterion. */
    public SpanSet coveredStretches(Criterion criterion) {
        return stretches(covers(criterion).filter(Cover::isAccessible));
    }

    /** What of the criterion could not be reached, and nothing covers it. */
    public List<Cover> notAccessible(Criterion criterion) {
        return covers(criterion).filter(c -> !c.isAccessible()).toList();
    }

    private SpanSet stretches(Stream<Cover> covers) {
        return joint.ruler().straight(covers.flatMap(c -> c.where().stream()).toList());
    }

    public Optional<Addendum> addendum(AddendumKind kind) {
        return addenda.stream().filter(a -> a.kind() == kind).findFirst();
    }

    /** What was cleared by name or by "all else". */
    public Set<Criterion> cleared() {
        Set<Criterion> all = EnumSet.noneOf(Criterion.class);
        Stream.of(Criterion.values()).filter(this::isClear).forEach(all::add);
        return all;
    }

    /** The thickness of the member on which a toe lies. */
    public Length thicknessAt(Toe toe) {
        return joint.member(toe).thickness();
    }
}
