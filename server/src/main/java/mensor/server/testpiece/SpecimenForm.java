package mensor.server.testpiece;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.testpiece.Specimen;
import mensor.testpiece.SpecimenKind;
import mensor.weld.Named;

/**
 * What a specimen showed, in the fields of its kind: {@code face-bend}, {@code root-bend}, {@code side-bend}, {@code fillet-break},
 * {@code macro}, {@code nick-break}; {@code bend} where nobody said which. Lengths as typed.
 *
 * @param openings of a bend, each opening of the bent face at its longest
 * @param largest of a fillet break, the largest inclusion or pore; of a nick-break the longest inclusion
 * @param at where it was cut, from the datum; absent where the cutting plan says so
 * @param lookedOver of a bend: nothing opened but what is listed
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record SpecimenForm(
        String kind,
        String specimen,
        List<String> openings,
        List<Corner> corners,
        Boolean bentFlat,
        Boolean fullFusion,
        String largest,
        String sum,
        Boolean cracks,
        Boolean fusedToRoot,
        Boolean legsAsRequired,
        String undercut,
        Boolean lookedOver,
        String allowedInclusion,
        String pore,
        String allowedPore,
        String apart,
        String allowedApart,
        Boolean profileAsRequired,
        String throat,
        String penetration,
        String at) {

    @AllOptional
    public record Corner(String length, Boolean fromSlagOrFusion) {}

    /** @throws Refusal naming the field that cannot be read */
    Specimen read(Unit units) {
        return switch (String.valueOf(kind)) {
            case "bend", "face-bend", "root-bend", "side-bend" ->
                new Specimen.Bend(openings(units), corners(units), Boolean.TRUE.equals(lookedOver));
            case "nick-break" ->
                new Specimen.NickBreak(
                        Optional.ofNullable(fullFusion),
                        depth("largest", largest, units),
                        depth("allowedInclusion", allowedInclusion, units),
                        depth("pore", pore, units),
                        depth("allowedPore", allowedPore, units),
                        depth("apart", apart, units),
                        depth("allowedApart", allowedApart, units));
            case "fillet-break" ->
                new Specimen.FilletBreak(
                        Boolean.TRUE.equals(bentFlat),
                        Optional.ofNullable(fullFusion),
                        depth("largest", largest, units),
                        depth("sum", sum, units));
            case "macro" ->
                new Specimen.Macro(
                        Optional.ofNullable(cracks),
                        Optional.ofNullable(fullFusion),
                        Optional.ofNullable(fusedToRoot),
                        Optional.ofNullable(legsAsRequired),
                        Optional.ofNullable(profileAsRequired),
                        depth("undercut", undercut, units),
                        depth("throat", throat, units),
                        depth("penetration", penetration, units));
            default ->
                throw Refusal.invalid(
                        "kind", "one of " + Named.list(SpecimenKind.class) + " is required, got \"" + kind + "\"");
        };
    }

    /** Where it was cut, where somebody said so. */
    Optional<Length> place(Unit units) {
        return depth("at", at, units);
    }

    private List<Length> openings(Unit units) {
        List<Length> read = new ArrayList<>();
        List<String> said = openings == null ? List.of() : openings;
        for (int i = 0; i < said.size(); i++) {
            read.add(depth("openings[" + i + "]", said.get(i), units).orElseThrow());
        }
        return read;
    }

    private List<Specimen.CornerCrack> corners(Unit units) {
        List<Specimen.CornerCrack> read = new ArrayList<>();
        List<Corner> said = corners == null ? List.of() : corners;
        for (int i = 0; i < said.size(); i++) {
            String field = "corners[" + i + "]";
            if (said.get(i).fromSlagOrFusion() == null) {
                throw Refusal.invalid(field + ".fromSlagOrFusion", "does it start from slag or lack of fusion?");
            }
            Length length = depth(field + ".length", said.get(i).length(), units)
                    .orElseThrow(() -> Refusal.invalid(field + ".length", "how long is it?"));
            read.add(new Specimen.CornerCrack(length, said.get(i).fromSlagOrFusion()));
        }
        return read;
    }

    private static Optional<Length> depth(String field, String said, Unit units) {
        if (said == null || said.isBlank()) {
            return Optional.empty();
        }
        try {
            Length read = Length.parse(said, units);
            if (read.isNegative()) {
                throw Refusal.invalid(field, "cannot be below zero, got " + read.shownWithUnit());
            }
            return Optional.of(read);
        } catch (LengthFormatException e) {
            throw Refusal.invalid(field, e.getMessage());
        }
    }
}
