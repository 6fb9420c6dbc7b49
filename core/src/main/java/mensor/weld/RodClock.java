package mensor.weld;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * How long a can of low-hydrogen rods has been out of the oven, against its limit (AWS D1.1 7.1 (5.1), from memory): E70 4 h,
 * with the R suffix and E7018M 9 h, E80 2 h, E90 1 h, E100 and E110 1/2 h. Rods that came back in time to an oven of at least 250 °F
 * [120 °C] for 4 h start anew; those that were out too long are redried once only, and wet ones are scrap.
 */
public record RodClock(String electrode, List<Outing> outings) {
    private static final Duration OVEN = Duration.ofHours(4);

    /** Taken out of the oven, and put back where it was. */
    public record Outing(Instant out, Optional<Instant> back) {
        public Outing {
            if (back.isPresent() && back.get().isBefore(out)) {
                throw new InvalidField("back", "lies before the rods were taken out");
            }
        }
    }

    public RodClock {
        outings = List.copyOf(outings);
        for (int i = 1; i < outings.size(); i++) {
            Optional<Instant> before = outings.get(i - 1).back();
            if (before.isEmpty() || outings.get(i).out().isBefore(before.get())) {
                throw new InvalidField("out", "the rods are out already; put them back first");
            }
        }
    }

    /** The limit of a class; empty for one whose coating is not of the low-hydrogen kind, and for an unknown one. */
    public static Optional<Duration> limit(String electrode) {
        return RodClass.of(electrode).flatMap(RodClass::exposure);
    }

    /** The time out that counts now: earlier outings too, unless four hours in the oven lie between and the limit was kept. */
    public Duration out(Instant now) {
        Optional<Duration> limit = limit(electrode);
        Duration counted = Duration.ZERO;
        Instant back = null;
        for (Outing o : outings) {
            boolean dried = back != null
                    && Duration.between(back, o.out()).compareTo(OVEN) >= 0
                    && limit.isPresent()
                    && counted.compareTo(limit.get()) <= 0;
            if (dried) {
                counted = Duration.ZERO;
            }
            Instant end = o.back().orElse(now.isBefore(o.out()) ? o.out() : now);
            counted = counted.plus(Duration.between(o.out(), end));
            back = o.back().orElse(null);
        }
        return counted;
    }

    public boolean isOut() {
        return !outings.isEmpty() && outings.get(outings.size() - 1).back().isEmpty();
    }

    /** Exactly at the limit is still within it. */
    public boolean isOver(Instant now) {
        return limit(electrode).filter(l -> out(now).compareTo(l) > 0).isPresent();
    }

    /** For people: {@code 3 h 20 min of 4 h}. */
    public String shown(Instant now) {
        return shown(out(now)) + limit(electrode).map(l -> " of " + shown(l)).orElse("");
    }

    /** A time for people: {@code 30 min}, {@code 4 h}. */
    public static String shown(Duration d) {
        long minutes = d.toMinutes();
        if (minutes < 60) {
            return minutes + " min";
        }
        return minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + minutes % 60 + " min");
    }
}
