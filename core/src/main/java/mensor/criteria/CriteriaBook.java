package mensor.criteria;

import java.util.List;
import java.util.Optional;
import mensor.inspection.AddendumKind;
import mensor.inspection.Criterion;
import mensor.inspection.Judgeable;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Joint;

/** A code's set of criteria: limits and clauses, from memory of the published document. */
public interface CriteriaBook {
    /** The id in files: {@code d1.1-static}. */
    String id();

    String title();

    /** The edition whose numbering the clauses follow. */
    String edition();

    /** Whether the code has a column of limits in the unit. */
    boolean hasColumn(Unit unit);

    /** Why the code cannot judge the joint, or empty: the field at fault first. */
    Optional<Refusal> refuses(Joint joint);

    /** Whether it is for cyclic loading, for what a design asks by loading. */
    default boolean isCyclic() {
        return false;
    }

    /** Whether its code asks a least fillet for the thickness, and more leg over a gap. */
    default boolean isStructural() {
        return false;
    }

    Rule rule(Criterion criterion, Joint joint, Unit column);

    Citation citation(Criterion criterion, Joint joint);

    /**
     * The code's word that it sets no limit for something; empty where it says none. What is neither limited by a rule nor
     * freed here leaves a verdict incomplete.
     */
    Optional<NoLimit> noLimit(Judgeable what, Joint joint);

    /** The greatest value that the code could accept for what the addendum limits; empty where it sets no limit. */
    default Optional<Length> loosest(AddendumKind kind, Joint joint, Unit column) {
        return rule(kind.criterion(), joint, column).answer(new Loosest(kind, joint));
    }

    /** What the reader of a verdict should know of this joint under this book. */
    List<String> notes(Joint joint);

    /** A joint outside the code. */
    record Refusal(String field, String problem) {}
}
