package mensor.repair;

import java.util.List;
import java.util.Optional;
import mensor.inspection.Criterion;
import mensor.inspection.IndicationKind;
import mensor.weld.Named;

/**
 * What the contractor decides on a rejected finding. Which ones suit a finding follows the code's repair clause (AWS D1.1
 * 7.25, 2020 numbering, from memory); welding over a defect is never offered.
 */
public enum Disposition implements Named {
    BLEND("blend", "Blend by grinding"),
    ADD_METAL("add-metal", "Add weld metal"),
    REMOVE_AND_REWELD("remove-and-reweld", "Remove and reweld"),
    REPLACE("replace", "Replace the weld"),
    REFER("refer", "Refer to the Engineer"),
    ACCEPT_AS_IS("accept-as-is", "Accept as is");

    private final String id;
    private final String title;

    Disposition(String id, String title) {
        this.id = id;
        this.title = title;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    /** Only by the Engineer's document, for he acts for the owner. */
    public boolean needsEngineersDocument() {
        return this == ACCEPT_AS_IS;
    }

    /** The dispositions that suit a finding, the usual one first. */
    public static List<Disposition> suiting(Criterion criterion) {
        return switch (criterion) {
            case CRACK, FUSION, POROSITY, SLAG -> List.of(REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case OVERLAP -> List.of(BLEND, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case ARC_STRIKE, SPATTER -> List.of(BLEND, REFER, ACCEPT_AS_IS);
            case UNDERCUT -> List.of(ADD_METAL, BLEND, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case PROFILE -> List.of(BLEND, ADD_METAL, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case SIZE, CRATER, LENGTH -> List.of(ADD_METAL, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case ROOT -> List.of(REMOVE_AND_REWELD, ADD_METAL, REPLACE, REFER, ACCEPT_AS_IS);
            case AS_DRAWN, MISALIGNMENT, READINESS -> List.of(REFER, REMOVE_AND_REWELD, REPLACE, ACCEPT_AS_IS);
        };
    }

    /** What is proposed first; metal that is missing is added, not ground away. */
    public static Disposition proposed(Criterion criterion, Optional<IndicationKind> kind) {
        boolean missing = kind.filter(k -> k == IndicationKind.UNDERFILL || k == IndicationKind.ROOT_CONCAVITY)
                .isPresent();
        return missing ? ADD_METAL : suiting(criterion).get(0);
    }

    /** Why the usual one is usual, in a line. */
    public static String why(Criterion criterion) {
        return switch (criterion) {
            case CRACK ->
                "find its ends first, take the crack out and 2 in [50 mm] of sound metal beyond each, prove it gone by MT or PT, reweld";
            case FUSION, POROSITY, SLAG -> "take the bad part out and reweld; welding over it would bury it";
            case OVERLAP -> "take the excess off";
            case ARC_STRIKE -> "grind smooth, then check";
            case SPATTER -> "take it off";
            case PROFILE -> "take the excess off; an underfill is filled after preparing the surface";
            case UNDERCUT ->
                "prepare the surface and add metal; a shallow one may be blended where the thickness allows it";
            case SIZE, CRATER, LENGTH -> "prepare the surface and add metal";
            case ROOT -> "take the bad root out and reweld";
            case AS_DRAWN, MISALIGNMENT, READINESS -> "a changed design is the Engineer's to decide";
        };
    }
}
