package mensor.cause;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Consumer;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.Conditions;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.Undercut;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.ArcLength;
import mensor.weld.Connection;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.Penetration;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Progression;
import mensor.weld.Range;
import mensor.weld.Sign;
import mensor.weld.Technique;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;

/** A weld with a trouble, put together in a few words, and what the tracer makes of it. */
final class Scene {
    private final JointBuilder joint;
    private final List<Pass> passes = new ArrayList<>();
    private final List<Sign> signs = new ArrayList<>();
    private final List<Sign> absent = new ArrayList<>();
    private final List<Reading> readings = new ArrayList<>();
    private final List<Indication> seen = new ArrayList<>();
    private Optional<Boolean> scaleRemoved = Optional.empty();
    private OptionalDouble hoursOut = OptionalDouble.empty();
    private OptionalDouble preheat = OptionalDouble.empty();
    private Optional<ArcLength> arc = Optional.empty();
    private Surroundings around = Surroundings.NONE;

    private Scene(JointBuilder joint) {
        this.joint = joint;
    }

    /** A 1/4 in fillet of 24 in between a 3/8 web, upright, and a 3/4 flange. */
    static Scene fillet(Position position) {
        return new Scene(new JointBuilder("T1", WeldType.FILLET, Connection.TEE, Length.inches(24))
                .size(Length.inches(1, 4))
                .position(position)
                .upper(position == Position.OVERHEAD_FILLET ? Toe.B : Toe.A)
                .members(new Member("web", Length.inches(3, 8)), new Member("flange", Length.inches(3, 4))));
    }

    /** A pass that names its rod and nothing else. */
    static Pass rod(String electrode) {
        return new Pass(
                OptionalInt.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(electrode),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                false);
    }

    /** A butt of 3/8 plate, welded from one side. */
    static Scene butt(Position position) {
        return new Scene(new JointBuilder("T1", WeldType.GROOVE, Connection.BUTT, Length.inches(24))
                .penetration(Penetration.COMPLETE)
                .oneSided(true)
                .position(position)
                .members(new Member("left", Length.inches(3, 8)), new Member("right", Length.inches(3, 8))));
    }

    Scene with(Consumer<JointBuilder> more) {
        more.accept(joint);
        return this;
    }

    /** A pass of 1/8 in E7018 on DCEP; the procedure says 115–130 A. */
    Scene pass(double amps, Technique technique) {
        return pass("E7018", amps, Polarity.DCEP, technique, Optional.empty(), OptionalDouble.empty());
    }

    Scene pass(
            String rod,
            double amps,
            Polarity polarity,
            Technique technique,
            Optional<Progression> progression,
            OptionalDouble arcForce) {
        passes.add(new Pass(
                OptionalInt.of(passes.size() + 1),
                Optional.of(PassKind.ROOT),
                Optional.empty(),
                Optional.of(rod),
                Optional.of(Length.inches(1, 8)),
                amps > 0 ? OptionalDouble.of(amps) : OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.ofNullable(polarity),
                progression,
                Optional.ofNullable(technique),
                OptionalDouble.empty(),
                Optional.empty(),
                arcForce,
                false));
        return this;
    }

    Scene signs(Sign... more) {
        signs.addAll(Arrays.asList(more));
        return this;
    }

    Scene absent(Sign... more) {
        absent.addAll(Arrays.asList(more));
        return this;
    }

    Scene scaleRemoved(boolean removed) {
        scaleRemoved = Optional.of(removed);
        return this;
    }

    Scene hoursOut(double hours) {
        hoursOut = OptionalDouble.of(hours);
        return this;
    }

    Scene preheat(double fahrenheit) {
        preheat = OptionalDouble.of(fahrenheit);
        return this;
    }

    Scene arc(ArcLength length) {
        arc = Optional.of(length);
        return this;
    }

    Scene around(Surroundings surroundings) {
        around = surroundings;
        return this;
    }

    Scene read(Reading reading) {
        readings.add(reading);
        return this;
    }

    Scene legs(String a, String b) {
        return read(Reading.Station.legs(Length.inches(12), in(a), in(b)));
    }

    Scene seen(Indication indication) {
        seen.add(indication);
        return this;
    }

    Scene undercut(Toe toe, String from, String to) {
        return seen(new Undercut(toe, span(from, to), Length.inches(1, 8), Optional.empty()));
    }

    static Length in(String inches) {
        return Length.parse(inches, Unit.INCH);
    }

    static Span span(String from, String to) {
        return new Span(in(from), in(to));
    }

    Inspection inspection() {
        return new Inspection(
                joint.build(),
                Unit.INCH,
                Conditions.READY,
                Set.of(),
                true,
                List.of(),
                readings,
                seen,
                List.of(),
                ReadingChoices.CAREFUL,
                new WeldingRecord(
                        passes,
                        scaleRemoved,
                        hoursOut,
                        preheat,
                        arc,
                        signs,
                        absent,
                        Map.of(PassKind.ROOT, new Range(115, 130))));
    }

    /** What rejects, and the troubles that were only said. */
    List<CauseTrace> trace(Situation... also) {
        Inspection inspection = inspection();
        return Tracer.trace(inspection, Judge.evaluate(inspection, new StaticBook()), around, List.of(also));
    }

    /** The first indication, whatever its verdict. */
    CauseTrace traced() {
        return Tracer.traceAll(inspection()).get(0);
    }
}
