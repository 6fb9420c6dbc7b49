package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.weld.Joint;
import mensor.weld.RodTable;

/** How the root pass of an open root is laid: as the shop picked, else by the rod (common practice, no source). */
public final class OpenRoot {
    private static final String WHIP = "whip";

    private OpenRoot() {}

    /**
     * For people, a line each; none where there is no open root.
     *
     * @param rod of the root pass, where it is known and by stick
     * @param picks the schools of the job or the shop
     */
    public static List<String> lines(Joint joint, Optional<String> rod, Map<String, String> picks) {
        if (joint.isFillet() || joint.backing().orElse(false) || rod.isEmpty()) {
            return List.of();
        }
        Optional<Boolean> low = rod.flatMap(RodTable::isLowHydrogen);
        Optional<SchoolTopic.School> picked = SchoolTopic.OPEN_ROOT.picked(picks);
        Optional<SchoolTopic.School> way =
                picked.or(() -> low.flatMap(l -> SchoolTopic.OPEN_ROOT.picked(Map.of("open-root", l ? "drag" : WHIP))));
        List<String> lines = new ArrayList<>();
        way.ifPresent(w -> lines.add("open root by " + rod.get() + ": " + w.title()
                + (picked.isPresent() ? ", as the shop does it" : "") + "; " + w.reason()));
        if (picked.filter(w -> w.id().equals(WHIP)).isPresent() && low.orElse(false)) {
            lines.add(rod.get() + " is a low-hydrogen rod: a whip lengthens the arc and lets air in (porosity). "
                    + "Drag it, or weave a little, whatever is picked for other rods");
        }
        return lines;
    }
}
