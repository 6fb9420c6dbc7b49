package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.ArcStrike;
import mensor.inspection.CheckMethod;
import mensor.inspection.Crater;
import mensor.inspection.Criterion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.MeltThrough;
import mensor.inspection.Overlap;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.RootConcavity;
import mensor.inspection.Spatter;
import mensor.inspection.Undercut;
import mensor.inspection.Underfill;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What must not change a verdict, in every book, on seeded random looks at fillets and grooves, thin and thick, open and
 * closed: the order of entries, the end that is measured from, where a closed weld's datum lies, a stretch told as two, a mark
 * of nothing; and what may change it one way only: a deeper mark, a fact that becomes known.
 */
class EveryBookTest {
    private static final int ROUNDS = 80;
    private static final int LENGTH = 240;

    static Stream<CriteriaBook> books() {
        return CriteriaBooks.all().stream();
    }

    private static Length mm(int tenths) {
        return Length.ofNanometres(tenths * 100_000L, Unit.MILLIMETRE);
    }

    /** An inspection in whole millimetres; places are kept apart from what lies there, to be moved. */
    private record Case(JointBuilder joint, boolean closed, List<Placed> seen, List<At> read) {}

    private interface Placed {
        Indication at(int from, int to);

        int from();

        int to();
    }

    private record Stretch(int from, int to, java.util.function.Function<Span, Indication> kind) implements Placed {
        @Override
        public Indication at(int f, int t) {
            return kind.apply(new Span(mm(10 * f), mm(10 * t)));
        }
    }

    private record At(int at, java.util.function.Function<String, Reading> reading) {}

    private static Case random(Random r) {
        boolean fillet = r.nextBoolean();
        boolean closed = r.nextInt(3) == 0;
        Length a = mm(10 * (2 + r.nextInt(30)));
        Length b = mm(10 * (2 + r.nextInt(30)));
        Connection connection = fillet ? Connection.TEE : r.nextBoolean() ? Connection.BUTT : Connection.TEE;
        JointBuilder joint = new JointBuilder(
                        "J", fillet ? WeldType.FILLET : WeldType.GROOVE, connection, mm(10 * LENGTH))
                .members(new Member("a", a), new Member("b", b))
                .closed(closed);
        if (fillet) {
            joint.size(mm(60 + 10 * r.nextInt(4)));
        } else {
            joint.penetration(r.nextBoolean() ? Penetration.COMPLETE : Penetration.PARTIAL)
                    .oneSided(r.nextBoolean());
        }
        List<Placed> seen = new ArrayList<>();
        for (int n = r.nextInt(6); n > 0; n--) {
            int from = r.nextInt(LENGTH - 41);
            seen.add(new Stretch(from, from + 2 + r.nextInt(38), kind(r)));
        }
        List<At> read = new ArrayList<>();
        for (int n = r.nextInt(5); n > 0; n--) {
            read.add(new At(r.nextInt(LENGTH), reading(r, fillet)));
        }
        return new Case(joint, closed, seen, read);
    }

    private static java.util.function.Function<Span, Indication> kind(Random r) {
        Length depth = mm(1 + r.nextInt(25));
        Toe toe = r.nextBoolean() ? Toe.A : Toe.B;
        Optional<Length> none = Optional.empty();
        return switch (r.nextInt(8)) {
            case 0, 1 -> s -> new Undercut(toe, s, depth, none);
            case 2 -> s -> new Undercut(Toe.ROOT, s, depth, none);
            case 3 -> s -> new Underfill(s, Optional.of(depth), none);
            case 4 -> s -> new IncompletePenetration(s, Optional.of(depth), none);
            case 5 -> s -> new RootConcavity(s, depth, none);
            case 6 -> s -> new Overlap(toe, s, Optional.of(depth), none);
            default -> s -> new MeltThrough(s, depth, none);
        };
    }

    private static java.util.function.Function<String, Reading> reading(Random r, boolean fillet) {
        String leg = String.valueOf(5 + r.nextInt(5));
        String height = (r.nextInt(60) - 15) / 10.0 + "";
        String width = String.valueOf(5 + r.nextInt(12));
        return fillet
                ? at -> Station.mm(at).legs(leg, leg).with("faceWidth", width).read()
                : at -> Station.mm(at)
                        .with("reinforcement", height)
                        .with("faceWidth", width)
                        .with("rootWidth", width)
                        .read();
    }

    private interface Move {
        int[] of(int from, int to);
    }

    private static Inspection inspection(Case c, Move move, Random shuffle) {
        List<Indication> seen = new ArrayList<>();
        for (Placed p : c.seen()) {
            int[] to = move.of(p.from(), p.to());
            seen.add(p.at(to[0], to[1]));
        }
        List<Reading> read = new ArrayList<>();
        for (At a : c.read()) {
            read.add(a.reading().apply(String.valueOf(move.of(a.at(), a.at())[0])));
        }
        if (shuffle != null) {
            Collections.shuffle(seen, shuffle);
            Collections.shuffle(read, shuffle);
        }
        return inspection(c, read, seen);
    }

    private static Inspection inspection(Case c, List<Reading> read, List<Indication> seen) {
        return new Inspection(
                c.joint().build(),
                Unit.MILLIMETRE,
                mensor.inspection.Conditions.READY,
                java.util.Set.of(),
                true,
                List.of(),
                read,
                seen,
                List.of(),
                ReadingChoices.CAREFUL,
                mensor.weld.WeldingRecord.NONE);
    }

    private static List<String> verdicts(CriteriaBook book, Inspection i) {
        return Judge.evaluate(i, book).findings().stream()
                .map(f -> f.id() + " " + f.verdict())
                .toList();
    }

    private static final Move STILL = (f, t) -> new int[] {f, t};

    @ParameterizedTest
    @MethodSource("books")
    void theOrderOfEntriesDecidesNothing(CriteriaBook book) {
        for (int n = 0; n < ROUNDS; n++) {
            Case c = random(new Random(n));
            assertThat(verdicts(book, inspection(c, STILL, new Random(n))))
                    .isEqualTo(verdicts(book, inspection(c, STILL, null)));
        }
    }

    @ParameterizedTest
    @MethodSource("books")
    void itDoesNotMatterFromWhichEndAnOpenWeldIsMeasured(CriteriaBook book) {
        for (int n = 0; n < ROUNDS; n++) {
            Case c = random(new Random(100 + n));
            if (!c.closed()) {
                Move mirror = (f, t) -> new int[] {LENGTH - t, LENGTH - f};
                assertThat(verdicts(book, inspection(c, mirror, null)))
                        .isEqualTo(verdicts(book, inspection(c, STILL, null)));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("books")
    void theDatumOfAClosedWeldMayLieAnywhere(CriteriaBook book) {
        for (int n = 0; n < ROUNDS; n++) {
            Case c = random(new Random(200 + n));
            if (c.closed()) {
                int shift = 1 + new Random(n).nextInt(LENGTH - 1);
                Move moved = (f, t) -> new int[] {(f + shift) % LENGTH, (t + shift) % LENGTH};
                assertThat(verdicts(book, inspection(c, moved, null)))
                        .isEqualTo(verdicts(book, inspection(c, STILL, null)));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("books")
    void aStretchToldAsTwoTouchingOnesIsTheSame(CriteriaBook book) {
        for (int n = 0; n < ROUNDS; n++) {
            Case c = random(new Random(300 + n));
            List<Placed> cut = new ArrayList<>();
            for (Placed p : c.seen()) {
                Stretch s = (Stretch) p;
                int middle = (s.from() + s.to()) / 2;
                cut.add(new Stretch(s.from(), middle, s.kind()));
                cut.add(new Stretch(middle, s.to(), s.kind()));
            }
            Case notified = new Case(c.joint(), c.closed(), cut, c.read());
            assertThat(verdicts(book, inspection(notified, STILL, null)))
                    .isEqualTo(verdicts(book, inspection(c, STILL, null)));
        }
    }

    @ParameterizedTest
    @MethodSource("books")
    void aMarkOfNothingChangesNoVerdict(CriteriaBook book) {
        Optional<Length> zero = Optional.of(mm(0));
        Span where = new Span(mm(500), mm(900));
        List<Indication> nothing = List.of(
                new Undercut(Toe.A, where, mm(0), Optional.empty()),
                new Overlap(Toe.B, where, zero, Optional.empty()),
                new Underfill(where, zero, Optional.empty()),
                new Crater(mm(500), zero, Optional.empty()),
                new ArcStrike(mm(500), Optional.of(true), Optional.of(CheckMethod.MT)),
                new Spatter(where, false));
        for (int n = 0; n < ROUNDS; n++) {
            Case c = random(new Random(400 + n));
            Inspection before = inspection(c, STILL, null);
            List<Indication> more = new ArrayList<>(before.indications());
            more.addAll(nothing);
            assertThat(verdicts(book, inspection(c, before.readings(), more))).isEqualTo(verdicts(book, before));
        }
    }

    @ParameterizedTest
    @MethodSource("books")
    void aDeeperMarkNeverTurnsARejectIntoAnythingBetter(CriteriaBook book) {
        for (int n = 0; n < ROUNDS; n++) {
            Inspection before = inspection(random(new Random(500 + n)), STILL, null);
            if (before.indications().isEmpty()) {
                continue;
            }
            int deeper = n % before.indications().size();
            List<Indication> after = new ArrayList<>(before.indications());
            after.set(deeper, after.get(deeper).worseBy(mm(1 + n % 9)));
            List<Finding> old = Judge.evaluate(before, book).findings();
            List<Finding> now =
                    Judge.evaluate(before.with(before.readings(), after), book).findings();
            for (int i = 0; i < old.size(); i++) {
                if (old.get(i).verdict() == Verdict.REJECT) {
                    assertThat(now.get(i).verdict())
                            .as(now.get(i).reason().words())
                            .isEqualTo(Verdict.REJECT);
                }
            }
        }
    }

    /** Unknown accepts only where both answers accept, and rejects only where both reject. */
    @ParameterizedTest
    @MethodSource("books")
    void aFactThatBecomesKnownSettlesOnlyWhatWasOpen(CriteriaBook book) {
        for (int n = 0; n < ROUNDS; n++) {
            Case c = random(new Random(600 + n));
            List<Finding> unknown =
                    Judge.evaluate(inspection(c, STILL, null), book).findings();
            for (boolean primary : new boolean[] {true, false}) {
                for (boolean across : new boolean[] {true, false}) {
                    c.joint().primary(primary);
                    c.joint().transverseTension(across);
                    List<Finding> known =
                            Judge.evaluate(inspection(c, STILL, null), book).findings();
                    for (int i = 0; i < known.size(); i++) {
                        if (unknown.get(i).verdict() != Verdict.INCOMPLETE) {
                            assertThat(known.get(i).verdict())
                                    .as(known.get(i).id())
                                    .isEqualTo(unknown.get(i).verdict());
                        }
                    }
                }
            }
        }
    }

    /** The whole verdict is the worst of its findings; what rejects says where, how much and by which clause. */
    @ParameterizedTest
    @MethodSource("books")
    void whatRejectsSaysWhy(CriteriaBook book) {
        for (int n = 0; n < ROUNDS; n++) {
            Evaluation e = Judge.evaluate(inspection(random(new Random(700 + n)), STILL, null), book);
            assertThat(e.findings()).hasSize(Criterion.values().length);
            for (Finding f : e.findings()) {
                assertThat(f.reason().words()).as(f.id()).isNotBlank();
                if (f.verdict() == Verdict.REJECT) {
                    assertThat(e.verdict()).isEqualTo(Verdict.REJECT);
                    assertThat(f.measured()).as(f.reason().words()).isNotBlank();
                    assertThat(f.allowed()).as(f.reason().words()).isNotBlank();
                    assertThat(f.span()).as(f.reason().words()).isPresent();
                    assertThat(f.indications().size() + f.readings().size())
                            .as(f.reason().words())
                            .isPositive();
                }
            }
        }
    }
}
