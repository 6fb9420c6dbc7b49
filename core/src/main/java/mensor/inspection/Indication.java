package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** Something seen on the weld, one record per kind. A depth that is absent was not measured; a depth of zero is nothing there. */
public sealed interface Indication
        permits ArcStrike,
                BaseMetalDamage,
                BurnThrough,
                Crack,
                Crater,
                IncompleteFusion,
                IncompletePenetration,
                MeltThrough,
                Misalignment,
                NotAsDrawn,
                Overlap,
                PoorRestart,
                Porosity,
                RootConcavity,
                ShortWeld,
                Slag,
                Spatter,
                Undercut,
                Underfill,
                Undersize {
    IndicationKind kind();

    /** Taken apart into place and fields, as {@link IndicationKind#of} puts it together. */
    IndicationValues values();

    /** Answers by the kind's own record: the compiler asks for each. */
    <T> T answer(Cases<T> cases);

    /** One answer per kind. */
    interface Cases<T> {
        T crack(Crack i);

        T incompleteFusion(IncompleteFusion i);

        T overlap(Overlap i);

        T undercut(Undercut i);

        T undersize(Undersize i);

        T porosity(Porosity i);

        T crater(Crater i);

        T arcStrike(ArcStrike i);

        T slag(Slag i);

        T spatter(Spatter i);

        T underfill(Underfill i);

        T incompletePenetration(IncompletePenetration i);

        T meltThrough(MeltThrough i);

        T rootConcavity(RootConcavity i);

        T burnThrough(BurnThrough i);

        T misalignment(Misalignment i);

        T poorRestart(PoorRestart i);

        T shortWeld(ShortWeld i);

        T notAsDrawn(NotAsDrawn i);

        T baseMetalDamage(BaseMetalDamage i);
    }

    /** The criterion that judges it. */
    Criterion criterion();

    /** Where it lies; the weld's start, for want of a better place, where it {@link #isPlaced} nowhere. */
    Span span();

    /** How it is drawn on the strip. */
    default IndicationKind.Shape shape() {
        return kind().shape();
    }

    /** Whether it was seen at a place: what is missing from the whole weld was not. */
    default boolean isPlaced() {
        return true;
    }

    /** The gauge's smallest division, where a depth carries one. */
    default Optional<Length> division() {
        return Optional.empty();
    }

    /** The depth, height or diameter that tells how bad it is, where the kind has one and it was read. */
    default Optional<Length> depth() {
        return Optional.empty();
    }

    /** The same, measured worse by so much: deeper, higher, wider, or for a size less. What has no measure stays as it is. */
    default Indication worseBy(Length more) {
        return this;
    }

    /** The same along another stretch; what lies at a place, or nowhere, stays as it is. */
    default Indication along(Span stretch) {
        return this;
    }
}
