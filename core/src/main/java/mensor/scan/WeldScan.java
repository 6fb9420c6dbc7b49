package mensor.scan;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.BiConsumer;

/**
 * A weld measured from its profiles: each quantity along it, read at stations, and the stretches where it passes what is reported. A lone wild
 * profile counts for nothing; a place three profiles long counts in full. What the scan did not cover is not measured.
 */
public final class WeldScan {
    private static final int NEIGHBORS = 5;
    private static final double GAP_SPACINGS = 3;
    private static final double JOINED = 1;
    private static final double STEEP = 100;

    /**
     * What is wanted.
     *
     * @param pitch of the stations, mm
     * @param report the least depth that is reported, mm
     * @param sizeWanted under this a fillet is undersize; absent where none is asked for
     * @param length of the weld, mm
     * @param deviceU the device's standard uncertainty of one height, mm
     */
    public record Wanted(
            boolean fillet, double pitch, double report, OptionalDouble sizeWanted, double length, double deviceU) {}

    /** A quantity that runs along the weld. */
    public enum Quantity {
        LEG_A("legA", true),
        LEG_B("legB", true),
        SIZE("size", true),
        THROAT("throat", true),
        CONVEXITY("convexity", false),
        CONCAVITY("concavity", false),
        FACE_WIDTH("faceWidth", false),
        DIHEDRAL("dihedral", false),
        REINFORCEMENT("reinforcement", false),
        UNDERFILL("underfill", false),
        OFFSET("offset", false),
        BEND("bend", false),
        UNDERCUT_A("undercutA", false),
        UNDERCUT_B("undercutB", false),
        TOE_ANGLE_A("toeAngleA", true),
        TOE_ANGLE_B("toeAngleB", true),
        /** Of the metal over the members: what two scans of a weld differ by. */
        AREA("area", false);

        private final String id;
        private final boolean least;

        Quantity(String id, boolean least) {
            this.id = id;
            this.least = least;
        }

        public String id() {
            return id;
        }
    }

    /** A value with its standard uncertainty and where it was found. */
    public record Value(Quantity quantity, double value, double u, double at) {}

    /** @param at where the least leg, or the greatest reinforcement, was found */
    public record Station(double from, double to, double at, List<Value> values) {
        public OptionalDouble value(Quantity q) {
            return values.stream()
                    .filter(v -> v.quantity() == q)
                    .mapToDouble(Value::value)
                    .findFirst();
        }
    }

    /** @param worst the greatest depth, or the least size, in it */
    public record Stretch(Quantity quantity, double from, double to, double worst, double u) {}

    /** From–to along the weld, mm. */
    public record Reach(double from, double to) {}

    /**
     * @param covered what was measured
     * @param holes of the weld's length what was not
     * @param why why profiles were left out, with how many
     * @param notes what of the measured profiles height alone does not tell, with how many
     * @param unseenToes where the strip beside a toe had no returns: no undercut was measured there
     * @param looks places that look deep on one or two profiles: too short to be measured, not to be passed over
     */
    public record Result(
            int profiles,
            long points,
            int leftOut,
            long pointsLeftOut,
            List<String> why,
            List<String> notes,
            double noise,
            List<Reach> covered,
            List<Reach> holes,
            List<Station> stations,
            List<Stretch> stretches,
            Track track,
            List<ToeReach> unseenToes,
            List<Stretch> looks) {}

    /** A stretch of a toe, mm. */
    public record ToeReach(Quantity toe, double from, double to) {}

    /**
     * Each quantity along the weld, as it is judged: without lone wild profiles. A value that is not known is NaN.
     *
     * @param s of the measured profiles, from the datum
     */
    public record Track(double[] s, Map<Quantity, double[]> values, Map<Quantity, double[]> u) {
        public Track {
            values = Map.copyOf(values);
            u = Map.copyOf(u);
        }
    }

    /** So many profiles to each side say how a member bends. */
    private static final int BESIDE = 15;

    private final Wanted wanted;
    private final BiConsumer<Profile, MeasuredProfile> each;
    private final Deque<SeenProfile> around = new ArrayDeque<>();
    /** How many of those at hand are measured. */
    private int before;

    private final List<Double> radiiA = new ArrayList<>();
    private final List<Double> radiiB = new ArrayList<>();
    private final List<double[]> rows = new ArrayList<>();
    /** Where profiles were left out. */
    private final List<Double> left = new ArrayList<>();

    private final Map<String, Integer> reasons = new TreeMap<>();
    private final Map<String, Integer> steep = new TreeMap<>();
    private int profiles;
    private int leftOut;
    private long points;
    private long pointsLeftOut;

    public WeldScan(Wanted wanted) {
        this(wanted, (profile, measured) -> {});
    }

    /** @param each takes every profile with what was measured of it */
    public WeldScan(Wanted wanted, BiConsumer<Profile, MeasuredProfile> each) {
        this.wanted = wanted;
        this.each = each;
    }

    static final int S = 0;
    static final int NOISE = 1;
    static final int FIRST = 2;
    static final int WIDTH = FIRST + 2 * Quantity.values().length;

    /** Takes a profile; it is measured as soon as those behind it are there. Its values are kept, not its points. */
    public void add(Profile p) {
        around.addLast(SeenProfile.of(p, wanted.fillet()));
        if (around.size() > before + BESIDE) {
            measureNext();
        }
    }

    /** Of those at hand the first that is not measured yet, among all of them. */
    private void measureNext() {
        SeenProfile next = around.stream().skip(before).findFirst().orElseThrow();
        MeasuredProfile m = MeasuredProfile.among(next, around, wanted.deviceU());
        before++;
        if (before > BESIDE) {
            around.removeFirst();
            before--;
        }
        keep(next.profile(), m);
        each.accept(next.profile(), m);
    }

    private void keep(Profile p, MeasuredProfile m) {
        profiles++;
        points += p.points();
        if (m instanceof MeasuredProfile.NotMeasured n) {
            leftOut++;
            pointsLeftOut += p.points();
            reasons.merge(n.why(), 1, Integer::sum);
            left.add(p.s());
            return;
        }
        double[] row = new double[WIDTH];
        Arrays.fill(row, Double.NaN);
        row[S] = p.s();
        if (m instanceof MeasuredProfile.Fillet f) {
            fillet(row, f.profile());
            noteCurved(f.profile().memberA(), radiiA);
            noteCurved(f.profile().memberB(), radiiB);
        } else if (m instanceof MeasuredProfile.Butt b) {
            butt(row, b.profile());
        }
        noteSteep(row[FIRST + 2 * Quantity.TOE_ANGLE_A.ordinal()], "A");
        noteSteep(row[FIRST + 2 * Quantity.TOE_ANGLE_B.ordinal()], "B");
        rows.add(row);
    }

    private static void set(double[] row, Quantity q, double value, double u) {
        row[FIRST + 2 * q.ordinal()] = value;
        row[FIRST + 2 * q.ordinal() + 1] = u;
    }

    private static void fillet(double[] row, FilletProfile f) {
        FilletProfile.Uncertainty u = f.u();
        row[NOISE] = f.noise();
        set(row, Quantity.LEG_A, f.legA().orElse(Double.NaN), u.legA());
        set(row, Quantity.LEG_B, f.legB().orElse(Double.NaN), u.legB());
        set(row, Quantity.SIZE, f.size().orElse(Double.NaN), u.size());
        set(row, Quantity.THROAT, f.throat().orElse(Double.NaN), u.throat());
        set(row, Quantity.CONVEXITY, f.convexity().orElse(Double.NaN), u.convexity());
        set(row, Quantity.CONCAVITY, f.concavity().orElse(Double.NaN), u.convexity());
        set(row, Quantity.FACE_WIDTH, f.faceWidth().orElse(Double.NaN), Math.hypot(u.legA(), u.legB()));
        set(row, Quantity.DIHEDRAL, f.dihedral(), 0.1);
        set(row, Quantity.UNDERCUT_A, f.undercutA().orElse(Double.NaN), u.undercut());
        set(row, Quantity.UNDERCUT_B, f.undercutB().orElse(Double.NaN), u.undercut());
        set(row, Quantity.TOE_ANGLE_A, f.toeAngleA().orElse(Double.NaN), 3);
        set(row, Quantity.TOE_ANGLE_B, f.toeAngleB().orElse(Double.NaN), 3);
        set(row, Quantity.AREA, f.area(), f.faceWidth().orElse(0) * u.throat());
    }

    private static void butt(double[] row, ButtProfile b) {
        row[NOISE] = b.noise();
        set(row, Quantity.REINFORCEMENT, b.reinforcement(), b.u());
        set(row, Quantity.UNDERFILL, b.underfill(), b.u());
        set(row, Quantity.OFFSET, Math.abs(b.offset()), b.u());
        set(row, Quantity.BEND, b.bend(), 0.1);
        set(row, Quantity.FACE_WIDTH, b.faceWidth(), 0.1);
        set(row, Quantity.UNDERCUT_A, b.undercutA(), b.u());
        set(row, Quantity.UNDERCUT_B, b.undercutB(), b.u());
        set(row, Quantity.TOE_ANGLE_A, b.toeAngleA(), 3);
        set(row, Quantity.TOE_ANGLE_B, b.toeAngleB(), 3);
        set(row, Quantity.AREA, b.area(), b.faceWidth() * b.u());
    }

    public Result result() {
        while (before < around.size()) {
            measureNext();
        }
        double[][] all = rows.toArray(new double[0][]);
        Arrays.sort(all, (a, b) -> Double.compare(a[S], b[S]));
        double[] noises = Arrays.stream(all).mapToDouble(r -> r[NOISE]).sorted().toArray();
        double[][] taken = withLeftOut(all);
        double spacing = spacing(taken);
        double[][] calm = calmed(all);
        List<Reach> covered = covered(all, spacing);
        return new Result(
                profiles,
                points,
                leftOut,
                pointsLeftOut,
                counted(reasons),
                notes(),
                noises.length == 0 ? Double.NaN : noises[noises.length / 2],
                covered,
                holes(covered, spacing),
                stations(calm),
                stretches(calm, covered),
                track(calm),
                ToeLooks.unseen(all, spacing),
                new ToeLooks(wanted.report()).looks(taken, calm, spacing));
    }

    /** Those left out among the measured ones, nothing known of them but where they are. */
    private double[][] withLeftOut(double[][] all) {
        List<double[]> taken = new ArrayList<>(List.of(all));
        for (double s : left) {
            double[] row = new double[WIDTH];
            Arrays.fill(row, Double.NaN);
            row[S] = s;
            taken.add(row);
        }
        taken.sort((a, b) -> Double.compare(a[S], b[S]));
        return taken.toArray(new double[0][]);
    }

    private List<String> notes() {
        List<String> notes = new ArrayList<>(counted(steep));
        curved(notes, radiiA, "A");
        curved(notes, radiiB, "B");
        return List.copyOf(notes);
    }

    private static void curved(List<String> notes, List<Double> radii, String member) {
        if (!radii.isEmpty()) {
            double[] sorted =
                    radii.stream().mapToDouble(Double::doubleValue).sorted().toArray();
            notes.add(radii.size() + " × member " + member + " is curved: measured from an arc of radius about "
                    + Math.round(sorted[sorted.length / 2]) + " mm");
        }
    }

    private static void noteCurved(Line member, List<Double> radii) {
        if (member.isCurved()) {
            radii.add(Math.abs(1 / member.bow()));
        }
    }

    private static List<String> counted(Map<String, Integer> said) {
        return said.entrySet().stream()
                .map(e -> e.getValue() + " × " + e.getKey())
                .toList();
    }

    /** A face that stands over the toe, or folds back over it, looks alike from above. */
    private void noteSteep(double angle, String toe) {
        if (angle < STEEP) {
            steep.merge(
                    "the face stands steep over toe " + toe + ": an overlap there cannot be seen by height",
                    1,
                    Integer::sum);
        }
    }

    private static Track track(double[][] calm) {
        Map<Quantity, double[]> values = new EnumMap<>(Quantity.class);
        Map<Quantity, double[]> u = new EnumMap<>(Quantity.class);
        for (Quantity q : Quantity.values()) {
            int column = FIRST + 2 * q.ordinal();
            double[] of = Arrays.stream(calm).mapToDouble(r -> r[column]).toArray();
            if (Arrays.stream(of).anyMatch(v -> !Double.isNaN(v))) {
                values.put(q, of);
                u.put(q, Arrays.stream(calm).mapToDouble(r -> r[column + 1]).toArray());
            }
        }
        return new Track(Arrays.stream(calm).mapToDouble(r -> r[S]).toArray(), values, u);
    }

    private static double spacing(double[][] all) {
        if (all.length < 2) {
            return 0;
        }
        double[] steps = new double[all.length - 1];
        for (int i = 1; i < all.length; i++) {
            steps[i - 1] = all[i][S] - all[i - 1][S];
        }
        Arrays.sort(steps);
        return steps[steps.length / 2];
    }

    /** The median of five neighbors; at an end of those that are there. */
    private static double[][] calmed(double[][] all) {
        double[][] calm = new double[all.length][];
        double[] near = new double[NEIGHBORS];
        for (int i = 0; i < all.length; i++) {
            calm[i] = all[i].clone();
            int from = Math.max(0, i - NEIGHBORS / 2);
            int to = Math.min(all.length, i + NEIGHBORS / 2 + 1);
            for (Quantity q : Quantity.values()) {
                int column = FIRST + 2 * q.ordinal();
                int n = 0;
                for (int j = from; j < to; j++) {
                    if (!Double.isNaN(all[j][column])) {
                        near[n++] = all[j][column];
                    }
                }
                if (n >= 3) {
                    Arrays.sort(near, 0, n);
                    calm[i][column] = near[n / 2];
                }
            }
        }
        return calm;
    }

    static List<Reach> covered(double[][] all, double spacing) {
        List<Reach> covered = new ArrayList<>();
        double from = Double.NaN;
        for (int i = 0; i < all.length; i++) {
            if (Double.isNaN(from)) {
                from = all[i][S];
            }
            if (i == all.length - 1 || all[i + 1][S] - all[i][S] > GAP_SPACINGS * spacing) {
                covered.add(new Reach(from, all[i][S]));
                from = Double.NaN;
            }
        }
        return List.copyOf(covered);
    }

    private List<Reach> holes(List<Reach> covered, double spacing) {
        List<Reach> holes = new ArrayList<>();
        double at = 0;
        for (Reach r : covered) {
            if (r.from() - at > GAP_SPACINGS * spacing) {
                holes.add(new Reach(at, r.from()));
            }
            at = Math.max(at, r.to());
        }
        if (wanted.length() - at > GAP_SPACINGS * Math.max(spacing, 1e-9)) {
            holes.add(new Reach(at, wanted.length()));
        }
        return List.copyOf(holes);
    }

    private List<Station> stations(double[][] calm) {
        List<Station> stations = new ArrayList<>();
        int i = 0;
        for (double from = 0; from < wanted.length() - 1e-9; from += wanted.pitch()) {
            double to = Math.min(wanted.length(), from + wanted.pitch());
            boolean last = to >= wanted.length() - 1e-9;
            int begin = i;
            while (i < calm.length && (calm[i][S] < to || last && calm[i][S] <= to + 1e-9)) {
                i++;
            }
            if (i > begin) {
                stations.add(station(from, to, calm, begin, i));
            }
        }
        return List.copyOf(stations);
    }

    private Station station(double from, double to, double[][] calm, int begin, int end) {
        List<Value> values = new ArrayList<>();
        for (Quantity q : Quantity.values()) {
            int column = FIRST + 2 * q.ordinal();
            int worst = -1;
            for (int i = begin; i < end; i++) {
                double v = calm[i][column];
                if (!Double.isNaN(v) && (worst < 0 || (q.least ? v < calm[worst][column] : v > calm[worst][column]))) {
                    worst = i;
                }
            }
            if (worst >= 0) {
                values.add(new Value(q, calm[worst][column], calm[worst][column + 1], calm[worst][S]));
            }
        }
        Quantity leading = wanted.fillet() ? Quantity.LEG_A : Quantity.REINFORCEMENT;
        double at = values.stream()
                .filter(v -> v.quantity() == leading)
                .mapToDouble(Value::at)
                .findFirst()
                .orElse((from + to) / 2);
        if (wanted.fillet()) {
            at = values.stream()
                    .filter(v -> v.quantity() == Quantity.LEG_A || v.quantity() == Quantity.LEG_B)
                    .min((x, y) -> Double.compare(x.value(), y.value()))
                    .map(Value::at)
                    .orElse(at);
        }
        return new Station(from, to, at, List.copyOf(values));
    }

    private List<Stretch> stretches(double[][] calm, List<Reach> covered) {
        List<Stretch> all = new ArrayList<>();
        for (Quantity q : List.of(Quantity.UNDERCUT_A, Quantity.UNDERCUT_B, Quantity.UNDERFILL)) {
            passing(calm, covered, q, wanted.report(), false).stream()
                    .filter(s -> q == Quantity.UNDERFILL || ToeLooks.isSure(s, wanted.report()))
                    .forEach(all::add);
        }
        wanted.sizeWanted().ifPresent(size -> all.addAll(passing(calm, covered, Quantity.SIZE, size, true)));
        all.sort((a, b) -> Double.compare(a.from(), b.from()));
        return List.copyOf(all);
    }

    /** Where a quantity is over a limit, or {@code under} it; the ends between two profiles by a straight line. */
    static List<Stretch> passing(double[][] calm, List<Reach> covered, Quantity q, double limit, boolean under) {
        int column = FIRST + 2 * q.ordinal();
        List<Stretch> found = new ArrayList<>();
        for (Reach r : covered) {
            double from = Double.NaN;
            double worst = 0;
            double u = 0;
            double before = Double.NaN;
            double beforeAt = r.from();
            for (double[] row : calm) {
                if (row[S] < r.from() || row[S] > r.to() || Double.isNaN(row[column])) {
                    continue;
                }
                double v = row[column];
                boolean passes = under ? v < limit : v > limit;
                if (passes && Double.isNaN(from)) {
                    from = Double.isNaN(before) ? row[S] : crossing(beforeAt, before, row[S], v, limit);
                    worst = v;
                    u = row[column + 1];
                }
                if (passes && (under ? v < worst : v > worst)) {
                    worst = v;
                    u = row[column + 1];
                }
                if (!passes && !Double.isNaN(from)) {
                    found.add(new Stretch(q, from, crossing(beforeAt, before, row[S], v, limit), worst, u));
                    from = Double.NaN;
                }
                before = v;
                beforeAt = row[S];
            }
            if (!Double.isNaN(from)) {
                found.add(new Stretch(q, from, beforeAt, worst, u));
            }
        }
        return joined(found, under);
    }

    private static double crossing(double at, double value, double nextAt, double next, double limit) {
        return next == value ? nextAt : at + (nextAt - at) * (limit - value) / (next - value);
    }

    private static List<Stretch> joined(List<Stretch> found, boolean under) {
        List<Stretch> joined = new ArrayList<>();
        for (Stretch s : found) {
            Stretch last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            if (last != null && s.from() - last.to() < JOINED) {
                boolean worse = under ? s.worst() < last.worst() : s.worst() > last.worst();
                joined.set(
                        joined.size() - 1,
                        new Stretch(
                                s.quantity(),
                                last.from(),
                                s.to(),
                                worse ? s.worst() : last.worst(),
                                worse ? s.u() : last.u()));
            } else {
                joined.add(s);
            }
        }
        return joined;
    }
}
