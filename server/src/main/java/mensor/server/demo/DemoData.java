package mensor.server.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.look.Criterion;
import mensor.server.disposition.Dispositions;
import mensor.server.inspection.Bench;
import mensor.server.inspection.ConditionsForm;
import mensor.server.inspection.EntryContent;
import mensor.server.inspection.EntryEntity.Kind;
import mensor.server.inspection.InspectionEntity;
import mensor.server.inspection.Signing;
import mensor.server.joint.JointEntity;
import mensor.server.joint.JointForm;
import mensor.server.joint.NewJoint;
import mensor.server.joint.SetUp;
import mensor.server.joint.Welding;
import mensor.server.joint.WeldingForm;
import mensor.server.people.Actor;
import mensor.server.people.DemoSignIns;
import mensor.server.people.People;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * The made-up footbridge over a canal lock, put in through the same services as a person would use: fillet joints in every
 * state, at least one for each kind of reject. Loaded once, into an empty database, in the demo only.
 */
@Component
@Order(1)
class DemoData implements ApplicationRunner {
    private static final String JOB = "Lock footbridge";
    /** What a fillet welded from both sides is looked for along its length. */
    private static final List<String> ALL_CLEAR = Arrays.stream(Criterion.values())
            .filter(c -> c.clearable() && c != Criterion.ROOT && c != Criterion.MISALIGNMENT)
            .map(Criterion::id)
            .toList();

    private final DemoSignIns signIns;
    private final People people;
    private final SetUp setUp;
    private final Welding welding;
    private final Bench bench;
    private final Signing signing;
    private final Dispositions dispositions;
    private final JsonMapper json;
    private Map<String, Actor> actors;

    DemoData(
            DemoSignIns signIns,
            People people,
            SetUp setUp,
            Welding welding,
            Bench bench,
            Signing signing,
            Dispositions dispositions,
            JsonMapper json) {
        this.signIns = signIns;
        this.people = people;
        this.setUp = setUp;
        this.welding = welding;
        this.bench = bench;
        this.signing = signing;
        this.dispositions = dispositions;
        this.json = json;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!signIns.isDemo() || !people.isEmpty()) {
            return;
        }
        actors = signIns.list().stream()
                .map(s -> people.add(
                        s.login(),
                        s.name(),
                        s.role(),
                        s.login().equals("ines") ? "QC-118" : s.login().equals("tomas") ? "QC-131" : null,
                        s.password()))
                .collect(Collectors.toMap(Actor::login, a -> a));
        stairTowers();
        bridgeDeck();
        lockGate();
    }

    /** One joint being written down: what it is, then what was looked at. */
    private final class Work {
        private final UUID inspection;
        private final Actor inspector;

        Work(JointEntity joint, Actor inspector) {
            this.inspection = bench.begin(joint).id();
            this.inspector = inspector;
        }

        Work put(Kind kind, String fields) {
            EntryContent content = json.readValue("{" + fields.replace('\'', '"') + "}", EntryContent.class);
            bench.put(inspector, inspection, new Bench.NewEntry(UUID.randomUUID(), kind, content), null);
            return this;
        }

        Work ready() {
            bench.conditions(inspector, inspection, new ConditionsForm(true, true, false, null));
            return this;
        }

        /** Legs at stations: {@code "1 5/16 3/8"} as at, leg A, leg B, then the throat if there is a fourth. */
        Work legs(String... stations) {
            for (String s : stations) {
                String[] p = s.split(" ");
                put(
                        Kind.READING,
                        "'at':'" + p[0] + "','legA':'" + p[1] + "','legB':'" + p[2] + "','division':'1/64'"
                                + (p.length > 3 ? ",'throat':'" + p[3] + "'" : ""));
            }
            return this;
        }

        Work blade(String from, String to, String size) {
            return put(Kind.READING, "'from':'" + from + "','to':'" + to + "','atLeast':'" + size + "'");
        }

        Work seen(String fields) {
            return put(Kind.INDICATION, fields);
        }

        Work undercut(String toe, String from, String to, String depth) {
            return seen("'kind':'undercut','toe':'" + toe + "','from':'" + from + "','to':'" + to + "','depth':'"
                    + depth + "','division':'1/64'");
        }

        /** After the walk: everything that was looked for and not seen, but for what is named. */
        Work clearBut(String... seen) {
            List<Bench.NewEntry> entries = new ArrayList<>();
            for (String c : ALL_CLEAR) {
                if (!Arrays.asList(seen).contains(c)) {
                    EntryContent content = json.readValue("{\"criterion\":\"" + c + "\"}", EntryContent.class);
                    entries.add(new Bench.NewEntry(UUID.randomUUID(), Kind.CLEAR, content));
                }
            }
            bench.putAll(inspector, inspection, entries);
            return this;
        }

        Work sign() {
            InspectionEntity i = bench.open(inspector, inspection).inspection();
            signing.sign(inspector, inspection, new Signing.SignForm(i.version(), i.verdict(), "QC", null));
            return this;
        }

        /** What was used to make the weld, as the welding engineer recorded it. */
        Work welding(String fields) {
            JointEntity joint = bench.open(inspector, inspection).joint();
            WeldingForm form = json.readValue("{" + fields.replace('\'', '"') + "}", WeldingForm.class);
            welding.record(actors.get("wanda"), joint.id(), joint.version(), form);
            return this;
        }

        Work handOver(String to, String note) {
            bench.handOver(inspector, inspection, actors.get(to).id(), note);
            return this;
        }

        Work dispose(String who, String finding, String decision, String note) {
            return dispose(who, finding, new Dispositions.Decision(decision, note, null, null, null, null));
        }

        Work dispose(String who, String finding, Dispositions.Decision decision) {
            Bench.Opened o = bench.open(inspector, inspection);
            dispositions.decide(actors.get(who), inspection, true, o.judged().evaluation(), finding, decision);
            return this;
        }
    }

    private Work joint(String lot, String mark, String no, String welder, String inspector, String fields) {
        JointForm form = json.readValue(
                ("{'mark':'" + mark + "','weldNo':'" + no + "','weld':'fillet'," + fields + "}").replace('\'', '"'),
                JointForm.class);
        boolean metric = fields.contains(" mm'");
        JointEntity joint = setUp.create(
                actors.get(inspector),
                new NewJoint(JOB, lot, "d1.1-static", metric ? "mm" : "in", welder, "W-12", form));
        return new Work(joint, actors.get(inspector));
    }

    private static String tee(String length, String size, String web, String flange, String position) {
        return "'connection':'tee','length':'" + length + "','size':'" + size + "','position':'" + position
                + "','side':'arrow','datum':'north end, punch mark, measured east','grade':'A572-50','members':[{'name':'web','thickness':'"
                + web + "'},{'name':'flange','thickness':'" + flange + "'}]";
    }

    private static String lap(String length, String size, String top, String bottom) {
        return "'connection':'lap','length':'" + length + "','size':'" + size
                + "','position':'2F','side':'other','datum':'lower end, punch mark, measured up','grade':'A36','members':[{'name':'top','thickness':'"
                + top + "'},{'name':'bottom','thickness':'" + bottom + "'}]";
    }

    private void stairTowers() {
        String lot = "Stair tower 2";
        joint(lot, "ST2-14", "1", "K7", "ines", tee("24", "5/16", "3/8", "3/4", "2F"));
        joint(lot, "ST2-15", "1", "K7", "ines", tee("24", "5/16", "3/8", "3/4", "2F"))
                .ready()
                .legs("1 5/16 3/8", "12 5/16 5/16", "23 3/8 3/8")
                .undercut("A", "6", "8", "1/32")
                .clearBut("undercut")
                .sign();
        joint(lot, "ST2-16", "1", "K7", "ines", tee("24", "5/16", "3/8", "3/4", "2F"))
                .ready()
                .blade("0", "24", "5/16")
                .undercut("A", "9", "10 1/2", "3/64")
                .undercut("B", "16", "16 1/2", "3/64")
                .clearBut("undercut");
        joint(lot, "ST2-17", "1", "K7", "ines", tee("24", "5/16", "3/8", "3/4", "2F"))
                .ready()
                .legs("1 5/16 3/8", "6 5/16 3/8", "14 9/32 3/8 7/32", "17 5/16 3/8", "23 5/16 3/8")
                .undercut("A", "3", "4 1/2", "1/32")
                .undercut("A", "11", "12 1/4", "3/64")
                .undercut("A", "13 1/4", "14 1/4", "3/64")
                .seen("'kind':'undersize','from':'12 3/4','to':'14 3/4','least':'9/32'")
                .seen("'kind':'porosity','at':'6','diameter':'1/16'")
                .seen("'kind':'porosity','at':'17 1/2','diameter':'3/64'")
                .put(Kind.CLEAR, "'criterion':'crack'")
                .put(Kind.CLEAR, "'criterion':'overlap'")
                .put(Kind.CLEAR, "'criterion':'fusion'");
        joint(lot, "ST2-18", "1", "K7", "ines", tee("18", "1/4", "1/4", "1/2", "3F"))
                .ready()
                .legs("1 1/4 1/4", "9 1/4 9/32", "17 1/4 1/4")
                .undercut("A", "2", "16", "5/64")
                .clearBut("undercut")
                .sign()
                .dispose("rufus", "undercut", "add-metal", "grind to bright metal first, 3/32 rod");
        joint(lot, "ST2-19", "1", "M3", "tomas", tee("18", "1/4", "1/4", "1/2", "3F"))
                .ready()
                .legs("1 1/4 1/4", "9 1/8 3/16", "17 1/4 1/4")
                .clearBut()
                .sign();
        joint(lot, "ST2-20", "1", "M3", "tomas", lap("10", "1/4", "3/8", "1/2"))
                .ready()
                .legs("1 1/4 1/4", "5 1/4 1/4")
                .put(Kind.CLEAR, "'criterion':'crack'")
                .handOver("ines", "stations 1 and 5 done, toes not looked at yet");
        joint(lot, "ST2-21", "1", "M3", "tomas", lap("10", "1/4", "3/8", "1/2"))
                .ready()
                .blade("0", "10", "1/4")
                .seen("'kind':'overlap','toe':'B','from':'4','to':'6'")
                .clearBut("overlap")
                .sign()
                .dispose("rufus", "overlap", "blend", "take the roll off, keep the leg");
    }

    private void bridgeDeck() {
        String lot = "Bridge deck";
        joint(lot, "FB-03", "1", "K7", "ines", tee("36", "1/4", "3/8", "1/2", "2F"))
                .ready()
                .blade("0", "36", "1/4")
                .seen("'kind':'crack','at':'18','where':'crater'")
                .clearBut("crack")
                .sign();
        joint(lot, "FB-03", "2", "K7", "ines", tee("36", "1/4", "3/8", "1/2", "2F"))
                .ready()
                .blade("0", "36", "1/4")
                .seen("'kind':'porosity','from':'8','to':'8 3/4','diameter':'3/32','count':5")
                .welding("'electrodeExposureHours':7,'arcLength':'normal','passes':["
                        + "{'pass':1,'kind':'root','electrode':'E7018','diameter':'1/8','amps':125,'polarity':'DCEP'}]")
                .clearBut("porosity")
                .sign()
                .dispose("wanda", "porosity", "remove-and-reweld", "damp rods; use a fresh can");
        joint(lot, "FB-04", "1", "B2", "tomas", tee("36", "1/4", "3/8", "1/2", "2F"))
                .ready()
                .blade("0", "36", "1/4")
                .seen("'kind':'slag','from':'20','to':'21 1/2','trapped':true")
                .welding(
                        "'passes':["
                                + "{'pass':1,'kind':'root','electrode':'E7018','diameter':'1/8','amps':95,'polarity':'DCEP','technique':'stringer'},"
                                + "{'pass':2,'kind':'cap','electrode':'E7018','diameter':'1/8','amps':100,'polarity':'DCEP','technique':'stringer'}]")
                .clearBut("slag");
        joint(lot, "FB-04", "2", "B2", "tomas", tee("36", "1/4", "3/8", "1/2", "2F"))
                .ready()
                .blade("0", "36", "1/4")
                .seen("'kind':'arc-strike','at':'37 1/2'")
                .seen("'kind':'spatter','from':'0','to':'36'")
                .clearBut("arc-strike", "spatter")
                .sign()
                .dispose(
                        "wanda",
                        "arc-strike",
                        new Dispositions.Decision(
                                "accept-as-is",
                                "on a part that is cut off",
                                "ENG-0042",
                                "P. Quill",
                                LocalDate.of(2026, 5, 12),
                                null));
        joint(
                        lot,
                        "FB-05",
                        "1",
                        "B2",
                        "ines",
                        tee("40", "5/16", "1/2", "1", "1F") + ",'gaps':[{'from':'10','to':'14','opening':'1/8'}]")
                .ready()
                .legs("1 3/8 3/8", "9 5/16 3/8", "12 7/16 7/16", "20 5/16 3/8", "30 5/16 5/16", "39 3/8 3/8")
                .clearBut();
        joint(lot, "FB-06", "1", "B2", "ines", tee("30", "1/4", "3/8", "1/2", "2F"))
                .ready()
                .legs("1 1/4 1/4", "10 15/64 1/4", "12 15/64 1/4", "20 1/4 1/4", "29 1/4 1/4")
                .clearBut();
        joint(lot, "FB-07", "1", "K7", "tomas", tee("24", "1/4", "3/8", "1/2", "2F"))
                .ready()
                .blade("0", "22", "1/4")
                .seen("'kind':'short-weld','missing':'1 1/2'")
                .seen("'kind':'crater','at':'22'")
                .clearBut("length", "crater");
        joint(lot, "FB-08", "1", "M3", "tomas", tee("24", "1/4", "3/8", "1/2", "2F"))
                .ready()
                .blade("0", "24", "1/4")
                .seen("'kind':'not-as-drawn','what':'missing-return','at':'24'")
                .clearBut("as-drawn")
                .sign()
                .dispose("rufus", "as-drawn", "refer", "is the return needed?");
    }

    private void lockGate() {
        String lot = "Lock gate";
        joint(
                        lot,
                        "HP-1",
                        "1",
                        "D5",
                        "ines",
                        "'connection':'tee','length':'12','size':'1/4','position':'2F','closed':true,"
                                + "'datum':'upstream side, punch mark, measured clockwise','members':[{'name':'post','thickness':'1/4'},{'name':'base','thickness':'1/2'}]")
                .ready()
                .legs("0 1/4 1/4", "4 1/4 9/32", "8 1/4 1/4")
                .seen("'kind':'undercut','toe':'A','from':'11 1/4','to':'1/2','depth':'3/64','division':'1/64'")
                .clearBut("undercut")
                .sign();
        joint(
                        lot,
                        "HP-2",
                        "1",
                        "D5",
                        "ines",
                        "'connection':'tee','length':'12','size':'1/4','position':'2F','closed':true,"
                                + "'datum':'upstream side, punch mark, measured clockwise','members':[{'name':'post','thickness':'1/4'},{'name':'base','thickness':'1/2'}]")
                .ready()
                .legs("0 1/4 1/4", "4 1/4 9/32")
                .seen("'kind':'slag','from':'2','to':'4'");
        joint(
                        lot,
                        "PS-11",
                        "1",
                        "D5",
                        "tomas",
                        "'connection':'tee','length':'300 mm','size':'6 mm','position':'2F','side':'arrow','datum':'hinge end','members':[{'name':'bracket','thickness':'10 mm'},{'name':'plate','thickness':'12 mm'}]")
                .ready()
                .legs("20 6mm 6mm", "150 6mm 7mm", "280 6mm 6mm")
                .seen("'kind':'undercut','toe':'A','from':'40','to':'80','depth':'0.9','division':'0.5'")
                .clearBut("undercut");
        joint(
                        lot,
                        "PS-12",
                        "1",
                        "D5",
                        "tomas",
                        "'connection':'lap','length':'150 mm','size':'5 mm','position':'4F','side':'arrow','datum':'hinge end','members':[{'name':'clip','thickness':'6 mm'},{'name':'plate','thickness':'12 mm'}]")
                .ready()
                .legs("10 5mm 5mm", "75 5mm 6mm", "140 5mm 5mm")
                .seen("'kind':'incomplete-fusion','from':'60','to':'85'")
                .clearBut("fusion")
                .sign();
        joint(
                lot,
                "PS-13",
                "1",
                "D5",
                "tomas",
                "'connection':'tee','length':'300 mm','size':'6 mm','position':'3F','side':'other','datum':'hinge end','segments':[{'from':'0','to':'75'},{'from':'225','to':'300'}],'members':[{'name':'bracket','thickness':'10 mm'},{'name':'plate','thickness':'12 mm'}]");
        joint(
                        lot,
                        "PS-14",
                        "1",
                        "D5",
                        "tomas",
                        "'connection':'tee','length':'200 mm','size':'6 mm','position':'2F','side':'arrow','datum':'hinge end','members':[{'name':'bracket','thickness':'10 mm'},{'name':'plate','thickness':'12 mm'}]")
                .ready()
                .put(Kind.READING, "'at':'100','legA':'6','legB':'6','convexity':'4','faceWidth':'8.5'")
                .blade("0", "200", "6 mm")
                .clearBut("profile")
                .sign();
    }
}
