package mensor.server.demo;

import static mensor.server.demo.DemoBench.tee;

import java.time.LocalDate;
import mensor.inspection.Entry;
import mensor.server.contract.DeviationForm;
import org.springframework.stereotype.Component;

/** Joints by the other criteria books: cyclic, tubular, test pieces, pipes, and the metric client's quality levels. */
@Component
class DemoCriteria {
    private final DemoBench bench;

    DemoCriteria(DemoBench bench) {
        this.bench = bench;
    }

    void load() {
        hingesAndCoupons();
        posts();
        riser();
        hydraulics();
        qualityLevels();
    }

    private DemoBench.Work joint(String lot, String mark, String no, String welder, String inspector, String fields) {
        return bench.joint(lot, mark, no, welder, inspector, fields);
    }

    /** A cyclic weld with a fact that the drawing keeps to itself, one read with a gauge past its date, and two test pieces. */
    private void hingesAndCoupons() {
        joint("Hinge plates", "HG-1", "1", "D5", "ines", tee("18", "5/16", "1/2", "3/4", "2F"))
                .ready()
                .blade("0", "18", "5/16")
                .undercut("A", "6", "7", "1/64")
                .clearBut("undercut");
        joint(
                        "Hinge plates",
                        "HG-2",
                        "1",
                        "D5",
                        "tomas",
                        tee("18", "5/16", "1/2", "3/4", "2F") + ",'primary':true,'transverseTension':true")
                .ready()
                .blade("0", "18", "5/16")
                .seen("'kind':'undercut','toe':'A','from':'6','to':'7','depth':'.012','gauge':'Dial D-9'")
                .clearBut("undercut");
        joint(
                        "Hinge plates",
                        "HG-3",
                        "1",
                        "D5",
                        "tomas",
                        tee("18", "5/16", "1/2", "3/4", "2F") + ",'primary':true,'transverseTension':true")
                .ready()
                .blade("0", "18", "5/16")
                .seen("'kind':'undercut','toe':'A','from':'6','to':'7','depth':'.008','gauge':'Dial D-9'")
                .clearBut("undercut")
                .waived("Dial D-9", "read .0500 on the .0500 block before and after");
        joint("Bench", "CP-1", "1", "M3", "ines", tee("8", "5/16", "3/8", "3/8", "2F"))
                .ready()
                .legs("1 5/16 5/16", "3 9/32 5/16", "5 5/16 5/16")
                .clearBut();
        joint(
                        "Bench",
                        "CP-2",
                        "1",
                        "D5",
                        "ines",
                        "'weld':'groove','connection':'butt','length':'6','penetration':'cjp','oneSided':true,'members':[{'name':'left','thickness':'3/8'},{'name':'right','thickness':'3/8'}],"
                                + "'groove':{'prep':'V','includedAngle':60,'rootFace':'1/8','rootOpening':'1/8'},'position':'1G','datum':'stamped end'")
                .ready()
                .put(Entry.Sort.READING, "'at':'3','reinforcement':'3/32','division':'1/64'")
                .seen("'kind':'melt-through','from':'2','to':'2 1/2','depth':'1/16'")
                .clearBut("profile");
        String pass =
                "'kind':'%s','electrode':'E7018','diameter':'1/8','amps':%s,'polarity':'DCEP','technique':'stringer','progression':'up','cleaned':true,'welder':'%s'";
        joint(
                        "Bench",
                        "CP-3",
                        "1",
                        "D5",
                        "ines",
                        "'weld':'groove','connection':'butt','length':'7','penetration':'cjp','backing':true,'members':[{'name':'left','thickness':'3/8'},{'name':'right','thickness':'3/8'}],"
                                + "'groove':{'prep':'V','includedAngle':45,'rootFace':'0','rootOpening':'1/4'},'position':'3G','datum':'stamped end'")
                .pass(pass.formatted("root", "115", "D5"))
                .pass(pass.formatted("fill", "120", "D5"))
                .pass(pass.formatted("cap", "115", "D5"))
                .ready()
                .put(Entry.Sort.READING, "'at':'2','reinforcement':'1/16','offset':'0','division':'1/64'")
                .put(Entry.Sort.READING, "'at':'5','reinforcement':'3/32','offset':'0','division':'1/64'")
                .clearBut()
                .sign();
        joint(
                        "Bench",
                        "CP-4",
                        "1",
                        "M3",
                        "ines",
                        "'weld':'groove','connection':'pipe-butt','length':'20 3/4','closed':true,'clock':{'diameter':'6 5/8','datum':'12:00','direction':'clockwise'},'penetration':'cjp','backing':true,"
                                + "'members':[{'name':'lower','thickness':'3/8'},{'name':'upper','thickness':'3/8'}],'position':'6G','datum':'12:00, as one looks up the pipe'")
                .pass(pass.formatted("root", "95", "M3"))
                .pass(pass.formatted("cap", "110", "M3"))
                .ready()
                .put(Entry.Sort.READING, "'at':'3:00','reinforcement':'1/16','offset':'0','division':'1/64'")
                .put(Entry.Sort.READING, "'at':'9:00','reinforcement':'1/16','offset':'1/32','division':'1/64'")
                .clearBut()
                .sign();
    }

    /** Square posts on their base plates: a contract limit tighter than the code, and what the Engineer allowed on one of them. */
    private void posts() {
        String post = "'connection':'tube-to-plate','length':'16','closed':true,'size':'1/4','position':'2F',"
                + "'datum':'north face, punch mark, measured clockwise','members':[{'name':'post','thickness':'1/4'},{'name':'plate','thickness':'1/2'}],'primary':true,'transverseTension':false";
        String lot = "Stair posts";
        joint(lot, "SP-1", "1", "K7", "ines", post)
                .ready()
                .legs("0 1/4 1/4", "5 1/4 9/32", "11 1/4 1/4")
                .undercut("A", "3", "4", "1/32")
                .clearBut("undercut");
        joint(lot, "SP-2", "1", "K7", "ines", post)
                .ready()
                .legs("0 1/4 1/4", "5 1/4 9/32", "11 1/4 1/4")
                .undercut("A", "7", "7 1/2", "3/64")
                .clearBut("undercut")
                .allowed(new DeviationForm(
                        "undercut",
                        "6",
                        "9",
                        "3/64",
                        "ENG-0051",
                        "P. Quill",
                        LocalDate.of(2026, 6, 3),
                        "inner corner, away from the rail"));
    }

    /** Pipe butts and a socket of the gate's hydraulic line. */
    /** An 8 in pipe in 6G, told by the clock: welded in two halves from the bottom, the tie-in at 6:00 not fused. */
    private void riser() {
        String stick =
                "'kind':'%s','electrode':'E7018','diameter':'1/8','amps':%s,'volts':22,'polarity':'DCEP','technique':'stringer','progression':'up','runLength':'%s',"
                        + "'starts':['%s','%s'],'stops':['%s','%s'],'cleaned':true,'welder':'D5'";
        String tig =
                "'kind':'%s','process':'GTAW','electrode':'ER70S-2','diameter':'%s','amps':%s,'polarity':'DCEN','welder':'D5'";
        joint(
                        "Risers",
                        "RS-1",
                        "1",
                        "D5",
                        "ines",
                        "'weld':'groove','connection':'pipe-butt','length':'27 3/32','closed':true,'clock':{'diameter':'8 5/8','datum':'12:00','direction':'clockwise'},"
                                + "'penetration':'cjp','oneSided':true,'groove':{'prep':'V','includedAngle':75,'rootFace':'1/16','rootOpening':'1/8'},'position':'6G','grade':'A106-B',"
                                + "'datum':'12:00, punch mark, clockwise from the lower side','members':[{'name':'lower','thickness':'1/2'},{'name':'upper','thickness':'1/2'}]")
                .pass(tig.formatted("root", "3/32", "110"))
                .pass(tig.formatted("hot", "1/8", "130"))
                .pass(stick.formatted("fill", "118", "6 3/4", "6:00", "6:00", "12:00", "12:00"))
                .pass(stick.formatted("fill", "118", "6 3/4", "5:30", "6:30", "11:30", "12:30"))
                .pass(stick.formatted("fill", "116", "5", "6:00", "6:00", "12:00", "12:00"))
                .pass(stick.formatted("fill", "116", "5", "5:30", "6:30", "11:30", "12:30"))
                .pass(stick.formatted("cap", "112", "6 1/4", "6:00", "6:00", "12:00", "12:00"))
                .pass(stick.formatted("cap", "112", "6 1/4", "5:30", "6:30", "11:30", "12:30"))
                .pass(stick.formatted("cap", "112", "6 1/4", "6:00", "6:00", "12:00", "12:00"))
                .pass(stick.formatted("cap", "110", "6 1/4", "5:30", "6:30", "11:30", "12:30"))
                .ready()
                .put(Entry.Sort.READING, "'at':'12:00','reinforcement':'1/16','offset':'0','division':'1/64'")
                .put(Entry.Sort.READING, "'at':'3:00','reinforcement':'3/32','offset':'1/32','division':'1/64'")
                .put(Entry.Sort.READING, "'at':'6:00','reinforcement':'1/16','offset':'0','division':'1/64'")
                .put(Entry.Sort.READING, "'at':'9:00','reinforcement':'1/16','offset':'1/32','division':'1/64'")
                .seen("'kind':'incomplete-fusion','from':'5:50','to':'6:10'")
                .seen("'kind':'undercut','toe':'A','from':'2:30','to':'3:00','depth':'1/64','division':'1/64'")
                .clearBut("fusion", "undercut")
                .put(Entry.Sort.CLEAR, "'criterion':'root'")
                .sign()
                .dispose("wanda", "fusion", "remove-and-reweld", "tie-in was not ground to a feather");
    }

    private void hydraulics() {
        String butt =
                "'weld':'groove','connection':'pipe-butt','length':'7 1/2','closed':true,'penetration':'cjp','oneSided':true,'position':'5G',"
                        + "'datum':'top of the pipe, measured with the flow on the left','groove':{'prep':'V','includedAngle':75,'rootFace':'1/16','rootOpening':'3/32'},"
                        + "'members':[{'name':'pipe','thickness':'1/4'},{'name':'elbow','thickness':'1/4'}],'offsetMax':'1/16'";
        String lot = "Hydraulic lines";
        joint(lot, "HL-1", "1", "D5", "ines", butt)
                .ready()
                .put(
                        Entry.Sort.READING,
                        "'at':'0','reinforcement':'1/32','faceWidth':'7/16','offset':'1/32','division':'1/64'")
                .put(
                        Entry.Sort.READING,
                        "'at':'4','reinforcement':'3/64','rootReinforcement':'1/32','rootWidth':'1/8','division':'1/64'")
                .clearBut("profile", "misalignment");
        joint(lot, "HL-2", "1", "D5", "ines", butt)
                .ready()
                .put(Entry.Sort.READING, "'at':'2','reinforcement':'1/16','division':'1/64'")
                .seen("'kind':'incomplete-penetration','from':'6 1/2','to':'1/2','depth':'1/32'")
                .seen("'kind':'incomplete-penetration','from':'3','to':'3 1/2','depth':'1/64'")
                .clearBut("profile", "misalignment");
        joint(
                        lot,
                        "HL-3",
                        "1",
                        "D5",
                        "tomas",
                        "'connection':'tube-to-plate','length':'7 1/2','closed':true,'size':'1/4','position':'2F','datum':'flow arrow, clockwise','members':[{'name':'pipe','thickness':'1/8'},{'name':'flange','thickness':'1/2'}]")
                .ready()
                .legs("0 1/4 1/4", "2 1/2 1/4 1/4", "5 1/4 1/4")
                .undercut("A", "1", "2", "1/32")
                .clearBut("undercut");
    }

    /** The metric client: a throat with its guard band, railings in level C, a fence in level D. */
    private void qualityLevels() {
        String fillet =
                "'connection':'%s','length':'%s mm','throat':'%s mm','position':'2F','side':'arrow','datum':'gate end','members':[{'name':'%s','thickness':'%s mm'},{'name':'%s','thickness':'%s mm'}]";
        joint("Seal frame", "GS-1", "1", "D5", "ines", fillet.formatted("tee", "200", "4", "bar", "8", "frame", "12"))
                .ready()
                .put(Entry.Sort.READING, "'at':'20','throat':'4.2','gauge':'Digital D-11'")
                .put(Entry.Sort.READING, "'at':'100','throat':'4.3','gauge':'Digital D-11'")
                .put(Entry.Sort.READING, "'at':'180','throat':'4.01','gauge':'Digital D-11'")
                .clearBut();
        joint("Handrails", "RL-1", "1", "M3", "tomas", fillet.formatted("tee", "160", "3", "rail", "3", "post", "5"))
                .ready()
                .put(Entry.Sort.READING, "'at':'20','throat':'3'")
                .put(Entry.Sort.READING, "'at':'80','throat':'3.1'")
                .put(Entry.Sort.READING, "'at':'140','throat':'3'")
                .seen("'kind':'undercut','toe':'A','from':'30','to':'48','depth':'0.3'")
                .seen("'kind':'undercut','toe':'A','from':'60','to':'70','depth':'0.2'")
                .clearBut("undercut");
        joint(
                        "Handrails",
                        "RL-2",
                        "1",
                        "M3",
                        "tomas",
                        "'weld':'groove','connection':'butt','length':'120 mm','penetration':'cjp','oneSided':true,'position':'1G','datum':'gate end',"
                                + "'groove':{'prep':'V','includedAngle':60,'rootFace':'1','rootOpening':'2'},'members':[{'name':'rail','thickness':'6 mm'},{'name':'rail','thickness':'6 mm'}]")
                .ready()
                .put(
                        Entry.Sort.READING,
                        "'at':'40','reinforcement':'2','faceWidth':'11','rootReinforcement':'1','rootWidth':'4','offset':'0.5'")
                .put(Entry.Sort.READING, "'at':'80','reinforcement':'3','faceWidth':'11'")
                .clearBut("profile", "misalignment");
        joint(
                        "Site fencing",
                        "SF-1",
                        "1",
                        "B2",
                        "tomas",
                        fillet.formatted("lap", "120", "3", "strap", "4", "post", "6"))
                .ready()
                .blade("0", "120", "3 mm")
                .seen("'kind':'porosity','at':'50','diameter':'0.8'")
                .seen("'kind':'crater','at':'118','depth':'0.5'")
                .seen("'kind':'arc-strike','at':'60','ground':true")
                .clearBut("porosity", "crater", "arc-strike");
    }
}
