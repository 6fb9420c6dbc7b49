package mensor.server.demo;

import static mensor.server.demo.DemoBench.tee;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.ScanWriter;
import mensor.inspection.Entry;
import mensor.scan.Profile;
import mensor.scan.SimulatedWeld;
import mensor.scan.SimulatedWeld.Flaw;
import mensor.scan.SimulatedWeld.FlawKind;
import mensor.server.gauge.GaugeForm;
import mensor.server.gauge.Gauges;
import mensor.server.people.Actor;
import mensor.server.scan.ScanStore;
import mensor.server.scan.Scans;
import org.springframework.stereotype.Component;

/**
 * Three welds that were scanned: a fillet with an undercut between the places where the gauge was held, a butt with a high crown and an offset, and a
 * place before and after its repair.
 */
@Component
class DemoScans {
    private static final double INCH = 25.4;
    private static final String SERIAL = "LS-118";

    private final DemoBench bench;
    private final Scans scans;
    private final Gauges gauges;
    private final Clock clock;

    DemoScans(DemoBench bench, Scans scans, Gauges gauges, Clock clock) {
        this.bench = bench;
        this.scans = scans;
        this.gauges = gauges;
        this.clock = clock;
    }

    void load(Map<String, Actor> actors) {
        Actor ines = actors.get("ines");
        UUID scanner = UUID.randomUUID();
        gauges.put(
                actors.get("quinn"),
                scanner,
                new GaugeForm(
                        "Scanner L-1",
                        "profile scanner",
                        "0.001",
                        null,
                        SERIAL,
                        LocalDate.now(clock).plusMonths(7),
                        null,
                        "0.0004",
                        null,
                        null),
                null);
        String lot = "Scanned";
        DemoBench.Work hidden = bench.joint(lot, "SN-1", "1", "K7", "ines", tee("12", "5/16", "3/8", "3/4", "2F"))
                .ready()
                .legs(
                        "1 11/32 11/32",
                        "3 11/32 11/32",
                        "5 11/32 11/32",
                        "7 11/32 11/32",
                        "9 11/32 11/32",
                        "11 11/32 11/32")
                .clearBut("undercut");
        scan(ines, hidden, scanner, "SN-1 L-1.ply", fillet(hidden(), 21), 0);
        DemoBench.Work butt = bench.joint(
                        lot,
                        "SN-2",
                        "1",
                        "D5",
                        "ines",
                        "'weld':'groove','connection':'butt','length':'10','penetration':'cjp','backing':true,'members':[{'name':'left','thickness':'3/8'},{'name':'right','thickness':'3/8'}],'position':'1G'")
                .ready()
                .put(Entry.Sort.READING, "'at':'2','reinforcement':'3/32','offset':'1/32','division':'1/64'");
        scan(
                ines,
                butt,
                scanner,
                "SN-2 L-1.ply",
                new SimulatedWeld(false, 10 * INCH, 1, 0, 0, 16, 2.9, 1.4, 0.7, 0.02, -6, List.of(), 22),
                0);
        DemoBench.Work repaired = bench.joint(lot, "SN-3", "1", "M3", "ines", tee("12", "5/16", "3/8", "3/4", "2F"))
                .ready();
        scan(
                ines,
                repaired,
                scanner,
                "SN-3 before repair.ply",
                fillet(
                        List.of(
                                new Flaw(FlawKind.SHORT_LEGS, 110, 165, 1.6),
                                new Flaw(FlawKind.UNDERCUT_A, 118, 150, 1.1)),
                        23),
                0);
        scan(ines, repaired, scanner, "SN-3 after repair.ply", fillet(List.of(), 23), 1);
    }

    /** Between the gauge's places at 5 and 7 in. */
    private static List<Flaw> hidden() {
        return List.of(
                new Flaw(FlawKind.UNDERCUT_A, 5.4 * INCH, 6.6 * INCH, 1.8),
                new Flaw(FlawKind.UNDERCUT_B, 2 * INCH, 2.4 * INCH, 0.5),
                new Flaw(FlawKind.CRATER, 11.4 * INCH, 11.8 * INCH, 0.8));
    }

    private static SimulatedWeld fillet(List<Flaw> flaws, long seed) {
        return new SimulatedWeld(true, 12 * INCH, 1, 8.7, 8.8, 0, 0.5, 0, 0.1, 0.02, 9, flaws, seed);
    }

    private void scan(Actor by, DemoBench.Work weld, UUID scanner, String name, SimulatedWeld made, long again) {
        List<Profile> profiles = new ArrayList<>();
        for (int i = 0; i < made.profiles(); i++) {
            profiles.add(made.profile(i, again));
        }
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            new ScanWriter(profiles, "line scanner", 0.005).write(ScanWriter.Carrier.PLY_LITTLE, out);
            try (ScanStore.Received received = scans.receive(new ByteArrayInputStream(out.toByteArray()))) {
                scans.add(by, weld.inspectionId(), UUID.randomUUID(), name, scanner, received);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
