package mensor.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mensor.inspection.Judgeable;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Corner;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;

/**
 * The handbook's table of what is judged is printed from the rules that judge. With {@code -Dmensor.docs.write=true} it is
 * written anew.
 */
class CoverageTableTest {
    private static final Path HANDBOOK = Path.of("../docs/what-is-judged.md");

    private static Map<String, Joint> joints() {
        Map<String, Joint> joints = new LinkedHashMap<>();
        joints.put(
                "fillet", builder(WeldType.FILLET, Connection.TEE).size(mm("8")).build());
        joints.put("butt", groove(Connection.BUTT).build());
        joints.put("pipe butt", groove(Connection.PIPE_BUTT).build());
        joints.put(
                "outside corner",
                groove(Connection.CORNER).corner(Corner.OUTSIDE).build());
        joints.put("tee groove", groove(Connection.TEE).build());
        joints.put("lap groove", groove(Connection.LAP).build());
        joints.put(
                "partial butt",
                builder(WeldType.GROOVE, Connection.BUTT)
                        .penetration(Penetration.PARTIAL)
                        .throat(mm("8"))
                        .oneSided(true)
                        .build());
        return joints;
    }

    private static Length mm(String value) {
        return Length.millimetres(value);
    }

    private static JointBuilder builder(WeldType weld, Connection c) {
        return new JointBuilder("J", weld, c, mm("300")).members(new Member("a", mm("12")), new Member("b", mm("12")));
    }

    private static JointBuilder groove(Connection c) {
        return builder(WeldType.GROOVE, c).penetration(Penetration.COMPLETE).oneSided(true);
    }

    private static Optional<String> cell(CriteriaBook book, Joint joint, Judgeable what) {
        if (book.refuses(joint).isPresent()) {
            return Optional.empty();
        }
        Coverage.Cell cell = new Coverage(book, joint, Unit.MILLIMETRE).cell(what);
        return Optional.of(
                cell instanceof Coverage.Cell.Limited l
                        ? l.criterion().id()
                        : cell instanceof Coverage.Cell.Free ? "**no limit**" : "incomplete");
    }

    static String printed() {
        StringBuilder out = new StringBuilder("""
                # What is judged

                What becomes of everything that can be read or seen on a weld, by each code: the criterion that judges it,
                **no limit** where the code says so (a note on the finding), or *incomplete* where it says nothing, so that
                nothing passes in silence. Parts of 12 mm. Printed from the rules that judge; values from memory, the
                contract's own copy and the Engineer decide.
                """);
        for (CriteriaBook book : CriteriaBooks.all()) {
            Map<String, Joint> joints = joints();
            joints.values().removeIf(j -> book.refuses(j).isPresent());
            out.append("\n## ").append(book.title()).append("\n\n| | ");
            out.append(String.join(" | ", joints.keySet())).append(" |\n| --- |");
            out.append(" --- |".repeat(joints.size())).append('\n');
            for (Judgeable what : (Iterable<Judgeable>) Coverage.all()::iterator) {
                out.append("| ").append(what.words()).append(" | ");
                out.append(joints.values().stream()
                        .map(j -> cell(book, j, what).orElse("–"))
                        .collect(Collectors.joining(" | ")));
                out.append(" |\n");
            }
        }
        return out.toString();
    }

    @Test
    void theHandbookSaysWhatTheRulesDo() throws IOException {
        if (Boolean.getBoolean("mensor.docs.write")) {
            Files.writeString(HANDBOOK, printed());
        }
        assertThat(Files.readString(HANDBOOK)).isEqualTo(printed());
    }

    @Test
    void aPipeButtIsJudgedAsAButt() {
        CriteriaBook tubular = CriteriaBooks.find("d1.1-tubular").orElseThrow();
        for (Judgeable what : List.copyOf(Coverage.all().toList())) {
            assertThat(cell(tubular, joints().get("pipe butt"), what))
                    .as(what.words())
                    .isEqualTo(cell(tubular, joints().get("butt"), what));
        }
    }
}
