package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Toe;

/** Something seen on the weld, one record per kind. A depth that is absent was not measured; a depth of zero is nothing there. */
public sealed interface Indication {
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
    }

    /** The criterion that judges it. */
    Criterion criterion();

    /** Where it lies; the weld's start, for want of a better place, where it {@link #isPlaced} nowhere. */
    Span span();

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

    record Crack(Span span, Optional<CrackPlace> where) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span).with("where", where);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.crack(this);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.CRACK;
        }

        @Override
        public Criterion criterion() {
            return Criterion.CRACK;
        }
    }

    record IncompleteFusion(Span span) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.incompleteFusion(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new IncompleteFusion(stretch);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.INCOMPLETE_FUSION;
        }

        @Override
        public Criterion criterion() {
            return Criterion.FUSION;
        }
    }

    record Overlap(Toe toe, Span span, Optional<Length> depth, Optional<Length> division) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues()
                    .at(span)
                    .with("toe", toe)
                    .with("depth", depth)
                    .division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.overlap(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new Overlap(toe, stretch, depth, division);
        }

        @Override
        public Indication worseBy(Length more) {
            return new Overlap(toe, span, Worse.by(depth, more), division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.OVERLAP;
        }

        @Override
        public Criterion criterion() {
            return Criterion.OVERLAP;
        }
    }

    record Undercut(Toe toe, Span span, Length deep, Optional<Length> division) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues()
                    .at(span)
                    .with("toe", toe)
                    .with("depth", deep)
                    .division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.undercut(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new Undercut(toe, stretch, deep, division);
        }

        @Override
        public Indication worseBy(Length more) {
            return new Undercut(toe, span, Worse.by(deep, more), division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.UNDERCUT;
        }

        @Override
        public Criterion criterion() {
            return toe == Toe.ROOT ? Criterion.ROOT : Criterion.UNDERCUT;
        }

        @Override
        public Optional<Length> depth() {
            return Optional.of(deep);
        }
    }

    /** A stretch marked as under the wanted size; {@code least} is the least size there in the drawing's meaning. */
    record Undersize(Span span, Length least) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span).with("least", least);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.undersize(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new Undersize(stretch, least);
        }

        @Override
        public Indication worseBy(Length more) {
            return least.isOver(more) ? new Undersize(span, least.minus(more)) : this;
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.UNDERSIZE;
        }

        @Override
        public Criterion criterion() {
            return Criterion.SIZE;
        }
    }

    /** Visible pores, each counted with the largest diameter. */
    record Porosity(Span span, Length diameter, long count, Optional<Length> division) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues()
                    .at(span)
                    .with("diameter", diameter)
                    .with("count", Optional.of(count).filter(n -> n != 1))
                    .division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.porosity(this);
        }

        @Override
        public Indication worseBy(Length more) {
            return new Porosity(span, Worse.by(diameter, more), count, division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.POROSITY;
        }

        @Override
        public Criterion criterion() {
            return Criterion.POROSITY;
        }

        @Override
        public Optional<Length> depth() {
            return Optional.of(diameter);
        }
    }

    /** A crater at the end of a run; without a depth it is not filled. */
    record Crater(Length at, Optional<Length> depth, Optional<Length> division) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span()).with("depth", depth).division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.crater(this);
        }

        @Override
        public Indication worseBy(Length more) {
            return new Crater(at, Worse.by(depth, more), division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.CRATER;
        }

        @Override
        public Criterion criterion() {
            return Criterion.CRATER;
        }

        @Override
        public Span span() {
            return Span.at(at);
        }
    }

    record ArcStrike(Length at, Optional<Boolean> ground, Optional<CheckMethod> checked) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span()).with("ground", ground).with("checked", checked);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.arcStrike(this);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.ARC_STRIKE;
        }

        @Override
        public Criterion criterion() {
            return Criterion.ARC_STRIKE;
        }

        @Override
        public Span span() {
            return Span.at(at);
        }
    }

    /** Slag: trapped at a toe or open after cleaning, or else still covering the weld. */
    record Slag(Span span, boolean trapped) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span).with("trapped", trapped);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.slag(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new Slag(stretch, trapped);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.SLAG;
        }

        @Override
        public Criterion criterion() {
            return Criterion.SLAG;
        }
    }

    record Spatter(Span span, boolean loose) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span).with("loose", loose);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.spatter(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new Spatter(stretch, loose);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.SPATTER;
        }

        @Override
        public Criterion criterion() {
            return Criterion.SPATTER;
        }
    }

    record Underfill(Span span, Optional<Length> depth, Optional<Length> division) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span).with("depth", depth).division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.underfill(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new Underfill(stretch, depth, division);
        }

        @Override
        public Indication worseBy(Length more) {
            return new Underfill(span, Worse.by(depth, more), division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.UNDERFILL;
        }

        @Override
        public Criterion criterion() {
            return Criterion.PROFILE;
        }
    }

    record IncompletePenetration(Span span, Optional<Length> depth, Optional<Length> division) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span).with("depth", depth).division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.incompletePenetration(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new IncompletePenetration(stretch, depth, division);
        }

        @Override
        public Indication worseBy(Length more) {
            return new IncompletePenetration(span, Worse.by(depth, more), division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.INCOMPLETE_PENETRATION;
        }

        @Override
        public Criterion criterion() {
            return Criterion.ROOT;
        }
    }

    record MeltThrough(Span span, Length height, Optional<Length> division) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span).with("depth", height).division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.meltThrough(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new MeltThrough(stretch, height, division);
        }

        @Override
        public Indication worseBy(Length more) {
            return new MeltThrough(span, Worse.by(height, more), division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.MELT_THROUGH;
        }

        @Override
        public Criterion criterion() {
            return Criterion.ROOT;
        }

        @Override
        public Optional<Length> depth() {
            return Optional.of(height);
        }
    }

    record RootConcavity(Span span, Length deep, Optional<Length> division) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span).with("depth", deep).division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.rootConcavity(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new RootConcavity(stretch, deep, division);
        }

        @Override
        public Indication worseBy(Length more) {
            return new RootConcavity(span, Worse.by(deep, more), division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.ROOT_CONCAVITY;
        }

        @Override
        public Criterion criterion() {
            return Criterion.ROOT;
        }

        @Override
        public Optional<Length> depth() {
            return Optional.of(deep);
        }
    }

    record BurnThrough(Length at) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span());
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.burnThrough(this);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.BURN_THROUGH;
        }

        @Override
        public Criterion criterion() {
            return Criterion.ROOT;
        }

        @Override
        public Span span() {
            return Span.at(at);
        }
    }

    record Misalignment(Span span, Length offset, Optional<Length> division) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().at(span).with("offset", offset).division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.misalignment(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new Misalignment(stretch, offset, division);
        }

        @Override
        public Indication worseBy(Length more) {
            return new Misalignment(span, Worse.by(offset, more), division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.MISALIGNMENT;
        }

        @Override
        public Criterion criterion() {
            return Criterion.MISALIGNMENT;
        }

        @Override
        public Optional<Length> depth() {
            return Optional.of(offset);
        }
    }

    /** A restart that left a bump or a hollow; what it makes beside that is recorded as that. */
    record PoorRestart(Span span, Optional<Length> height, Optional<Length> hollow, Optional<Length> division)
            implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues()
                    .at(span)
                    .with("height", height)
                    .with("depth", hollow)
                    .division(division);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.poorRestart(this);
        }

        @Override
        public Indication along(Span stretch) {
            return new PoorRestart(stretch, height, hollow, division);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.POOR_RESTART;
        }

        @Override
        public Criterion criterion() {
            return Criterion.PROFILE;
        }
    }

    /** The weld is shorter than specified by {@code missing}. */
    record ShortWeld(Length missing) implements Indication {
        @Override
        public IndicationValues values() {
            return new IndicationValues().with("missing", missing);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.shortWeld(this);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.SHORT_WELD;
        }

        @Override
        public Criterion criterion() {
            return Criterion.LENGTH;
        }

        @Override
        public Span span() {
            return Span.at(Length.zero(missing.unit()));
        }

        @Override
        public boolean isPlaced() {
            return false;
        }
    }

    record NotAsDrawn(DrawingFault what, Optional<Length> at) implements Indication {
        @Override
        public IndicationValues values() {
            IndicationValues v = new IndicationValues().with("what", what.id());
            return at.map(a -> v.at(Span.at(a))).orElse(v);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.notAsDrawn(this);
        }

        @Override
        public IndicationKind kind() {
            return IndicationKind.NOT_AS_DRAWN;
        }

        @Override
        public Criterion criterion() {
            return Criterion.AS_DRAWN;
        }

        @Override
        public Span span() {
            return Span.at(at.orElse(Length.inches(0)));
        }

        @Override
        public boolean isPlaced() {
            return at.isPresent();
        }
    }

    /** A depth of zero is nothing there, and stays so. */
    final class Worse {
        private Worse() {}

        private static Length by(Length depth, Length more) {
            return depth.isZero() ? depth : depth.plus(more);
        }

        private static Optional<Length> by(Optional<Length> depth, Length more) {
            return depth.map(d -> by(d, more));
        }
    }
}
