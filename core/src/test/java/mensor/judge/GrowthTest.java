package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.Conditions;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.Undercut;
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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Four times as many entries ask for about four times as much, by every code: measured by the memory that is asked for, which is
 * the same on a slow machine and a fast one. With a copy for each entry it would be sixteen times.
 */
class GrowthTest {
    private static final int FEW = 2_000;
    private static final int TIMES = 4;

    static Stream<CriteriaBook> books() {
        return CriteriaBooks.all().stream();
    }

    @ParameterizedTest
    @MethodSource("books")
    void manyEntriesAskForNoMoreThanTheirShare(CriteriaBook book) {
        judge(book, FEW); // classes are laid out, tables are read
        long few = asked(book, FEW);
        long many = asked(book, FEW * TIMES);
        assertThat((double) many / few).as(book.id()).isLessThan(1.6 * TIMES);
    }

    private static long asked(CriteriaBook book, int entries) {
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        long before = threads.getCurrentThreadAllocatedBytes();
        judge(book, entries);
        return threads.getCurrentThreadAllocatedBytes() - before;
    }

    private static void judge(CriteriaBook book, int entries) {
        Unit unit = book.hasColumn(Unit.MILLIMETRE) ? Unit.MILLIMETRE : Unit.INCH;
        List<Indication> seen = new ArrayList<>();
        List<Reading> read = new ArrayList<>();
        for (int i = 0; i < entries; i++) {
            Length from = mm(i * 9L, unit);
            seen.add(
                    i % 3 == 2
                            ? new Porosity(Span.at(from), mm(1, unit), 1, Optional.empty())
                            : new Undercut(
                                    i % 2 == 0 ? Toe.A : Toe.B,
                                    new Span(from, mm(i * 9L + 3, unit)),
                                    mm(1, unit),
                                    Optional.empty()));
            read.add(Reading.Station.legs(from, mm(8, unit), mm(8, unit)));
        }
        Joint joint = new JointBuilder("J", WeldType.FILLET, Connection.TEE, mm(entries * 9L + 300, unit))
                .members(new Member("web", mm(10, unit)), new Member("flange", mm(12, unit)))
                .size(mm(8, unit))
                .primary(false)
                .transverseTension(false)
                .build();
        Judge.evaluate(
                new Inspection(
                        joint,
                        unit,
                        Conditions.READY,
                        Set.of(),
                        true,
                        List.of(),
                        read,
                        seen,
                        List.of(),
                        ReadingChoices.CAREFUL,
                        WeldingRecord.NONE),
                book);
    }

    private static Length mm(long millimetres, Unit unit) {
        return Length.ofNanometres(millimetres * 1_000_000, unit);
    }
}
