package mensor.practice;

import java.util.EnumSet;
import java.util.Set;
import mensor.length.Unit;
import mensor.weld.InvalidField;

/**
 * What made-up welds to practice on are like.
 *
 * @param level 1 large flaws, 5 flaws that are hardly seen
 * @param fillet a tee, else a butt
 * @param criteria the code that judges
 * @param kinds what may be wrong
 * @param crowd 0 few flaws, 3 many
 * @param dirt 0 clean, 3 spatter and slag all over
 */
public record PracticeSetting(
        int level, boolean fillet, Unit units, String criteria, Set<FlawKind> kinds, int crowd, int dirt) {
    public static final int MOST_LEVEL = 5;
    private static final int MOST = 3;

    public PracticeSetting {
        range("level", level, 1, MOST_LEVEL);
        range("crowd", crowd, 0, MOST);
        range("dirt", dirt, 0, MOST);
        if (kinds.isEmpty()) {
            throw new InvalidField("kinds", "at least one kind of flaw is required");
        }
        if (!fillet && kinds.contains(FlawKind.SHORT_LEG)) {
            throw new InvalidField("kinds", "a butt has no legs: leave the short leg out");
        }
        kinds = Set.copyOf(kinds);
    }

    private static void range(String field, int value, int from, int to) {
        if (value < from || value > to) {
            throw new InvalidField(field, from + " to " + to + " is required, got " + value);
        }
    }

    /** The usual mixture of a level: the higher, the more kinds, flaws and dirt. */
    public static PracticeSetting ofLevel(int level, boolean fillet, Unit units, String criteria) {
        range("level", level, 1, MOST_LEVEL);
        EnumSet<FlawKind> kinds = EnumSet.of(FlawKind.UNDERCUT, FlawKind.PORE);
        if (level >= 2) {
            kinds.add(FlawKind.CRATER);
        }
        if (level >= 2 && fillet) {
            kinds.add(FlawKind.SHORT_LEG);
        }
        if (level >= 3) {
            kinds.add(FlawKind.CRACK);
        }
        return new PracticeSetting(
                level, fillet, units, criteria, kinds, Math.min(MOST, level / 2), Math.min(MOST, level / 2));
    }
}
