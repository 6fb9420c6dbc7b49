package mensor.server.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.joint.Joints;
import mensor.server.people.Actor;
import mensor.server.testpiece.Handouts;
import mensor.server.testpiece.PieceForm;
import mensor.server.testpiece.Pieces;
import mensor.server.testpiece.Ratings;
import mensor.server.testpiece.SpecimenForm;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** A class of five learners over three months: what each welded, changed, got for it, and what broke. */
@Component
class DemoClass {
    private static final List<String> PARTS =
            List.of("profile", "toes", "uniformity", "tie-ins", "cleaning", "defects");
    private static final int[] MOST = {2, 2, 2, 2, 1, 1};

    private final Pieces pieces;
    private final Handouts handouts;
    private final Joints joints;
    private final JsonMapper json;
    private final Clock clock;
    private Map<String, Actor> actors;
    private LocalDate today;
    private UUID last;
    private Map<String, String> settings;

    DemoClass(Pieces pieces, Handouts handouts, Joints joints, JsonMapper json, Clock clock) {
        this.pieces = pieces;
        this.handouts = handouts;
        this.joints = joints;
        this.json = json;
        this.clock = clock;
    }

    void load(Map<String, Actor> people) {
        actors = people;
        today = LocalDate.now(clock);
        lea();
        noah();
        mira();
        otto();
        june();
        qualifications();
        Actor igor = actors.get("igor");
        handouts.give(igor, new Handouts.HandoutForm("ten-restarts", List.of("noah", "june"), today.plusDays(9)));
        handouts.give(igor, new Handouts.HandoutForm("overhead-fillet", List.of("lea"), today.plusDays(5)));
        handouts.give(
                igor, new Handouts.HandoutForm("uphill-without-undercut", List.of("mira", "otto"), today.plusDays(16)));
    }

    /** Undercut uphill, taken down one setting at a time. */
    private void lea() {
        begin("rod E7018 diameter 1/8 amps 130 polarity DCEP arc-length long length 6");
        piece("lea", 84, "single-bead", 4, "undercut 2 spatter 3 uneven-width 2", "");
        piece("lea", 80, "single-bead", 5, "undercut 2 spatter 1 uneven-width 1", "arc-length short");
        piece("lea", 71, "pad-of-beads", 5, "undercut 2 slag 2", "");
        piece("lea", 66, "pad-of-beads", 7, "undercut 1 slag 1", "amps 125");
        Map<String, String> aims =
                Map.of("width-off", "1/16", "off-line", "1/32", "cover", "50", "valley", "1/32", "slag", "0");
        piece("lea", 60, "pad-of-beads", 8, "", "cover", aims);
        begin(
                "rod E7018 diameter 1/8 amps 120 polarity DCEP arc-length short progression up position 3F thickness 3/8 size 1/4 length 6");
        piece("lea", 45, "uphill-without-undercut", 4, "undercut 4", "");
        piece("lea", 38, "uphill-without-undercut", 5, "undercut 3", "amps 115");
        piece("lea", 31, "uphill-without-undercut", 7, "undercut 1", "amps 110");
        piece("lea", 24, "uphill-without-undercut", 5, "slag 2 lack-of-fusion 1 undercut 1", "amps 95");
        piece(
                "lea",
                10,
                "uphill-without-undercut",
                8,
                "",
                "amps 110",
                Map.of("undercut", "0", "convexity", "1/16", "legs-apart", "1/16", "slag", "0"));
    }

    /** Restarts with pores, mended by striking ahead. */
    private void noah() {
        begin("rod E7018 diameter 1/8 amps 120 polarity DCEP length 10 restart at-the-crater");
        piece("noah", 77, "single-bead", 5, "spatter 1", "");
        piece("noah", 63, "ten-restarts", 3, "porosity 5 restart 6", "");
        piece("noah", 55, "ten-restarts", 6, "porosity 1 restart 3", "restart 1/2-in-ahead");
        piece("noah", 41, "ten-restarts", 7, "restart 2", "amps 125");
        piece("noah", 20, "t-stack", 6, "slag 2 overlap 1", "");
    }

    /** Quick: two things at once, and a step that tells nothing. */
    private void mira() {
        begin("rod E6010 diameter 1/8 amps 95 polarity DCEP length 6");
        piece("mira", 70, "single-bead", 6, "spatter 1", "");
        piece("mira", 49, "one-rod-run", 6, "uneven-width 2", "rod E7018 amps 120");
        piece("mira", 35, "horizontal-fillet", 7, "undercut 1", "");
        piece("mira", 21, "horizontal-fillet", 8, "", "work-angle 40");
        piece("mira", 7, "t-stack", 9, "", "");
    }

    /** Downhill looks better and breaks worse. */
    private void otto() {
        begin(
                "rod E7018 diameter 1/8 amps 115 polarity DCEP progression up position 3F thickness 3/8 size 1/4 length 6");
        piece("otto", 56, "uphill-without-undercut", 5, "undercut 2 uneven-width 1", "");
        UUID up = piece("otto", 42, "uphill-without-undercut", 6, "uneven-width 1", "amps 110");
        broken(up, "'kind':'fillet-break','specimen':'break 1','fullFusion':true,'largest':'1/32','sum':'1/16'");
        UUID down = piece("otto", 28, "uphill-without-undercut", 8, "", "progression down");
        broken(down, "'kind':'fillet-break','specimen':'break 1','fullFusion':false,'largest':'1/8','sum':'1/2'");
    }

    private void june() {
        begin("rod E6013 diameter 3/32 amps 75 polarity AC length 6");
        piece("june", 18, "single-bead", 3, "uneven-width 3 spatter 2 restart 1", "");
        piece("june", 11, "single-bead", 4, "uneven-width 2 spatter 2", "travel slower");
        piece("june", 4, "single-bead", 6, "uneven-width 1", "arc-length short");
    }

    private void begin(String said) {
        settings = words(said);
        last = null;
    }

    private UUID piece(String who, int daysAgo, String drill, int score, String faults, String changed) {
        return piece(who, daysAgo, drill, score, faults, changed, Map.of());
    }

    /** A piece like the one before with what was changed, its picture, and the instructor's score. */
    private UUID piece(
            String who, int daysAgo, String drill, int score, String faults, String changed, Map<String, String> aims) {
        words(changed).forEach(settings::put);
        Map<String, Integer> counted = new LinkedHashMap<>();
        words(faults).forEach((fault, n) -> counted.put(fault.replace('-', ' '), Integer.valueOf(n)));
        UUID id = UUID.randomUUID();
        pieces.put(
                actors.get(who),
                id,
                new Pieces.PieceChange(
                        new PieceForm(
                                null,
                                KINDS.getOrDefault(drill, "fillet-tee"),
                                "practice",
                                who,
                                drill,
                                today.minusDays(daysAgo),
                                "in",
                                Map.copyOf(settings),
                                true,
                                counted,
                                aims,
                                "Igor Thane",
                                null,
                                null,
                                last),
                        null));
        last = id;
        int beads = drill.equals("pad-of-beads") ? 5 : drill.equals("t-stack") ? 3 : 1;
        pieces.addPicture(
                actors.get(who),
                id,
                UUID.randomUUID(),
                DemoPictures.of(daysAgo * 31L + who.hashCode(), beads, score / 10.0, counted));
        pieces.rate(actors.get("igor"), id, new Ratings.RatingForm(points(score), null, null));
        return id;
    }

    private static final Map<String, String> KINDS = Map.of(
            "single-bead", "bead",
            "ten-restarts", "bead",
            "one-rod-run", "bead",
            "pad-of-beads", "pad",
            "t-stack", "t-stack");

    /** {@code "amps 115 progression up"} as pairs; a hyphen in a value stands for a blank. */
    private static Map<String, String> words(String said) {
        Map<String, String> pairs = new LinkedHashMap<>();
        String[] all = said.isBlank() ? new String[0] : said.split(" ");
        for (int i = 0; i + 1 < all.length; i += 2) {
            pairs.put(all[i], all[i + 1].matches("[A-Z].*|\\d+") ? all[i + 1] : all[i + 1].replace('-', ' '));
        }
        return pairs;
    }

    /** The points spread over the rubric's lines, from the first on. */
    private static Map<String, Integer> points(int score) {
        Map<String, Integer> points = new LinkedHashMap<>();
        int left = score;
        for (int round = 0; round < 2; round++) {
            for (int i = 0; i < PARTS.size(); i++) {
                int has = points.getOrDefault(PARTS.get(i), 0);
                int more = left > 0 && has < MOST[i] ? 1 : 0;
                points.put(PARTS.get(i), has + more);
                left -= more;
            }
        }
        return points;
    }

    private void broken(UUID piece, String specimen) {
        pieces.test(
                actors.get("igor"),
                piece,
                UUID.randomUUID(),
                json.readValue(DemoFields.text(specimen), SpecimenForm.class));
    }

    /** A welder's test that is at the bench takes its place in the welder's series: one passed, one failed on a root bend. */
    private void qualifications() {
        joints.everywhere().stream()
                .filter(j -> List.of("CP-3", "CP-4").contains(j.mark()))
                .forEach(j -> pieces.ofWeld(actors.get("ines"), j.id()));
    }
}
