package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.inspection.InProcessInspection;
import mensor.weld.InvalidField;
import mensor.weld.Named;

/** What good welders do in more than one way: the shop picks one, the others stand beside it (common practice, no source). */
public enum SchoolTopic implements Named {
    RESTART_LEAD(
            "restart-lead",
            "How far ahead of the crater a restart begins",
            List.of(
                    new School(
                            "half-inch",
                            "1/2 in ahead",
                            "a short way back over the start: what is porous there is remelted",
                            Map.of()),
                    new School(
                            "one-inch",
                            "about 1 in ahead",
                            "low-hydrogen rods: more room until the arc is steady",
                            Map.of()),
                    new School("barely", "barely ahead", "no arc mark beside the bead, less to grind", Map.of()))),
    COVER(
            "cover",
            "How much of the root bead the second one covers",
            List.of(
                    new School(
                            "sixty",
                            "60 %",
                            "a wide shelf: the third bead has a sure seat",
                            Map.of("secondOverlap", 0.60)),
                    new School("even-face", "80–90 %", "an even face, less valley", Map.of("secondOverlap", 0.85)),
                    new School(
                            "two-thirds",
                            "2/3 to 3/4, as overhead",
                            "even legs where the metal wants to sag",
                            Map.of("secondOverlap", 0.70, "overheadOverlap", 0.70)))),
    CAP(
            "cap",
            "Where the fill ends before the cap",
            List.of(
                    new School(
                            "below-flush",
                            "1/16 in below flush",
                            "the bevel's edges stay in sight and guide the cap",
                            Map.of("fillBelow", 25.4 / 16)),
                    new School(
                            "flush",
                            "flush, then cap",
                            "plates in 1G to 3G: the cap is of one height",
                            Map.of("fillBelow", 0.0)))),
    LAYERS(
            "layers",
            "How the layers of a fillet grow",
            List.of(
                    new School("one-more", "1-2-3", "fewest layers, each a bead wider", Map.of("repeatLayers", 0.0)),
                    new School(
                            "twice",
                            "1-2-2-3",
                            "steadier beads, the face built up evenly",
                            Map.of("repeatLayers", 1.0)))),
    OPEN_ROOT(
            "open-root",
            "How an open root is laid",
            List.of(
                    new School(
                            "whip", "whip and pause", "cellulosic rods uphill: the pause fills the keyhole", Map.of()),
                    new School(
                            "drag",
                            "drag, or a small weave",
                            "low-hydrogen rods, and downhill: a steady arc",
                            Map.of()))),
    SLAG_LINES(
            "slag-lines",
            "Slag lines of the root",
            List.of(
                    new School("ground", "ground out", "nothing is left to chance under the fill", Map.of()),
                    new School(
                            "burnt-out", "burnt out by a hot pass", "quicker, and the root is not thinned", Map.of()))),
    BEADS(
            "beads",
            "Stringers or a weave",
            List.of(
                    new School("stringer", "stringers", "less heat, finer grain, even starts", Map.of()),
                    new School(
                            "weave",
                            "a weave",
                            "fewer starts uphill, edges filled by the pause",
                            Map.of("beadRods", 4.0))));

    /**
     * One way of doing it.
     *
     * @param constants what the pass plan takes from it, by name
     */
    public record School(String id, String title, String reason, Map<String, Double> constants) {}

    private final String id;
    private final String title;
    private final List<School> schools;

    SchoolTopic(String id, String title, List<School> schools) {
        this.id = id;
        this.title = title;
        this.schools = schools;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    public List<School> schools() {
        return schools;
    }

    /** The school that was picked; empty where none was. */
    public Optional<School> picked(Map<String, String> picks) {
        return schools.stream().filter(s -> s.id().equals(picks.get(id))).findFirst();
    }

    /** @throws InvalidField where a topic or a school is not known */
    public static void check(Map<String, String> picks) {
        picks.forEach((topic, school) -> {
            SchoolTopic known = Named.find(SchoolTopic.class, topic)
                    .orElseThrow(() -> new InvalidField(
                            "schools." + topic, "one of " + Named.list(SchoolTopic.class) + " is required"));
            if (known.picked(picks).isEmpty()) {
                throw new InvalidField(
                        "schools." + topic,
                        "one of "
                                + String.join(
                                        ", ",
                                        known.schools.stream().map(School::id).toList())
                                + " is required, got \"" + school + "\"");
            }
        });
    }

    /** The plan's constants as the picked schools have them. */
    public static PlanConstants constants(Map<String, String> picks) {
        PlanConstants all = PlanConstants.USUAL;
        List<School> picked = new ArrayList<>();
        for (SchoolTopic topic : values()) {
            topic.picked(picks).ifPresent(picked::add);
        }
        for (School s : picked) {
            all = all.with(s.constants());
        }
        return all;
    }

    /** What the questions of the in-process inspection take from the picked schools. */
    public static InProcessInspection.Practice practice(Map<String, String> picks) {
        return new InProcessInspection.Practice(
                CAP.picked(picks).filter(s -> s.id().equals("flush")).isPresent(),
                SLAG_LINES.picked(picks).filter(s -> s.id().equals("burnt-out")).isPresent());
    }
}
