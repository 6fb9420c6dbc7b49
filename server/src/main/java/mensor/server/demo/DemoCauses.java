package mensor.server.demo;

import static mensor.server.demo.DemoBench.tee;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.cause.CoachingNotes;
import mensor.server.cause.Outcome;
import mensor.server.cause.Trials;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.testpiece.Ratings;
import mensor.server.testpiece.SpecimenForm;
import mensor.server.testpiece.Specimens;
import mensor.server.welding.WeldingEntryKind;
import org.springframework.stereotype.Component;

/** A finished lot that the rates are made of, and welds with causes: a cold pass, a change that did not help, coupons bent. */
@Component
class DemoCauses {
    private static final String LOT = "Stair tower 1";
    private static final int WELDS = 44;

    private final DemoBench bench;
    private final Joints joints;
    private final Trials trials;
    private final Specimens tests;
    private final CoachingNotes coaching;

    DemoCauses(DemoBench bench, Joints joints, Trials trials, Specimens tests, CoachingNotes coaching) {
        this.bench = bench;
        this.joints = joints;
        this.trials = trials;
        this.tests = tests;
        this.coaching = coaching;
    }

    void load(Map<String, Actor> actors) {
        finishedLot();
        coldThenHot(actors);
        coupons(actors);
    }

    private DemoBench.Work sound(String mark, String welder, String position) {
        return bench.joint(LOT, mark, "1", welder, "ines", tee("24", "5/16", "3/8", "3/4", position))
                .ready()
                .blade("0", "24", "5/16");
    }

    /** Signed welds of two welders, a few of them rejected. */
    private void finishedLot() {
        for (int i = 1; i <= WELDS; i++) {
            DemoBench.Work w = sound("ST1-%02d".formatted(i), i % 2 == 0 ? "K7" : "B2", i % 4 < 2 ? "2F" : "3F");
            switch (i) {
                case 3, 9, 15, 27 ->
                    w.seen("'kind':'slag','from':'" + i % 7 + "','to':'" + (i % 7 + 1) + "','trapped':true")
                            .clearBut("slag");
                case 5, 21 -> w.undercut("A", "4", "8", "3/32").clearBut("undercut");
                case 8 -> w.undercut("B", "10", "13", "5/64").clearBut("undercut");
                case 30, 31 ->
                    w.seen("'kind':'crater','at':'23 1/2','depth':'1/16'").clearBut("crater");
                case 40 -> w.seen("'kind':'arc-strike','at':'6','ground':false").clearBut("arc-strike");
                default -> w.clearBut();
            }
            w.sign();
        }
    }

    /** Two welds with slag: cleaning better did not help, the record was cold. */
    private void coldThenHot(Map<String, Actor> actors) {
        DemoBench.Work first = cold("ST1-45");
        DemoBench.Work second = cold("ST1-46");
        StoredJoint joint = joints.get(first.jointId());
        UUID trial = UUID.randomUUID();
        trials.changed(
                actors.get("wanda"),
                first.inspectionId(),
                joint,
                trial,
                new Trials.TrialForm("cleanliness", "slag", "every pass wire-brushed, toes first"));
        trials.showed(
                actors.get("ines"), trial, new Trials.OutcomeForm("ST1-46", Outcome.SAME, "slag at the web toe again"));
        trials.changed(
                actors.get("wanda"),
                second.inspectionId(),
                joints.get(second.jointId()),
                UUID.randomUUID(),
                new Trials.TrialForm("current-low", "slag", "root pass: amps from 95 to 135"));
    }

    private DemoBench.Work cold(String mark) {
        DemoBench.Work w = sound(mark, "B2", "2F");
        w.made(
                WeldingEntryKind.PASS,
                "'kind':'root','electrode':'E7018','diameter':'1/8','amps':95,'polarity':'DCEP','technique':'stringer','starts':['0','9'],'stops':['9','24'],'cleaned':true");
        return w.seen("'kind':'slag','from':'14','to':'15 1/2','trapped':true")
                .undercut("A", "4", "5", "3/32")
                .clearBut("slag", "undercut");
    }

    /** The welders' test pieces, bent and rated. */
    private void coupons(Map<String, Actor> actors) {
        joints.everywhere().stream().filter(j -> j.mark().startsWith("CP-")).forEach(j -> {
            boolean first = j.mark().equals("CP-1");
            specimensOf(j.mark())
                    .forEach(s -> tests.record(
                            actors.get("wanda"), j.id(), UUID.randomUUID(), DemoFields.read(SpecimenForm.class, s)));
            if (!first && !j.mark().equals("CP-2")) {
                return; // the qualification pieces are not rated
            }
            coaching.rate(
                    actors.get("ines"),
                    bench.inspectionOf(j.id()),
                    new Ratings.RatingForm(
                            Map.of(
                                    "profile",
                                    2,
                                    "toes",
                                    first ? 2 : 1,
                                    "uniformity",
                                    1,
                                    "tie-ins",
                                    1,
                                    "cleaning",
                                    1,
                                    "defects",
                                    first ? 1 : 0),
                            "even width, face slightly convex",
                            first ? "a bump at the second tie-in" : "toes not wetted at the restart"));
        });
    }

    private static List<String> specimensOf(String mark) {
        return switch (mark) {
            case "CP-1" ->
                List.of(
                        "'kind':'macro','specimen':'macro 1','cracks':false,'fullFusion':true,'fusedToRoot':true,'legsAsRequired':true,'profileAsRequired':true,'undercut':'1/64','throat':'1/4','penetration':'1/32'",
                        "'kind':'fillet-break','specimen':'break 1','fullFusion':true,'largest':'1/16','sum':'3/16'");
            case "CP-2" -> List.of(bend("face bend 1", ""), bend("root bend 1", "'5/32'"));
            case "CP-3" -> List.of(bend("root bend 1", "'1/16'"), bend("face bend 1", ""));
            case "CP-4" ->
                List.of(
                        bend("face bend 1", ""),
                        bend("root bend 1", "'3/16'"),
                        bend("face bend 2", "'1/32'"),
                        bend("root bend 2", "'1/16', '3/32'"));
            default -> List.of();
        };
    }

    private static String bend(String specimen, String openings) {
        return "'kind':'" + specimen.substring(0, 4) + "-bend','specimen':'" + specimen + "','openings':[" + openings
                + "],'corners':[],'lookedOver':true";
    }
}
