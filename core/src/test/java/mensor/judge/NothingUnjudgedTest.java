package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import mensor.criteria.Coverage;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.ArcStrike;
import mensor.inspection.BaseMetalDamage;
import mensor.inspection.BurnThrough;
import mensor.inspection.Crack;
import mensor.inspection.Crater;
import mensor.inspection.Criterion;
import mensor.inspection.DamageKind;
import mensor.inspection.DrawingFault;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.IndicationKind;
import mensor.inspection.MeltThrough;
import mensor.inspection.Misalignment;
import mensor.inspection.NotAsDrawn;
import mensor.inspection.Overlap;
import mensor.inspection.PoorRestart;
import mensor.inspection.Porosity;
import mensor.inspection.ReadValue;
import mensor.inspection.Reading;
import mensor.inspection.RootConcavity;
import mensor.inspection.ShortWeld;
import mensor.inspection.Slag;
import mensor.inspection.Spatter;
import mensor.inspection.Undercut;
import mensor.inspection.Underfill;
import mensor.inspection.Undersize;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Corner;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every value that can be read and every kind that can be seen, each once far beyond any limit, on every sort of joint by
 * every book: the verdict accepts only where the code says in so many words that there is no limit.
 */
class NothingUnjudgedTest {
    private static final Length FAR = Length.millimetres("90");
    private static final int PLACE = 100;

    /** A joint that is sound by what was read and inspected for, 300 mm long. */
    private record Sort(String name, Joint joint, List<Reading> sound) {}

    static Stream<CriteriaBook> books() {
        return CriteriaBooks.all().stream();
    }

    private static Length mm(int n) {
        return Length.millimetres(String.valueOf(n));
    }

    private static List<Sort> sorts() {
        List<Sort> sorts = new ArrayList<>();
        for (Connection c : Connection.values()) {
            for (Corner corner : c == Connection.CORNER ? Corner.values() : new Corner[] {null}) {
                String name = c.id() + (corner == null ? "" : " " + corner.id());
                if (c != Connection.BUTT && c != Connection.PIPE_BUTT) {
                    Joint fillet =
                            builder(WeldType.FILLET, c, corner).size(mm(8)).build();
                    sorts.add(new Sort(name + " fillet", fillet, List.of(blade())));
                }
                for (Penetration p : Penetration.values()) {
                    for (boolean flush : new boolean[] {false, true}) {
                        JointBuilder b = builder(WeldType.GROOVE, c, corner)
                                .penetration(p)
                                .flush(flush)
                                .oneSided(true);
                        if (p == Penetration.PARTIAL) {
                            b.throat(mm(8));
                        }
                        sorts.add(new Sort(name + " " + p.id() + (flush ? " flush" : ""), b.build(), List.of()));
                    }
                }
            }
        }
        return sorts;
    }

    private static JointBuilder builder(WeldType weld, Connection c, Corner corner) {
        return new JointBuilder("J", weld, c, mm(300))
                .corner(corner)
                .members(new Member("a", mm(12)), new Member("b", mm(12)))
                .primary(false)
                .transverseTension(false);
    }

    private static Reading blade() {
        return new Reading.Blade(new Span(mm(0), mm(300)), mm(8), Optional.empty(), Optional.empty(), Optional.empty());
    }

    private static Reading.Station far(ReadValue value) {
        Map<ReadValue, Length> v = new EnumMap<>(ReadValue.class);
        boolean low = value == ReadValue.LEGS || value == ReadValue.THROAT;
        boolean below = value == ReadValue.BELOW_SURFACE || value == ReadValue.ROOT_BELOW;
        v.put(value, low ? Length.millimetres("0.1") : below ? FAR.negate() : FAR);
        return new Reading.Station(
                mm(PLACE),
                new Reading.FilletMeasures(
                        get(v, ReadValue.LEGS),
                        get(v, ReadValue.LEGS),
                        get(v, ReadValue.THROAT),
                        get(v, ReadValue.CONVEXITY),
                        get(v, ReadValue.CONCAVITY),
                        Optional.empty()),
                new Reading.GrooveMeasures(
                        get(v, ReadValue.REINFORCEMENT).or(() -> get(v, ReadValue.BELOW_SURFACE)),
                        get(v, ReadValue.ROOT_ABOVE).or(() -> get(v, ReadValue.ROOT_BELOW)),
                        Optional.empty(),
                        get(v, ReadValue.OFFSET)),
                new Reading.ToeAngles(
                        value == ReadValue.TOE_ANGLE ? OptionalDouble.of(1) : OptionalDouble.empty(),
                        OptionalDouble.empty()),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static Optional<Length> get(Map<ReadValue, Length> values, ReadValue value) {
        return Optional.ofNullable(values.get(value));
    }

    /** The compiler asks for a new kind here. */
    private static List<Indication> far(IndicationKind kind) {
        Span s = new Span(mm(PLACE), mm(250));
        Optional<Length> far = Optional.of(FAR);
        Optional<Length> none = Optional.empty();
        return switch (kind) {
            case CRACK -> List.of(new Crack(s, Optional.empty()));
            case INCOMPLETE_FUSION -> List.of(new IncompleteFusion(s));
            case OVERLAP -> List.of(new Overlap(Toe.A, s, far, none), new Overlap(Toe.B, s, none, none));
            case UNDERCUT ->
                Stream.of(Toe.values())
                        .<Indication>map(t -> new Undercut(t, s, FAR, none))
                        .toList();
            case UNDERSIZE -> List.of(new Undersize(s, Length.millimetres("0.1")));
            case POROSITY -> List.of(new Porosity(s, FAR, 90, none));
            case CRATER -> List.of(new Crater(mm(PLACE), far, none), new Crater(mm(PLACE), none, none));
            case ARC_STRIKE -> List.of(new ArcStrike(mm(PLACE), Optional.empty(), Optional.empty()));
            case SLAG -> List.of(new Slag(s, true), new Slag(s, false));
            case SPATTER -> List.of(new Spatter(s, true));
            case UNDERFILL -> List.of(new Underfill(s, far, none), new Underfill(s, none, none));
            case INCOMPLETE_PENETRATION ->
                List.of(new IncompletePenetration(s, far, none), new IncompletePenetration(s, none, none));
            case MELT_THROUGH -> List.of(new MeltThrough(s, FAR, none));
            case ROOT_CONCAVITY -> List.of(new RootConcavity(s, FAR, none));
            case BURN_THROUGH -> List.of(new BurnThrough(mm(PLACE)));
            case MISALIGNMENT -> List.of(new Misalignment(s, FAR, none));
            case POOR_RESTART -> List.of(new PoorRestart(s, far, far, none));
            case SHORT_WELD -> List.of(new ShortWeld(FAR));
            case NOT_AS_DRAWN ->
                Stream.of(DrawingFault.values())
                        .<Indication>map(f -> new NotAsDrawn(f, Optional.of(mm(PLACE))))
                        .toList();
            case BASE_METAL_DAMAGE ->
                Stream.of(DamageKind.values())
                        .<Indication>map(d -> new BaseMetalDamage(s, d, far, none, Optional.empty(), none))
                        .toList();
        };
    }

    private static TestInspection inspection(CriteriaBook book, Sort sort) {
        TestInspection inspection =
                TestInspection.of(Unit.MILLIMETRE, sort.joint()).by(book);
        sort.sound().forEach(inspection::read);
        return inspection;
    }

    @ParameterizedTest
    @MethodSource("books")
    void whatIsFarBeyondAnyLimitAcceptsOnlyByTheBooksOwnWord(CriteriaBook book) {
        int free = 0;
        int limited = 0;
        for (Sort sort : sorts()) {
            if (book.refuses(sort.joint()).isPresent()) {
                continue;
            }
            assertThat(inspection(book, sort).judge().verdict()).as(sort.name()).isEqualTo(Verdict.ACCEPT);
            Coverage coverage = new Coverage(book, sort.joint(), Unit.MILLIMETRE);
            for (ReadValue v : ReadValue.values()) {
                Evaluation e = inspection(book, sort).read(far(v)).judge();
                boolean isFree = coverage.noLimit(v).isPresent();
                assertThat(e.verdict() == Verdict.ACCEPT)
                        .as(book.id() + ", " + sort.name() + ", " + v.words())
                        .isEqualTo(isFree);
                if (isFree) {
                    free++;
                    assertThat(e.notes()).anyMatch(n -> n.contains(v.words() + " has no limit here"));
                } else {
                    limited++;
                }
            }
            for (IndicationKind k : IndicationKind.values()) {
                for (Indication seen : far(k)) {
                    Evaluation e = inspection(book, sort).seen(seen).judge();
                    // on a thick wall B31.3 frees slag that is open, as porosity; what only covers is cleaned first
                    boolean openSlag = book.id().equals("b31.3-normal") && seen instanceof Slag s && s.trapped();
                    boolean isFree = openSlag || coverage.noLimit(k).isPresent();
                    assertThat(e.verdict() == Verdict.ACCEPT)
                            .as(book.id() + ", " + sort.name() + ", " + seen)
                            .isEqualTo(isFree);
                    // of damage and of open slag there are many sorts, freed or not by one word
                    free += isFree && k != IndicationKind.BASE_METAL_DAMAGE && !openSlag ? 1 : 0;
                }
            }
        }
        assertThat(limited).isGreaterThan(100);
        assertThat(free).isLessThan(limited);
    }

    /** A table that lost a rule: nothing of what it judged may pass. */
    @Test
    void aForgottenRuleLeavesTheVerdictIncomplete() {
        CriteriaBook book = new mensor.criteria.d11.TubularBook();
        Sort pipe = sorts().stream()
                .filter(s -> s.name().equals("pipe-butt cjp"))
                .findFirst()
                .orElseThrow();
        CriteriaBook forgetful = (CriteriaBook) java.lang.reflect.Proxy.newProxyInstance(
                CriteriaBook.class.getClassLoader(), new Class<?>[] {CriteriaBook.class}, (proxy, method, args) -> {
                    boolean profile = method.getName().equals("rule") && args[0] == Criterion.PROFILE;
                    return profile
                            ? new mensor.criteria.Rule.ToeAngle(1, mensor.criteria.Confidence.HIGH)
                            : method.invoke(book, args);
                });
        TestInspection read = inspection(forgetful, pipe).read(far(ReadValue.REINFORCEMENT));
        Finding finding = read.finding(Criterion.PROFILE);
        assertThat(finding.verdict()).isEqualTo(Verdict.INCOMPLETE);
        assertThat(finding.reason().words()).contains("reinforcement at 100").contains("not judged by");
        assertThat(inspection(forgetful, pipe)
                        .seen(new Underfill(new Span(mm(1), mm(2)), Optional.of(FAR), Optional.empty()))
                        .verdict(Criterion.PROFILE))
                .isEqualTo(Verdict.INCOMPLETE);
    }
}
