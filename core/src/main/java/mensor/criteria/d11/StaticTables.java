package mensor.criteria.d11;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.Confidence;
import mensor.criteria.Openings;
import mensor.criteria.Rule;
import mensor.criteria.SizeEvidence;
import mensor.criteria.ToeDepth;
import mensor.criteria.Underrun;
import mensor.criteria.WidthStep;
import mensor.criteria.WindowSum;
import mensor.length.Length;
import mensor.length.Unit;

/**
 * The numbers of AWS D1.1/D1.1M for statically loaded nontubular connections, inch and millimetre columns side by side.
 * The pairs are not exact conversions; a weld is judged wholly in the drawing's column. From memory of the 2020 edition.
 */
final class StaticTables {
    private StaticTables() {}

    static Length in(long numerator, long denominator) {
        return Length.inches(numerator, denominator);
    }

    static Length mm(String value) {
        return Length.millimetres(value);
    }

    /** Visual table, undercut: any length; the exception under 1 in [25 mm]; from there up one limit. */
    static Length undercutThick(Unit u) {
        return u.pick(in(1, 1), mm("25"));
    }

    static ToeDepth undercutThin(Unit u) {
        return new ToeDepth(u.pick(in(1, 32), mm("1")), Optional.of(u.pick(in(1, 16), mm("2"))));
    }

    static ToeDepth undercutThickDepth(Unit u) {
        return new ToeDepth(u.pick(in(1, 16), mm("2")), Optional.empty());
    }

    /** Visual table, cyclic: a primary member across tension; all else. */
    static Length undercutAcrossTension(Unit u) {
        return u.pick(in(1, 100), mm("0.25"));
    }

    static Length undercutCyclic(Unit u) {
        return u.pick(in(1, 32), mm("1"));
    }

    /** Visual table, piping porosity, cyclic: one in 4 in [100], none over 3/32 [2.5]. */
    static Rule.PoreSpacing poreSpacing(Unit u) {
        return u.pick(new Rule.PoreSpacing(in(3, 32), in(4, 1)), new Rule.PoreSpacing(mm("2.5"), mm("100")));
    }

    /** Profile table, cyclic: however thick, the crown stands at most so high. */
    static Length reinforcementCyclic(Unit u) {
        return u.pick(in(3, 16), mm("5"));
    }

    static Length undercutAccumulated(Unit u) {
        return u.pick(in(2, 1), mm("50"));
    }

    static Length undercutWindow(Unit u) {
        return u.pick(in(12, 1), mm("300"));
    }

    /** Visual table, piping porosity: counted diameter; sum in 1 in [25]; sum in 12 in [300]. */
    static Rule.PoreSums pores(Unit u) {
        return u.pick(
                new Rule.PoreSums(
                        in(1, 32), List.of(new WindowSum(in(3, 8), in(1, 1)), new WindowSum(in(3, 4), in(12, 1)))),
                new Rule.PoreSums(
                        mm("1"), List.of(new WindowSum(mm("10"), mm("25")), new WindowSum(mm("20"), mm("300")))));
    }

    /** Profile table, fillets: convexity by the width of face or bead. */
    static List<WidthStep> convexity(Unit u) {
        return u.pick(
                List.of(
                        step(in(5, 16), true, in(1, 16)),
                        step(in(1, 1), false, in(1, 8)),
                        new WidthStep(Optional.empty(), true, in(3, 16), Confidence.HIGH)),
                List.of(
                        step(mm("8"), true, mm("2")),
                        step(mm("25"), false, mm("3")),
                        new WidthStep(Optional.empty(), true, mm("5"), Confidence.HIGH)));
    }

    private static WidthStep step(Length width, boolean included, Length convexity) {
        return new WidthStep(Optional.of(width), included, convexity, Confidence.HIGH);
    }

    /** Profile table, butts and outside corners: reinforcement by thickness. */
    static Length reinforcement(Length t, Unit u) {
        if (!t.isOver(u.pick(in(1, 1), mm("25")))) {
            return u.pick(in(1, 8), mm("3"));
        }
        return t.isOver(u.pick(in(2, 1), mm("50"))) ? u.pick(in(1, 4), mm("6")) : u.pick(in(3, 16), mm("5"));
    }

    /** Profile table, tee and inside-corner grooves: convexity by thickness. */
    static Length grooveConvexity(Length t, Unit u) {
        return t.isUnder(u.pick(in(1, 1), mm("25"))) ? u.pick(in(1, 8), mm("3")) : u.pick(in(3, 16), mm("5"));
    }

    /** A flush face: what may be left standing, and may be taken off the thinner part at most; the latter also 5% of it. */
    static Length flush(Unit u) {
        return u.pick(in(1, 32), mm("1"));
    }

    /** Visual table, fillet size: the underrun by the drawn size, and the fit-up openings of 7.21. */
    static Rule.FilletSize filletSize(Unit u) {
        return u.pick(
                new Rule.FilletSize(
                        List.of(
                                new Underrun(Optional.of(in(1, 4)), in(1, 16)),
                                new Underrun(Optional.of(in(5, 16)), in(3, 32)),
                                new Underrun(Optional.empty(), in(1, 8))),
                        10,
                        2,
                        Optional.of(new Openings(in(1, 16), in(3, 16), in(3, 1), in(5, 16))),
                        SizeEvidence.inches()),
                new Rule.FilletSize(
                        List.of(
                                new Underrun(Optional.of(mm("6")), mm("2")),
                                new Underrun(Optional.of(mm("8")), mm("2.5")),
                                new Underrun(Optional.empty(), mm("3"))),
                        10,
                        2,
                        Optional.of(new Openings(mm("2"), mm("5"), mm("75"), mm("8"))),
                        SizeEvidence.millimetres()));
    }

    /** Fit-up, butts: the lesser of 10% of the thinner part and this. */
    static Length offsetMost(Unit u) {
        return u.pick(in(1, 8), mm("3"));
    }

    /** Fit-up, pipe butts: a fifth of the wall, and this; so much only where welded from both sides. */
    static Length pipeOffsetMost(Unit u) {
        return u.pick(in(1, 4), mm("6"));
    }

    /** Welder-test numbers, shown as advice only. */
    static Length meltThroughAdvice(Unit u) {
        return u.pick(in(1, 8), mm("3"));
    }

    static Length rootConcavityAdvice(Unit u) {
        return u.pick(in(1, 16), mm("2"));
    }

    /** The clause of each criterion: 2020 numbering, 2015 in parentheses. */
    static final Map<String, Clause> CLAUSES = Map.ofEntries(
            Map.entry("readiness", new Clause("Table 8.1 (6.1), 7.29 (5.29)", Confidence.HIGH)),
            Map.entry("crack", new Clause("Table 8.1 (6.1) item 1", Confidence.HIGH)),
            Map.entry("fusion", new Clause("Table 8.1 (6.1) item 2", Confidence.HIGH)),
            Map.entry("crater", new Clause("Table 8.1 (6.1) item 3", Confidence.HIGH)),
            Map.entry("overlap", new Clause("7.23 (5.23)", Confidence.MEDIUM)),
            Map.entry(
                    "profile",
                    new Clause("Table 8.1 (6.1) item 4; 7.23, Tables 7.8, 7.9 (5.23, 5.8, 5.9)", Confidence.MEDIUM)),
            Map.entry("size", new Clause("Table 8.1 (6.1) item 6; fit-up 7.21 (5.21)", Confidence.HIGH)),
            Map.entry("length", new Clause("Table 8.1 (6.1), 8.5 (6.5)", Confidence.HIGH)),
            Map.entry("as-drawn", new Clause("8.5 (6.5)", Confidence.HIGH)),
            Map.entry("undercut", new Clause("Table 8.1 (6.1) item 7", Confidence.HIGH)),
            Map.entry("porosity", new Clause("Table 8.1 (6.1) item 8", Confidence.HIGH)),
            Map.entry("arc-strike", new Clause("7.28 (5.28)", Confidence.HIGH)),
            Map.entry("slag", new Clause("7.29 (5.29)", Confidence.HIGH)),
            Map.entry("spatter", new Clause("7.29 (5.29)", Confidence.HIGH)),
            Map.entry("root", new Clause("Table 8.1 (6.1)", Confidence.HIGH)),
            Map.entry("misalignment", new Clause("7.21 (5.21)", Confidence.HIGH)),
            Map.entry("base-metal", new Clause("7.23, as for flush faces (5.23)", Confidence.LOW)));

    record Clause(String number, Confidence confidence) {}
}
