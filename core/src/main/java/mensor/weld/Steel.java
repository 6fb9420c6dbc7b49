package mensor.weld;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** The kinds of base metal that the preheat table and the choice of rods tell apart; unknown is a hold, not a guess. */
public enum Steel implements Named {
    A36_TYPE("a36-type", "A36-type"),
    A572_TYPE("a572-50-type", "A572-50, A992 and like"),
    HIGHER("higher-strength", "higher strength"),
    QUENCHED("quenched-tempered", "quenched and tempered (A514, A517, A709 HPS 100W)"),
    UNKNOWN("unknown", "not known");

    private static final String A36_GRADES = "A36|A53( [EFS])? B|A106 B|A131 [AB]|A500( [ABCD])?|A501( [AB])?"
            + "|A516( \\d+)?|A524( I{1,2})?|A573 65|A709 36|(API )?5L (B|X42)";
    private static final String A572_GRADES =
            "A572 (42|50|55)|A588( [A-K])?|A992|A913 50|A709 50[WS]?|A618( I{1,3}[AB]?)?";
    private static final String HIGHER_GRADES = "A572 (60|65)|A913 (60|65)";
    private static final String QUENCHED_GRADES =
            "A514( [A-Z])?|A517( [A-Z])?|(A709 )?HPS ?(100|690)W|A709 (100|690)W?";

    private final String id;
    private final String shown;

    Steel(String id, String shown) {
        this.id = id;
        this.shown = shown;
    }

    /**
     * The kind that a grade belongs to, however it is written ("ASTM A 514 Gr. B"); what is not surely one of them is
     * unknown. Of several grades in one text the most demanding, where all are known. As AWS D1.1 5.8 (3.3) groups them,
     * from memory, medium confidence.
     */
    public static Steel ofGrade(String grade) {
        Set<Steel> kinds = EnumSet.noneOf(Steel.class);
        grades(grade).forEach(g -> kinds.add(ofOne(g)));
        return kinds.stream()
                .reduce((a, b) -> a.ordinal() > b.ordinal() ? a : b)
                .orElse(UNKNOWN);
    }

    /** Whether the grade, or one of several, is a steel that AWS D1.1's visual table inspects 48 h after welding. */
    public static boolean canCrackLate(String grade) {
        return grades(grade).stream().anyMatch(g -> ofOne(g) == QUENCHED);
    }

    private static Steel ofOne(String grade) {
        if (grade.matches(A36_GRADES)) {
            return A36_TYPE;
        }
        if (grade.matches(A572_GRADES)) {
            return A572_TYPE;
        }
        if (grade.matches(HIGHER_GRADES)) {
            return HIGHER;
        }
        return grade.matches(QUENCHED_GRADES) ? QUENCHED : UNKNOWN;
    }

    /** The grades of a text, each as {@code A572 50}; a second one may leave out the specification ("A709-100/100W"). */
    private static List<String> grades(String text) {
        List<String> grades = new ArrayList<>();
        String specification = "";
        for (String part : text.toUpperCase(Locale.ROOT).split("[/;,+()]|\\b(AND|TO|OR)\\b")) {
            String g = part.replaceAll("\\b(ASTM|GRADE|GR|TYPE|CLASS|CL|STEEL)\\b\\.?", " ")
                    .replaceAll("[ _.-]+", " ")
                    .replaceAll("\\bSA ?(?=\\d)", "A")
                    .replaceAll("\\bA (?=\\d)", "A")
                    .replaceAll("\\b(A\\d+)M\\b", "$1")
                    .replaceAll("\\b(A\\d{2,3})GR(?=\\d|[A-Z]\\b)", "$1 ")
                    .strip();
            if (g.isEmpty()) {
                continue;
            }
            if (g.matches("A\\d.*")) {
                specification = g.split(" ")[0];
            } else if (!specification.isEmpty() && g.matches("\\d+[A-Z]?|HPS.*")) {
                g = specification + " " + g;
            }
            grades.add(g);
        }
        return grades;
    }

    @Override
    public String id() {
        return id;
    }

    public String shown() {
        return shown;
    }
}
