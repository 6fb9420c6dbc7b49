package mensor.criteria;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mensor.inspection.Addendum;
import mensor.inspection.Criterion;
import mensor.inspection.IndicationKind;
import mensor.inspection.Judgeable;
import mensor.inspection.ReadValue;
import mensor.inspection.Reading;
import mensor.length.Unit;
import mensor.weld.Joint;
import mensor.weld.Penetration;

/**
 * What a book does with each thing that can be read or seen on a joint: a rule limits it, or the code says that it sets no
 * limit, or neither, and then nothing that rests on it can accept. Told from the rules that judge, so that a rule or a word
 * that was forgotten leaves a verdict incomplete instead of passing in silence.
 */
public final class Coverage {
    private final Map<Criterion, Set<Judgeable>> limited = new EnumMap<>(Criterion.class);
    private final boolean fillet;
    private final EnumSet<ReadValue> judged = EnumSet.noneOf(ReadValue.class);
    private final Map<Judgeable, NoLimit> free = new HashMap<>();

    /** What a book does with one thing. */
    public sealed interface Cell {
        /** A rule of the criterion judges it. */
        record Limited(Criterion criterion) implements Cell {}

        /** The code says that there is no limit. */
        record Free(NoLimit word) implements Cell {}

        /** Neither: what is read of it leaves the verdict incomplete. */
        record Silent() implements Cell {}
    }

    public Coverage(CriteriaBook book, Joint joint, Unit column) {
        this.fillet = joint.isFillet();
        for (Criterion c : Criterion.values()) {
            limited.put(c, book.rule(c, joint, column).answer(new Limits(c, joint)));
            limited.get(c).forEach(this::remember);
        }
        all().forEach(j -> book.noLimit(j, joint).ifPresent(word -> free.put(j, word)));
    }

    /** All that can be read or seen. */
    public static Stream<Judgeable> all() {
        return Stream.concat(Stream.of(ReadValue.values()), Stream.of(IndicationKind.values()));
    }

    /** With the contract's own limits beside the code's. */
    public Coverage with(Iterable<Addendum> addenda) {
        addenda.forEach(a -> {
            switch (a.kind()) {
                case REINFORCEMENT_MAX -> limit(Criterion.PROFILE, ReadValue.REINFORCEMENT);
                case CONVEXITY_MAX -> limit(Criterion.PROFILE, ReadValue.CONVEXITY);
                case MELT_THROUGH_MAX -> limit(Criterion.ROOT, ReadValue.ROOT_ABOVE);
                case ROOT_CONCAVITY_MAX -> limit(Criterion.ROOT, ReadValue.ROOT_BELOW);
                default -> {}
            }
        });
        return this;
    }

    private void limit(Criterion criterion, Judgeable what) {
        limited.get(criterion).add(what);
        remember(what);
    }

    private void remember(Judgeable what) {
        if (what instanceof ReadValue v) {
            judged.add(v);
        }
    }

    /** What the code does with it, whatever the criterion. */
    public Cell cell(Judgeable what) {
        for (Criterion c : Criterion.values()) {
            if (limited.get(c).contains(what)) {
                return new Cell.Limited(c);
            }
        }
        return noLimit(what).<Cell>map(Cell.Free::new).orElse(new Cell.Silent());
    }

    public Optional<NoLimit> noLimit(Judgeable what) {
        return Optional.ofNullable(free.get(what));
    }

    /** Whether the rule of the criterion judges such an indication. */
    public boolean isLimited(Criterion criterion, IndicationKind kind) {
        return limited.get(criterion).contains(kind);
    }

    /** The values that a station shows and no rule judges. */
    public Set<ReadValue> withoutRule(Reading.Station s) {
        Set<ReadValue> values = EnumSet.noneOf(ReadValue.class);
        for (ReadValue v : EnumSet.complementOf(judged)) {
            if (v.isReadAt(s)) {
                values.add(v);
            }
        }
        if (fillet && ReadValue.CONCAVITY.isReadAt(s) && !speaksForSize(s)) {
            values.add(ReadValue.CONCAVITY);
        }
        return values;
    }

    /** A concavity is judged through the throat that it takes off: with both legs, or beside a throat. */
    private static boolean speaksForSize(Reading.Station s) {
        return s.throat().isPresent() || s.legA().isPresent() && s.legB().isPresent();
    }

    /** The kinds of indication that a criterion answers for. */
    private static Set<Judgeable> kindsOf(Criterion criterion) {
        Set<Judgeable> kinds = new HashSet<>();
        switch (criterion) {
            case CRACK -> kinds.add(IndicationKind.CRACK);
            case FUSION -> kinds.add(IndicationKind.INCOMPLETE_FUSION);
            case OVERLAP -> kinds.add(IndicationKind.OVERLAP);
            case POROSITY -> kinds.add(IndicationKind.POROSITY);
            case LENGTH -> kinds.add(IndicationKind.SHORT_WELD);
            case AS_DRAWN -> kinds.add(IndicationKind.NOT_AS_DRAWN);
            default -> {}
        }
        return kinds;
    }

    /** What a rule judges. */
    private static final class Limits implements Rule.Cases<Set<Judgeable>> {
        private final Criterion criterion;
        private final Joint joint;

        Limits(Criterion criterion, Joint joint) {
            this.criterion = criterion;
            this.joint = joint;
        }

        private static Set<Judgeable> of(Judgeable... what) {
            return new HashSet<>(Set.of(what));
        }

        @Override
        public Set<Judgeable> readiness(Rule.Readiness rule) {
            return of();
        }

        @Override
        public Set<Judgeable> noneAllowed(Rule.NoneAllowed rule) {
            return rule.kind().map(Limits::of).orElseGet(() -> kindsOf(criterion));
        }

        @Override
        public Set<Judgeable> craterFilled(Rule.CraterFilled rule) {
            return of(IndicationKind.CRATER);
        }

        @Override
        public Set<Judgeable> convexityByWidth(Rule.ConvexityByWidth rule) {
            return of(ReadValue.CONVEXITY, IndicationKind.UNDERFILL);
        }

        @Override
        public Set<Judgeable> faceHeight(Rule.FaceHeight rule) {
            return of(ReadValue.REINFORCEMENT, ReadValue.BELOW_SURFACE, IndicationKind.UNDERFILL);
        }

        @Override
        public Set<Judgeable> grooveFace(Rule.GrooveFace rule) {
            Set<Judgeable> what = of(ReadValue.BELOW_SURFACE, IndicationKind.UNDERFILL);
            if (rule.convexity().isPresent()) {
                what.add(ReadValue.CONVEXITY);
                what.add(ReadValue.CONCAVITY);
            }
            return what;
        }

        @Override
        public Set<Judgeable> filletSize(Rule.FilletSize rule) {
            return sizeOfFillet();
        }

        private static Set<Judgeable> sizeOfFillet() {
            return of(ReadValue.LEGS, ReadValue.THROAT, ReadValue.CONCAVITY, IndicationKind.UNDERSIZE);
        }

        @Override
        public Set<Judgeable> grooveSize(Rule.GrooveSize rule) {
            boolean partial =
                    joint.penetration().filter(Penetration.PARTIAL::equals).isPresent();
            return partial ? of(ReadValue.THROAT, IndicationKind.UNDERSIZE) : of(IndicationKind.UNDERSIZE);
        }

        @Override
        public Set<Judgeable> undercut(Rule.Undercut rule) {
            return of(IndicationKind.UNDERCUT);
        }

        @Override
        public Set<Judgeable> poreSums(Rule.PoreSums rule) {
            return of(IndicationKind.POROSITY);
        }

        @Override
        public Set<Judgeable> poreSpacing(Rule.PoreSpacing rule) {
            return of(IndicationKind.POROSITY);
        }

        /** What is judged whatever the fact. */
        @Override
        public Set<Judgeable> eitherWay(Rule.EitherWay rule) {
            Set<Judgeable> both = rule.ifSo().answer(this);
            both.retainAll(rule.otherwise().answer(this));
            return both;
        }

        @Override
        public Set<Judgeable> graded(Rule.Graded rule) {
            return rule.rule().answer(this);
        }

        @Override
        public Set<Judgeable> noted(Rule.Noted rule) {
            return rule.rule().answer(this);
        }

        @Override
        public Set<Judgeable> allOf(Rule.AllOf rule) {
            Set<Judgeable> all = new HashSet<>();
            rule.parts().forEach(p -> all.addAll(p.rule().answer(this)));
            return all;
        }

        @Override
        public Set<Judgeable> atMost(Rule.AtMost rule) {
            return switch (rule.measure()) {
                case PORE -> of(IndicationKind.POROSITY);
                case CRATER -> of(IndicationKind.CRATER);
                case OVERLAP -> of(IndicationKind.OVERLAP);
                case UNDERCUT, ROOT_UNDERCUT -> of(IndicationKind.UNDERCUT);
                case INCOMPLETE_PENETRATION -> of(IndicationKind.INCOMPLETE_PENETRATION);
                case BURN_THROUGH -> of(IndicationKind.BURN_THROUGH);
                case EXCESS_PENETRATION -> of(IndicationKind.MELT_THROUGH, ReadValue.ROOT_ABOVE);
                case ROOT_CONCAVITY -> of(IndicationKind.ROOT_CONCAVITY, ReadValue.ROOT_BELOW);
                case UNDERFILL -> of(IndicationKind.UNDERFILL, ReadValue.BELOW_SURFACE);
                case REINFORCEMENT -> of(ReadValue.REINFORCEMENT);
                case CONVEXITY -> of(ReadValue.CONVEXITY);
                case LEG_DIFFERENCE, THROAT_OVER, GAP -> of();
            };
        }

        @Override
        public Set<Judgeable> toeAngle(Rule.ToeAngle rule) {
            return of(ReadValue.TOE_ANGLE);
        }

        @Override
        public Set<Judgeable> throatSize(Rule.ThroatSize rule) {
            return sizeOfFillet();
        }

        @Override
        public Set<Judgeable> concavityWithinCrown(Rule.ConcavityWithinCrown rule) {
            return of(IndicationKind.ROOT_CONCAVITY, ReadValue.ROOT_BELOW);
        }

        /** The code's word stands in {@link CriteriaBook#noLimit}. */
        @Override
        public Set<Judgeable> anySize(Rule.AnySize rule) {
            return of();
        }

        @Override
        public Set<Judgeable> notJudged(Rule.NotJudged rule) {
            return of();
        }

        @Override
        public Set<Judgeable> arcStrikeDressed(Rule.ArcStrikeDressed rule) {
            return of(IndicationKind.ARC_STRIKE);
        }

        @Override
        public Set<Judgeable> slag(Rule.SlagRemoved rule) {
            return of(IndicationKind.SLAG);
        }

        @Override
        public Set<Judgeable> spatter(Rule.SpatterTight rule) {
            return of(IndicationKind.SPATTER);
        }

        @Override
        public Set<Judgeable> root(Rule.Root rule) {
            return of(
                    ReadValue.ROOT_ABOVE,
                    ReadValue.ROOT_BELOW,
                    IndicationKind.UNDERCUT,
                    IndicationKind.INCOMPLETE_PENETRATION,
                    IndicationKind.MELT_THROUGH,
                    IndicationKind.ROOT_CONCAVITY,
                    IndicationKind.BURN_THROUGH);
        }

        @Override
        public Set<Judgeable> offset(Rule.Offset rule) {
            return of(ReadValue.OFFSET, IndicationKind.MISALIGNMENT);
        }

        @Override
        public Set<Judgeable> baseMetal(Rule.BaseMetal rule) {
            return of(IndicationKind.BASE_METAL_DAMAGE);
        }
    }
}
