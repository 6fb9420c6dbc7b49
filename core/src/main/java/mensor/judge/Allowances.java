package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import mensor.inspection.Criterion;
import mensor.inspection.Deviation;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;

/**
 * What the Engineer allowed on this weld. What a deviation covers (of its criterion, within its stretch, not over its most) is
 * set aside, and the rest is judged by the code as ever: so a second undercut next to one that was allowed is still seen.
 */
final class Allowances {
    private final List<Deviation> deviations;
    private final Inspection inspection;

    Allowances(Inspection inspection, List<Deviation> deviations) {
        this.deviations = deviations;
        this.inspection = inspection;
    }

    /** Answers all findings of an inspection, in one order. */
    interface Judged {
        List<Finding> of(Inspection inspection);
    }

    /** What was found of the inspection, with each rejected criterion that a deviation speaks of judged anew. */
    List<Finding> apply(List<Finding> findings, Inspection inspection, Judged judge) {
        if (deviations.isEmpty()) {
            return findings;
        }
        List<Finding> after = new ArrayList<>(findings);
        for (Criterion criterion : Criterion.values()) {
            boolean rejected =
                    findings.stream().anyMatch(f -> f.criterion() == criterion && f.verdict() == Verdict.REJECT);
            SetAside aside = rejected ? new SetAside(criterion) : null;
            if (aside != null && !aside.isEmpty()) {
                List<Finding> rest = judge.of(aside.rest(inspection));
                for (int i = 0; i < findings.size(); i++) {
                    Finding f = findings.get(i);
                    if (f.criterion() == criterion && f.verdict() == Verdict.REJECT) {
                        after.set(i, aside.joined(f, rest.get(i)));
                    }
                }
            }
        }
        return after;
    }

    /** What the deviations of one criterion cover; told by the values that were read, not by those of a guard band. */
    private final class SetAside {
        private final List<Integer> readings = new ArrayList<>();
        private final List<Integer> indications = new ArrayList<>();
        private final TreeSet<String> papers = new TreeSet<>();
        private final List<String> lines = new ArrayList<>();

        SetAside(Criterion criterion) {
            for (int i = 0; i < inspection.indications().size(); i++) {
                Indication x = inspection.indications().get(i);
                Optional<Deviation> by =
                        x.criterion() == criterion ? cover(criterion, x.span(), x.depth()) : Optional.empty();
                if (by.isPresent()) {
                    set(by.get(), x.kind().words(), x.depth(), x.span());
                } else {
                    indications.add(i);
                }
            }
            for (int i = 0; i < inspection.readings().size(); i++) {
                Optional<Length> height =
                        height(criterion, inspection.readings().get(i));
                Span span = inspection.readings().get(i).span();
                Optional<Deviation> by = height.flatMap(h -> cover(criterion, span, height));
                if (by.isPresent()) {
                    set(by.get(), "reading", height, span);
                } else {
                    readings.add(i);
                }
            }
        }

        private void set(Deviation by, String what, Optional<Length> depth, Span span) {
            papers.add(by.shown());
            lines.add("set aside by the Engineer's document " + by.shown() + ": " + what
                    + depth.map(d -> " " + d.in(inspection.units()).shownWithUnit())
                            .orElse("") + " at "
                    + span.shown());
        }

        boolean isEmpty() {
            return lines.isEmpty();
        }

        Inspection rest(Inspection inspection) {
            return inspection.with(
                    readings.stream().map(inspection.readings()::get).toList(),
                    indications.stream().map(inspection.indications()::get).toList());
        }

        /** The finding of the rest; where nothing else was seen of the criterion, the document is the last word. */
        Finding joined(Finding book, Finding rest) {

            boolean nothingElse =
                    rest.verdict() == Verdict.INCOMPLETE && rest.reason().is(Why.NOT_INSPECTED)
                            || rest.verdict() == Verdict.NOT_APPLICABLE;
            Finding f = nothingElse || rest.verdict() == Verdict.ACCEPT
                    ? book.accepted(Why.WITHIN_DOCUMENT.of(String.join(", ", papers), book.reason()))
                    : rest.renumbered(readings, indications);
            for (String line : lines) {
                f = f.traced(line);
            }
            return f;
        }
    }

    private Optional<Deviation> cover(Criterion criterion, Span span, Optional<Length> depth) {
        return deviations.stream()
                .filter(d -> d.criterion() == criterion)
                .filter(d -> d.where().map(w -> lies(span, w)).orElse(true))
                .filter(d -> d.max().isEmpty()
                        || depth.map(x -> !x.isOver(d.max().get())).orElse(false))
                .findFirst();
    }

    private boolean lies(Span span, Span where) {
        Ruler ruler = inspection.joint().ruler();
        if (span.from().compareTo(span.to()) == 0) {
            return ruler.straight(List.of(where)).covers(ruler.place(span.from()));
        }
        return ruler.straight(List.of(span))
                .minus(ruler.straight(List.of(where)))
                .isEmpty();
    }

    /** The height at a station that the criterion limits. */
    private static Optional<Length> height(Criterion criterion, Reading r) {
        if (!(r instanceof Reading.Station s)) {
            return Optional.empty();
        }
        return switch (criterion) {
            case PROFILE -> s.reinforcement().or(s::convexity);
            case ROOT -> s.rootReinforcement();
            case MISALIGNMENT -> s.offset();
            default -> Optional.empty();
        };
    }
}
