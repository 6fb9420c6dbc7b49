package mensor.weld;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;

/**
 * Places of a closed weld on a round member as a clock has them: 12:00 at the top, hours clockwise as one looks at it. The weld's
 * length is the whole dial.
 *
 * @param around the weld's length
 * @param datumMinutes where on the dial its datum lies, in minutes of twelve hours
 * @param clockwise whether the weld is measured as the hours go
 * @param diameter of the member, where it was said
 * @param turned the member is turned under the rod: the welding position stays the same all around
 */
public record ClockFace(Length around, int datumMinutes, boolean clockwise, Optional<Length> diameter, boolean turned) {
    private static final int DIAL = 12 * 60;
    private static final int SIX_HOURS = DIAL / 2;
    private static final Pattern TIME = Pattern.compile("(1[0-2]|0?[1-9]):([0-5]\\d)");
    /** Quadrants and halves by their names, each as the hours go. */
    private static final Map<String, int[]> PARTS = Map.of(
            "q1", new int[] {12, 3},
            "q2", new int[] {3, 6},
            "q3", new int[] {6, 9},
            "q4", new int[] {9, 12},
            "right-half", new int[] {12, 6},
            "left-half", new int[] {6, 12},
            "top-half", new int[] {9, 3},
            "bottom-half", new int[] {3, 9});

    private static final Pattern HOUR = Pattern.compile("1[0-2]|0?[1-9]");

    /** Whether a text is meant as a time of the clock. */
    public static boolean isTime(String text) {
        return TIME.matcher(text.strip()).matches();
    }

    /** {@code 4:30} in minutes; 12:00 is nothing. */
    public static Optional<Integer> minutes(String text) {
        Matcher m = TIME.matcher(text.strip());
        return m.matches()
                ? Optional.of(Integer.parseInt(m.group(1)) % 12 * 60 + Integer.parseInt(m.group(2)))
                : Optional.empty();
    }

    /** The place of a time, to the sixty-fourth of an inch or the tenth of a millimetre. */
    public Length place(String time) {
        return place(minutes(time).orElseThrow());
    }

    private Length place(int minutes) {
        int on = Math.floorMod(clockwise ? minutes - datumMinutes : datumMinutes - minutes, DIAL);
        Unit unit = around.unit();
        Length step = unit.pick(Length.inches(1, 64), Length.millimetres("0.1"));
        long steps = Math.round(around.approximateNanometres() * on / DIAL / step.approximateNanometres());
        return step.times(steps).in(unit);
    }

    /** A quadrant or a half by its name: {@code q1} from 12 to 3, {@code left-half} from 6 up to 12. */
    public Optional<Span> part(String name) {
        return Optional.ofNullable(PARTS.get(name.strip().toLowerCase(Locale.ROOT)))
                .map(hours -> {
                    Length from = place(hours[0] % 12 * 60);
                    Length to = place(hours[1] % 12 * 60);
                    return clockwise ? new Span(from, to) : new Span(to, from);
                });
    }

    public static boolean isPart(String name) {
        return PARTS.containsKey(name.strip().toLowerCase(Locale.ROOT));
    }

    /**
     * A range, one end of which is a time and the other a time or a full hour: {@code 4:30-5}. It runs as the hours go; with two
     * dots it runs the weld's way.
     *
     * @return empty where it is none
     * @throws InvalidField where it is more than half the dial against the weld's way, and so likely the other way was meant
     */
    public Optional<Span> range(String text) {
        boolean weldsWay = text.contains("..");
        String[] ends =
                weldsWay ? text.split("\\.\\.", -1) : text.replace('–', '-').split("-", -1);
        if (ends.length != 2 || !isTime(ends[0]) && !isTime(ends[1])) {
            return Optional.empty();
        }
        Optional<Integer> from = end(ends[0]);
        Optional<Integer> to = end(ends[1]);
        if (from.isEmpty() || to.isEmpty()) {
            return Optional.empty();
        }
        if (clockwise || weldsWay) {
            return Optional.of(new Span(place(from.get()), place(to.get())));
        }
        if (Math.floorMod(to.get() - from.get(), DIAL) > SIX_HOURS) {
            throw new InvalidField(
                    "from",
                    "from " + time(from.get()) + " as the hours go it is more than half round to " + time(to.get())
                            + "; write " + time(to.get()) + "-" + time(from.get()) + ", or " + time(from.get()) + ".."
                            + time(to.get()) + " for the weld's way");
        }
        return Optional.of(new Span(place(to.get()), place(from.get())));
    }

    private static Optional<Integer> end(String text) {
        String t = text.strip();
        return HOUR.matcher(t).matches() ? Optional.of(Integer.parseInt(t) % 12 * 60) : minutes(t);
    }

    /** What the clock shows at a place; to five minutes where a sixty-fourth of an inch is more than half a minute. */
    public String shown(Length place) {
        double on = place.approximateNanometres() / around.approximateNanometres() * DIAL;
        double minutes = clockwise ? datumMinutes + on : datumMinutes - on;
        int step = around.isUnder(Length.inches(20)) ? 5 : 1;
        return time(Math.floorMod(Math.round(minutes / step) * step, DIAL));
    }

    /** As the hours go: {@code 4:30–5:00}. */
    public String shown(Span span) {
        if (span.from().compareTo(span.to()) == 0) {
            return shown(span.from());
        }
        if (span.extent().compareTo(around) == 0) {
            return "all around";
        }
        String from = shown(span.from());
        String to = shown(span.to());
        return clockwise ? from + "–" + to : to + "–" + from;
    }

    private static String time(int minutes) {
        int hour = minutes / 60;
        return (hour == 0 ? 12 : hour) + ":" + (minutes % 60 < 10 ? "0" : "") + minutes % 60;
    }

    /** Where the datum lies on the dial. */
    public String datum() {
        return time(datumMinutes);
    }
}
