package mensor.exchange;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import mensor.cause.Surroundings;
import mensor.inspection.FitUp;
import mensor.inspection.InProcessInspection;
import mensor.inspection.PoolSight;
import mensor.inspection.ProcessQuestion;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.FirstRodCard;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.Lean;
import mensor.weld.LoggedPass;
import mensor.weld.Machine;
import mensor.weld.PassDetail;
import mensor.weld.PassKind;
import mensor.weld.Polarity;
import mensor.weld.Range;
import mensor.weld.RodClock;
import mensor.weld.SquarenessCard;
import mensor.weld.WeldingProcess;

/**
 * What is recorded of a weld's welding record, part by part: JSON as the bench sends it. A pass has the fields of the inspection
 * format and those that only the shop floor asks. Fields in errors are relative to the part.
 */
public final class WeldingParts {
    private static final int MOST_HOT_START = 300;

    private WeldingParts() {}

    /** @throws UnreadableInput where a field cannot be, or a start or stop lies beside the weld */
    public static LoggedPass pass(String json, Unit units, Joint joint) {
        Fields f = Fields.of("", Json.read(json), units);
        try {
            List<String> planned = f.list("plannedFields", WeldingParts::text);
            f.text("machine"); // whose scale arcForceShown is of; arcForce is what that comes to
            f.number("arcForceShown");
            f.text("arcForceWord");
            LoggedPass pass = new LoggedPass(
                    WeldingReader.pass(f),
                    f.number("temperatureF", -460, "°F"),
                    places(f, "starts", units, joint),
                    places(f, "stops", units, joint),
                    f.positive("beadWidth"),
                    f.bool("cleaned"),
                    f.text("welder"),
                    Set.copyOf(new HashSet<>(planned)),
                    detail(f, units, joint));
            f.end();
            return pass;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }

    private static PassDetail detail(Fields f, Unit units, Joint joint) {
        return new PassDetail(
                angle(f, "workAngle"),
                angle(f, "travelAngle"),
                percent(f, "cover"),
                hotStart(f),
                f.number("ampsAtArc", 1, "A"),
                places(f, "restarts", units, joint),
                f.objects("changes", (at, c) -> {
                    Length place = c.requiredLength("at");
                    joint.checkPlace("changes", place);
                    PassDetail.PassChange change = new PassDetail.PassChange(
                            place,
                            c.requiredWord("what", PassDetail.Changed.class),
                            c.requiredText("from"),
                            c.requiredText("to"));
                    c.end();
                    return change;
                }),
                f.objects("angles", (at, a) -> {
                    Length place = a.requiredLength("at");
                    joint.checkPlace("angles", place);
                    PassDetail.SeenAngles seen = new PassDetail.SeenAngles(place, angle(a, "work"), angle(a, "travel"));
                    a.end();
                    return seen;
                }));
    }

    private static OptionalDouble angle(Fields f, String field) {
        OptionalDouble degrees = f.number(field, -90, "°");
        if (degrees.isPresent() && degrees.getAsDouble() > 90) {
            throw f.error(field, "-90 to 90 degrees are required");
        }
        return degrees;
    }

    /** Some machines show it as a share of the amps that are set: over 100 then. */
    private static OptionalDouble hotStart(Fields f) {
        OptionalDouble percent = f.number("hotStart", 0, "%");
        if (percent.isPresent() && percent.getAsDouble() > MOST_HOT_START) {
            throw f.error("hotStart", "0 to " + MOST_HOT_START + " % are required");
        }
        return percent;
    }

    private static OptionalDouble percent(Fields f, String field) {
        OptionalDouble percent = f.number(field, 0, "%");
        if (percent.isPresent() && percent.getAsDouble() > 100) {
            throw f.error(field, "0 to 100 % are required");
        }
        return percent;
    }

    private static String text(String at, Json value) {
        if (value instanceof Json.Text t) {
            return t.value();
        }
        throw new UnreadableInput(at, "a text is required, got " + value.said());
    }

    private static List<Length> places(Fields f, String field, Unit units, Joint joint) {
        return f.list(field, (at, v) -> {
            Length place = Fields.asLength(at, v, units);
            joint.checkPlace(field, place);
            return place;
        });
    }

    public static FitUp.Reading fitUpReading(String json, Unit units, Joint joint) {
        Fields f = Fields.of("", Json.read(json), units);
        try {
            Span span = f.placeOrStretch();
            boolean station = f.has("at");
            if (station) {
                joint.checkPlace("at", span.from());
            } else {
                joint.checkWithin("", span);
            }
            FitUp.Reading reading = new FitUp.Reading(
                    span,
                    f.depth("opening"),
                    f.depth("rootFace"),
                    f.number("angle", 0, "°"),
                    f.depth("offset"),
                    f.depth("backingGap"));
            f.end();
            boolean empty = reading.opening().isEmpty()
                    && reading.rootFace().isEmpty()
                    && reading.angle().isEmpty()
                    && reading.offset().isEmpty()
                    && reading.backingGap().isEmpty();
            if (empty) {
                throw new UnreadableInput(
                        "opening", "nothing is read there: an opening, a root face, an angle or an offset is required");
            }
            return reading;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field().replaceFirst("^\\.", ""), e.problem());
        }
    }

    public static InProcessInspection.Answer processAnswer(String json, Unit units, Joint joint) {
        Fields f = Fields.of("", Json.read(json), units);
        try {
            Optional<Span> where =
                    f.has("at") || f.has("from") || f.has("to") ? Optional.of(f.placeOrStretch()) : Optional.empty();
            where.ifPresent(s -> joint.checkWithin("", s));
            InProcessInspection.Answer answer = new InProcessInspection.Answer(
                    f.requiredWord("question", ProcessQuestion.class),
                    f.bool("asWanted").orElseThrow(() -> f.error("asWanted", "say whether it is so")),
                    f.depth("depth"),
                    where,
                    f.text("note").orElse(""));
            f.end();
            return answer;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field().replaceFirst("^\\.", ""), e.problem());
        }
    }

    /** A can of rods: its class, and when it left the oven and came back; or a box of which only the label was noted. */
    public static RodClock rods(String json) {
        Fields f = Fields.of("", Json.read(json), Unit.INCH);
        try {
            BiFunction<String, Fields, RodClock.Outing> outing = (at, o) -> {
                RodClock.Outing read = new RodClock.Outing(
                        instant(o, "out", o.requiredText("out")), o.text("back").map(t -> instant(o, "back", t)));
                o.end();
                return read;
            };
            boolean labelled = boxLabel(f).isPresent();
            RodClock clock = new RodClock(
                    f.requiredText("electrode"),
                    labelled ? f.objects("outings", outing) : f.requiredObjects("outings", outing));
            f.find("diameter");
            f.end();
            return clock;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }

    /** What the maker prints on the box of these rods; empty where nobody noted it. */
    public static Optional<Surroundings.BoxLabel> boxLabel(String json, Unit units) {
        return boxLabel(Fields.of("", Json.read(json), units));
    }

    private static Optional<Surroundings.BoxLabel> boxLabel(Fields f) {
        return amps(f).map(amps -> new Surroundings.BoxLabel(
                f.requiredText("electrode"),
                f.positive("diameter")
                        .orElseThrow(() -> f.error("diameter", "the box's amps go with the diameter of its rods")),
                amps));
    }

    /** Something seen while a rod burned, and where. */
    public record Sight(PoolSight what, Optional<Span> where) {}

    public static Sight sight(String json, Unit units, Joint joint) {
        Fields f = Fields.of("", Json.read(json), units);
        try {
            Optional<Span> where = f.has("at") || f.has("from") ? Optional.of(f.placeOrStretch()) : Optional.empty();
            where.ifPresent(s -> joint.checkWithin("", s));
            Sight sight = new Sight(f.requiredWord("question", PoolSight.class), where);
            f.end();
            return sight;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field().replaceFirst("^\\.", ""), e.problem());
        }
    }

    /**
     * What was read at the machine before the first rod.
     *
     * @param machine of the register, by its name
     */
    public static FirstRodCard.Answers firstRod(String json, Unit units, Function<String, Optional<Machine>> machine) {
        Fields f = Fields.of("", Json.read(json), units);
        f.number("arcForceShown");
        f.text("arcForceWord");
        FirstRodCard.Answers answers = new FirstRodCard.Answers(
                f.word("kind", PassKind.class).orElse(PassKind.ROOT),
                f.text("machine").flatMap(machine),
                f.word("mode", WeldingProcess.class),
                f.word("polarity", Polarity.class),
                f.number("amps", 0, "A"),
                f.number("arcForce", 0, "%"),
                f.text("electrode"),
                f.positive("diameter"),
                f.bool("clampClose"),
                f.bool("rodsAtHand"),
                f.number("ovenHours", 0, "h"),
                f.bool("protectedNow"));
        f.end();
        return answers;
    }

    /** Squareness and bow, before and after. */
    public static SquarenessCard.Answers squareness(String json, Unit units, Joint joint) {
        Fields f = Fields.of("", Json.read(json), units);
        try {
            SquarenessCard.Answers answers = new SquarenessCard.Answers(
                    f.text("preset").map(t -> Lean.angle("preset", t, units)),
                    f.text("squareBefore").map(t -> Lean.angle("squareBefore", t, units)),
                    f.text("squareAfter").map(t -> Lean.angle("squareAfter", t, units)),
                    f.text("squareAllowed").map(t -> Lean.angle("squareAllowed", t, units)),
                    f.text("bowBefore").map(t -> Lean.bow("bowBefore", t, joint.length(), units)),
                    f.text("bowAfter").map(t -> Lean.bow("bowAfter", t, joint.length(), units)),
                    f.text("bowAllowed").map(t -> Lean.bow("bowAllowed", t, joint.length(), units)),
                    f.bool("tackedBothEnds"),
                    f.bool("alternated"));
            f.end();
            return answers;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }

    private static Optional<Range> amps(Fields f) {
        List<String> ends = f.list("labelAmps", (at, v) -> v instanceof Json.Number n ? n.text() : "");
        if (ends.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Range(Double.parseDouble(ends.get(0)), Double.parseDouble(ends.get(1))));
        } catch (NumberFormatException | IndexOutOfBoundsException | InvalidField e) {
            throw f.error("labelAmps", "the least and the most amps are required, as [90, 140]");
        }
    }

    private static Instant instant(Fields f, String field, String text) {
        try {
            return Instant.parse(text);
        } catch (DateTimeParseException e) {
            throw f.error(field, "a moment as 2026-05-12T08:00:00Z is required, got \"" + text + "\"");
        }
    }
}
