package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.criteria.Coverage;
import mensor.criteria.CriteriaBook;
import mensor.criteria.Rule;
import mensor.inspection.Addendum;
import mensor.inspection.AddendumKind;
import mensor.inspection.Cover;
import mensor.inspection.Criterion;
import mensor.inspection.Inspection;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.weld.InvalidField;

/** Judges one inspection by one book: every criterion in order, then the contract's addenda. */
public final class Judge {
    /** Said with every verdict. */
    public static final List<String> CAUTIONS = List.of(
            "Visual inspection only: surface flaws only.",
            "Limits stand here from memory of the published code; the contract's own copy and the Engineer decide.",
            "Local codes and licensed practice come first.");

    private Judge() {}

    /**
     * @throws InvalidField where the code cannot judge the joint, has no column in its units, or an addendum is looser
     *     than the code
     */
    public static Evaluation evaluate(Inspection inspection, CriteriaBook book) {
        return evaluate(inspection, book, Terms.NONE);
    }

    /** As above, where the contract asks for guarded acceptance or the Engineer allowed something beyond the code. */
    public static Evaluation evaluate(Inspection inspection, CriteriaBook book, Terms terms) {
        check(inspection, book);
        Allowances allowances = new Allowances(inspection, terms.deviations());
        Function<Inspection, List<Finding>> judge =
                each -> allowances.apply(findings(each, book), each, rest -> findings(rest, book));
        List<Finding> plain = judge.apply(inspection);
        List<Finding> findings = terms.guard()
                .map(g -> new GuardBand(inspection, g).apply(plain, judge))
                .orElse(plain);
        Verdict verdict = Verdict.of(findings.stream().map(Finding::verdict).toList());
        List<String> notes = notes(inspection, book, findings);
        return new Evaluation(book, verdict, List.copyOf(findings), todo(findings), notes);
    }

    private static List<Finding> findings(Inspection inspection, CriteriaBook book) {
        List<Finding> findings = new ArrayList<>();
        Coverage coverage = new Coverage(book, inspection.joint(), inspection.units()).with(inspection.addenda());
        EntriesWithoutRule rest = new EntriesWithoutRule(inspection, book, coverage);
        for (Criterion criterion : Criterion.values()) {
            Finding.Builder finding = Finding.of(criterion, book.citation(criterion, inspection.joint()));
            Finding judged = book.rule(criterion, inspection.joint(), inspection.units())
                    .answer(new CriterionCheck(inspection, criterion, finding, rest));
            findings.add(reached(inspection, rest.saidOf(judged)));
        }
        for (Addendum a : inspection.addenda()) {
            Citation where = new Citation("contract", a.note().orElse(a.kind().id()), Confidence.HIGH);
            Finding.Builder finding = Finding.of(a.kind().id(), a.kind().criterion(), where);
            findings.add(reached(inspection, new AddendumCheck(inspection, book, a, finding).judge()));
        }
        return findings;
    }

    /** Nothing accepts what could not be reached. */
    private static Finding reached(Inspection inspection, Finding finding) {
        List<Cover> closed = inspection.notAccessible(finding.criterion());
        if (closed.isEmpty() || finding.verdict() == Verdict.REJECT) {
            return finding;
        }
        List<Ask> asks = closed.stream()
                .map(c -> Ask.Kind.COVER_STRETCH.of(c.where().orElseThrow()))
                .toList();
        Reason why = Why.NOT_ACCESSIBLE.of(closed.get(0).where().orElseThrow());
        return finding.verdict() == Verdict.INCOMPLETE
                ? finding.alsoAsks(asks, finding.reason()).traced(why.words())
                : finding.alsoAsks(asks, why);
    }

    /** Refuses what the code cannot judge, naming the field of the file. */
    public static void check(Inspection inspection, CriteriaBook book) {
        if (!book.hasColumn(inspection.units())) {
            throw new InvalidField(
                    "units",
                    book.id() + " has no column in " + inspection.units().symbol());
        }
        book.refuses(inspection.joint()).ifPresent(r -> {
            throw new InvalidField("joint." + r.field(), r.problem());
        });
        for (int i = 0; i < inspection.addenda().size(); i++) {
            Addendum a = inspection.addenda().get(i);
            Optional<Length> loosest = loosest(inspection, book, a.kind());
            if (a.max().isPresent() && loosest.isPresent() && a.max().get().isOver(loosest.get())) {
                throw new InvalidField(
                        "addenda[" + i + "].max",
                        a.max().get() + " is looser than the code, which accepts at most " + loosest.get()
                                + "; an addendum can only tighten");
            }
        }
    }

    /** As the code's; where the careful reading grants no underrun, none. */
    private static Optional<Length> loosest(Inspection inspection, CriteriaBook book, AddendumKind kind) {
        Optional<Length> loosest = book.loosest(kind, inspection.joint(), inspection.units());
        boolean none = kind == AddendumKind.SIZE_UNDERRUN
                && FilletSizes.isUnderrunWithheld(inspection)
                && book.rule(Criterion.SIZE, inspection.joint(), inspection.units()) instanceof Rule.FilletSize;
        return none ? Optional.of(Length.zero(inspection.units())) : loosest;
    }

    static List<Todo> todo(List<Finding> findings) {
        List<Todo> todo = new ArrayList<>();
        for (Finding f : findings) {
            if (f.verdict() == Verdict.INCOMPLETE) {
                boolean open = (f.reason().is(Why.NOT_INSPECTED) || f.reason().is(Why.NOT_REINSPECTED))
                        && f.criterion().clearable()
                        && f.id().equals(f.criterion().id());
                f.asks().forEach(ask -> todo.add(new Todo(f.id(), f.criterion(), ask.words(), open)));
            }
        }
        return List.copyOf(todo);
    }

    private static List<String> notes(Inspection inspection, CriteriaBook book, List<Finding> findings) {
        List<String> notes = new ArrayList<>();
        notes.addAll(book.notes(inspection.joint()));
        if (book.isStructural()) {
            notes.addAll(DrawingNotes.of(inspection, book.isCyclic()));
        }
        for (Finding f : findings) {
            if (f.confidence() != Confidence.HIGH) {
                notes.add(f.criterion().title() + ": a limit used here is of "
                        + f.confidence().id() + " confidence; check against your copy.");
            }
        }
        new EntriesWithoutRule(
                        inspection,
                        book,
                        new Coverage(book, inspection.joint(), inspection.units()).with(inspection.addenda()))
                .notes()
                .forEach(notes::add);
        for (Cover c : inspection.covered()) {
            notes.add(
                    !c.isAccessible()
                            ? c.criterion().title() + ": not accessible at "
                                    + c.where().orElseThrow().shown() + "; nothing covers it."
                            : c.criterion() == Criterion.SIZE
                                    ? "Size: the throat over a fit-up gap is demonstrated by " + c.words() + "."
                                    : c.criterion().title() + " is covered by " + c.words()
                                            + "; it was not seen there in this inspection.");
        }
        notes.addAll(CAUTIONS);
        return List.copyOf(notes);
    }
}
