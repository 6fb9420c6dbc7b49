package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Positions and rod groups that a test covers: AWS D1.1 6.10 (4.10), from memory, medium confidence. */
class QualificationTest {
    private static final LocalDate TESTED = LocalDate.of(2025, 11, 3);
    private static final LocalDate USED = LocalDate.of(2026, 2, 28);

    private static Qualification test(int group, String position, boolean backing) {
        return new Qualification(
                group,
                Named.find(Position.class, position).orElseThrow(),
                Optional.of(Length.inches(3, 4)),
                backing,
                Optional.of(Length.inches(23, 8)),
                TESTED,
                USED);
    }

    private static Qualification.Task task(
            WeldType weld, String position, int group, Length t, boolean backing, LocalDate day) {
        return new Qualification.Task(
                weld, Named.find(Position.class, position), Optional.of(group), t, backing, Optional.empty(), day);
    }

    private static Qualification.Task fillet(String position, int group) {
        return task(WeldType.FILLET, position, group, Length.inches(2), false, LocalDate.of(2026, 5, 12));
    }

    @ParameterizedTest
    @CsvSource({
        "1F, 1F, true",
        "1F, 2F, false",
        "2F, 1F, true",
        "2F, 3F, false",
        "3F, 2F, true",
        "3F, 4F, false",
        "4F, 2F, true",
        "4F, 3F, false",
        "1G, 2F, true",
        "1G, 3F, false",
        "2G, 2F, true",
        "3G, 3F, true",
        "3G, 4F, false",
        "4G, 4F, true",
        "4G, 3F, false",
        "5G, 3F, true",
        "6G, 4F, true"
    })
    void positionsOfFillets(String tested, String wanted, boolean covered) {
        assertThat(test(4, tested, true).gaps(fillet(wanted, 4)).isEmpty()).isEqualTo(covered);
    }

    @ParameterizedTest
    @CsvSource({"3G, 2G, true", "3G, 4G, false", "4G, 2G, false", "5G, 2G, false", "6G, 5G, true", "3F, 1G, false"})
    void positionsOfGrooves(String tested, String wanted, boolean covered) {
        Qualification.Task groove =
                task(WeldType.GROOVE, wanted, 4, Length.inches(3, 4), true, LocalDate.of(2026, 5, 12));
        assertThat(test(4, tested, true).gaps(groove).isEmpty()).isEqualTo(covered);
    }

    @Test
    void aHigherRodGroupCoversTheLowerOnes() {
        assertThat(test(4, "3G", true).gaps(fillet("3F", 3))).isEmpty();
        assertThat(test(3, "3G", true).gaps(fillet("3F", 4))).containsExactly("rod group F4, tested in F3");
    }

    @Test
    void groovesAskForThicknessAndBackingTooAtAndOver() {
        LocalDate day = LocalDate.of(2026, 5, 12);
        assertThat(test(4, "3G", false).gaps(task(WeldType.GROOVE, "3G", 4, Length.inches(3, 4), false, day)))
                .isEmpty();
        assertThat(test(4, "3G", true).gaps(task(WeldType.GROOVE, "3G", 4, Length.inches(49, 64), false, day)))
                .containsExactly("49/64 in thick, covered to 3/4 in", "welded without backing, tested with backing");
    }

    @Test
    void itLapsesAfterSixMonthsWithoutUse() {
        assertThat(test(4, "3G", true)
                        .gaps(task(WeldType.FILLET, "3F", 4, Length.inches(1), true, LocalDate.of(2026, 8, 28))))
                .isEmpty();
        assertThat(test(4, "3G", true)
                        .gaps(task(WeldType.FILLET, "3F", 4, Length.inches(1), true, LocalDate.of(2026, 8, 29))))
                .singleElement()
                .satisfies(l -> assertThat(l).startsWith("lapsed on Aug 28, 2026"));
    }

    @Test
    void theRedLineNamesWhatTheNearestTestLacks() {
        assertThat(Qualification.redLine("K7", List.of(), fillet("3F", 4)))
                .contains("welder K7 has no qualification on record");
        assertThat(Qualification.redLine("K7", List.of(test(3, "2F", true), test(4, "2G", true)), fillet("4F", 4)))
                .contains("welder K7 is not qualified for this: position 4F, tested in 2G");
        assertThat(Qualification.redLine("K7", List.of(test(3, "2F", true), test(4, "4G", true)), fillet("4F", 4)))
                .isEmpty();
    }

    @Test
    void aPipeThinnerThanTheOneThatCountsIsNotCovered() {
        Qualification q = test(4, "6G", false);
        assertThat(q.gaps(pipe(Length.inches(23, 8)))).isEmpty();
        assertThat(q.gaps(pipe(Length.inches(2)))).singleElement().asString().contains("2 in outside");
    }

    private static Qualification.Task pipe(Length outside) {
        return new Qualification.Task(
                WeldType.GROOVE,
                Optional.empty(),
                Optional.of(4),
                Length.inches(1, 4),
                false,
                Optional.of(outside),
                LocalDate.of(2026, 5, 12));
    }
}
