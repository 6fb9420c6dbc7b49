package mensor.cause;

import java.util.Locale;
import mensor.weld.Named;

/** What the inspection, the joint and the record tell by themselves; what each speaks for stands in {@code causes.md}. */
public enum Fact implements Named {
    AT_THE_END,
    AT_A_START_OR_STOP,
    MID_LENGTH,
    LONG_ALONG,
    REPEATED,
    SINGLE,
    GAP_HERE,
    FIT_UP_OFF,
    ONE_TOE,
    BOTH_TOES,
    OTHER_LEG_LONGER,
    OWN_LEG_LONGER,
    UNDERCUT_OPPOSITE,
    LEGS_OVER_SIZE,
    LEGS_GOOD,
    AMPS_OVER,
    AMPS_UNDER,
    AMPS_INSIDE_UPPER_HALF,
    AMPS_INSIDE_LOWER_HALF,
    AC,
    DC,
    BLOWN,
    LOW_HYDROGEN_ON_DCEN,
    POLARITY_RIGHT,
    WEAVE,
    MANY_PASSES,
    VERTICAL_DOWN,
    VERTICAL_DOWN_THICK,
    STRAIGHT_UP,
    ARC_FORCE_HIGH,
    ARC_FORCE_LOW,
    ARC_RECORDED_LONG,
    ARC_RECORDED_NORMAL,
    ARC_RECORDED_SHORT,
    SCALE_LEFT,
    SCALE_REMOVED,
    RODS_OUT_TOO_LONG,
    RODS_IN_TIME,
    PREHEAT_LOW,
    THICK,
    CONCAVE_FACE,
    REMARK_NOT_CLEAN,
    REMARK_OLD_WELD,
    REMARK_VALLEY,
    REMARK_FILL_HIGH,
    REMARK_ROOT,
    REMARK_STACKED,
    SEEN_ARC_WANDERS,
    SEEN_SLAG_AHEAD,
    SEEN_KEYHOLE_CLOSES,
    SEEN_KEYHOLE_GROWS,
    SEEN_ROD_STICKS,
    SEEN_UNDERCUT_STAYS,
    SEEN_METAL_FALLS;

    @Override
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
