package mensor.server.inspection;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.inspection.Conditions;
import mensor.inspection.Viewing;
import mensor.judge.Reinspection;
import mensor.server.web.AllOptional;

/**
 * The answers of the "ready to look?" list; what is absent was not answered, or stays as it was answered before.
 *
 * @param light enough light, with {@code lightLevel} as noted
 * @param near the eye comes within 24 in and not below 30°, with {@code access} as noted
 * @param gauges those of the register that are used
 * @param inCalibration the answer where no gauge of the register is named; in a signed inspection what the register said then
 * @param reverseFace after a repair: the face behind it was inspected, or {@code reverseBy} says how it is covered
 * @param groundPlaces after a repair: every ground place and where the work clamp stood were inspected
 * @param forget answers to be taken back, by name
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
@AllOptional
public record ConditionsForm(
        Boolean cleaned,
        Boolean ambient,
        Boolean coated,
        BigDecimal hoursSinceWelding,
        Boolean light,
        String lightLevel,
        Boolean near,
        String access,
        List<UUID> gauges,
        Boolean inCalibration,
        Boolean reverseFace,
        String reverseBy,
        Boolean groundPlaces,
        List<String> forget) {
    static final ConditionsForm NONE =
            new ConditionsForm(null, null, null, null, null, null, null, null, null, null, null, null, null, null);

    /** All is as it should be: a weld that is handed out was made ready before. */
    static final ConditionsForm READY =
            new ConditionsForm(true, true, false, null, true, null, true, null, null, true, null, null, null, null);

    /** These answers over earlier ones, so that two answers given quickly after each other both stand. */
    ConditionsForm over(ConditionsForm before) {
        return new ConditionsForm(
                or("cleaned", cleaned, before.cleaned),
                or("ambient", ambient, before.ambient),
                or("coated", coated, before.coated),
                or("hoursSinceWelding", hoursSinceWelding, before.hoursSinceWelding),
                or("light", light, before.light),
                or("lightLevel", lightLevel, before.lightLevel),
                or("near", near, before.near),
                or("access", access, before.access),
                or("gauges", gauges, before.gauges),
                or("inCalibration", inCalibration, before.inCalibration),
                or("reverseFace", reverseFace, before.reverseFace),
                or("reverseBy", reverseBy, before.reverseBy),
                or("groundPlaces", groundPlaces, before.groundPlaces),
                null);
    }

    private <T> T or(String name, T now, T before) {
        if (forget != null && forget.contains(name)) {
            return null;
        }
        return now != null ? now : before;
    }

    /** With the hours that the clock shows, and what the register says of the gauges. */
    ConditionsForm standing(BigDecimal hours, Boolean gaugesHold) {
        return new ConditionsForm(
                cleaned,
                ambient,
                coated,
                hours,
                light,
                lightLevel,
                near,
                access,
                gauges,
                gaugesHold,
                reverseFace,
                reverseBy,
                groundPlaces,
                null);
    }

    /** The part that the inspection format knows. */
    Conditions conditions() {
        return new Conditions(
                Optional.ofNullable(cleaned),
                Optional.ofNullable(ambient),
                Optional.ofNullable(coated),
                Optional.ofNullable(hoursSinceWelding));
    }

    List<UUID> gaugeIds() {
        return gauges == null ? List.of() : gauges;
    }

    Viewing viewing() {
        return new Viewing(Optional.ofNullable(light), Optional.ofNullable(near), Optional.ofNullable(inCalibration));
    }

    /** What lies beside a repair: inspected, or said how it is covered. */
    Reinspection.Beside beside() {
        boolean covered = reverseBy != null && !reverseBy.isBlank();
        return new Reinspection.Beside(
                covered ? Optional.of(true) : Optional.ofNullable(reverseFace), Optional.ofNullable(groundPlaces));
    }

    boolean saysOfViewing() {
        return light != null || near != null || inCalibration != null;
    }
}
