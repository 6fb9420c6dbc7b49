package mensor.criteria;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mensor.inspection.CheckMethod;
import mensor.inspection.IndicationKind;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.weld.Toe;

/**
 * What one criterion of a book asks of one joint, as data: the code writes it from its tables, the judge answers it. A new
 * shape of rule is a record here and a case in {@link Cases}, so that none can be forgotten.
 */
public sealed interface Rule {
    <T> T answer(Cases<T> cases);

    /** The rules that judge something by themselves, out of those that only join or mark others. */
    default Stream<Rule> leaves() {
        return Stream.of(this);
    }

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

        T noted(Noted rule);

        T allOf(AllOf rule);

        T atMost(AtMost rule);

        T toeAngle(ToeAngle rule);

        T throatSize(ThroatSize rule);

        T concavityWithinCrown(ConcavityWithinCrown rule);

        T anySize(AnySize rule);

        T notJudged(NotJudged rule);

        T arcStrikeDressed(ArcStrikeDressed rule);

        T slag(SlagRemoved rule);

        T spatter(SpatterTight rule);

        T root(Root rule);

        T offset(Offset rule);

        T baseMetal(BaseMetal rule);
    }

    /** Cleaned, at ambient temperature, not coated; a steel that can crack late waits so many hours. */
    record Readiness(int delayHours) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.readiness(this);
        }
    }

    /** No such thing at any size, of one kind of the criterion or of all; a recorded depth of zero is nothing there. */
    record NoneAllowed(String thing, Optional<IndicationKind> kind) implements Rule {
        /** Of every kind of the criterion. */
        public NoneAllowed(String thing) {
            this(thing, Optional.empty());
        }

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

    /**
     * The face of a groove whose height has no limit: its convexity at most, where the code has one; a concavity over the
     * same is left to the copy of the code. No underfill.
     */
    record GrooveFace(Optional<Length> convexity, Confidence confidence) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.grooveFace(this);
        }
    }

    /**
     * A groove is undersize nowhere; the throat of a partial penetration, where it is read, is not under the drawing's, and is
     * read often enough to accept it.
     */
    record GrooveSize(SizeEvidence evidence) implements Rule {
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
     * @param openings what a fit-up opening does to the size, where the code says
     */
    record FilletSize(
            List<Underrun> underruns,
            int portionDivisor,
            int noUnderrunFlanges,
            Optional<Openings> openings,
            SizeEvidence evidence)
            implements Rule {
        /** The same with no underrun at all. */
        public FilletSize withoutUnderrun(Length zero) {
            return new FilletSize(
                    List.of(new Underrun(Optional.empty(), zero)),
                    portionDivisor,
                    noUnderrunFlanges,
                    openings,
                    evidence);
        }

        /** The leg alone is judged, with no word on underrun, girders' ends or openings. */
        public static FilletSize legsAlone(Length zero, SizeEvidence evidence) {
            return new FilletSize(List.of(new Underrun(Optional.empty(), zero)), 10, 0, Optional.empty(), evidence);
        }

        /** How far below the drawn size a reading may lie. */
        public Length underrunOf(RealLength drawn) {
            return underruns.stream()
                    .filter(u -> u.sizeUnder()
                            .map(s -> drawn.isUnder(RealLength.of(s)))
                            .orElse(true))
                    .findFirst()
                    .orElseThrow()
                    .underrun();
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.filletSize(this);
        }
    }

    /** Undercut by toe; the exceptions of all toes named here add up to {@code accumulated} in any {@code window}. */
    record Undercut(Map<Toe, ToeDepth> depths, Length accumulated, Length window) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.undercut(this);
        }
    }

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

    /**
     * What holds depends on a fact that is not known: both are judged, and only what they agree on is said.
     *
     * @param ask how the fact becomes known
     */
    record EitherWay(Rule ifSo, Rule otherwise, String fact, String ask) implements Rule {
        @Override
        public Stream<Rule> leaves() {
            return Stream.concat(ifSo.leaves(), otherwise.leaves());
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.eitherWay(this);
        }
    }

    /** {@code ifSo} or {@code otherwise} where the fact is known, else both. */
    static Rule either(Optional<Boolean> known, Rule ifSo, Rule otherwise, String fact) {
        return known.map(k -> k ? ifSo : otherwise)
                .orElse(new EitherWay(
                        ifSo, otherwise, fact, "say whether " + fact + ": the drawing or the Engineer knows"));
    }

    /** A rule whose numbers are less sure than those of the tables. */
    record Graded(Rule rule, Confidence confidence) implements Rule {
        @Override
        public Stream<Rule> leaves() {
            return rule.leaves();
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.graded(this);
        }
    }

    /** A rule with something that its reader should know. */
    record Noted(Rule rule, String note) implements Rule {
        @Override
        public Stream<Rule> leaves() {
            return rule.leaves();
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.noted(this);
        }
    }

    /** One of the clauses that make up a criterion. */
    record Part(String clause, Rule rule) {}

    /** Several clauses under one criterion: it is as its worst part, and accepts where one that judges accepts. */
    record AllOf(List<Part> parts) implements Rule {
        @Override
        public Stream<Rule> leaves() {
            return parts.stream().flatMap(p -> p.rule().leaves());
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.allOf(this);
        }
    }

    /** At most so deep, high or different, by the toe where toes differ; what lies at no toe stands under the root. */
    record AtMost(Measure measure, Map<Toe, Bound> bounds, Optional<ShortRun> shortRun, Confidence confidence)
            implements Rule {
        public static AtMost of(Measure measure, Bound bound, ShortRun shortRun, Confidence confidence) {
            return new AtMost(measure, Map.of(Toe.ROOT, bound), Optional.of(shortRun), confidence);
        }

        public static AtMost of(Measure measure, Bound bound, Confidence confidence) {
            return new AtMost(measure, Map.of(Toe.ROOT, bound), Optional.empty(), confidence);
        }

        public Bound bound() {
            return bounds.values().iterator().next();
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.atMost(this);
        }
    }

    /** The angle between the face and the member at a toe, at least; it can reject a profile, not accept it. */
    record ToeAngle(int degrees, Confidence confidence) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.toeAngle(this);
        }
    }

    /** The throat of a fillet: under the nominal one by no more than {@code under}, as a short imperfection where so marked. */
    record ThroatSize(RealLength nominal, Bound under, ShortRun shortRun, SizeEvidence evidence) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.throatSize(this);
        }
    }

    /** Concavity of the root no deeper than the smallest reinforcement read, so that the joint is nowhere under its wall. */
    record ConcavityWithinCrown() implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.concavityWithinCrown(this);
        }
    }

    /** The code sets no limit: what was seen accepts, with the reason why. */
    record AnySize(String why, Confidence confidence) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.anySize(this);
        }
    }

    /** The code leaves it to another paper, and nothing is judged here. */
    record NotJudged(String why) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.notJudged(this);
        }
    }

    /**
     * Every arc strike ground smooth and, where methods are named, checked by one of them.
     *
     * @param eitherSuffices ground or checked accepts; neither is asked about, not rejected
     */
    record ArcStrikeDressed(Set<CheckMethod> checkedBy, boolean eitherSuffices) implements Rule {
        public ArcStrikeDressed(Set<CheckMethod> checkedBy) {
            this(checkedBy, false);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.arcStrikeDressed(this);
        }
    }

    /**
     * No slag trapped or open after cleaning, unless the code frees it; slag that only covers is cleaned first.
     *
     * @param trappedFree why the code sets no limit for what is trapped
     */
    record SlagRemoved(Optional<String> trappedFree) implements Rule {
        public SlagRemoved() {
            this(Optional.empty());
        }

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
     * The root of a weld made from one side. Incomplete penetration and burn-through reject. Where the code has no limit for
     * melt-through and root concavity, the advice is what a welder's test allows.
     *
     * @param underCrown a concavity is allowed only where the reinforcement over it is at least as high
     */
    record Root(
            Undercut undercut,
            Optional<Length> meltThroughMost,
            Optional<Length> concavityMost,
            Length meltThroughAdvice,
            Length concavityAdvice,
            boolean underCrown,
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

    /**
     * Damage of the base metal beside the weld: dressed smooth, and no more gone than {@code most} or the given part of the
     * thickness, the lesser; beyond that the Engineer decides. Not asked while none is recorded.
     *
     * @param thicknessDivisor the part: 20 for 5 %
     */
    record BaseMetal(Length most, int thicknessDivisor, Confidence confidence) implements Rule {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.baseMetal(this);
        }
    }
}
