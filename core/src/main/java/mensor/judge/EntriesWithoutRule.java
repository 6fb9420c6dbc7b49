package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.criteria.Confidence;
import mensor.criteria.Coverage;
import mensor.criteria.CriteriaBook;
import mensor.criteria.NoLimit;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Judgeable;
import mensor.inspection.ReadValue;
import mensor.inspection.Reading;
import mensor.inspection.Verdict;
import mensor.length.Span;

/**
 * What was read or seen and no rule of the code judges. Where the code says that it sets no limit, the finding carries that
 * as a note; where it says nothing, the finding cannot accept. So nothing that was recorded passes in silence.
 */
final class EntriesWithoutRule {
    private final CriteriaBook book;
    private final String made;
    private final List<Entry> entries = new ArrayList<>();

    private record Entry(
            Criterion criterion,
            boolean reading,
            int index,
            Judgeable what,
            Span span,
            Optional<NoLimit> word,
            String instead) {
        /** What the code says of it where it leaves it free. */
        Optional<String> freely() {
            return word.map(w -> shown() + ": no limit (" + w.clause() + "): " + w.why());
        }

        String shown() {
            return what.words() + " at " + span.shown();
        }
    }

    EntriesWithoutRule(Inspection inspection, CriteriaBook book, Coverage coverage) {
        this.book = book;
        this.made = inspection.joint().inWords();
        for (Occurrence<Reading.Station> f : Occurrence.readings(inspection, Reading.Station.class)) {
            for (ReadValue v : coverage.withoutRule(f.what())) {
                entries.add(new Entry(
                        v.criterion(), true, f.index(), v, f.what().span(), coverage.noLimit(v), v.instead()));
            }
        }
        for (int i = 0; i < inspection.indications().size(); i++) {
            Indication seen = inspection.indications().get(i);
            if (!coverage.isLimited(seen.criterion(), seen.kind()) && isSomething(seen)) {
                entries.add(new Entry(
                        seen.criterion(),
                        false,
                        i,
                        seen.kind(),
                        seen.span(),
                        coverage.noLimit(seen.kind()),
                        "ask the Engineer for the limit"));
            }
        }
    }

    /** A depth of zero is nothing there, and wants no rule. */
    private static boolean isSomething(Indication seen) {
        return seen.depth().map(d -> !d.isZero()).orElse(true);
    }

    /** Whether an indication of the criterion is free by the code's own word. */
    Optional<String> freeIndication(Criterion criterion) {
        return entries.stream()
                .filter(e -> e.criterion() == criterion && !e.reading())
                .flatMap(e -> e.word().stream())
                .map(NoLimit::why)
                .findFirst();
    }

    /** The finding with the code's words on what it leaves free; incomplete where it says nothing. */
    Finding saidOf(Finding finding) {
        List<Entry> mine = entries.stream()
                .filter(e -> e.criterion() == finding.criterion())
                .toList();
        List<NoLimit> words = mine.stream().flatMap(e -> e.word().stream()).toList();
        Finding said = words.isEmpty()
                ? finding
                : finding.noted(
                        mine.stream().flatMap(e -> e.freely().stream()).toList(),
                        words.stream()
                                .map(NoLimit::confidence)
                                .reduce(Confidence::lower)
                                .orElseThrow());
        List<Entry> silent = mine.stream().filter(e -> e.word().isEmpty()).toList();
        return silent.isEmpty() || said.verdict() == Verdict.REJECT ? said : unjudged(said, silent);
    }

    private Finding unjudged(Finding finding, List<Entry> silent) {
        Entry first = silent.get(0);
        Reason why = Why.NOT_JUDGED.of(first.shown(), book.title(), made);
        List<Ask> asks = silent.stream()
                .map(e -> Ask.Kind.NOT_JUDGED.of(e.shown(), e.instead()))
                .toList();
        List<Integer> readings = silent.stream()
                .filter(Entry::reading)
                .map(Entry::index)
                .distinct()
                .toList();
        List<Integer> indications =
                silent.stream().filter(e -> !e.reading()).map(Entry::index).toList();
        return finding.unjudged(why, asks, new Finding.Place(Optional.of(first.span()), indications, readings));
    }

    /** A line for each thing that the code leaves free. */
    List<String> notes() {
        return entries.stream()
                .filter(e -> e.word().isPresent())
                .map(e -> e.criterion().title() + ": " + e.what().words() + " has no limit here: "
                        + e.word().get().why() + ".")
                .distinct()
                .toList();
    }
}
