package mensor.server.demo;

import static mensor.server.demo.DemoBench.lap;
import static mensor.server.demo.DemoBench.tee;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import mensor.inspection.Entry;
import mensor.server.people.Actor;
import mensor.server.welding.WeldingEntryKind;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * The made-up footbridge over a canal lock, put in through the same services as a person would use: fillet joints in every
 * state, at least one for each kind of reject. Loaded once, into an empty database, in the demo only.
 */
@Component
@Order(1)
class DemoData implements ApplicationRunner {
    private final DemoPeople people;
    private final DemoShop shop;
    private final DemoBench bench;
    private final DemoCriteria books;
    private final DemoCauses causes;
    private final DemoClass schoolClass;
    private final DemoScans scans;
    private final DemoStudies studies;
    private final DemoMap map;
    private final DemoRepairs repairs;
    private final DemoNotices notices;
    private final HalfFilledDemo filling;
    private final Clock clock;
    private Actor engineer;

    DemoData(
            DemoPeople people,
            DemoShop shop,
            DemoBench bench,
            DemoCriteria books,
            DemoCauses causes,
            DemoClass schoolClass,
            DemoScans scans,
            DemoStudies studies,
            DemoMap map,
            DemoRepairs repairs,
            DemoNotices notices,
            HalfFilledDemo filling,
            Clock clock) {
        this.people = people;
        this.shop = shop;
        this.bench = bench;
        this.books = books;
        this.causes = causes;
        this.schoolClass = schoolClass;
        this.scans = scans;
        this.studies = studies;
        this.map = map;
        this.repairs = repairs;
        this.notices = notices;
        this.filling = filling;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!people.isWanted()) {
            return;
        }
        filling.fill(this::load, () -> {
            repairs.load();
            map.load(engineer); // the last welds come with the repairs
            notices.load();
        });
    }

    private void load() {
        Map<String, Actor> actors = people.load();
        engineer = actors.get("wanda");
        shop.open(actors);
        bench.open(actors);
        stairTowers();
        bridgeDeck();
        beforeTheFinalInspection();
        blownAndOverhead();
        splices();
        clipAngles();
        books.load();
        lockGate();
        causes.load(actors);
        schoolClass.load(actors);
        scans.load(actors);
        studies.load(actors);
        shop.findTaperOut(actors.get("quinn"));
    }

    private DemoBench.Work joint(String lot, String mark, String no, String welder, String inspector, String fields) {
        return bench.joint(lot, mark, no, welder, inspector, fields);
    }

    private void stairTowers() {
        String lot = "Stair tower 2";
        joint(lot, "ST2-14", "1", "K7", "ines", tee("24", "5/16", "3/8", "3/4", "2F"));
        joint(lot, "ST2-15", "1", "K7", "ines", tee("24", "5/16", "3/8", "3/4", "2F"))
                .ready(shop.kitBefore())
                .legs("1 5/16 3/8", "12 5/16 5/16", "23 3/8 3/8")
                .undercut("A", "6", "8", "1/32")
                .clearBut("undercut")
                .sign();
        joint(lot, "ST2-16", "1", "K7", "ines", tee("24", "5/16", "3/8", "3/4", "2F"))
                .ready()
                .blade("0", "24", "5/16")
                .undercut("A", "9", "10 1/2", "3/64")
                .undercut("B", "16", "16 1/2", "3/64")
                .clearBut("undercut")
                .picture("4", DemoPictures.withCard(0.0045))
                .picture("4", DemoPictures.withCard(0.001));
        joint(lot, "ST2-17", "1", "K7", "ines", tee("24", "5/16", "3/8", "3/4", "2F"))
                .ready()
                .legs("1 5/16 3/8", "6 5/16 3/8", "14 9/32 3/8 7/32", "17 5/16 3/8", "23 5/16 3/8")
                .undercut("A", "3", "4 1/2", "1/32")
                .undercut("A", "11", "12 1/4", "3/64")
                .undercut("A", "13 1/4", "14 1/4", "3/64")
                .seen("'kind':'undersize','from':'12 3/4','to':'14 3/4','least':'9/32'")
                .seen("'kind':'porosity','at':'6','diameter':'1/16'")
                .seen("'kind':'porosity','at':'17 1/2','diameter':'3/64'")
                .put(Entry.Sort.CLEAR, "'criterion':'crack'")
                .put(Entry.Sort.CLEAR, "'criterion':'overlap'")
                .put(Entry.Sort.CLEAR, "'criterion':'fusion'");
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
                .put(Entry.Sort.CLEAR, "'criterion':'crack'")
                .handOver("ines", "stations 1 and 5 done, toes not inspected yet");
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
                .seen("'kind':'crack','at':'18','where':'crater','orientation':'star'")
                .clearBut("crack")
                .sign();
        joint(lot, "FB-03", "2", "K7", "ines", tee("36", "1/4", "3/8", "1/2", "2F"))
                .ready(shop.kitBefore())
                .blade("0", "36", "1/4")
                .seen("'kind':'porosity','from':'8','to':'8 3/4','diameter':'3/32','count':5")
                .welding("'arcLength':'normal'")
                .pass(
                        "'kind':'root','electrode':'E7018','diameter':'1/8','amps':125,'polarity':'DCEP','cleaned':true,'welder':'K7'")
                .made(WeldingEntryKind.RODS, rodsOut(30, 23))
                .clearBut("porosity")
                .sign()
                .dispose("wanda", "porosity", "remove-and-reweld", "damp rods; use a fresh can");
        joint(lot, "FB-04", "1", "B2", "tomas", tee("36", "1/4", "3/8", "1/2", "2F"))
                .ready()
                .blade("0", "36", "1/4")
                .seen("'kind':'slag','from':'20','to':'21 1/2','trapped':true")
                .pass(
                        "'kind':'root','electrode':'E7018','diameter':'1/8','amps':95,'volts':22,'polarity':'DCEP','technique':'stringer','speed':'5 in/min','starts':['0','9','19'],"
                                + "'stops':['9','19','28'],'cleaned':false,'welder':'B2'")
                .pass(
                        "'kind':'cap','electrode':'E7018','diameter':'1/8','amps':127.5,'volts':22,'polarity':'DCEP','technique':'stringer','plannedFields':['amps','volts','polarity','technique'],"
                                + "'starts':['0','12','24'],'stops':['12','24','36'],'welder':'B2'")
                .made(
                        WeldingEntryKind.PROCESS,
                        "'question':'slag-lines','asWanted':false,'from':'19','to':'22','note':'web side'")
                .clearBut("slag");
        joint(lot, "FB-04", "2", "B2", "tomas", tee("36", "1/4", "3/8", "1/2", "2F"))
                .ready()
                .blade("0", "36", "1/4")
                .seen("'kind':'arc-strike','at':'37 1/2'")
                .seen("'kind':'spatter','from':'0','to':'36'")
                .clearBut("arc-strike", "spatter")
                .sign()
                .dispose("wanda", "arc-strike", "accept-as-is", "on a part that is cut off")
                .engineer("arc-strike", "accept-as-is", "ENG-0042", LocalDate.of(2026, 5, 12));
        joint(lot, "FB-05", "1", "B2", "ines", tee("40", "5/16", "1/2", "1", "1F"))
                .made(WeldingEntryKind.FIT_UP, "'from':'10','to':'14','opening':'1/8'")
                .made(WeldingEntryKind.FIT_UP, "'at':'20','opening':'1/32'")
                .fittedWell()
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

    /** A can of low-hydrogen rods that left the oven and came back so many hours ago. */
    private String rodsOut(int outHoursAgo, int backHoursAgo) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MINUTES);
        return "'electrode':'E7018','outings':[{'out':'" + now.minus(Duration.ofHours(outHoursAgo)) + "','back':'"
                + now.minus(Duration.ofHours(backHoursAgo)) + "'}]";
    }

    /** Joints at which what was seen before the last inspection tells where to look. */
    private void beforeTheFinalInspection() {
        String lot = "Bridge deck";
        String pass =
                "'kind':'%s','electrode':'E7018','diameter':'1/8','amps':%s,'volts':22,'polarity':'DCEP','technique':'stringer','speed':'5 in/min','temperatureF':%s,'runLength':'8',"
                        + "'starts':[%s],'stops':[%s],'cleaned':true,'welder':'K7'";
        joint(lot, "FB-10", "1", "K7", "ines", tee("24", "5/16", "3/8", "3/4", "2F"))
                .made(WeldingEntryKind.FIT_UP, "'at':'2','opening':'0'")
                .made(WeldingEntryKind.FIT_UP, "'at':'22','opening':'1/32'")
                .fittedWell()
                .pass(pass.formatted("root", "128", "85", "'0','8','16'", "'8','16','24'"))
                .pass(pass.formatted("fill", "130", "210", "'0','8 1/2','15 1/2'", "'8 1/2','15 1/2','24'"))
                .pass(pass.formatted("cap", "126", "240", "'0','6','14'", "'6','14','24'"))
                .made(WeldingEntryKind.PROCESS, "'question':'root','asWanted':true")
                .made(WeldingEntryKind.PROCESS, "'question':'layers-clean','asWanted':true")
                .made(
                        WeldingEntryKind.PROCESS,
                        "'question':'high-spots','asWanted':false,'at':'8','note':'hump at the tie-in'")
                .ready()
                .blade("0", "24", "5/16");
        joint(lot, "FB-11", "1", "M3", "tomas", tee("18", "1/4", "3/8", "1/2", "2F"))
                .made(WeldingEntryKind.FIT_UP, "'at':'9','opening':'1/4'")
                .made(WeldingEntryKind.FIT_UP_ANSWER, "'question':'scale-off','asWanted':true");
        joint(
                        lot,
                        "FB-12",
                        "1",
                        "D5",
                        "ines",
                        tee("20", "5/16", "1/2", "1", "2F").replace("'A572-50'", "'A514','delayed':true"))
                .pass(pass.formatted("root", "125", "160", "'0','8'", "'8','20'"))
                .made(WeldingEntryKind.RODS, rodsOut(26, 23))
                .welded(Duration.ofHours(22))
                .ready();
    }

    /** A weld whose end was blown, and an overhead fillet of three beads. */
    private void blownAndOverhead() {
        joint("Bridge deck", "FB-13", "1", "M3", "ines", tee("24", "5/16", "3/8", "3/4", "2F"))
                .made(
                        WeldingEntryKind.FIRST_ROD,
                        "'kind':'root','machine':'M-4','mode':'SMAW','polarity':'DCEP','electrode':'E7018','diameter':'1/8','amps':125,'arcForceShown':-5,"
                                + "'ovenHours':1,'clampClose':false,'rodsAtHand':true,'protectedNow':true")
                .pass(
                        "'kind':'root','electrode':'E7018','diameter':'1/8','amps':125,'volts':22,'polarity':'DCEP','technique':'stringer','speed':'5 in/min','machine':'M-4','arcForceShown':-5,'welder':'M3'")
                .welding("'arcLength':'normal','signs':['one-sided-spatter']")
                .ready()
                .blade("0", "24", "5/16")
                .undercut("A", "23 1/8", "23 7/8", "5/64")
                .clearBut("undercut", "spatter")
                .sign();
        String pass =
                "'kind':'%s','electrode':'E7018','diameter':'3.2','amps':%s,'volts':22,'polarity':'DCEP','technique':'stringer','runLength':'190','starts':[%s],'stops':[%s],'cleaned':true,'welder':'D5'";
        joint(
                        "Lock gate",
                        "PS-12",
                        "1",
                        "D5",
                        "tomas",
                        "'connection':'tee','length':'300 mm','size':'8 mm','position':'4F','side':'arrow','datum':'hinge end','members':[{'name':'bracket','thickness':'12 mm'},{'name':'plate','thickness':'15 mm'}]")
                .pass(pass.formatted("root", "120", "'0','170'", "'170','300'"))
                .pass(pass.formatted("cap", "122", "'0','100','260'", "'100','260','300'"))
                .pass(pass.formatted("cap", "118", "'0','190'", "'190','300'"))
                .made(
                        WeldingEntryKind.SQUARENESS,
                        "'preset':'2','squareBefore':'-2','squareAfter':'1.5','squareAllowed':'1','bowBefore':'0 over 600','bowAfter':'1 over 600','bowAllowed':'1 over 500','tackedBothEnds':true,'alternated':false")
                .ready()
                .legs("20 8mm 8mm", "150 8mm 9mm", "280 8mm 8mm");
    }

    /** Plate splices of the deck: one flush with its limits, one whose crown stands too high, one throat too small. */
    private void splices() {
        String lot = "Bridge deck";
        String butt =
                "'weld':'groove','connection':'butt','length':'%s','penetration':'%s','members':[{'name':'left','thickness':'1/2'},{'name':'right','thickness':'1/2'}],"
                        + "'groove':{'prep':'V','includedAngle':%s,'rootFace':'%s','rootOpening':'%s'},'position':'1G','grade':'A572-50','datum':'west edge, measured east'";
        String backed = butt.formatted("18", "cjp", "45", "0", "1/4")
                + ",'backing':true,'transverseTension':true,'primary':true";
        String pass =
                "'kind':'%s','electrode':'E7018','diameter':'5/32','amps':%s,'volts':23,'polarity':'DCEP','technique':'stringer','speed':'6 in/min','runLength':'9','starts':[%s],'stops':[%s],'cleaned':true,'welder':'D5'";
        joint(lot, "FB-20", "1", "D5", "ines", backed)
                .made(
                        WeldingEntryKind.FIT_UP,
                        "'at':'2','opening':'1/4','rootFace':'0','angle':45,'offset':'0','backingGap':'1/32'")
                .made(
                        WeldingEntryKind.FIT_UP,
                        "'at':'16','opening':'5/16','rootFace':'0','angle':47,'offset':'1/32','backingGap':'0'")
                .fittedWell()
                .pass(pass.formatted("root", "165", "'0','9'", "'9','18'"))
                .pass(pass.formatted("fill", "170", "'0','5','14'", "'5','14','18'"))
                .pass(pass.formatted("cap", "165", "'0','7','16'", "'7','16','18'"))
                .ready()
                .put(Entry.Sort.READING, "'at':'3','reinforcement':'3/32','offset':'0','division':'1/64'")
                .put(Entry.Sort.READING, "'at':'15','reinforcement':'1/16','offset':'1/32','division':'1/64'")
                .clearBut("profile", "misalignment", "undercut")
                .undercut("A", "4", "5 1/2", "1/32");
        joint(lot, "FB-21", "1", "D5", "tomas", backed)
                .ready()
                .put(Entry.Sort.READING, "'at':'6','reinforcement':'5/32','division':'1/64'")
                .put(Entry.Sort.READING, "'at':'12','reinforcement':'1/8','division':'1/64'")
                .clearBut("profile");
        joint(lot, "FB-22", "1", "D5", "tomas", butt.formatted("18", "pjp", "60", "1/8", "0") + ",'throat':'3/8'");
    }

    /** Forty like welds, to be inspected on one sheet. */
    private void clipAngles() {
        for (int i = 1; i <= 40; i++) {
            joint(
                    "Clip angles",
                    "CA-%02d".formatted(i),
                    "1",
                    i % 2 == 0 ? "K7" : "M3",
                    "tomas",
                    lap("6", "1/4", "3/8", "1/2"));
        }
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
                .put(Entry.Sort.READING, "'at':'100','legA':'6','legB':'6','convexity':'4','faceWidth':'8.5'")
                .blade("0", "200", "6 mm")
                .clearBut("profile")
                .sign();
    }
}
