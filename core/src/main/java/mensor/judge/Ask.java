package mensor.judge;

import java.util.List;
import java.util.Set;

/**
 * What is still to be inspected, measured or answered before a finding can be made.
 *
 * @param values lengths, places, and names, in the order of the kind's pattern
 */
public record Ask(Kind kind, List<Object> values) {
    private static final Set<Kind> FINER =
            Set.of(Kind.FINER_GAUGE, Kind.FINER_GAUGE_GUARDED, Kind.READ_CONVEXITY_FINER);

    /** What is asked; the pattern is what people read. */
    public enum Kind {
        ANSWER("{0}"),
        ASK_ENGINEER_BASE_METAL("the Engineer decides on the base metal at {0:plain}"),
        CHECK_COPY("check the concavity at {0:plain} against your copy of the code"),
        ASK_ENGINEER("ask the Engineer for the limit of {0} at {1:plain}"),
        AS_SIGNED("{0}"),
        CLEAN_FIRST("clean the {0} off first"),
        CLEAN_SLAG("clean the slag off at {0}, then inspect"),
        CLEAN_SPATTER("clean the loose spatter off at {0}, then inspect"),
        COVER_STRETCH("reach {0:plain}, or say how it is covered"),
        CORRECT_PLACE("correct the place {0:plain} or the drawing: it lies off the welded stretches"),
        FINER_GAUGE("a dial or digital gauge is needed: measure the {0} at {1} again"),
        FINER_GAUGE_GUARDED("read again with a finer gauge{0}"),
        GIVE_THROAT("give the throat that the drawing requires"),
        GROUND_PLACES("inspect every ground place and where the work clamp stood"),
        INSPECT("{0}"),
        INSPECT_REST("{0}, where nothing covers it"),
        INSPECT_WHOLE("inspect the whole weld: the inspection before did not answer this"),
        MAKE_READY("{0}"),
        MARK_BLADE("slide the blade and mark where it falls under {0:plain} near {1}"),
        MARK_EXTENT("mark where the {0} begins and ends near {1:plain}"),
        MARK_PORES("mark where each pore lies"),
        MARK_PORES_NEAR("mark where the pores lie near {0:plain}"),
        MARK_THROAT("mark where the throat falls under {0:plain} near {1:plain}"),
        MEASURE("measure the {0} at {1}"),
        MEASURE_FIRST("{0}"),
        MEASURE_UNDERFILL("measure the depth of the underfill at {0:plain}"),
        NAME_GAUGE("name the gauge that read at {0}"),
        NOT_JUDGED("{0} is not judged: {1}"),
        PARENT_METAL_UNAFFECTED("grind the arc strike at {0:plain}, or check that the parent metal is unaffected"),
        READ_AROUND("read the legs, or try the blade, around the weld: nothing was read"),
        READ_BETWEEN("read the size between {0:plain} and {1:plain}: no {2} goes without a reading"),
        READ_CONVEXITY("read the convexity at {0:plain}"),
        READ_CONVEXITY_FINER("a dial or digital gauge is needed: read the convexity at {0:plain} again"),
        READ_FACE_WIDTH("read the face width at {0:plain}"),
        READ_MORE("read the size at {0} more stations of {1:plain}; at least {2} are needed"),
        READ_OVER_GAP("read the size over the fit-up gap at {0:plain}: {1} is needed there"),
        READ_BY_CONTRACT("{0}"),
        READ_NEAR_END("read the size within {0} of {1:plain}"),
        READ_ONE_MORE("read the size at 1 more station of {1:plain}; at least {2} are needed"),
        READ_REINFORCEMENT("read the reinforcement: the joint with its crown is not thinner than the wall"),
        READ_SIZE_IN_UNITS("read the size at {0:plain} again in the drawing's units"),
        READ_SIZE_NEAR_GIRDER_END("read the size at {0:plain}, near the girder's end"),
        READ_STATION("read the legs, or try the blade, at {0:plain}"),
        READ_THICKNESS("read the thickness left at {0:plain}"),
        READ_STRETCH("read the legs, or try the blade, along {0:plain}: nothing was read there"),
        READ_THROAT_IN_UNITS("read the throat at {0:plain} again in the drawing's units"),
        READ_WIDTH("read the {0} at {1}"),
        RECORD_HOURS("record the hours since the last welding; {0} are needed"),
        REFER_OPENING("refer the opening at {0:plain}, or have the throat demonstrated"),
        REINSPECT_ALONG("re-inspect for it along {0}: both toes"),
        REMOVE_COATING("remove the coating before the inspection"),
        REVERSE_FACE("inspect the reverse face behind the repair, or say how it is covered"),
        SETTLE_FACT("{0}"),
        WAIT("wait until {0} h after the last welding");

        private final String pattern;

        Kind(String pattern) {
            this.pattern = pattern;
        }

        /** With the values of its pattern, in its order. */
        public Ask of(Object... values) {
            return new Ask(this, List.of(values));
        }
    }

    /** One line for people. */
    public String words() {
        return Phrase.of(kind.pattern, values);
    }

    /** Whether a gauge with a finer division answers it. */
    public boolean needsFinerGauge() {
        return FINER.contains(kind);
    }
}
