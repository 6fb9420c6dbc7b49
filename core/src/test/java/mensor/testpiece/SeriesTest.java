package mensor.testpiece;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.inspection.Verdict;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;

/** What was changed from piece to piece, what helped, and what is changed next; common practice, no source. */
class SeriesTest {
    private static Series.Piece piece(double score, String amps, String arc, Map<String, Integer> faults) {
        Map<PieceSetting, String> settings = new EnumMap<>(PieceSetting.class);
        settings.put(PieceSetting.ROD, "E7018");
        settings.put(PieceSetting.DIAMETER, "1/8");
        settings.put(PieceSetting.AMPS, amps);
        settings.put(PieceSetting.ARC_LENGTH, arc);
        return new Series.Piece(
                "pad",
                settings,
                Unit.INCH,
                score < 0 ? OptionalDouble.empty() : OptionalDouble.of(score),
                faults,
                Optional.empty(),
                0,
                false);
    }

    private static Series.Piece piece(double score, String amps, String arc) {
        return piece(score, amps, arc, Map.of());
    }

    @Test
    void oneThingChangedIsNamedAndTwoAtOnceAreSaidButNotForbidden() {
        Series s = new Series(List.of(piece(5, "130", "long"), piece(6, "120", "long"), piece(7, "115", "short")));
        assertThat(s.stepInWords(0)).isEqualTo("the first of the series");
        assertThat(s.stepInWords(1)).isEqualTo("amps 130 A to 120 A");
        assertThat(s.stepInWords(2)).startsWith("2 things at once").contains("arc length long to short");
        assertThat(new Series(List.of(piece(5, "130", "long"), piece(5, "130.0", "LONG"))).stepInWords(1))
                .as("the same number and word otherwise written")
                .isEqualTo("nothing noted as changed");
    }

    @Test
    void lengthsAreComparedByWhatTheyAreNotHowTheyAreWritten() {
        Map<PieceSetting, String> inch = Map.of(PieceSetting.DIAMETER, "1/8");
        assertThat(SettingChange.between(inch, Unit.INCH, Map.of(PieceSetting.DIAMETER, ".125"), Unit.INCH))
                .isEmpty();
        assertThat(SettingChange.between(inch, Unit.INCH, Map.of(PieceSetting.DIAMETER, "3.175"), Unit.MILLIMETRE))
                .isEmpty();
        assertThat(SettingChange.between(inch, Unit.INCH, Map.of(PieceSetting.DIAMETER, "5/32"), Unit.INCH))
                .singleElement()
                .extracting(SettingChange::inWords)
                .isEqualTo("rod diameter 1/8 in to 5/32 in");
        assertThat(SettingChange.between(inch, Unit.INCH, Map.of(), Unit.INCH))
                .as("not noted is not changed")
                .isEmpty();
    }

    @Test
    void onlyAStepOfOneChangeBetweenRatedPiecesTellsWhatHelped() {
        Series s = new Series(List.of(
                piece(4, "130", "long"),
                piece(6, "120", "long"),
                piece(8, "110", "short"),
                piece(-1, "105", "short"),
                piece(7.5, "105", "shorter")));
        assertThat(s.tried()).singleElement().satisfies(t -> {
            assertThat(t.change().setting()).isEqualTo(PieceSetting.AMPS);
            assertThat(t.gain()).isEqualTo(2);
        });
        assertThat(s.best()).contains(2);
        assertThat(s.changes(2, 4)).hasSize(2);
    }

    @Test
    void aChangeThatMadeItWorseIsTakenBack() {
        Series s = new Series(List.of(piece(7, "115", "short"), piece(5, "130", "short", Map.of("slag", 4))));
        assertThat(s.next()).hasValueSatisfying(n -> {
            assertThat(n.setting()).isEqualTo(PieceSetting.AMPS);
            assertThat(n.to()).contains("115");
            assertThat(n.why()).contains("fell by 2 points");
        });
    }

    @Test
    void whatHelpedBeforeComesBeforeTheUsualRemedy() {
        Series s = new Series(List.of(
                piece(4, "120", "long"), piece(7, "120", "short"), piece(-1, "120", "long", Map.of("undercut", 3))));
        assertThat(s.next()).hasValueSatisfying(n -> {
            assertThat(n.setting()).isEqualTo(PieceSetting.ARC_LENGTH);
            assertThat(n.why()).contains("helped before");
        });
    }

    /** It scored two points more and broke: that is neither the best piece nor a change that helped. */
    @Test
    void aPieceThatLooksBetterAndBreaksIsNoHelp() {
        Series.Piece up = piece(6, "120", "short");
        Series.Piece down = new Series.Piece(
                "pad",
                piece(8, "120", "long").settings(),
                Unit.INCH,
                OptionalDouble.of(8),
                Map.of(),
                Optional.of(Verdict.REJECT),
                1,
                true);
        Series s = new Series(List.of(up, down));
        assertThat(s.best()).contains(0);
        assertThat(s.tried())
                .singleElement()
                .satisfies(t -> assertThat(t.broke()).isTrue());
        assertThat(s.next()).hasValueSatisfying(n -> {
            assertThat(n.to()).contains("short");
            assertThat(n.why()).contains("failed its specimens");
        });
        assertThat(new Series(List.of(up, down, up)).next())
                .as("nor is it gone back to")
                .isEmpty();
    }

    @Test
    void aRejectedPieceIsNotTheBestHoweverItScored() {
        Series.Piece good = piece(6, "120", "short");
        Series.Piece rejected = new Series.Piece(
                "pad", good.settings(), Unit.INCH, OptionalDouble.of(9), Map.of(), Optional.empty(), 0, true);
        assertThat(new Series(List.of(good, rejected)).best()).contains(0);
    }

    @Test
    void whatHelpedIsNotAskedForOnceItIsPassed() {
        Series s = new Series(List.of(piece(4, "130", "short"), piece(6, "125", "short"), piece(6, "110", "short")));
        assertThat(s.next()).as("110 is below 125 already").isEmpty();
    }

    @Test
    void theScoresOfTwoExercisesSayNothingOfAChangeBetweenThem() {
        Series.Piece pad = piece(8, "125", "short");
        Series.Piece uphill = new Series.Piece(
                "uphill",
                piece(4, "110", "short").settings(),
                Unit.INCH,
                OptionalDouble.of(4),
                Map.of(),
                Optional.empty(),
                0,
                false);
        Series s = new Series(List.of(pad, uphill));
        assertThat(s.tried()).isEmpty();
        assertThat(s.next()).isEmpty();
        assertThat(s.stepInWords(1)).isEqualTo("another exercise: uphill");
    }

    @Test
    void theCommonestFaultAsksForItsRemedy() {
        Series s = new Series(List.of(piece(4, "120", "short", Map.of("undercut", 3, "porosity", 1))));
        assertThat(s.next()).hasValueSatisfying(n -> {
            assertThat(n.setting()).isEqualTo(PieceSetting.AMPS);
            assertThat(n.to()).contains("115");
        });
        assertThat(new Series(List.of(piece(9, "120", "short"))).next()).isEmpty();
        assertThat(new Series(List.of()).next()).isEmpty();
    }

    @Test
    void aPieceStopsAnywhere() {
        assertThat(PieceStage.of(false, false, false, false)).isEqualTo(PieceStage.PREPARED);
        assertThat(PieceStage.of(true, false, false, false)).isEqualTo(PieceStage.WELDED);
        assertThat(PieceStage.of(false, true, false, false)).isEqualTo(PieceStage.INSPECTED);
        assertThat(PieceStage.of(true, true, true, false)).isEqualTo(PieceStage.TESTED);
        assertThat(PieceStage.of(true, true, true, true)).isEqualTo(PieceStage.DECIDED);
    }

    private static Series.Piece made(String rod, String position, double score, String amps, int failed) {
        return new Series.Piece(
                "fillet",
                Map.of(PieceSetting.ROD, rod, PieceSetting.POSITION, position, PieceSetting.AMPS, amps),
                Unit.INCH,
                score < 0 ? OptionalDouble.empty() : OptionalDouble.of(score),
                Map.of("slag", 1),
                Optional.of(failed == 0 ? Verdict.ACCEPT : Verdict.REJECT),
                failed,
                false);
    }

    @Test
    void whatHelpedAnotherRodOrPositionProvesNothing() {
        Series.Piece cold = made("E7018", "2F", 4, "115", 0);
        Series.Piece hot = made("E7018", "2F", 7, "125", 0);
        for (String[] other : List.of(new String[] {"E6010", "2F"}, new String[] {"E7018", "4F"})) {
            Series s = new Series(List.of(cold, hot, made(other[0], other[1], 5, "90", 0)));
            assertThat(s.next()).hasValueSatisfying(n -> assertThat(n.why()).startsWith("the commonest fault"));
        }
        assertThat(new Series(List.of(cold, hot, made("E7018", "2F", -1, "110", 0))).next())
                .hasValueSatisfying(n -> assertThat(n.why()).startsWith("it helped before"));
    }

    @Test
    void aBrokenPieceGoesBackToWhatBrokeLess() {
        Series.Piece least = made("E7018", "2F", 5, "115", 1);
        Series.Piece most = made("E7018", "2F", 7, "130", 3);
        assertThat(new Series(List.of(least, most)).next()).hasValueSatisfying(n -> {
            assertThat(n.to()).contains("115");
            assertThat(n.why()).contains("more specimens failed");
        });
        Series.Piece held = made("E7018", "2F", 5, "120", 0);
        assertThat(new Series(List.of(held, least, most)).next())
                .as("the newest that broke less")
                .hasValueSatisfying(n -> assertThat(n.to()).contains("115"));
        assertThat(new Series(List.of(most, least)).next())
                .as("nothing broke less than this one")
                .hasValueSatisfying(n -> assertThat(n.to()).isNotEqualTo(Optional.of("130")));
    }
}
