package mensor.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import mensor.inspection.Conditions;
import mensor.inspection.Crack;
import mensor.inspection.Crater;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.Undercut;
import mensor.inspection.Undersize;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Position;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;

/** A made-up weld to practice on: its truth, its surface as an eye sees it, and what gauges show of it. The same seed gives the same weld. */
public final class SimulatedPracticeWeld {
    private static final double INCH = 25.4;
    private static final double SPARE = 0.7;
    private static final double NOTCH = 1.6;
    private static final double RUN_OUT = 2;
    private static final double CRATER_REACH = 5;
    private static final double WIDTH = 15;
    private static final double CROWN = 1.6;
    private static final double BESIDE = 9;
    /** One reading in so many is badly seated. */
    private static final int MIS_SEAT_EVERY = 14;

    /** Of each level, the smallest and the greatest depth of an undercut, mm. */
    private static final double[][] DEPTHS = {{1.1, 2.2}, {0.7, 1.7}, {0.5, 1.4}, {0.3, 1.2}, {0.2, 0.9}};

    private final PracticeSetting setting;
    private final long seed;
    private final Length length;
    private final Length size;
    private final double reach;
    private final double wanted;
    private final List<PracticeFlaw> flaws = new ArrayList<>();
    private final double phase;
    private final List<double[]> dirt = new ArrayList<>();

    public SimulatedPracticeWeld(PracticeSetting setting, long seed) {
        this.setting = setting;
        this.seed = seed;
        boolean inch = setting.units() == Unit.INCH;
        length = inch ? Length.inches(8) : Length.millimetres("200");
        size = inch ? Length.inches(5, 16) : Length.millimetres("8");
        reach = mm(length);
        wanted = mm(size);
        Random random = new Random(seed * 31 + 7);
        phase = random.nextDouble() * 40;
        int count = 1 + setting.crowd() + random.nextInt(2 + setting.crowd());
        if (random.nextInt(7) == 0) {
            count = 0; // sound welds are among them: who finds a flaw in each has learned nothing
        }
        FlawKind[] kinds = setting.kinds().stream().sorted().toArray(FlawKind[]::new);
        for (int i = 0; i < count; i++) {
            FlawKind kind = kinds[random.nextInt(kinds.length)];
            for (int tries = 0; tries < 30; tries++) {
                PracticeFlaw flaw = flaw(kind, random);
                if (flaws.stream().noneMatch(f -> f.from() - 12 < flaw.to() && flaw.from() < f.to() + 12)) {
                    flaws.add(flaw);
                    break;
                }
            }
        }
        flaws.sort((a, b) -> Double.compare(a.from(), b.from()));
        for (int i = 0; i < setting.dirt() * 14; i++) { // place, side and distance, size, whether slag
            dirt.add(new double[] {
                random.nextDouble() * reach,
                random.nextDouble() * 2 - 1,
                0.3 + random.nextDouble() * 0.7,
                random.nextInt(3) == 0 ? 1 : 0
            });
        }
    }

    private static double mm(Length l) {
        return l.approximateNanometres() / 1e6;
    }

    private PracticeFlaw flaw(FlawKind kind, Random random) {
        double[] depths = DEPTHS[setting.level() - 1];
        double part = random.nextDouble();
        double depth = depths[0] + part * (depths[1] - depths[0]);
        double at = 12 + random.nextDouble() * (reach - 40);
        return switch (kind) {
            case UNDERCUT -> {
                double run = 6 + random.nextDouble() * (setting.level() > 2 ? 25 : 60);
                Toe toe = random.nextBoolean() ? Toe.A : Toe.B;
                yield new PracticeFlaw(
                        kind, Optional.of(toe), at, Math.min(reach - 4, at + run), depth, toe == Toe.A ? 0 : 1);
            }
            case PORE -> {
                double diameter = 0.8 + depth;
                yield new PracticeFlaw(
                        kind,
                        Optional.empty(),
                        at - diameter / 2,
                        at + diameter / 2,
                        diameter,
                        0.25 + 0.5 * random.nextDouble());
            }
            case CRACK -> {
                double run = 4 + depth * 8;
                yield new PracticeFlaw(
                        kind,
                        Optional.empty(),
                        at,
                        Math.min(reach - 4, at + run),
                        run,
                        0.3 + 0.4 * random.nextDouble());
            }
            case CRATER ->
                new PracticeFlaw(
                        kind, Optional.empty(), reach - 2 * CRATER_REACH, reach - 0.5, Math.max(0.8, depth), 0.5);
            case SHORT_LEG -> {
                double run = 25 + random.nextDouble() * 50;
                Toe toe = random.nextBoolean() ? Toe.A : Toe.B;
                yield new PracticeFlaw(
                        kind,
                        Optional.of(toe),
                        at,
                        Math.min(reach - 4, at + run),
                        Math.max(0.9, depth * 1.3),
                        toe == Toe.A ? 0 : 1);
            }
        };
    }

    public List<PracticeFlaw> flaws() {
        return List.copyOf(flaws);
    }

    public Joint joint() {
        Unit u = setting.units();
        if (setting.fillet()) {
            return new JointBuilder("PRACTICE", WeldType.FILLET, Connection.TEE, length)
                    .members(
                            new Member("web", u.pick(Length.inches(3, 8), Length.millimetres("10"))),
                            new Member("flange", u.pick(Length.inches(3, 4), Length.millimetres("20"))))
                    .size(size)
                    .position(Position.HORIZONTAL_FILLET)
                    .build();
        }
        return new JointBuilder("PRACTICE", WeldType.GROOVE, Connection.BUTT, length)
                .members(
                        new Member("left", u.pick(Length.inches(3, 8), Length.millimetres("10"))),
                        new Member("right", u.pick(Length.inches(3, 8), Length.millimetres("10"))))
                .penetration(Penetration.COMPLETE)
                .primary(false)
                .transverseTension(false)
                .backing(true)
                .position(Position.FLAT_GROOVE)
                .build();
    }

    private double depthOf(FlawKind kind, Optional<Toe> toe, double s) {
        return flaws.stream()
                .filter(f -> f.kind() == kind && f.toe().equals(toe))
                .mapToDouble(f -> f.size() * rising(s, f.from(), f.to()))
                .max()
                .orElse(0);
    }

    /** In full but for short ends. */
    private static double rising(double s, double from, double to) {
        return s <= from || s >= to ? 0 : Math.min(1, Math.min(s - from, to - s) / RUN_OUT);
    }

    public double undercut(Toe toe, double s) {
        return depthOf(FlawKind.UNDERCUT, Optional.of(toe), s);
    }

    public double leg(Toe toe, double s) {
        double sway = 0.25 * Math.sin((s + phase) / 11) + 0.12 * Math.sin((s + 2 * phase) / 4.1);
        double missing = depthOf(FlawKind.SHORT_LEG, Optional.of(toe), s);
        return missing > 0 ? wanted - missing : wanted + SPARE + (toe == Toe.A ? sway : -sway);
    }

    private double bulge(double s) {
        double crater = depthOf(FlawKind.CRATER, Optional.empty(), s);
        return (setting.fillet() ? 0.5 : CROWN) + 0.15 * Math.sin((s + phase) / 17) - crater * 1.4;
    }

    public double throat(double s) {
        double a = leg(Toe.A, s);
        double b = leg(Toe.B, s);
        return a * b / Math.hypot(a, b) + Math.max(-1.5, bulge(s));
    }

    public double crown(double s) {
        return bulge(s);
    }

    /** The weld inspected to the last flaw: what a perfect eye would have recorded. */
    public Inspection truth() {
        List<Reading> readings = new ArrayList<>();
        double pitch = setting.units() == Unit.INCH ? INCH : 25;
        for (double s = pitch / 2; s < reach; s += pitch) {
            readings.add(station(s));
        }
        List<Indication> indications = new ArrayList<>();
        for (PracticeFlaw f : flaws) {
            indications.add(indication(f));
        }
        return new Inspection(
                joint(),
                setting.units(),
                Conditions.READY,
                Set.of(),
                true,
                List.of(),
                readings,
                indications,
                List.of(),
                ReadingChoices.CAREFUL,
                WeldingRecord.NONE);
    }

    private Reading station(double s) {
        Reading.FilletMeasures fillet = setting.fillet()
                ? new Reading.FilletMeasures(
                        Optional.of(exactly(leg(Toe.A, s))),
                        Optional.of(exactly(leg(Toe.B, s))),
                        Optional.of(exactly(throat(s))),
                        Optional.of(exactly(Math.max(0, bulge(s)))),
                        Optional.empty(),
                        Optional.empty())
                : Reading.FilletMeasures.NONE;
        Reading.GrooveMeasures groove = setting.fillet()
                ? Reading.GrooveMeasures.NONE
                : new Reading.GrooveMeasures(
                        Optional.of(exactly(bulge(s))), Optional.empty(), Optional.empty(), Optional.of(exactly(0)));
        return new Reading.Station(
                exactly(s),
                fillet,
                groove,
                new Reading.ToeAngles(OptionalDouble.empty(), OptionalDouble.empty()),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private Indication indication(PracticeFlaw f) {
        Span span = new Span(exactly(f.from()), exactly(f.to()));
        return switch (f.kind()) {
            case UNDERCUT -> new Undercut(f.toe().orElseThrow(), span, exactly(f.size()), Optional.empty());
            case PORE -> new Porosity(Span.at(exactly(f.middle())), exactly(f.size()), 1, Optional.empty());
            case CRACK -> new Crack(span, Optional.empty());
            case CRATER -> new Crater(exactly(f.middle()), Optional.of(exactly(f.size())), Optional.empty());
            case SHORT_LEG -> new Undersize(span, exactly(wanted - f.size()));
        };
    }

    /** To the hundredth of a millimeter, as the drawing's units show it. */
    private Length exactly(double mm) {
        return Length.millimetres(String.format(Locale.ROOT, "%.2f", mm)).in(setting.units());
    }

    /**
     * What a gauge shows at a place, in words as the gauge shows them: {@code 5/16}, {@code goes}. Each reading differs a little, and one in many is badly
     * seated.
     *
     * @return empty where there is nothing for this gauge
     */
    public Optional<String> read(PracticeGauge gauge, Toe toe, double s, Random hand) {
        OptionalDouble truth = truth(gauge, toe, s);
        if (truth.isEmpty()) {
            return Optional.empty();
        }
        double shown = truth.getAsDouble() + gauge.noise() * hand.nextGaussian();
        if (hand.nextInt(MIS_SEAT_EVERY) == 0) {
            shown += 0.5 + hand.nextDouble();
        }
        if (gauge == PracticeGauge.BLADE) {
            return Optional.of(shown >= wanted ? "goes" : "does not go");
        }
        Length division = setting.units()
                .pick(
                        Length.inches(1, gauge.partsOfAnInch()),
                        Length.millimetres(String.valueOf(gauge.metricDivision())));
        return Optional.of(division.times((int) Math.max(0, Math.round(shown / mm(division))))
                .shown());
    }

    private OptionalDouble truth(PracticeGauge gauge, Toe toe, double s) {
        return switch (gauge) {
            case BLADE -> onFillet(Math.min(leg(Toe.A, s), leg(Toe.B, s)));
            case LEG -> onFillet(leg(toe, s));
            case THROAT -> onFillet(throat(s));
            case UNDERCUT -> OptionalDouble.of(undercut(toe, s));
            case CROWN -> setting.fillet() ? OptionalDouble.empty() : OptionalDouble.of(crown(s));
            case RULE ->
                flaws.stream()
                        .filter(f -> (f.kind() == FlawKind.PORE || f.kind() == FlawKind.CRACK) && f.isAt(s, 3))
                        .mapToDouble(PracticeFlaw::size)
                        .findFirst();
        };
    }

    private OptionalDouble onFillet(double value) {
        return setting.fillet() ? OptionalDouble.of(value) : OptionalDouble.empty();
    }

    /**
     * The surface as a grid: of each row its place, then of each point across x, y, its height over the members, and its tone: 0 plate, 1 weld, 2 heat
     * tint, 3 dark as slag, a crack and the bottom of a pore are.
     */
    public float[] surface(int rows, int across) {
        float[] all = new float[rows * (1 + 4 * across)];
        Random grain = new Random(seed);
        int k = 0;
        for (int r = 0; r < rows; r++) {
            double s = r * reach / (rows - 1);
            all[k++] = (float) s;
            for (int i = 0; i < across; i++) {
                float[] p = point(s, i / (across - 1.0), grain);
                for (float v : p) {
                    all[k++] = v;
                }
            }
        }
        return all;
    }

    /** @param part 0 at the outer end of member A, 1 at that of member B */
    private float[] point(double s, double part, Random grain) {
        double legA = setting.fillet() ? leg(Toe.A, s) : WIDTH / 2;
        double legB = setting.fillet() ? leg(Toe.B, s) : WIDTH / 2;
        double chord = setting.fillet() ? Math.hypot(legA, legB) : WIDTH;
        double run = part * (chord + 2 * BESIDE);
        boolean onFace = run > BESIDE && run < BESIDE + chord;
        double rough = 0.012 * grain.nextGaussian();
        if (onFace) {
            return onFace(s, (run - BESIDE) / chord, legA, legB, chord, rough);
        }
        boolean a = run <= BESIDE;
        double away = a ? BESIDE - run : run - BESIDE - chord;
        double h = rough - notch(undercut(a ? Toe.A : Toe.B, s), away);
        double tone = away < 2.5 ? 2 : 0;
        for (double[] d : dirt) {
            boolean side = d[1] < 0 == a;
            double dx = Math.hypot(s - d[0], away - Math.abs(d[1]) * BESIDE);
            if (side && dx < d[2]) {
                h += Math.sqrt(d[2] * d[2] - dx * dx) * 0.6;
                tone = d[3] > 0 ? 3 : 1;
            }
        }
        double along = (a ? legA : legB) + away;
        if (!setting.fillet()) {
            return values(a ? -along : along, h, h, tone);
        }
        return a ? values(h, along, h, tone) : values(along, h, h, tone);
    }

    private float[] onFace(double s, double part, double legA, double legB, double chord, double rough) {
        double arc = 4 * part * (1 - part);
        double ripple =
                0.05 * Math.sin(2 * Math.PI * (s - 2.2 * arc + phase) / 2.1) * Math.min(1, 6 * part * (1 - part));
        double up = bulge(s) * arc + ripple + rough;
        double tone = 1;
        for (PracticeFlaw f : flaws) {
            double off = (part - f.across()) * chord;
            if (f.kind() == FlawKind.PORE) {
                double d = Math.hypot(s - f.middle(), off);
                if (d < f.size() / 2) {
                    up -= Math.sqrt(f.size() * f.size() / 4 - d * d);
                    tone = d < f.size() / 3 ? 3 : tone;
                }
            } else if (f.kind() == FlawKind.CRACK && s > f.from() && s < f.to()) {
                double wander = 0.4 * Math.sin(s * 1.7 + phase);
                if (Math.abs(off - wander) < 0.13) {
                    up -= 0.25;
                    tone = 3;
                }
            }
        }
        for (double[] d : dirt) {
            double dx = Math.hypot(s - d[0], (part - (d[1] + 1) / 2) * chord);
            if (d[3] > 0 && dx < d[2] * 1.3) {
                up += 0.12;
                tone = 3;
            }
        }
        if (!setting.fillet()) {
            return values((part - 0.5) * chord, up, up, tone);
        }
        double x = part * legB;
        double y = (1 - part) * legA;
        double over = up / chord;
        return values(x + over * legA, y + over * legB, x * y / chord + up, tone);
    }

    private static float[] values(double x, double y, double h, double tone) {
        return new float[] {(float) x, (float) y, (float) h, (float) tone};
    }

    /** A round notch from the toe on. */
    private static double notch(double depth, double away) {
        return depth <= 0 || away > NOTCH ? 0 : depth * Math.sin(Math.PI * away / NOTCH);
    }

    public double length() {
        return reach;
    }

    public double wantedLeg() {
        return wanted;
    }
}
