package mensor.repair;

import java.util.List;
import java.util.Optional;
import mensor.inspection.Criterion;
import mensor.inspection.DrawingFault;
import mensor.inspection.Indication;
import mensor.inspection.MeltThrough;
import mensor.inspection.NotAsDrawn;
import mensor.inspection.RootConcavity;
import mensor.inspection.Underfill;
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
    WELD_AS_DRAWN("weld-as-drawn", "Weld as drawn"),
    TAKE_OFF("take-off", "Take off what is not drawn"),
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

    /** Whether metal is laid. */
    public boolean welds() {
        return switch (this) {
            case ADD_METAL, REMOVE_AND_REWELD, REPLACE, WELD_AS_DRAWN -> true;
            case BLEND, TAKE_OFF, REFER, ACCEPT_AS_IS -> false;
        };
    }

    /** Whether what is there is taken out before. */
    public boolean takesOut() {
        return this == REMOVE_AND_REWELD || this == REPLACE;
    }

    /** Whether work is done by the contractor at all. */
    public boolean isWork() {
        return this != REFER && this != ACCEPT_AS_IS;
    }

    /** What the kind of an indication, its words and how its root is reached make of a repair. */
    public record Kind(Criterion criterion, Optional<Indication> indication, boolean opening, boolean rootReached) {
        public static Kind of(Criterion criterion) {
            return new Kind(criterion, Optional.empty(), false, true);
        }

        private Optional<DrawingFault> fault() {
            return indication.filter(NotAsDrawn.class::isInstance).map(i -> ((NotAsDrawn) i).what());
        }
    }

    /** The dispositions that suit a rejected place, the usual one first. */
    public static List<Disposition> suiting(Kind kind) {
        if (kind.opening()) {
            return List.of(REPLACE, REFER, ACCEPT_AS_IS);
        }
        return kind.fault().map(Disposition::suiting).orElseGet(() -> switch (kind.criterion()) {
            case CRACK, FUSION, POROSITY, SLAG -> List.of(REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case OVERLAP -> List.of(BLEND, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case ARC_STRIKE, SPATTER -> List.of(BLEND, REFER, ACCEPT_AS_IS);
            case BASE_METAL -> List.of(BLEND, REFER, ADD_METAL, ACCEPT_AS_IS);
            case UNDERCUT -> List.of(ADD_METAL, BLEND, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case PROFILE ->
                isMetalMissing(kind)
                        ? List.of(ADD_METAL, BLEND, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS)
                        : List.of(BLEND, ADD_METAL, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case SIZE, CRATER, LENGTH -> List.of(ADD_METAL, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
            case ROOT -> root(kind);
            case AS_DRAWN, MISALIGNMENT, READINESS -> List.of(REFER, REMOVE_AND_REWELD, REPLACE, ACCEPT_AS_IS);
        });
    }

    private static List<Disposition> suiting(DrawingFault fault) {
        return switch (fault) {
            case MISSING_WELD, MISSING_RETURN -> List.of(WELD_AS_DRAWN, REFER, ACCEPT_AS_IS);
            case EXTRA_WELD, UNWANTED_RETURN, TAB_LEFT, BACKING_LEFT -> List.of(TAKE_OFF, REFER, ACCEPT_AS_IS);
            case WRONG_PLACE -> List.of(REFER, REMOVE_AND_REWELD, REPLACE, ACCEPT_AS_IS);
        };
    }

    /** What hangs through is taken off where it can be reached; what is drawn in is filled there, else from the face. */
    private static List<Disposition> root(Kind kind) {
        Indication i = kind.indication().orElse(null);
        if (i instanceof MeltThrough) {
            return kind.rootReached()
                    ? List.of(BLEND, REFER, REMOVE_AND_REWELD, REPLACE, ACCEPT_AS_IS)
                    : List.of(REFER, BLEND, REMOVE_AND_REWELD, REPLACE, ACCEPT_AS_IS);
        }
        if (i instanceof RootConcavity && kind.rootReached()) {
            return List.of(ADD_METAL, REMOVE_AND_REWELD, REPLACE, REFER, ACCEPT_AS_IS);
        }
        return List.of(REMOVE_AND_REWELD, ADD_METAL, REPLACE, REFER, ACCEPT_AS_IS);
    }

    private static boolean isMetalMissing(Kind kind) {
        return kind.indication().orElse(null) instanceof Underfill;
    }

    /** Why the usual one is usual, in a line. */
    public static String why(Kind kind) {
        if (kind.opening()) {
            return "more metal does not mend an opening that is too wide: refit it and weld again, demonstrate the throat, or refer to the Engineer";
        }
        return kind.fault().map(Disposition::why).orElseGet(() -> switch (kind.criterion()) {
            case CRACK ->
                "find its ends first, take the crack out and 2 in [50 mm] of sound metal beyond each, prove it gone by MT or PT, reweld";
            case FUSION, POROSITY, SLAG -> "take the bad part out and reweld; welding over it would bury it";
            case OVERLAP -> "take the excess off";
            case ARC_STRIKE -> "grind smooth, then check";
            case SPATTER -> "take it off";
            case BASE_METAL ->
                "grind it smooth, then measure what is left; filling it by welding is base-metal repair, for the Engineer";
            case PROFILE -> "take the excess off; an underfill is filled after preparing the surface";
            case UNDERCUT ->
                "prepare the surface and add metal; a shallow one may be blended where the thickness allows it";
            case SIZE, CRATER, LENGTH -> "prepare the surface and add metal";
            case ROOT ->
                kind.indication().orElse(null) instanceof MeltThrough
                        ? "the excess comes off where it can be reached; the root is not cut out for it"
                        : "take the bad root out and reweld it as the root was welded";
            case AS_DRAWN, MISALIGNMENT, READINESS -> "a changed design is the Engineer's to decide";
        });
    }

    private static String why(DrawingFault fault) {
        return switch (fault) {
            case MISSING_WELD, MISSING_RETURN -> "what is drawn and missing is welded as drawn; the design stays";
            case EXTRA_WELD, UNWANTED_RETURN, TAB_LEFT, BACKING_LEFT ->
                "what is not drawn comes off, and the place is inspected";
            case WRONG_PLACE -> "a weld in another place is a changed design, for the Engineer";
        };
    }
}
