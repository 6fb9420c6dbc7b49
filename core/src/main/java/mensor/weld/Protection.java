package mensor.weld;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** How one protects oneself and others for this position and process (common practice, no source; the site's rules go first). */
public final class Protection {
    private Protection() {}

    public static List<String> lines(Optional<Position> position, Optional<String> grade) {
        List<String> lines = new ArrayList<>();
        boolean overhead =
                position.filter(p -> p.isOverhead() || p.isFixedPipe()).isPresent();
        if (overhead) {
            lines.add("Overhead: sparks fall. Collar buttoned, sleeves, cap, ear plugs; nobody below.");
        }
        lines.add("Chipping: eye protection under the hood; slag is hot and flies.");
        lines.add(
                grade.filter(Protection::isFuming).isPresent()
                        ? "Fume: stainless or coated metal. Respirator, draw off, head out of the plume."
                        : "Fume: draw off, head out of the plume; coated, galvanized or stainless metal: respirator.");
        lines.add("Fire: no paper, rags or lubricants near the sparks; somebody watches, also afterward.");
        lines.add("Shock: dry gloves, dry footing; never change a rod with wet gloves on a steel floor.");
        lines.add("Others: screens for their eyes, hot metal marked. Shade 10–12, a clean lens.");
        return List.copyOf(lines);
    }

    private static boolean isFuming(String grade) {
        String g = grade.toLowerCase(java.util.Locale.ROOT);
        return g.contains("304") || g.contains("316") || g.contains("galv") || g.contains("stainless");
    }
}
