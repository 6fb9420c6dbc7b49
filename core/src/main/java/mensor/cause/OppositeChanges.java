package mensor.cause;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Defects of one weld whose leading causes ask for opposite changes, as amps up and amps down. Then neither is told: the page
 * says so, and what to check first.
 */
final class OppositeChanges {
    private static final Map<CauseClass, CauseClass> OPPOSITE = Map.of(
            CauseClass.CURRENT_HIGH, CauseClass.CURRENT_LOW,
            CauseClass.CURRENT_LOW, CauseClass.CURRENT_HIGH,
            CauseClass.SPEED_FAST, CauseClass.SPEED_SLOW,
            CauseClass.SPEED_SLOW, CauseClass.SPEED_FAST,
            CauseClass.ARC_LONG, CauseClass.ARC_SHORT,
            CauseClass.ARC_SHORT, CauseClass.ARC_LONG);

    private OppositeChanges() {}

    static List<CauseTrace> settled(List<CauseTrace> traced) {
        return traced.stream().map(t -> settled(t, traced)).toList();
    }

    private static CauseTrace settled(CauseTrace t, List<CauseTrace> all) {
        Optional<CauseTrace> against = t.leading()
                .flatMap(c -> Optional.ofNullable(OPPOSITE.get(c.cause())))
                .flatMap(opposite -> all.stream()
                        .filter(o ->
                                o.leading().filter(c -> c.cause() == opposite).isPresent())
                        .findFirst());
        return against.map(o -> t.withLeadingChange(OneChange.words("not settled: the "
                        + t.situation().trouble() + " speaks for " + title(t) + " and the "
                        + o.situation().trouble() + " of the same weld for " + title(o)
                        + "; settle by the check which it was before anything is changed")))
                .orElse(t);
    }

    private static String title(CauseTrace t) {
        return t.leading().orElseThrow().cause().title().toLowerCase(java.util.Locale.ROOT);
    }
}
