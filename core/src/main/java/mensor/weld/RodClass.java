package mensor.weld;

import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The class of a stick electrode as it is written on the box, taken apart: {@code E7018}, {@code E7018-1 H4R},
 * {@code E8018-C3}, {@code E11018-M}. Immutable. AWS A5.1 and A5.5, from memory.
 *
 * @param strength of the weld metal, ksi: 70 of E7018
 * @param coating the last two figures: 10 and 11 cellulosic, 15, 16, 18 and 28 low-hydrogen
 * @param suffix what follows the figures, without spaces and dashes: {@code 1H4R}, {@code C3}, {@code M}
 */
public record RodClass(int strength, int coating, String suffix) {
    private static final Pattern WRITTEN = Pattern.compile("E ?(\\d{2,3})(\\d{2})(.*)");
    private static final Duration MOISTURE_RESISTANT = Duration.ofHours(9);

    /** The class that a text names; empty for what is no stick electrode's. */
    public static Optional<RodClass> of(String text) {
        Matcher m = WRITTEN.matcher(text.strip().toUpperCase(Locale.ROOT));
        if (!m.matches()) {
            return Optional.empty();
        }
        String suffix = m.group(3).replaceAll("[^A-Z0-9]", "");
        return Optional.of(new RodClass(Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2)), suffix));
    }

    /** The class of strength and coating alone: {@code E7018}, as tables list it. */
    public String plain() {
        return "E" + strength + (coating < 10 ? "0" : "") + coating;
    }

    /** Whether the coating is one that the classification names. */
    public boolean isKnown() {
        return switch (coating) {
            case 10, 11, 12, 13, 14, 15, 16, 18, 19, 20, 22, 24, 27, 28, 48 -> true;
            default -> false;
        };
    }

    public boolean isLowHydrogen() {
        return coating == 15 || coating == 16 || coating == 18 || coating == 28 || coating == 48;
    }

    public boolean isCellulosic() {
        return coating == 10 || coating == 11;
    }

    /** Whether its coating resists moisture: the R of {@code H4R}, or {@code E7018M}. */
    public boolean isMoistureResistant() {
        return suffix.endsWith("R") || strength == 70 && suffix.equals("M");
    }

    /**
     * How long it may be out of the oven (AWS D1.1 7.1 (5.1), from memory); empty for a coating that is not low-hydrogen. A
     * stronger rod with the R has more only where its maker says so, which is not known here.
     */
    public Optional<Duration> exposure() {
        if (!isLowHydrogen()) {
            return Optional.empty();
        }
        if (strength < 80) {
            return Optional.of(isMoistureResistant() ? MOISTURE_RESISTANT : Duration.ofHours(4));
        }
        return Optional.of(
                strength < 90 ? Duration.ofHours(2) : strength < 100 ? Duration.ofHours(1) : Duration.ofMinutes(30));
    }

    /** The longest that its maker could allow: nine hours for a rod with the R, else {@link #exposure}. */
    public Optional<Duration> exposureAtMost() {
        return exposure().map(e -> isMoistureResistant() ? MOISTURE_RESISTANT : e);
    }
}
