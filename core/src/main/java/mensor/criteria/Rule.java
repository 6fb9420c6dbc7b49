package mensor.criteria;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.length.Length;
import mensor.weld.Toe;

/**
 * What one criterion of a book asks of one joint, as data: the book writes it from its tables, the judge answers it. A new
 * shape of rule is a record here and a case in {@link Cases}, so that none can be forgotten.
 */
public sealed interface Rule {
    <T> T answer(Cases<T> cases);

    /** One answer per shape of rule. */
    interface Cases<T> {
        T readiness(Readiness rule);

        T noneAllowed(NoneAllowed rule);

        T craterFilled(CraterFilled rule);

        T convexityByWidth(ConvexityByWidth rule);

        T faceHeight(FaceHeight rule);

        T grooveFace(GrooveFace rule);

        T filletSize(FilletSize rule);

        T grooveSize(GrooveSize rule);

        T undercut(Undercut rule);

        T poreSums(PoreSums rule);

        T poreSpacing(PoreSpacing rule);

        T eitherWay(EitherWay rule);

        T graded(Graded rule);

        T arcStrikeDressed(ArcStrikeDressed rule);

        T slag(SlagRemoved rule);

        T spatter(SpatterTight rule);

        T root(Root rule);

        T offset(Offset rule);
    }

    /** Cleaned, at ambient temperature, not coated; a steel that can crack late waits so many hours. */
    record Readiness(int delayHours) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.readiness(this);
        }
    }

    /** No such thing at any size; a recorded depth of zero is nothing there. */
    record NoneAllowed(String thing) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.noneAllowed(this);
        }
    }

    /** Every crater filled to the specified size, but for ends outside the segments of an intermittent fillet. */
    record CraterFilled() implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.craterFilled(this);
        }
    }

    /** A convexity limit for faces up to a width; the last step has no width. {@code under} faces just short of it. */
    record WidthStep(Optional<Length> width, boolean widthIncluded, Length convexity, Confidence confidence) {}

    /** Convexity by the width of the face or bead; {@code orElse} is another limit that holds where it is greater. No underfill. */
    record ConvexityByWidth(List<WidthStep> steps, Optional<Length> orElse, Confidence orElseConfidence)
            implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.convexityByWidth(this);
        }
    }

    /**
     * How high a groove's face may stand above the surface, and how far below it may lie; no underfill beyond that.
     *
     * @param reckoned how the limit was found, in words
     */
    record FaceHeight(Length most, Length below, String reckoned, Confidence confidence) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.faceHeight(this);
        }
    }

    /** The face of a groove whose height has no limit: its convexity at most, where the book has one. No underfill. */
    record GrooveFace(Optional<Length> convexity, Confidence confidence) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.grooveFace(this);
        }
    }

    /** A groove is undersize nowhere; the throat of a partial penetration, where it is read, is not under the drawing's. */
    record GrooveSize() implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.grooveSize(this);
        }
    }

    /**
     * Leg size of a fillet, in the drawing's meaning.
     *
     * @param underruns how far below a drawn size a reading may lie: the first step whose size the drawing is under
     * @param portionDivisor the undersize portion is at most the welded length divided by this
     * @param noUnderrunFlanges no underrun within so many flange widths of a girder's end
     * @param openingFree a fit-up opening up to this asks no more leg
     * @param openingMost a greater opening rejects, but for thick parts
     * @param thickParts parts at least this thick may have
     * @param openingThick an opening up to this, by referral
     */
    record FilletSize(
            List<Underrun> underruns,
            int portionDivisor,
            int noUnderrunFlanges,
            Length openingFree,
            Length openingMost,
            Length thickParts,
            Length openingThick,
            SizeEvidence evidence)
            implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.filletSize(this);
        }
    }

    /** The underrun allowed where the drawn size is under {@code sizeUnder}; the last step has no bound. */
    record Underrun(Optional<Length> sizeUnder, Length underrun) {}

    /** How many readings accept a size: stations near both ends and none too far apart, or one on a short weld. */
    record SizeEvidence(int stations, Length fromEnd, Length apart, Length shortWeld) {
        public static SizeEvidence inches() {
            return new SizeEvidence(3, Length.inches(2), Length.inches(12), Length.inches(3));
        }

        public static SizeEvidence millimetres() {
            return new SizeEvidence(3, Length.millimetres("50"), Length.millimetres("300"), Length.millimetres("75"));
        }
    }

    /** A toe's depth at any length, and the greater depth that may add up along a short length. */
    record ToeDepth(Length anyLength, Optional<Length> exception) {}

    /** Undercut by toe; the exceptions of all toes named here add up to {@code accumulated} in any {@code window}. */
    record Undercut(Map<Toe, ToeDepth> depths, Length accumulated, Length window) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.undercut(this);
        }
    }

    /** The sum of diameters allowed in any window. */
    record WindowSum(Length sum, Length window) {}

    /** Pores from a diameter up, by their summed diameters in every window. */
    record PoreSums(Length countedFrom, List<WindowSum> sums) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.poreSums(this);
        }
    }

    /** At most one visible pore in any {@code window}, and none larger than {@code most}. */
    record PoreSpacing(Length most, Length window) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.poreSpacing(this);
        }
    }

    /** What holds depends on a fact that is not known: both are judged, and only what they agree on is said. */
    record EitherWay(Rule ifSo, Rule otherwise, String fact) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.eitherWay(this);
        }
    }

    /** {@code ifSo} or {@code otherwise} where the fact is known, else both. */
    static Rule either(Optional<Boolean> known, Rule ifSo, Rule otherwise, String fact) {
        return known.map(k -> k ? ifSo : otherwise).orElse(new EitherWay(ifSo, otherwise, fact));
    }

    /** A rule whose numbers are less sure than those of the tables. */
    record Graded(Rule rule, Confidence confidence) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.graded(this);
        }
    }

    /** Every arc strike ground smooth and checked. */
    record ArcStrikeDressed() implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.arcStrikeDressed(this);
        }
    }

    /** No slag trapped or open after cleaning; slag that only covers is cleaned first. */
    record SlagRemoved() implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.slag(this);
        }
    }

    /** Tight spatter may stay; loose spatter is cleaned first. */
    record SpatterTight() implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.spatter(this);
        }
    }

    /**
     * The root of a weld made from one side. Incomplete penetration and burn-through reject. Where the book has no limit for
     * melt-through and root concavity, the advice is what a welder's test allows.
     */
    record Root(
            Undercut undercut,
            Optional<Length> meltThroughMost,
            Optional<Length> concavityMost,
            Length meltThroughAdvice,
            Length concavityAdvice,
            Confidence adviceConfidence)
            implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.root(this);
        }
    }

    /** The departure from the alignment drawn, at most. */
    record Offset(Length most, String reckoned) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.offset(this);
        }
    }
}
