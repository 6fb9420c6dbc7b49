package mensor.testpiece;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mensor.length.Unit;

/**
 * What was set otherwise from one test piece to another.
 *
 * @param from empty where it was not noted
 */
public record SettingChange(PieceSetting setting, String from, String to) {

    /** What is noted of both and differs; what only one has noted tells of no change. */
    public static List<SettingChange> between(
            Map<PieceSetting, String> before, Unit unitBefore, Map<PieceSetting, String> after, Unit unitAfter) {
        List<SettingChange> changes = new ArrayList<>();
        for (PieceSetting s : PieceSetting.values()) {
            String from = before.get(s);
            String to = after.get(s);
            if (from != null && to != null && !s.isSame(from, unitBefore, to, unitAfter)) {
                changes.add(new SettingChange(s, s.shown(from, unitBefore), s.shown(to, unitAfter)));
            }
        }
        return List.copyOf(changes);
    }

    /** {@code amps 125 A to 115 A}. */
    public String inWords() {
        return setting.title() + " " + from + " to " + to;
    }
}
