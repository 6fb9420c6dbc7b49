package mensor.server.scan;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mensor.inspection.Entry;
import mensor.length.Unit;
import mensor.server.joint.StoredJoint;
import mensor.weld.Joint;
import mensor.weld.Toe;
import tools.jackson.databind.JsonNode;

/** What a proposal says, in a line; values as a rule would show them, the entry itself holds them in full. */
final class ProposalWords {
    private static final List<String> MEASURES =
            List.of("legA", "legB", "throat", "convexity", "reinforcement", "offset", "faceWidth");
    private static final Map<String, String> TITLES = Map.of(
            "throat", "throat",
            "convexity", "convexity",
            "reinforcement", "crown",
            "offset", "offset",
            "faceWidth", "face width");

    private ProposalWords() {}

    static String of(JsonNode said, Entry.Sort sort, StoredJoint stored) {
        Unit unit = stored.unit();
        Joint joint = Scans.joint(stored);
        return switch (sort) {
            case READING -> {
                List<String> words = new ArrayList<>();
                for (String m : MEASURES) {
                    if (said.has(m)) {
                        words.add(title(m, joint) + " " + shown(said.get(m).asString(), unit));
                    }
                }
                yield "at " + place(said.get("at"), unit) + ": " + String.join(", ", words);
            }
            case INDICATION -> {
                String kind = said.get("kind").asString();
                String toe = said.has("toe")
                        ? " " + joint.toeName("A".equals(said.get("toe").asString()) ? Toe.A : Toe.B)
                        : "";
                String how = said.has("least")
                        ? "least " + shown(said.get("least").asString(), unit)
                        : shown(said.path("depth").asString("0"), unit) + " deep";
                yield kind + toe + " " + place(said.get("from"), unit) + "–" + place(said.get("to"), unit) + ", " + how;
            }
            case CLEAR -> "undercut: none along the whole weld, by 0.1 mm and more";
            case COVER -> said.toString();
        };
    }

    private static String title(String measure, Joint joint) {
        return switch (measure) {
            case "legA" -> "leg " + joint.member(Toe.A).name();
            case "legB" -> "leg " + joint.member(Toe.B).name();
            default -> TITLES.get(measure);
        };
    }

    private static String place(JsonNode place, Unit unit) {
        return rounded(place.asString(), unit.pick(1, 0));
    }

    private static String shown(String value, Unit unit) {
        return rounded(value, unit.pick(3, 2));
    }

    private static String rounded(String value, int places) {
        try {
            BigDecimal d =
                    new BigDecimal(value).setScale(places, RoundingMode.HALF_UP).stripTrailingZeros();
            return d.signum() == 0 ? "0" : d.toPlainString();
        } catch (NumberFormatException e) {
            return value; // a fraction, as the joint's own end
        }
    }
}
