package mensor.cause;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What speaks for and against each cause, gathered from the record and the look; weights are logarithms of odds. */
final class Evidence {
    private final Map<CauseClass, Double> weight = new EnumMap<>(CauseClass.class);
    private final Map<CauseClass, List<String>> speaksFor = new HashMap<>();
    private final Map<CauseClass, List<String>> speaksAgainst = new HashMap<>();
    private final Map<CauseClass, String> ruledOut = new EnumMap<>(CauseClass.class);

    void add(CauseClass cause, double by, String line) {
        weight.merge(cause, by, Double::sum);
        (by > 0 ? speaksFor : speaksAgainst)
                .computeIfAbsent(cause, c -> new ArrayList<>())
                .add(line);
    }

    void ruleOut(CauseClass cause, String why) {
        ruledOut.putIfAbsent(cause, why);
    }

    double weight(CauseClass cause) {
        return weight.getOrDefault(cause, 0.0);
    }

    List<String> speaksFor(CauseClass cause) {
        return speaksFor.getOrDefault(cause, List.of());
    }

    List<String> speaksAgainst(CauseClass cause) {
        return speaksAgainst.getOrDefault(cause, List.of());
    }

    Map<CauseClass, String> ruledOut() {
        return ruledOut;
    }
}
