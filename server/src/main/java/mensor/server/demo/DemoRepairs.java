package mensor.server.demo;

import static mensor.server.demo.DemoBench.tee;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.springframework.stereotype.Component;

/** Rejected welds in every state of their repair: one on hold, one in its second cycle, one closed with its whole story. */
@Component
class DemoRepairs {
    private static final String LOT = "Canal landing";
    private static final String SLAG = "'kind':'slag','from':'10','to':'11 1/2','trapped':true";
    private static final String OUT = "'from':'9 1/2','to':'12'";
    private static final List<String> WELDERS = List.of("B2", "K7", "M3");
    private static final LocalDate MAY = LocalDate.of(2026, 5, 18);

    private final DemoBench bench;
    private final Clock clock;

    DemoRepairs(DemoBench bench, Clock clock) {
        this.bench = bench;
        this.clock = clock;
    }

    void load() {
        rejected("CL-01", SLAG, "slag").notified("ines", "slag", "R. Lorne, on the floor");
        begun("CL-02").did("rufus", "slag", "extent-known", OUT);
        excavated(begun("CL-03"));
        accepted(begun("CL-04"));
        welded(begun("CL-05"));
        ready(begun("CL-06"));
        onHold();
        secondCycle();
        wholeStory();
    }

    private DemoBench.Work rejected(String mark, String seen, String criterion) {
        return bench.joint(
                        LOT,
                        mark,
                        "1",
                        WELDERS.get(mark.charAt(mark.length() - 1) % WELDERS.size()),
                        "ines",
                        tee("24", "5/16", "3/8", "3/4", "2F"))
                .ready()
                .blade("0", "24", "5/16")
                .seen(seen)
                .clearBut(criterion)
                .sign();
    }

    private DemoBench.Work begun(String mark) {
        return rejected(mark, SLAG, "slag")
                .notified("ines", "slag", "R. Lorne, by phone")
                .dispose("rufus", "slag", "remove-and-reweld", "burr at the root, do not touch the web");
    }

    private static DemoBench.Work excavated(DemoBench.Work w) {
        return w.did("rufus", "slag", "extent-known", OUT)
                .did("rufus", "slag", "excavated", OUT + ",'method':'burr','depth':'3/16'");
    }

    private static DemoBench.Work accepted(DemoBench.Work w) {
        return excavated(w).did("ines", "slag", "cavity-accepted", "'clean':true,'seenBy':'I. Marl'");
    }

    private DemoBench.Work welded(DemoBench.Work w) {
        return accepted(w)
                .did(
                        "rufus",
                        "slag",
                        "welded",
                        "'welder':'K7','rod':'E7018','diameter':'1/8','rods':3,'minutes':95,'preheat':75,'scale':'F','weldedAt':'"
                                + clock.instant().truncatedTo(ChronoUnit.MINUTES) + "'");
    }

    private DemoBench.Work ready(DemoBench.Work w) {
        return welded(w).did("rufus", "slag", "ready-to-inspect", "'cleaned':true,'cooled':true");
    }

    private void onHold() {
        rejected("CL-07", "'kind':'crack','from':'14','to':'15 1/4','where':'base'", "crack")
                .notified("ines", "crack", "W. Tarn and R. Lorne")
                .dispose("wanda", "crack", "remove-and-reweld", "the crack runs into the web")
                .did("rufus", "crack", "extent-known", "'from':'13 1/2','to':'15 1/2','foundBy':'MT'");
        rejected("CL-08", "'kind':'undercut','toe':'A','from':'3','to':'9','depth':'1/16'", "undercut")
                .dispose("wanda", "undercut", "accept-as-is", "low stress there; asked by letter");
    }

    private void secondCycle() {
        DemoBench.Work again = ready(begun("CL-09")).again("ines").readyAgain();
        again.blade("9 1/2", "12", "5/16")
                .seen("'kind':'porosity','at':'11','diameter':'7/16'")
                .clearBut("porosity")
                .sign()
                .dispose("wanda", "porosity", "remove-and-reweld", "rods from a fresh can")
                .did("rufus", "porosity", "extent-known", "'from':'10 1/2','to':'11 1/2'");
    }

    /** Rejected, repaired, rejected again, repaired again with the Engineer told, accepted. */
    private void wholeStory() {
        DemoBench.Work first = rejected("CL-10", "'kind':'crack','from':'10','to':'11','where':'crater'", "crack")
                .notified("ines", "crack", "R. Lorne, by phone")
                .dispose("rufus", "crack", "remove-and-reweld", "a crater crack; find its ends first")
                .did("rufus", "crack", "extent-known", "'from':'9 3/4','to':'11 1/4','foundBy':'PT'")
                .engineer("crack", "major-crack", "ENG-0051", MAY);
        cracked(first, "crack", "7 1/2", "13 1/2");
        DemoBench.Work second = first.again("ines").readyAgain();
        second.blade("7 1/2", "13 1/2", "5/16")
                .seen(SLAG)
                .clearBut("slag")
                .sign()
                .dispose("rufus", "slag", "remove-and-reweld", "clean between passes");
        ready(second);
        second.again("tomas")
                .readyAgain()
                .blade("9 1/2", "12", "5/16")
                .clearBut()
                .sign();
    }

    private void cracked(DemoBench.Work w, String criterion, String from, String to) {
        String span = "'from':'" + from + "','to':'" + to + "'";
        w.did("rufus", criterion, "excavated", span + ",'method':'carbon-arc','depth':'1/4'")
                .did(
                        "ines",
                        criterion,
                        "cavity-accepted",
                        "'clean':true,'seenBy':'I. Marl','proof':'MT','proofReport':'MT 31'")
                .did(
                        "rufus",
                        criterion,
                        "welded",
                        "'welder':'K7','rod':'E7018','diameter':'1/8','rods':5,'minutes':150,'preheat':75,'scale':'F','weldedAt':'"
                                + clock.instant().truncatedTo(ChronoUnit.MINUTES) + "'")
                .did("rufus", criterion, "ready-to-inspect", "'cleaned':true,'cooled':true");
    }
}
