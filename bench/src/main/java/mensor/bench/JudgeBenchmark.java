package mensor.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.Conditions;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.Undercut;
import mensor.judge.Evaluation;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Judging a fillet with many indications (undercut on both toes in and over the exception, pores by ones and along stretches)
 * and with many stations. The weld is as long as keeps them sparse, so that no check ends early at a first reject.
 */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 8, time = 2)
@Measurement(iterations = 5, time = 2)
public class JudgeBenchmark {
    /** A weld seen all along. */
    @State(Scope.Benchmark)
    public static class Seen {
        @Param({"10", "1000", "100000"})
        public int indications;

        @Param({"d1.1-static", "d1.1-cyclic", "iso5817-c", "b31.3-normal"})
        public String book;

        Inspection inspection;
        CriteriaBook by;

        @Setup
        public void write() {
            by = CriteriaBooks.find(book).orElseThrow();
            Random random = new Random(1);
            List<Indication> seen = new ArrayList<>();
            for (int i = 0; i < indications; i++) {
                long from = i * 9_000_000L + random.nextInt(4_000_000); // every 9 mm
                seen.add(one(random, i, from));
            }
            inspection = inspection(mm(indications * 9_000_000L + 300_000_000L), List.of(), seen);
        }

        private static Indication one(Random random, int i, long from) {
            Optional<Length> none = Optional.empty();
            if (i % 3 == 2) {
                return new Porosity(Span.at(mm(from)), mm(100_000), 1, none);
            }
            Toe toe = i % 2 == 0 ? Toe.A : Toe.B;
            Length depth = mm(random.nextInt(20) == 0 ? 1_500_000 : 300_000);
            return new Undercut(toe, new Span(mm(from), mm(from + 1_000_000 + random.nextInt(3_000_000))), depth, none);
        }
    }

    /** A weld read all along. */
    @State(Scope.Benchmark)
    public static class Read {
        @Param({"10", "1000", "10000"})
        public int stations;

        @Param({"d1.1-static", "iso5817-c"})
        public String book;

        Inspection inspection;
        CriteriaBook by;

        @Setup
        public void write() {
            by = CriteriaBooks.find(book).orElseThrow();
            Random random = new Random(2);
            List<Reading> read = new ArrayList<>();
            for (int i = 0; i < stations; i++) {
                Length leg = mm(random.nextInt(40) == 0 ? 7_500_000 : 8_100_000 + random.nextInt(9) * 100_000);
                read.add(Reading.Station.legs(mm(i * 25_000_000L), leg, leg));
            }
            inspection = inspection(mm(stations * 25_000_000L), read, List.of());
        }
    }

    private static Length mm(long nanometres) {
        return Length.ofNanometres(nanometres, Unit.MILLIMETRE);
    }

    private static Inspection inspection(Length length, List<Reading> read, List<Indication> seen) {
        Joint joint = new JointBuilder("J", WeldType.FILLET, Connection.TEE, length)
                .members(new Member("web", mm(10_000_000)), new Member("flange", mm(12_000_000)))
                .size(mm(8_000_000))
                .primary(false)
                .transverseTension(false)
                .build();
        return new Inspection(
                joint,
                Unit.MILLIMETRE,
                Conditions.READY,
                Set.of(),
                true,
                List.of(),
                read,
                seen,
                List.of(),
                ReadingChoices.CAREFUL,
                WeldingRecord.NONE);
    }

    @Benchmark
    public Evaluation indications(Seen s) {
        return Judge.evaluate(s.inspection, s.by);
    }

    @Benchmark
    public Evaluation stations(Read r) {
        return Judge.evaluate(r.inspection, r.by);
    }
}
