package mensor.server.scan;

import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import mensor.criteria.CriteriaBook;
import mensor.inspection.AddendumKind;
import mensor.length.Length;
import mensor.scan.Profile;
import mensor.scan.ScanComparison;
import mensor.scan.ScanSection;
import mensor.scan.WeldScan.Quantity;
import mensor.scan.WeldScan.Track;
import mensor.server.inspection.Bench;
import mensor.server.people.Actor;
import mensor.server.scan.ScanView.ComparedView;
import mensor.server.scan.ScanView.DifferenceView;
import mensor.server.scan.ScanView.LinesView;
import mensor.server.scan.ScanView.ReachView;
import mensor.server.scan.ScanView.ScannedLineView;
import mensor.server.web.Refusal;
import mensor.weld.Joint;
import mensor.weld.Toe;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What of a scan is drawn: its lines along the weld, the section at a place, the surface; and two scans held against each other. */
@Service
public class ScanLines {
    private static final int MOST_VALUES = 1200;
    private static final int SURFACE_PROFILES = 420;
    /** A profile is drawn as it was measured: those beside it say how a member bends. */
    private static final int NEIGHBORS = 31;

    private static final int SURFACE_NEAR = 3;

    private static final int SURFACE_POINTS = 140;

    private final Scans scans;
    private final ScanStore store;
    private final Bench bench;

    ScanLines(Scans scans, ScanStore store, Bench bench) {
        this.scans = scans;
        this.store = store;
        this.bench = bench;
    }

    /** A limit to draw; least is wanted, else at most allowed. */
    private record DrawnLimit(Length at, boolean least) {}

    @Transactional(readOnly = true)
    public LinesView lines(Actor actor, UUID inspection, UUID id, Double from, Double to) {
        ScanEntity scan = scans.seen(actor, inspection, id);
        Bench.State o = bench.open(actor, inspection);
        Joint joint = Scans.joint(o.joint());
        Track track = store.readLines(scan.drawnAs());
        double length = Scans.mm(joint.length());
        int[] taken = thinned(track, from == null ? 0 : from, to == null ? length : to);
        double[] s = new double[taken.length];
        for (int i = 0; i < taken.length; i++) {
            s[i] = round(track.s()[taken[i]]);
        }
        List<ScannedLineView> lines = new ArrayList<>();
        for (Quantity q : shown(joint.isFillet())) {
            double[] values = track.values().get(q);
            if (values == null) {
                continue;
            }
            Double[] at = new Double[taken.length];
            for (int i = 0; i < taken.length; i++) {
                at[i] = Double.isNaN(values[taken[i]]) ? null : Double.valueOf(round(values[taken[i]]));
            }
            lines.add(line(q, joint, o, at));
        }
        return new LinesView(length, s, lines, holes(track, length));
    }

    private ScannedLineView line(Quantity q, Joint joint, Bench.State o, Double[] values) {
        Optional<DrawnLimit> limit = limit(q, joint, o);
        return new ScannedLineView(
                q.id(),
                title(q, joint),
                limit.map(l -> Scans.mm(l.at())).orElse(null),
                limit.map(l -> l.at().shownWithUnit()).orElse(null),
                limit.map(DrawnLimit::least).orElse(false),
                values);
    }

    /** The lines of a weld of which nothing is scanned yet. */
    @Transactional(readOnly = true)
    public LinesView none(Actor actor, UUID inspection) {
        Bench.State o = bench.open(actor, inspection);
        Joint joint = Scans.joint(o.joint());
        double length = Scans.mm(joint.length());
        return new LinesView(
                length,
                new double[0],
                shown(joint.isFillet()).stream()
                        .map(q -> line(q, joint, o, new Double[0]))
                        .toList(),
                List.of(new ReachView(0, length)));
    }

    private static double round(double v) {
        return Math.round(v * 1e4) / 1e4;
    }

    private static Set<Quantity> shown(boolean fillet) {
        return new LinkedHashSet<>(
                fillet
                        ? List.of(
                                Quantity.LEG_A,
                                Quantity.LEG_B,
                                Quantity.THROAT,
                                Quantity.CONVEXITY,
                                Quantity.UNDERCUT_A,
                                Quantity.UNDERCUT_B)
                        : List.of(
                                Quantity.REINFORCEMENT,
                                Quantity.UNDERFILL,
                                Quantity.OFFSET,
                                Quantity.UNDERCUT_A,
                                Quantity.UNDERCUT_B));
    }

    static String title(Quantity q, Joint joint) {
        return switch (q) {
            case LEG_A -> "leg " + joint.member(Toe.A).name();
            case LEG_B -> "leg " + joint.member(Toe.B).name();
            case UNDERCUT_A -> "undercut " + joint.toeName(Toe.A);
            case UNDERCUT_B -> "undercut " + joint.toeName(Toe.B);
            case THROAT -> "throat";
            case CONVEXITY -> "convexity";
            case REINFORCEMENT -> "crown";
            case UNDERFILL -> "underfill";
            case OFFSET -> "offset";
            default -> q.id();
        };
    }

    private Optional<DrawnLimit> limit(Quantity q, Joint joint, Bench.State o) {
        CriteriaBook book = o.judged().evaluation().book();
        return switch (q) {
            case LEG_A, LEG_B -> joint.size().map(l -> new DrawnLimit(l, true));
            case UNDERCUT_A, UNDERCUT_B ->
                book.loosest(AddendumKind.UNDERCUT_DEPTH, joint, o.joint().unit())
                        .map(l -> new DrawnLimit(l, false));
            case REINFORCEMENT ->
                book.loosest(AddendumKind.REINFORCEMENT_MAX, joint, o.joint().unit())
                        .map(l -> new DrawnLimit(l, false));
            default -> Optional.empty();
        };
    }

    /** Of each cell the profiles with the least and the greatest of every line: what is thinned away is never the worst. */
    private static int[] thinned(Track track, double from, double to) {
        int a = 0;
        while (a < track.s().length && track.s()[a] < from) {
            a++;
        }
        int b = a;
        while (b < track.s().length && track.s()[b] <= to) {
            b++;
        }
        a = Math.max(0, a - 1);
        b = Math.min(track.s().length, b + 1);
        int n = b - a;
        if (n <= MOST_VALUES) {
            return java.util.stream.IntStream.range(a, b).toArray();
        }
        Set<Integer> taken = new TreeSet<>();
        int cells = MOST_VALUES / 8;
        for (int c = 0; c < cells; c++) {
            int first = a + (int) ((long) c * n / cells);
            int last = a + (int) ((long) (c + 1) * n / cells);
            taken.add(first);
            for (double[] values : track.values().values()) {
                int least = first;
                int most = first;
                for (int i = first; i < last; i++) {
                    least = values[i] < values[least] || Double.isNaN(values[least]) ? i : least;
                    most = values[i] > values[most] || Double.isNaN(values[most]) ? i : most;
                }
                taken.add(least);
                taken.add(most);
            }
        }
        taken.add(b - 1);
        return taken.stream().mapToInt(Integer::intValue).toArray();
    }

    private static List<ReachView> holes(Track track, double length) {
        List<ReachView> holes = new ArrayList<>();
        double[] s = track.s();
        if (s.length < 2) {
            return List.of(new ReachView(0, length));
        }
        double[] steps = new double[s.length - 1];
        for (int i = 1; i < s.length; i++) {
            steps[i - 1] = s[i] - s[i - 1];
        }
        java.util.Arrays.sort(steps);
        double wide = 3 * steps[steps.length / 2];
        double at = 0;
        for (double place : s) {
            if (place - at > wide) {
                holes.add(new ReachView(at, place));
            }
            at = place;
        }
        if (length - at > wide) {
            holes.add(new ReachView(at, length));
        }
        return holes;
    }

    @Transactional(readOnly = true)
    public ScanSection section(Actor actor, UUID inspection, UUID id, double at) {
        ScanEntity scan = scans.seen(actor, inspection, id);
        Joint joint = Scans.joint(bench.joint(actor, inspection));
        List<Profile> around = store.around(scan.drawnAs(), at, NEIGHBORS);
        return ScanSection.among(around.get(0), around, joint.isFillet(), 0);
    }

    /**
     * The surface as a grid, little-endian floats: profiles, points across, then of each profile its place and of each point x, y and its height
     * over the members' lines, in the frame of the section.
     */
    @Transactional(readOnly = true)
    public byte[] surface(Actor actor, UUID inspection, UUID id) {
        ScanEntity scan = scans.seen(actor, inspection, id);
        return surface(scan, Scans.joint(bench.joint(actor, inspection)).isFillet());
    }

    /** The newest scan of an inspection whose surface can be shown, and nothing of what was measured in it. */
    @Transactional(readOnly = true)
    public Optional<byte[]> surfaceAlone(UUID inspection, boolean fillet) {
        return scans.drawn(inspection).map(s -> surface(s, fillet));
    }

    @Transactional(readOnly = true)
    public boolean hasSurface(UUID inspection) {
        return scans.drawn(inspection).isPresent();
    }

    /** The inspections that were scanned last. */
    @Transactional(readOnly = true)
    public List<UUID> scanned(int most) {
        return scans.scanned(most);
    }

    private byte[] surface(ScanEntity scan, boolean fillet) {
        List<float[]> rows = new ArrayList<>();
        List<Profile> profiles = store.thinned(scan.drawnAs(), SURFACE_PROFILES);
        for (int i = 0; i < profiles.size(); i++) {
            List<Profile> around =
                    profiles.subList(Math.max(0, i - SURFACE_NEAR), Math.min(profiles.size(), i + SURFACE_NEAR + 1));
            ScanSection section = ScanSection.among(profiles.get(i), around, fillet, 0);
            if (section.why().isEmpty() && section.points().size() >= SURFACE_POINTS / 4) {
                rows.add(SurfaceRow.of(section, SURFACE_POINTS));
            }
        }
        ByteBuffer out = ByteBuffer.allocate(Float.BYTES * (2 + rows.size() * (1 + 3 * SURFACE_POINTS)))
                .order(java.nio.ByteOrder.LITTLE_ENDIAN);
        out.putFloat(rows.size()).putFloat(SURFACE_POINTS);
        for (float[] row : rows) {
            for (float f : row) {
                out.putFloat(f);
            }
        }
        return out.array();
    }

    @Transactional(readOnly = true)
    public ComparedView compare(Actor actor, UUID inspection, UUID first, UUID otherInspection, UUID second) {
        ScanEntity a = scans.seen(actor, inspection, first);
        ScanEntity b = scans.seen(actor, otherInspection, second);
        if (!bench.joint(actor, inspection)
                .id()
                .equals(bench.joint(actor, otherInspection).id())) {
            throw Refusal.invalid("with", "the two scans are of different welds");
        }
        var joint = bench.joint(actor, inspection);
        Joint weld = Scans.joint(joint);
        ScanComparison c = ScanComparison.of(store.readLines(a.drawnAs()), store.readLines(b.drawnAs()));
        return new ComparedView(
                a.name(),
                b.name(),
                round(c.both()),
                round(c.putOn()),
                round(c.takenOff()),
                round(c.u()),
                c.lines().stream()
                        .map(l -> new DifferenceView(
                                title(l.quantity(), weld),
                                l.places(),
                                round(l.mean()),
                                round(l.sd()),
                                round(l.greatest()),
                                Scans.place(l.at(), joint),
                                (int) Math.round(l.beyond() * 100)))
                        .toList(),
                c.changed().stream()
                        .map(r -> Scans.place(r.from(), joint) + "–" + Scans.place(r.to(), joint))
                        .toList());
    }
}
