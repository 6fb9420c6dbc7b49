package mensor.criteria;

import java.util.List;

/**
 * What Mensor does where the codes are silent, and why.
 *
 * @param what the choice
 * @param why the reason, with "common practice, no source" where there is no other
 */
public record SilentPlace(String title, String what, String why) {
    private static final String CAREFUL = "the careful reading: it can ask for more, never for less";

    /** All of them, in the order in which an inspection meets them. */
    public static final List<SilentPlace> ALL = List.of(
            new SilentPlace(
                    "No reading is not a pass",
                    "What was neither read nor inspected for is incomplete, and is listed as still to do.",
                    "An empty field says nothing about a weld."),
            new SilentPlace(
                    "Windows are exact",
                    "“In any 12 in” is every position of the window, ends included; on a closed weld it passes the datum. A"
                            + " weld shorter than the window has one window with the whole allowance, and a note.",
                    "Fixed slices let a cluster hide on a seam between two of them."),
            new SilentPlace(
                    "Undercut on both toes adds up",
                    "The stretches of both toes are summed in one window; each toe's own sum stands in the arithmetic. A job"
                            + " may choose each toe by itself where the inspection plan says so.",
                    CAREFUL + "."),
            new SilentPlace(
                    "Where stretches overlap",
                    "On one toe the deeper depth counts, and the length once.",
                    "It is one undercut, described twice."),
            new SilentPlace(
                    "The size at a station",
                    "Flat or convex: the smaller leg; a throat that was read caps it. Concave: also the leg of its throat. A"
                            + " lone leg, or a concave face without throat or concavity, can reject and not accept.",
                    "A concave face has long legs and a thin throat."),
            new SilentPlace(
                    "Between stations nothing is invented",
                    "A run of low stations is under size at least from the first to the last of them, at most from the good one"
                            + " before to the good one after. Between the two bounds the answer is to slide the blade and mark it.",
                    "Two gauges' readings do not tell what lies between them."),
            new SilentPlace(
                    "Enough readings to accept a size",
                    "A blade along the whole weld; or three stations, one within 2 in [50 mm] of each end, none further apart"
                            + " than 12 in [300 mm]; one is enough up to 3 in [75 mm].",
                    "Common practice, no source."),
            new SilentPlace(
                    "Intermittent fillets",
                    "The underrun is said of continuous welds: an intermittent one has none. A job may grant it where the"
                            + " inspection plan says so.",
                    CAREFUL + "."),
            new SilentPlace(
                    "What cannot be seen",
                    "A report covers a criterion for the whole weld or for a stretch; the rest is still inspected. A stretch that"
                            + " nobody gets at and nothing covers leaves the weld incomplete, and is named.",
                    "Nobody can say how it is there."),
            new SilentPlace(
                    "Base metal beside the weld",
                    "D1.1: what is sharp rejects until it is dressed smooth; then the loss may be 1/32 in [1 mm] or 5 % of the"
                            + " thickness, the lesser; beyond that the Engineer decides. Codes that do not name it set no limit.",
                    "As for faces ground flush, from memory, low confidence."),
            new SilentPlace(
                    "What the drawing asks",
                    "A fillet smaller than the least for the thickness, shorter than four times its size, over the largest along a"
                            + " lapped edge, or a rod without low hydrogen on a steel that wants it is noted, never judged.",
                    "The weld is as drawn; the question is the Engineer's."),
            new SilentPlace(
                    "Exactly at the limit accepts",
                    "Comparisons are exact: fractions stay fractions, roots are carried to fifty digits.",
                    "The codes write “not more than”."),
            new SilentPlace(
                    "Convexity",
                    "What was read judges. What follows from throat and legs only asks for a reading, or accepts.",
                    "A throat gauge and two leg readings add their errors."),
            new SilentPlace(
                    "Pores along a stretch",
                    "Of n pores somewhere along a stretch as many as may share the window are counted at most, and as many as"
                            + " must share one at least; between the two they are to be marked.",
                    "A count without places bounds the sum from both sides."),
            new SilentPlace(
                    "A fact that is not known",
                    "Both answers are judged; where they agree that is the verdict, else the fact is asked for.",
                    "A guess would be worth as much as the better guess."),
            new SilentPlace(
                    "Near the limit",
                    "An accepting reading nearer to its limit than half the gauge's division is marked; a limit finer than the"
                            + " division cannot be shown with that gauge, and a finer one is asked for.",
                    "Common practice, no source."),
            new SilentPlace(
                    "The other unit system",
                    "Readings are converted exactly. A low one that is the other system's name for the size (5/16 in, 8 mm) is"
                            + " read again in the drawing's units.",
                    "The two columns of a code are no exact conversions."));
}
