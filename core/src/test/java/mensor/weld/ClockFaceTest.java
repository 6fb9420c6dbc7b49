package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import mensor.drawing.StripDrawing;
import mensor.inspection.Inspection;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.line.EntryLine;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Twelve hours are the whole weld: the place of a time is its share of them, by arithmetic on paper. */
class ClockFaceTest {
    private static ClockFace of(String around, String datum, boolean clockwise) {
        return new ClockFace(
                Length.parse(around, Unit.INCH),
                ClockFace.minutes(datum).orElseThrow(),
                clockwise,
                Optional.empty(),
                false);
    }

    /** 24 in around: an hour is 2 in, a minute 1/30 in. */
    @ParameterizedTest
    @CsvSource({
        "12:00, true, 12:00, 0",
        "12:00, true, 3:00, 6",
        "12:00, true, 4:30, 9",
        "12:00, true, 11:59, 23 31/32",
        "12:00, false, 3:00, 18",
        "12:00, false, 9:00, 6",
        "6:00, true, 6:00, 0",
        "6:00, true, 12:00, 12",
        "3:00, false, 1:30, 3",
        "3:00, true, 1:30, 21"
    })
    void aTimeHasItsPlaceAndThePlaceItsTime(String datum, boolean clockwise, String time, String place) {
        ClockFace clock = of("24", datum, clockwise);
        assertThat(clock.place(time)).isEqualTo(Length.parse(place, Unit.INCH));
        assertThat(clock.shown(clock.place(time))).isEqualTo(time);
    }

    @ParameterizedTest
    @CsvSource({"24, true", "24, false", "27.1, true", "6.75, false", "650mm, true", "62.8mm, false"})
    void everyTimeComesBackToTheStepOfTheDial(String around, boolean clockwise) {
        ClockFace clock = of(around, "12:00", clockwise);
        int step = clock.around().isUnder(Length.inches(20)) ? 5 : 1;
        for (int minute = 0; minute < 720; minute += step) {
            int hour = minute / 60 == 0 ? 12 : minute / 60;
            String time = hour + ":" + (minute % 60 < 10 ? "0" : "") + minute % 60;
            assertThat(clock.shown(clock.place(time))).isEqualTo(time);
        }
    }

    @Test
    void aRangeRunsAsTheHoursGoWhicheverWayTheWeldIsMeasured() {
        assertThat(of("24", "12:00", true).range("4:30-5").orElseThrow())
                .isEqualTo(new Span(Length.inches(9), Length.inches(10)));
        assertThat(of("24", "12:00", false).range("4:30-5").orElseThrow())
                .isEqualTo(new Span(Length.inches(14), Length.inches(15)));
        Span over = of("24", "12:00", true).range("11:30-12:30").orElseThrow();
        assertThat(over.wraps()).isTrue();
        assertThat(of("24", "12:00", true).shown(over)).isEqualTo("11:30–12:30");
        assertThat(of("24", "12:00", false).shown(new Span(Length.inches(14), Length.inches(15))))
                .isEqualTo("4:30–5:00");
        assertThat(of("24", "12:00", false).range("5:00..4:30").orElseThrow())
                .as("two dots go the weld's way")
                .isEqualTo(new Span(Length.inches(14), Length.inches(15)));
        assertThatThrownBy(() -> of("24", "12:00", false).range("5:00-4:30"))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("4:30-5:00");
        assertThat(of("24", "12:00", true).range("12-14")).as("no time in it").isEmpty();
        for (String no : List.of("13:00-2", "4:60-5", "0:30-1", "4:30-13")) {
            assertThat(of("24", "12:00", true).range(no)).as(no).isEmpty();
        }
    }

    /** A quarter of 24 in is 6 in: 3:00 lies at 6, measured as the hours go, and at 18 against them. */
    @Test
    void quadrantsAndHalvesHaveNames() {
        ClockFace with = of("24", "12:00", true);
        ClockFace against = of("24", "12:00", false);
        assertThat(with.part("q2").orElseThrow()).isEqualTo(new Span(Length.inches(6), Length.inches(12)));
        assertThat(against.part("Q2").orElseThrow()).isEqualTo(new Span(Length.inches(12), Length.inches(18)));
        assertThat(with.part("bottom-half").orElseThrow()).isEqualTo(new Span(Length.inches(6), Length.inches(18)));
        assertThat(with.part("top-half").orElseThrow()).isEqualTo(new Span(Length.inches(18), Length.inches(6)));
        assertThat(with.part("left-half").orElseThrow().from()).isEqualTo(Length.inches(12));
        assertThat(with.part("half")).isEmpty();
        assertThat(new EntryLine(byClock()).read("uc a q2 1/32", "").entries())
                .singleElement()
                .satisfies(e -> assertThat(e.fields()).containsEntry("from", "6 25/32"));
    }

    @Test
    void aTurnedPipeKeepsItsPositionAndAnInclinedPlateIsNoTest() {
        JointBuilder.Clock turned = new JointBuilder.Clock(Optional.empty(), "12:00", true, true);
        assertThatThrownBy(() -> pipe().clock(turned).build()).hasMessageContaining("stands still");
        assertThat(pipe().position(Position.FLAT_GROOVE).clock(turned).build().inWords())
                .endsWith("pipe turned");
        Joint plate = new JointBuilder("X", WeldType.GROOVE, Connection.BUTT, Length.inches(6))
                .members(new Member("a", Length.inches(1, 2)), new Member("b", Length.inches(1, 2)))
                .penetration(Penetration.COMPLETE)
                .position(Position.PIPE_FIXED_INCLINED)
                .build();
        assertThat(Unusual.of(plate))
                .anySatisfy(r -> assertThat(r.line())
                        .isEqualTo("practised as 6G, not a 6G test: that is welded around a fixed pipe or tube"));
        assertThat(Unusual.of(byClock())).noneSatisfy(r -> assertThat(r.line()).contains("practised"));
    }

    private static JointBuilder pipe() {
        return new JointBuilder("P-1", WeldType.GROOVE, Connection.PIPE_BUTT, Length.parse("27.1", Unit.INCH))
                .members(new Member("lower", Length.inches(1, 2)), new Member("upper", Length.inches(1, 2)))
                .penetration(Penetration.COMPLETE)
                .closed(true)
                .position(Position.PIPE_FIXED_INCLINED);
    }

    private static Joint byClock() {
        return pipe().clock(new JointBuilder.Clock(Optional.of(Length.parse("8 5/8", Unit.INCH)), "12:00", true))
                .build();
    }

    /** 4:30 of 27.1 in is 27.1 · 270/720 = 10.16, 5:00 is 11.29: to the sixty-fourth 10 5/32 and 11 19/64. */
    @Test
    void theEntryLineTakesTimesOnAWeldThatHasAClock() {
        EntryLine line = new EntryLine(byClock());
        assertThat(line.read("uc a 4:30-5 1/32", "").entries())
                .singleElement()
                .satisfies(e -> assertThat(e.fields())
                        .containsEntry("from", "10 5/32")
                        .containsEntry("to", "11 19/64")
                        .containsEntry("depth", "1/32"));
        assertThat(line.read("crack 6:00", "").entries())
                .singleElement()
                .satisfies(e -> assertThat(Length.parse(e.fields().get("at"), Unit.INCH))
                        .isEqualTo(Length.parse("13 35/64", Unit.INCH)));
        EntryLine.Parse plain = new EntryLine(pipe().build()).read("crack 6:00", "");
        assertThat(plain.entries()).isEmpty();
        assertThat(plain.problem().orElseThrow()).contains("time of the clock");
    }

    @Test
    void theStripCarriesTheHours() {
        Inspection bare = Inspection.begin(byClock(), Unit.INCH);
        StripDrawing strip = StripDrawing.of(
                bare,
                mensor.judge.Judge.evaluate(
                        bare, mensor.criteria.CriteriaBooks.find("d1.1-tubular").orElseThrow()));
        assertThat(strip.clock()).hasSize(12);
        assertThat(strip.clock().stream().filter(t -> !t.label().isEmpty()).map(StripDrawing.Tick::label))
                .containsExactly("12:00", "3:00", "6:00", "9:00");
    }

    @Test
    void aClockNeedsAWeldThatRunsAround() {
        assertThatThrownBy(() -> pipe().closed(false)
                        .clock(new JointBuilder.Clock(Optional.empty(), "12:00", true))
                        .build())
                .hasMessageContaining("all around");
        assertThatThrownBy(() -> pipe().clock(new JointBuilder.Clock(Optional.empty(), "13:00", true))
                        .build())
                .hasMessageContaining("12:00");
        assertThat(Unusual.of(pipe().clock(new JointBuilder.Clock(Optional.of(Length.inches(6)), "12:00", true))
                        .build()))
                .as("π × 6 is 18.85")
                .anySatisfy(r -> assertThat(r.line()).contains("check the length"));
        assertThat(Unusual.of(byClock())).noneSatisfy(r -> assertThat(r.line()).contains("π"));
    }
}
