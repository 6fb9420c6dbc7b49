package mensor.server.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.gauge.GaugeForm;
import mensor.server.gauge.Gauges;
import mensor.server.job.ContractTerms;
import mensor.server.job.JobForm;
import mensor.server.job.JobForm.Drawing;
import mensor.server.job.JobForm.FurtherTest;
import mensor.server.job.Jobs;
import mensor.server.machine.MachineForm;
import mensor.server.machine.Machines;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.procedure.Procedures;
import mensor.server.welder.WelderForm;
import mensor.server.welder.Welders;
import org.springframework.stereotype.Component;

/** The made-up shop around the footbridge: jobs, procedures, welders, gauges, and the inspectors' papers. */
@Component
class DemoShop {
    static final String BRIDGE = "Lock footbridge";
    static final String LINES = "Lock gate lines";
    static final String COUPONS = "Welder tests";
    static final String HINGES = "Lock gate hinges";
    static final String POSTS = "Stair tower posts";
    static final String HYDRAULICS = "Lock gate hydraulics";
    static final String SEALS = "Lock gate seals";
    static final String RAILINGS = "Footbridge railings";
    static final String FENCING = "Footbridge fencing";

    private final Jobs jobs;
    private final Procedures procedures;
    private final Welders welders;
    private final Gauges gauges;
    private final Machines machines;
    private final People people;
    private final Clock clock;
    private final List<UUID> kit = new ArrayList<>();
    private UUID taper;

    DemoShop(
            Jobs jobs,
            Procedures procedures,
            Welders welders,
            Gauges gauges,
            Machines machines,
            People people,
            Clock clock) {
        this.jobs = jobs;
        this.procedures = procedures;
        this.welders = welders;
        this.gauges = gauges;
        this.machines = machines;
        this.people = people;
        this.clock = clock;
    }

    /** The gauges that every inspector carries today. */
    List<UUID> kit() {
        return kit;
    }

    void open(Map<String, Actor> actors) {
        Actor wanda = actors.get("wanda");
        Actor quinn = actors.get("quinn");
        jobs.create(
                quinn,
                new JobForm(
                        BRIDGE,
                        "d1.1-static",
                        "in",
                        "static",
                        "Client specification CS-4",
                        "1",
                        List.of(new Drawing("FB-201", "C"), new Drawing("ST-104", "B")),
                        List.of(new FurtherTest("MT", 10, "due"), new FurtherTest("UT", 100, "done")),
                        List.of(
                                "Bridge deck",
                                "Stair tower 1",
                                "Stair tower 2",
                                "Canal landing",
                                "Lock gate",
                                "Clip angles"),
                        null,
                        null,
                        Map.of("cover", "even-face", "cap", "below-flush", "restart-lead", "one-inch")));
        jobs.create(
                quinn,
                new JobForm(
                        LINES,
                        "d1.1-static",
                        "mm",
                        null,
                        null,
                        null,
                        List.of(new Drawing("LG-11", "A")),
                        List.of(new FurtherTest("PT", 100, "due")),
                        List.of("Pipe supports"),
                        null,
                        null,
                        null));
        jobs.create(
                quinn,
                new JobForm(
                        COUPONS,
                        "d1.1-welder-test",
                        "in",
                        "static",
                        null,
                        null,
                        List.of(),
                        List.of(),
                        List.of("Bench"),
                        null,
                        null,
                        null));
        jobs.create(
                quinn,
                new JobForm(
                        HINGES,
                        "d1.1-cyclic",
                        "in",
                        "cyclic",
                        null,
                        null,
                        List.of(new Drawing("LG-30", "0")),
                        List.of(new FurtherTest("MT", 100, "due")),
                        List.of("Hinge plates"),
                        null,
                        null,
                        null));
        otherJobs(quinn);
        procedures.create(wanda, w12("A", "50", "[115, 165]"));
        procedures.create(wanda, w12("B", "70", "[115, 140]"));
        procedures.create(
                wanda,
                json(
                        "{'format':'mensor-procedure/1','number':'W-15','revision':'0','units':'in','welds':['fillet'],'thinnest':'1/4','thickest':'1','positions':['2F','3F'],"
                                + "'progression':'down','steel':'a572-50-type','preheatF':32,'passes':[{'kind':'root','electrode':'E7018','diameter':'5/32','amps':[150,225],'layer':'3/8'}]}"));
        procedures.create(
                wanda,
                json(
                        "{'format':'mensor-procedure/1','number':'W-20','revision':'1','units':'mm','welds':['fillet'],'thinnest':'3','thickest':'20','positions':['1F','2F','3F','4F'],"
                                + "'progression':'up','steel':'a36-type','preheatF':50,'interpassMaxF':450,'passes':[{'kind':'root','electrode':'E7018','diameter':'3.2','amps':[115,140],'polarity':'DCEP'}]}"));
        procedures.create(
                wanda,
                json(
                        "{'format':'mensor-procedure/1','number':'W-31','revision':'0','units':'in','welds':['groove'],'connections':['butt'],'thinnest':'1/4','thickest':'1','positions':['1G'],"
                                + "'steel':'a572-50-type','preheatF':50,'interpassMaxF':500,'beadWidthRods':4,'backing':true,'brightMetal':'1/2','cleaning':'chip, wire wheel','passes':["
                                + groovePass("root") + "," + groovePass("fill") + "," + groovePass("cap") + "]}"));
        procedures.create(
                wanda,
                json(
                        "{'format':'mensor-procedure/1','number':'W-41','revision':'0','units':'in','welds':['groove','fillet'],'connections':['pipe-butt','tube-to-plate'],'thinnest':'1/8','thickest':'1/2','positions':['2F','5G'],"
                                + "'steel':'a36-type','preheatF':50,'interpassMaxF':500,'beadWidthRods':4,'cleaning':'chip, wire wheel','passes':["
                                + "{'kind':'root','electrode':'E6010','diameter':'1/8','amps':[75,110],'volts':[21,26],'polarity':'DCEP'},"
                                + pass("cap", "[115, 140]", "3/16") + "]}"));
        procedures.create(wanda, json(W42));
        welders(wanda);
        gauges(quinn, actors);
        machine(
                wanda,
                "'name':'M-4','modes':['SMAW','GTAW'],'arcForceLowest':-10,'arcForceMiddle':0,'arcForceHighest':10,'checkedOn':'"
                        + LocalDate.now(clock).minusMonths(2)
                        + "','displayAmps':120,'meterAmps':114");
        machine(wanda, "'name':'M-7','modes':['SMAW','GMAW'],'arcForceLowest':0,'arcForceHighest':100");
        papers(actors);
    }

    /** Jobs by the other books, some with limits of their own. */
    private void otherJobs(Actor quinn) {
        job(
                quinn,
                POSTS,
                "d1.1-tubular",
                "in",
                List.of("Stair posts", "Risers"),
                new Drawing("ST-120", "A"),
                limits(new ContractTerms.Limit("undercut.depth", "1/64", "CS-7, 4.2")));
        job(
                quinn,
                HYDRAULICS,
                "b31.3-normal",
                "in",
                List.of("Hydraulic lines"),
                new Drawing("HL-5", "B"),
                limits(new ContractTerms.Limit("arc-strike.none", null, "pipe class 12, 7.3")));
        job(
                quinn,
                SEALS,
                "iso5817-b",
                "mm",
                List.of("Seal frame"),
                new Drawing("LG-44", "0"),
                ContractTerms.ofInspections(null, true, "CS-9, 3.1: guard band of 2 u"));
        job(quinn, RAILINGS, "iso5817-c", "mm", List.of("Handrails"), new Drawing("FB-310", "B"), null);
        job(quinn, FENCING, "iso5817-d", "mm", List.of("Site fencing"), new Drawing("FB-330", "0"), null);
    }

    private static ContractTerms limits(ContractTerms.Limit limit) {
        return ContractTerms.ofInspections(List.of(limit), null, null);
    }

    private void job(
            Actor quinn,
            String name,
            String book,
            String units,
            List<String> lots,
            Drawing drawing,
            ContractTerms terms) {
        jobs.create(
                quinn,
                new JobForm(name, book, units, null, null, null, List.of(drawing), List.of(), lots, null, terms, null));
    }

    /** Where a lot belongs: its job, drawing and, where it has one of its own, procedure. */
    record Place(String job, String lot, String drawing, String revision, String procedure) {}

    static Place place(String lot, boolean metric) {
        return switch (lot) {
            case "Bench" -> new Place(COUPONS, lot, null, null, null);
            case "Hinge plates" -> new Place(HINGES, lot, "LG-30", "0", null);
            case "Stair posts" -> new Place(POSTS, lot, "ST-120", "A", "W-41");
            case "Risers" -> new Place(POSTS, lot, "ST-120", "A", "W-42");
            case "Hydraulic lines" -> new Place(HYDRAULICS, lot, "HL-5", "B", "W-41");
            case "Seal frame" -> new Place(SEALS, lot, "LG-44", "0", null);
            case "Handrails" -> new Place(RAILINGS, lot, "FB-310", "B", null);
            case "Site fencing" -> new Place(FENCING, lot, "FB-330", "0", null);
            case "Stair tower 1", "Stair tower 2" -> new Place(BRIDGE, lot, "ST-104", "B", null);
            default ->
                metric
                        ? new Place(LINES, "Pipe supports", "LG-11", "A", null)
                        : new Place(BRIDGE, lot, "FB-201", "C", null);
        };
    }

    /** Around a pipe: the root and the hot pass by TIG, stick over them. */
    private static final String W42 =
            "{'format':'mensor-procedure/1','number':'W-42','revision':'0','units':'in','welds':['groove'],'connections':['pipe-butt'],'thinnest':'3/16','thickest':'1','positions':['5G','6G'],"
                    + "'progression':'up','steel':'a36-type','preheatF':50,'interpassMaxF':500,'beadWidthRods':2.5,'cleaning':'chip, grind the tie-ins to a feather','passes':["
                    + "{'kind':'root','process':'GTAW','electrode':'ER70S-2','diameter':'3/32','amps':[85,130],'polarity':'DCEN','layer':'1/8'},"
                    + "{'kind':'hot','process':'GTAW','electrode':'ER70S-2','diameter':'1/8','amps':[110,150],'polarity':'DCEN','layer':'3/32'},"
                    + pass("fill", "[100, 130]", "3/16") + "," + pass("cap", "[95, 125]", "3/16") + "]}";

    private static String json(String quoted) {
        return quoted.replace('\'', '"');
    }

    private static String w12(String revision, String preheat, String amps) {
        return json("{'format':'mensor-procedure/1','number':'W-12','revision':'" + revision
                + "','units':'in','welds':['fillet'],'connections':['tee','lap','corner'],'thinnest':'1/8','thickest':'1','positions':['1F','2F','3F'],'progression':'up','steel':'a572-50-type','preheatF':"
                + preheat
                + ",'interpassMaxF':450,'beadWidthRods':3,'stringerOnly':true,'cleaning':'chip, wire wheel','passes':["
                + pass("root", amps, "5/16") + "," + pass("fill", amps, "3/16") + "," + pass("cap", amps, "3/16")
                + "]}");
    }

    private static String pass(String kind, String amps, String layer) {
        return "{'kind':'" + kind + "','electrode':'E7018','diameter':'1/8','amps':" + amps
                + ",'volts':[20,24],'polarity':'DCEP','technique':'stringer','travel':['4 in/min','7 in/min'],'layer':'"
                + layer + "'}";
    }

    private static String groovePass(String kind) {
        return "{'kind':'" + kind
                + "','electrode':'E7018','diameter':'5/32','amps':[150,200],'volts':[21,25],'polarity':'DCEP','travel':['5 in/min','8 in/min'],'layer':'3/16'}";
    }

    private void machine(Actor wanda, String fields) {
        machines.put(wanda, UUID.randomUUID(), DemoFields.read(MachineForm.class, fields), null);
    }

    private void welders(Actor wanda) {
        LocalDate today = LocalDate.now(clock);
        LocalDate tested = today.minusYears(2);
        welder(wanda, "K7", "R. Kell", new WelderForm.WelderTest(4, "3G", "3/4", true, tested, today.minusDays(6)));
        welder(wanda, "M3", "S. Moor", new WelderForm.WelderTest(4, "3G", null, true, tested, today.minusDays(20)));
        welder(wanda, "B2", "T. Bray", new WelderForm.WelderTest(4, "2F", null, false, tested, today.minusMonths(9)));
        welder(wanda, "D5", "L. Dunn", new WelderForm.WelderTest(4, "6G", null, false, tested, today.minusDays(3)));
    }

    private void welder(Actor wanda, String stamp, String name, WelderForm.WelderTest test) {
        welders.put(wanda, new WelderForm(stamp, name, List.of(test)), null);
    }

    private void gauges(Actor quinn, Map<String, Actor> actors) {
        LocalDate today = LocalDate.now(clock);
        kit.add(gauge(quinn, "Blades F-2", "fillet blades", "1/16", "1 in", today.plusMonths(7), null));
        kit.add(gauge(quinn, "Undercut U-4", "undercut gauge", "1/64", "1/4 in", today.plusMonths(2), null));
        kit.add(gauge(quinn, "Throat T-1", "throat gauge", "1/32", "1/2 in", today.plusMonths(11), null));
        kit.add(gauge(quinn, "Rule R-3", "steel rule", "1/32", "24 in", today.plusMonths(4), null));
        gauge(quinn, "Dial D-9", "dial depth gauge", ".001", "1/2 in", today.minusDays(12), ".0008");
        kit.add(gauge(
                quinn, "Digital D-11", "digital depth gauge", "0.01 mm", "25 mm", today.plusMonths(9), "0.02 mm"));
        taper = gauge(quinn, "Taper G-7", "taper gap gauge", "1/64", "1/2 in", today.plusMonths(5), null);
        for (String who : List.of("ines", "tomas")) {
            gauges.takeKit(actors.get(who), kit);
        }
    }

    /** The kit with the taper gauge, as it was carried before that was found out of calibration. */
    List<UUID> kitBefore() {
        List<UUID> before = new ArrayList<>(kit);
        before.add(taper);
        return before;
    }

    /** The taper gauge fails its check: what it touched is re-inspected. */
    void findTaperOut(Actor quinn) {
        Gauges.GaugeView g = gauges.all().stream()
                .filter(x -> x.id().equals(taper))
                .findFirst()
                .orElseThrow();
        GaugeForm f = g.form();
        LocalDate found = LocalDate.now(clock).minusDays(4);
        gauges.put(
                quinn,
                taper,
                new GaugeForm(
                        f.name(),
                        f.kind(),
                        f.division(),
                        f.range(),
                        f.serial(),
                        f.due(),
                        found,
                        f.uncertainty(),
                        f.measured(),
                        f.measuredBy()),
                g.version());
    }

    private UUID gauge(
            Actor quinn, String name, String kind, String division, String range, LocalDate due, String certificate) {
        String serial = name.substring(name.lastIndexOf(' ') + 1) + "-26";
        return gauges.put(
                        quinn,
                        UUID.randomUUID(),
                        new GaugeForm(name, kind, division, range, serial, due, null, certificate, null, null),
                        null)
                .id();
    }

    private void papers(Map<String, Actor> actors) {
        LocalDate today = LocalDate.now(clock);
        people.withPapers().forEach(p -> {
            String login = p.person().login();
            boolean inspects = login.equals("ines") || login.equals("tomas");
            people.certify(
                    actors.get(login).id(),
                    new People.Papers(
                            p.papers().certificate(),
                            inspects ? today.plusMonths(login.equals("ines") ? 14 : 3) : null,
                            inspects ? today.plusMonths(8) : null,
                            null,
                            login + "@lock-bridge.example",
                            p.papers().version()));
        });
    }
}
