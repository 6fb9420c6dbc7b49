package mensor.repair;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import mensor.inspection.BaseMetalDamage;
import mensor.inspection.Crack;
import mensor.inspection.CrackPlace;
import mensor.inspection.Criterion;
import mensor.inspection.DrawingFault;
import mensor.inspection.Indication;
import mensor.inspection.NotAsDrawn;
import mensor.weld.Named;

/**
 * What a repair waits for before it goes on: the Engineer's document, for he acts for the owner (D1.1 7.25, from memory). A
 * contract may add the last two.
 */
public enum HoldKind implements Named {
    BASE_METAL("base-metal", "base metal is repaired: the Engineer's approval first", RepairState.EXCAVATED),
    MAJOR_CRACK(
            "major-crack",
            "is the crack a major one? Then the Engineer approves first, and decides on support of what is loaded; else the welding engineer says why not",
            RepairState.EXCAVATED),
    DELAYED_CRACK("delayed-crack", "a crack that appeared later: the Engineer's approval first", RepairState.EXCAVATED),
    CHANGED_DESIGN("changed-design", "a changed design: the Engineer's approval first", RepairState.EXCAVATED),
    REFERRED(
            "referred", "referred: waits for the Engineer's answer, then it is decided anew", RepairState.EXTENT_KNOWN),
    ACCEPT_AS_IS("accept-as-is", "accepted as is by the Engineer's document only", RepairState.CLOSED),
    REPAIR_LIMIT(
            "repair-limit",
            "this place was repaired as often as it may be: the Engineer decides",
            RepairState.EXCAVATED),
    STEEL(
            "steel",
            "the steel is not one that the preheat table knows: no number until it is known",
            RepairState.WELDED),
    ROD(
            "rod",
            "the rod of this weld is not recorded: the procedure says which, before it is welded",
            RepairState.WELDED),
    ACCESS(
            "access",
            "the root lies inside: say how it is reached, else the Engineer decides, for the owner",
            RepairState.EXCAVATED),
    REPLACE(
            "replace",
            "the contract requires the Engineer's approval before a weld is replaced",
            RepairState.EXCAVATED),
    CUTTING_APART(
            "cutting-apart",
            "the contract requires the Engineer's approval before a member is cut apart",
            RepairState.EXCAVATED);

    /** What a contract may add. */
    public static final Set<HoldKind> BY_CONTRACT = Set.copyOf(EnumSet.of(REPLACE, CUTTING_APART));

    /** Repairs of one place before the Engineer is asked, unless the contract says otherwise (common practice). */
    public static final int USUAL_CYCLES = 2;

    private final String id;
    private final String words;
    private final RepairState before;

    HoldKind(String id, String words, RepairState before) {
        this.id = id;
        this.words = words;
        this.before = before;
    }

    @Override
    public String id() {
        return id;
    }

    public String words() {
        return words;
    }

    /** Whether a state waits for it; finding out where a crack ends needs nobody's leave. */
    public boolean stops(RepairState state) {
        return state.compareTo(before) >= 0;
    }

    /** A question that the welding engineer may answer with no, and why. */
    public boolean mayBeDenied() {
        return this == MAJOR_CRACK || this == ACCESS || this == ROD;
    }

    /**
     * What is known of a place.
     *
     * @param rodKnown the rod that a repair is welded with is recorded
     * @param rootReached the root side can be worked on
     * @param decided empty before the contractor chose
     * @param cycle the repair that is planned: 1 is the first
     * @param limit repairs that need nobody's leave
     * @param byContract holds that the contract adds
     */
    public record Facts(
            Optional<Indication> indication,
            boolean appearedLater,
            boolean steelKnown,
            boolean rodKnown,
            boolean rootReached,
            Optional<Disposition> decided,
            boolean cutsApart,
            int cycle,
            int limit,
            Set<HoldKind> byContract) {}

    public static Set<HoldKind> of(Facts f) {
        EnumSet<HoldKind> holds = EnumSet.noneOf(HoldKind.class);
        Disposition decided = f.decided().orElse(null);
        if (decided == Disposition.ACCEPT_AS_IS) {
            holds.add(ACCEPT_AS_IS);
            return holds;
        }
        if (decided == Disposition.REFER) {
            holds.add(REFERRED);
            return holds;
        }
        if (f.indication().orElse(null) instanceof Crack c) {
            holds.add(MAJOR_CRACK);
            if (c.where().filter(CrackPlace.BASE::equals).isPresent()) {
                holds.add(BASE_METAL);
            }
            if (f.appearedLater()) {
                holds.add(DELAYED_CRACK);
            }
        }
        if (f.indication().orElse(null) instanceof NotAsDrawn n && n.what() == DrawingFault.WRONG_PLACE) {
            holds.add(CHANGED_DESIGN);
        }
        boolean welds = decided != null && decided.welds();
        if (f.indication().orElse(null) instanceof BaseMetalDamage && welds) {
            holds.add(BASE_METAL);
        }
        boolean fromInside = decided == Disposition.BLEND || decided == Disposition.ADD_METAL;
        if (f.indication().filter(HoldKind::isAtTheRoot).isPresent() && fromInside && !f.rootReached()) {
            holds.add(ACCESS);
        }
        if (welds && !f.rodKnown()) {
            holds.add(ROD);
        }
        if (f.cycle() > f.limit()) {
            holds.add(REPAIR_LIMIT);
        }
        if (!f.steelKnown() && welds) {
            holds.add(STEEL);
        }
        if (decided == Disposition.REPLACE && f.byContract().contains(REPLACE)) {
            holds.add(REPLACE);
        }
        if (f.cutsApart() && f.byContract().contains(CUTTING_APART)) {
            holds.add(CUTTING_APART);
        }
        return holds;
    }

    private static boolean isAtTheRoot(Indication i) {
        return i.criterion() == Criterion.ROOT;
    }
}
