package mensor.cause;

import static mensor.cause.CauseClass.*;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import mensor.weld.Sign;

/**
 * What the shop knows: for each situation its likely causes in order, each with the check and the one thing to change; and
 * what each sign on the bead speaks for. Common practice, no source: no published frequencies stand behind the weights,
 * which are logarithms of odds chosen so that one good sign moves a cause by about one place.
 */
final class CauseTable {
    /** The situations that the shop's knowledge is ordered by. */
    enum Situation {
        UNDERCUT_ONE_TOE,
        UNDERCUT_BOTH_TOES,
        OVERLAP,
        CONVEX,
        UNDERSIZE,
        UNDERFILL,
        POROSITY_AT_START,
        POROSITY_SCATTERED,
        SLAG,
        FUSION,
        PENETRATION,
        BURN_THROUGH,
        CRATER,
        CRACK_ALONG,
        CRACK_CRATER,
        CRACK_TOE,
        ARC_STRIKE,
        SPATTER,
        SHORT,
        NOT_AS_DRAWN,
        MISALIGNED
    }

    record Row(CauseClass cause, String name, String check, String change) {}

    /** Each place further down the order lowers a cause's odds by this. */
    static final double ORDER_STEP = 0.55;
    /** What no row names: "other". */
    static final double OTHER = -2.5;

    private static final Map<Situation, List<Row>> ROWS = new EnumMap<>(Situation.class);

    private static Row row(CauseClass cause, String name, String check, String change) {
        return new Row(cause, name, check, change);
    }

    static List<Row> rows(Situation situation) {
        return ROWS.get(situation);
    }

    private static void put(Situation situation, Row... rows) {
        ROWS.put(situation, List.of(rows));
    }

    static {
        put(
                Situation.UNDERCUT_ONE_TOE,
                row(
                        WORK_ANGLE,
                        "Rod aimed away from this toe, the toe starved of metal",
                        "compare the two legs: is the one away from this toe the longer?",
                        "aim the rod more at this toe"),
                row(
                        ARC_LONG,
                        "Long arc digs at the toe and does not fill it",
                        "look for coarse spatter spread wide",
                        "shorten the arc"),
                row(
                        CURRENT_HIGH,
                        "Amps too high for the toe to fill",
                        "read the amps against the procedure",
                        "set the amps to the middle of the procedure's range"),
                row(
                        SPEED_FAST,
                        "Travel too fast to fill what the arc digs",
                        "look for a narrow bead with pointed ripples",
                        "wait for the crater to fill before moving on"),
                row(
                        MANIPULATION,
                        "No pause at this toe",
                        "does it repeat at the pitch of the weave?",
                        "pause at the toe"),
                row(
                        CLEANLINESS,
                        "Mill scale left at this toe",
                        "look at the plate beside the toe: is the scale still on?",
                        "take the mill scale off 1/2 to 1 in back"),
                row(
                        FIT_UP,
                        "Thin edge melts away",
                        "look at the edge of the thinner member",
                        "lower the heat toward the thin edge"),
                row(
                        ARC_BLOW,
                        "Arc blown to one side",
                        "is it only near an end, a corner or the work clamp?",
                        "move the work clamp, or use AC where the rod allows it"));
        put(
                Situation.UNDERCUT_BOTH_TOES,
                row(
                        MANIPULATION,
                        "No pause at the sides of the weave",
                        "does it repeat at the pitch of the weave?",
                        "pause at both sides until they fill"),
                row(
                        CURRENT_HIGH,
                        "Amps too high",
                        "read the amps against the procedure",
                        "set the amps to the middle of the procedure's range"),
                row(ARC_LONG, "Arc too long", "look for coarse spatter spread wide", "shorten the arc"),
                row(
                        SPEED_FAST,
                        "Travel too fast",
                        "look for a narrow bead with pointed ripples",
                        "slow down until both toes fill"),
                row(ARC_FORCE, "Arc force too high on a vertical", "read the arc force setting", "lower the arc force"),
                row(
                        WORK_ANGLE,
                        "Work angle changing along the weld",
                        "does the undercut change sides?",
                        "prop the hand and keep the angle"));
        put(
                Situation.OVERLAP,
                row(
                        SPEED_SLOW,
                        "Travel too slow, metal rolls over the toe",
                        "look for a wide bead with round, close ripples",
                        "travel faster"),
                row(
                        CURRENT_LOW,
                        "Too cold to wet the toe",
                        "read the amps against the procedure",
                        "raise the amps within the procedure"),
                row(
                        WORK_ANGLE,
                        "Rod aimed so that the metal runs onto the lower member",
                        "is it on the lower toe only?",
                        "aim the rod more at the upper member"),
                row(
                        MANIPULATION,
                        "Weave carried past the toe",
                        "does it repeat at the pitch of the weave?",
                        "narrow the weave"),
                row(
                        CLEANLINESS,
                        "Scale keeps the metal from wetting",
                        "does it follow patches of scale?",
                        "clean the plate back from the toes"));
        put(
                Situation.CONVEX,
                row(
                        CURRENT_LOW,
                        "Too cold: a tall ropy bead",
                        "read the amps against the procedure",
                        "raise the amps within the procedure"),
                row(
                        SPEED_SLOW,
                        "Travel too slow: more metal than asked",
                        "measure the legs: over the size?",
                        "travel faster"),
                row(
                        MANIPULATION,
                        "Straight drag, or too many narrow beads",
                        "count the beads across the face",
                        "spread the metal: a slight weave where the procedure allows it"));
        put(
                Situation.UNDERSIZE,
                row(SPEED_FAST, "Travel too fast", "look for a narrow bead with pointed ripples", "travel slower"),
                row(
                        FIT_UP,
                        "A gap drained the metal",
                        "measure the opening under the weld",
                        "close the gap, or add it to the leg"),
                row(
                        PROCEDURE,
                        "Too few passes, or the wrong size called",
                        "compare the size called in the shop with the drawing",
                        "add a pass, or correct the size called"),
                row(
                        CURRENT_LOW,
                        "Too cold: little metal laid",
                        "read the amps against the procedure",
                        "raise the amps within the procedure"),
                row(
                        WORK_ANGLE,
                        "Metal laid on one member: one leg short",
                        "is one leg longer all along?",
                        "aim between the members"),
                row(
                        MANIPULATION,
                        "Ends not filled out",
                        "is it only at the ends?",
                        "come back over the end and fill it"));
        put(
                Situation.UNDERFILL,
                row(SPEED_FAST, "Travel too fast", "look for a narrow bead", "travel slower"),
                row(PROCEDURE, "Too few passes", "count the passes against the procedure", "add a pass"),
                row(MANIPULATION, "Edges not dwelt on", "is it along the edges only?", "pause at the edges"));
        put(
                Situation.POROSITY_AT_START,
                row(
                        ARC_LONG,
                        "Arc held long at the strike",
                        "do the pores lie at each start?",
                        "strike about 1/2 in ahead, move back quickly, stay low, then go"),
                row(
                        MANIPULATION,
                        "Not struck ahead and brought back over the start",
                        "is the start itself left unmelted?",
                        "strike ahead and weld back over the start"),
                row(
                        CONSUMABLE,
                        "Bare or damp rod tip",
                        "does it follow one rod or one box?",
                        "break back bare tips; take rods from the oven"));
        put(
                Situation.POROSITY_SCATTERED,
                row(
                        CONSUMABLE,
                        "Damp rods",
                        "how long were the rods out of the oven?",
                        "take dry rods within their exposure time"),
                row(ARC_LONG, "Arc too long for its shield", "look for coarse spatter spread wide", "shorten the arc"),
                row(
                        CLEANLINESS,
                        "Rust, oil, paint, zinc or wet plate",
                        "does it follow patches on the plate?",
                        "clean the plate back from the weld"),
                row(
                        CURRENT_HIGH,
                        "Rod overheated toward its end",
                        "is it in the last third of each rod?",
                        "lower the amps within the procedure"),
                row(
                        POLARITY,
                        "Wrong polarity",
                        "read the polarity at the machine",
                        "set the polarity that the procedure asks"));
        put(
                Situation.SLAG,
                row(
                        CLEANLINESS,
                        "Slag lines of the pass below not cleaned out",
                        "were the passes wire-brushed or ground between?",
                        "clean every pass, toes first"),
                row(
                        CURRENT_LOW,
                        "Too cold to float the slag out",
                        "read the amps against the procedure",
                        "raise the amps to the upper half of the procedure's range"),
                row(
                        TRAVEL_ANGLE,
                        "Slag ran ahead of the pool",
                        "did the slag crowd the pool?",
                        "drag more, keep the slag behind"),
                row(
                        MANIPULATION,
                        "Weave too wide or uneven",
                        "does it repeat at the pitch of the weave?",
                        "narrow the weave"),
                row(
                        FIT_UP,
                        "Too narrow to reach the toes",
                        "measure the angle between bead and member",
                        "open the valley with a grinder before the next bead"));
        put(
                Situation.FUSION,
                row(
                        CURRENT_LOW,
                        "Too cold",
                        "read the amps against the procedure",
                        "raise the amps within the procedure"),
                row(
                        POLARITY,
                        "Low-hydrogen rod on the wrong pole",
                        "read the polarity at the machine",
                        "set the polarity that the procedure asks"),
                row(SPEED_FAST, "Travel too fast", "look for a narrow bead", "travel slower"),
                row(
                        SPEED_SLOW,
                        "Travel too slow: the pool ran ahead of the arc",
                        "look for a wide bead",
                        "stay on the leading edge of the pool"),
                row(WORK_ANGLE, "Rod aimed more at one plate", "is it on one toe only?", "aim between the members"),
                row(
                        PROCEDURE,
                        "Vertical down on plate of 1/4 in and over",
                        "which way was it welded?",
                        "weld vertical up"),
                row(
                        CLEANLINESS,
                        "Welded over slag or an old weld",
                        "was it cleaned between the passes?",
                        "clean to bright metal first"),
                row(
                        FIT_UP,
                        "No access to the root",
                        "measure the angle and the land",
                        "open the joint as the procedure asks"));
        put(
                Situation.PENETRATION,
                row(FIT_UP, "Gap small or land thick", "measure gap and land", "open the gap as the procedure asks"),
                row(
                        CURRENT_LOW,
                        "Too cold",
                        "read the amps against the procedure",
                        "raise the amps within the procedure"),
                row(
                        CONSUMABLE,
                        "Rod too big or of a class that lacks dig",
                        "compare the rod with the procedure",
                        "use the rod that the procedure asks"),
                row(
                        MANIPULATION,
                        "Keyhole lost at the restart",
                        "is it at the restarts?",
                        "open the keyhole before going on"));
        put(
                Situation.BURN_THROUGH,
                row(
                        CURRENT_HIGH,
                        "Amps too high",
                        "read the amps against the procedure",
                        "lower the amps within the procedure"),
                row(FIT_UP, "Gap wide or land thin", "measure gap and land", "close the gap"),
                row(SPEED_SLOW, "Travel too slow", "look for a wide bead", "travel faster"));
        put(
                Situation.CRATER,
                row(
                        MANIPULATION,
                        "Broken off without coming back",
                        "are all the ends like it?",
                        "at an end: travel off, come back about 1/4 in, wait"),
                row(
                        CURRENT_HIGH,
                        "Amps too high",
                        "read the amps against the procedure",
                        "lower the amps within the procedure"));
        put(
                Situation.CRACK_CRATER,
                row(
                        MANIPULATION,
                        "Crater left open at the end of the run",
                        "is the crater filled?",
                        "come back about 1/4 in and wait before breaking off"),
                row(
                        METALLURGY,
                        "Restraint and chemistry open what a thin crater cannot hold",
                        "ask for the steel's chemistry and the order of welding",
                        "refer to the welding engineer"),
                row(
                        CURRENT_HIGH,
                        "Amps too high: a deep crater",
                        "read the amps against the procedure",
                        "lower the amps within the procedure"));
        put(
                Situation.CRACK_ALONG,
                row(
                        METALLURGY,
                        "Hot or cold cracking: chemistry, restraint, hydrogen",
                        "when did it appear: at once, or hours later?",
                        "refer to the welding engineer: preheat, order of welding, rods"),
                row(FIT_UP, "Wide gap under a small first pass", "measure the opening under the weld", "close the gap"),
                row(
                        PROCEDURE,
                        "First pass too small or too concave for the restraint",
                        "compare the first pass with the procedure",
                        "a bigger first pass, within the procedure"),
                row(
                        CONSUMABLE,
                        "Damp rods",
                        "how long were the rods out of the oven?",
                        "take dry rods within their exposure time"));
        put(
                Situation.CRACK_TOE,
                row(
                        METALLURGY,
                        "Hydrogen, thickness, restraint and a notch at the toe",
                        "when did it appear: at once, or hours later?",
                        "refer to the welding engineer: preheat, order of welding, rods"),
                row(PROCEDURE, "No or low preheat", "what was the preheat?", "preheat as the procedure asks"),
                row(
                        CONSUMABLE,
                        "Damp rods",
                        "how long were the rods out of the oven?",
                        "take dry rods within their exposure time"));
        put(
                Situation.ARC_STRIKE,
                row(
                        MANIPULATION,
                        "Struck outside the joint",
                        "are there stray strikes along the weld?",
                        "strike only where the weld will cover it"),
                row(PROCEDURE, "Loose work clamp", "look for pits near the clamp", "clamp on clean metal, tight"));
        put(
                Situation.SPATTER,
                row(ARC_LONG, "Arc too long", "is it coarse and spread wide?", "shorten the arc"),
                row(
                        CURRENT_HIGH,
                        "Amps too high",
                        "read the amps against the procedure",
                        "lower the amps within the procedure"),
                row(CONSUMABLE, "Damp rods, or their make", "does it follow one box?", "take dry rods"),
                row(
                        ARC_BLOW,
                        "Arc blow",
                        "is it thrown to one side?",
                        "move the work clamp, or use AC where the rod allows it"),
                row(
                        POLARITY,
                        "Wrong polarity",
                        "read the polarity at the machine",
                        "set the polarity that the procedure asks"));
        put(
                Situation.SHORT,
                row(
                        MANIPULATION,
                        "Stopped early, or not wrapped around the corner",
                        "is the end short at each piece?",
                        "mark the end before welding"),
                row(
                        ARC_BLOW,
                        "Arc blow drove the welder off the end",
                        "is it at the work clamp's end?",
                        "move the work clamp"),
                row(
                        PROCEDURE,
                        "Wrong length called",
                        "compare the length called in the shop with the drawing",
                        "correct the length called"));
        put(
                Situation.NOT_AS_DRAWN,
                row(
                        PROCEDURE,
                        "Drawing read or called wrongly",
                        "compare what was called in the shop with the drawing",
                        "mark up the piece from the drawing before welding"));
        put(
                Situation.MISALIGNED,
                row(
                        FIT_UP,
                        "Parts set or tacked out of line",
                        "measure the offset along the joint",
                        "set and check before tacking"),
                row(
                        PROCEDURE,
                        "Distortion from the order of welding",
                        "does it grow along the weld?",
                        "balance the order of welding"));
    }

    /** What a sign on the bead speaks for (over zero) or against; the weight is a logarithm of odds. */
    record SignWeight(CauseClass cause, double weight) {}

    static List<SignWeight> weights(Sign sign) {
        return switch (sign) {
            case FLAT_WIDE_BEAD -> List.of(w(CURRENT_HIGH, 1.4), w(ARC_LONG, 0.6), w(SPEED_SLOW, 0.4));
            case ROPY_BEAD -> List.of(w(CURRENT_LOW, 1.6), w(CURRENT_HIGH, -1.5));
            case NARROW_BEAD -> List.of(w(SPEED_FAST, 1.6), w(SPEED_SLOW, -1.5));
            case POINTED_RIPPLES -> List.of(w(SPEED_FAST, 1.0), w(CURRENT_HIGH, 0.8));
            case ROUND_CLOSE_RIPPLES -> List.of(w(SPEED_SLOW, 1.3), w(SPEED_FAST, -1.3));
            case COARSE_SPATTER -> List.of(w(ARC_LONG, 1.5), w(CURRENT_HIGH, 0.4));
            case ONE_SIDED_SPATTER -> List.of(w(ARC_BLOW, 1.8));
            case STICK_MARKS -> List.of(w(CURRENT_LOW, 1.2), w(ARC_SHORT, 1.0));
            case SLAG_HARD_TO_FREE -> List.of(w(CURRENT_LOW, 0.8), w(TRAVEL_ANGLE, 0.3));
            case DEEP_CRATER -> List.of(w(CURRENT_HIGH, 1.2));
            case OVERHEATED_ROD_END, LAST_THIRD_OF_ROD -> List.of(w(CURRENT_HIGH, 1.6));
            case REPEATS_AT_WEAVE -> List.of(w(MANIPULATION, 1.8));
            case FOLLOWS_PATCHES -> List.of(w(CLEANLINESS, 1.8));
            case FOLLOWS_GAP -> List.of(w(FIT_UP, 1.8));
            case MILL_SCALE_LEFT, RUST_PAINT_OIL -> List.of(w(CLEANLINESS, 1.5));
            case SLAG_AHEAD_OF_POOL -> List.of(w(TRAVEL_ANGLE, 1.8));
            case POOL_PEANUT -> List.of(w(SPEED_FAST, 1.4));
            case POOL_WIDE -> List.of(w(SPEED_SLOW, 1.4));
            case SPUTTERING -> List.of(w(POLARITY, 1.5));
            case METAL_FELL_OUT -> List.of(w(ARC_LONG, 1.2), w(CURRENT_HIGH, 0.6));
            case ONE_ROD_ONLY -> List.of(w(CONSUMABLE, 1.6));
            case APPEARED_LATER -> List.of(w(METALLURGY, 1.8));
            case NOT_WIRE_BRUSHED_BETWEEN_PASSES -> List.of(w(CLEANLINESS, 1.8));
            case HAND_NOT_PROPPED -> List.of(w(MANIPULATION, 0.9), w(WORK_ANGLE, 0.4));
            case STRUCK_OUTSIDE -> List.of(w(MANIPULATION, 1.5));
            case NOT_BROUGHT_BACK_OVER_START -> List.of(w(MANIPULATION, 1.6));
            case BROKE_OFF_QUICKLY -> List.of(w(MANIPULATION, 1.6));
        };
    }

    private static SignWeight w(CauseClass cause, double weight) {
        return new SignWeight(cause, weight);
    }

    private CauseTable() {}
}
