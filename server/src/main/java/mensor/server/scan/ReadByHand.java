package mensor.server.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mensor.inspection.Reading;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.scan.HandReading;
import mensor.scan.WeldScan.Quantity;
import mensor.scan.WeldScan.Track;
import mensor.server.entry.StoredEntry;
import mensor.server.inspection.Bench;
import mensor.server.scan.ScanView.HandView;
import mensor.server.scan.ScanView.ProposalView;
import mensor.weld.Joint;

/** What was read by hand at places that a scan measured too. */
final class ReadByHand {
    private static final double MM_OF_AN_INCH = 25.4;

    private ReadByHand() {}

    static List<HandView> against(Bench.State o, Track track, List<ProposalView> proposals) {
        Set<String> scanned =
                proposals.stream().map(p -> p.content().canonical()).collect(Collectors.toSet());
        List<Reading> readings = o.judged().inspection().readings();
        List<? extends StoredEntry> entries = o.judged().readings();
        List<HandReading> hand = new ArrayList<>();
        for (int i = 0; i < readings.size(); i++) {
            boolean ofScan =
                    i < entries.size() && scanned.contains(entries.get(i).content());
            if (readings.get(i) instanceof Reading.Station s && !ofScan && !isScanned(o, s)) {
                o.judged().contract().uncertainty(s.gauge(), s.division()).ifPresent(u -> read(hand, s, Scans.mm(u)));
            }
        }
        Joint joint = Scans.joint(o.joint());
        return HandReading.against(hand, track).stream()
                .map(a -> new HandView(words(a, joint, o.joint().unit()), a.isBeyond()))
                .toList();
    }

    /** Taken over from another scan. */
    private static boolean isScanned(Bench.State o, Reading.Station s) {
        return o.judged().contract().isScanner(s.gauge());
    }

    private static void read(List<HandReading> hand, Reading.Station s, double u) {
        add(hand, Quantity.LEG_A, s, s.legA(), u);
        add(hand, Quantity.LEG_B, s, s.legB(), u);
        add(hand, Quantity.THROAT, s, s.throat(), u);
        add(hand, Quantity.CONVEXITY, s, s.convexity(), u);
        add(hand, Quantity.REINFORCEMENT, s, s.reinforcement(), u);
        add(hand, Quantity.OFFSET, s, s.offset(), u);
    }

    private static void add(List<HandReading> hand, Quantity q, Reading.Station s, Optional<Length> value, double u) {
        value.ifPresent(v -> hand.add(new HandReading(q, Scans.mm(s.at()), Scans.mm(v), u)));
    }

    private static String words(HandReading.Against a, Joint joint, Unit unit) {
        return ScanLines.title(a.hand().quantity(), joint) + " at "
                + shown(a.hand().at(), unit, 1) + ": by hand " + shown(a.hand().value(), unit, 3) + ", scanned "
                + shown(a.scanned(), unit, 3) + "; " + shown(Math.abs(a.difference()), unit, 3) + " apart, "
                + shown(a.allowed(), unit, 3) + " by both uncertainties (k = 2)";
    }

    private static String shown(double mm, Unit unit, int places) {
        return unit.pick(
                String.format(Locale.ROOT, "%." + places + "f", mm / MM_OF_AN_INCH),
                String.format(Locale.ROOT, "%." + Math.max(0, places - 1) + "f", mm));
    }
}
