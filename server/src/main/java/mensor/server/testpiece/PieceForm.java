package mensor.server.testpiece;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.UUID;
import mensor.length.Unit;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.testpiece.NextChange;
import mensor.testpiece.PieceKind;
import mensor.testpiece.PieceSetting;
import mensor.testpiece.Purpose;
import mensor.weld.Named;

/**
 * A test piece as it is recorded. Kind, welder and purpose are wanted, all else where it is known.
 *
 * @param number as it is marked on the piece; the next of the welder where none is given
 * @param welder the stamp; of a learner the login
 * @param drill by its id
 * @param settings by their ids: rod, machine and hand, and how the piece was prepared; lengths as typed
 * @param inspected somebody looked at it: the faults are all that was seen
 * @param faults how many of each, by the word for it
 * @param measured for the aims of the drill, by their ids; as typed
 * @param closed nothing more is done with it
 * @param previous the piece that this one follows
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record PieceForm(
        String number,
        String kind,
        String purpose,
        String welder,
        String drill,
        LocalDate made,
        String units,
        Map<String, String> settings,
        Boolean inspected,
        Map<String, Integer> faults,
        Map<String, String> measured,
        String instructor,
        String note,
        Boolean closed,
        UUID previous) {
    private static final int LONGEST_NUMBER = 60;
    private static final int LONGEST_VALUE = 40;
    private static final int MOST_FAULTS = 999;

    /** @throws Refusal naming the field that cannot be */
    void check() {
        if (kind == null || Named.find(PieceKind.class, kind).isEmpty()) {
            throw Refusal.invalid("kind", "one of " + Named.list(PieceKind.class) + " is required");
        }
        if (purpose == null || Named.find(Purpose.class, purpose).isEmpty()) {
            throw Refusal.invalid("purpose", "one of " + Named.list(Purpose.class) + " is required");
        }
        if (welder == null || welder.isBlank()) {
            throw Refusal.invalid("welder", "whose piece is it?");
        }
        if (number != null && number.length() > LONGEST_NUMBER) {
            throw Refusal.invalid("number", "at most " + LONGEST_NUMBER + " letters");
        }
        unit();
        settingsRead();
        faultsRead().forEach((fault, n) -> {
            if (!NextChange.faults().contains(fault)) {
                throw Refusal.invalid(
                        "faults." + fault, "one of " + String.join(", ", NextChange.faults()) + " is required");
            }
            if (n == null || n < 0 || n > MOST_FAULTS) {
                throw Refusal.invalid("faults." + fault, "0 to " + MOST_FAULTS + " are required");
            }
        });
        measuredRead().values().forEach(v -> {
            if (v == null || v.length() > LONGEST_VALUE) {
                throw Refusal.invalid("measured", "a value has up to " + LONGEST_VALUE + " letters");
            }
        });
        if (made == null) {
            throw Refusal.invalid("made", "the day is missing");
        }
    }

    Unit unit() {
        for (Unit u : Unit.values()) {
            if (u.symbol().equals(units)) {
                return u;
            }
        }
        throw Refusal.invalid("units", "in or mm is required");
    }

    Map<PieceSetting, String> settingsRead() {
        Map<PieceSetting, String> read = new EnumMap<>(PieceSetting.class);
        (settings == null ? Map.<String, String>of() : settings).forEach((id, value) -> {
            PieceSetting s = Named.find(PieceSetting.class, id)
                    .orElseThrow(() -> Refusal.invalid(
                            "settings." + id, "one of " + Named.list(PieceSetting.class) + " is required"));
            if (value == null || value.isBlank()) {
                return;
            }
            if (value.length() > LONGEST_VALUE) {
                throw Refusal.invalid("settings." + id, "at most " + LONGEST_VALUE + " letters");
            }
            s.problem(value, unit()).ifPresent(p -> {
                throw Refusal.invalid("settings." + id, p);
            });
            read.put(s, value);
        });
        return read;
    }

    Map<String, Integer> faultsRead() {
        return faults == null ? Map.of() : faults;
    }

    Map<String, String> measuredRead() {
        return measured == null ? Map.of() : measured;
    }

    PieceKind kindRead() {
        return Named.find(PieceKind.class, kind).orElseThrow();
    }

    /** Without the piece before it, which belongs to another shop's books. */
    PieceForm alone() {
        return new PieceForm(
                number,
                kind,
                purpose,
                welder,
                drill,
                made,
                units,
                settings,
                inspected,
                faults,
                measured,
                instructor,
                note,
                closed,
                null);
    }

    PieceForm with(String newNumber, String newWelder, LocalDate day) {
        return new PieceForm(
                newNumber,
                kind,
                purpose,
                newWelder,
                drill == null || drill.isBlank() ? null : drill,
                day,
                units,
                settings,
                inspected,
                faults,
                measured,
                instructor,
                note,
                closed,
                previous);
    }
}
