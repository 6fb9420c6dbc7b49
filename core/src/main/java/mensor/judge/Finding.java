package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.inspection.Criterion;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;

/**
 * One criterion's verdict with its numbers.
 *
 * @param id the criterion's or the addendum's word in files
 * @param criterion the criterion it belongs to
 */
public record Finding(
        String id, Criterion criterion, Verdict verdict, Amounts amounts, Place place, Basis basis, Grounds grounds) {

    /**
     * The value measured against the one allowed.
     *
     * @param measured for people, in the drawing's manner; empty where nothing was measured, as are allowed and margin
     * @param numbers where one number decides
     */
    public record Amounts(String measured, String allowed, String margin, Optional<Numbers> numbers) {
        static final Amounts NOT_JUDGED = new Amounts("not judged", "", "", Optional.empty());
    }

    /**
     * What decides, and where.
     *
     * @param span the place that decides
     * @param indications the indices of the indications that decide
     * @param readings the indices of the readings that decide
     */
    public record Place(Optional<Span> span, List<Integer> indications, List<Integer> readings) {}

    /** Where the limit stands, and how sure that is. */
    public record Basis(Citation citation, Confidence confidence) {}

    /**
     * How the verdict came about.
     *
     * @param trace the arithmetic, step by step
     * @param asks what is still to be inspected
     * @param nearLimit an accepting reading lies nearer to its limit than the gauge can tell
     */
    public record Grounds(Reason reason, List<String> trace, List<Ask> asks, boolean nearLimit) {
        private Grounds traced(String line) {
            return line.isEmpty() ? this : new Grounds(reason, joined(trace, List.of(line)), asks, nearLimit);
        }

        private Grounds traced(List<String> lines) {
            return new Grounds(reason, joined(trace, lines), asks, nearLimit);
        }

        private Grounds open(Reason why, List<Ask> more) {
            return new Grounds(why, trace, joined(asks, more), false);
        }
    }

    /**
     * The measured and allowed value and what is left between them (negative past the limit), each with its unit.
     *
     * @param isLeast the allowed value is the least, not the most
     */
    public record Numbers(String measured, String allowed, String margin, boolean isLeast) {
        /** For an upper limit. */
        public static Numbers atMost(Length measured, Length allowed) {
            return new Numbers(
                    measured.decimal(),
                    allowed.decimal(),
                    allowed.minus(measured).in(measured.unit()).decimal(),
                    false);
        }

        /** For a lower limit. */
        public static Numbers atLeast(Length measured, Length wanted) {
            return new Numbers(
                    measured.decimal(), wanted.decimal(), measured.minus(wanted).decimal(), true);
        }
    }

    public String measured() {
        return amounts.measured();
    }

    public String allowed() {
        return amounts.allowed();
    }

    public String margin() {
        return amounts.margin();
    }

    public Optional<Numbers> numbers() {
        return amounts.numbers();
    }

    public Optional<Span> span() {
        return place.span();
    }

    public List<Integer> indications() {
        return place.indications();
    }

    public List<Integer> readings() {
        return place.readings();
    }

    public Citation citation() {
        return basis.citation();
    }

    public Confidence confidence() {
        return basis.confidence();
    }

    public Reason reason() {
        return grounds.reason();
    }

    public List<String> trace() {
        return grounds.trace();
    }

    public List<Ask> asks() {
        return grounds.asks();
    }

    public boolean nearLimit() {
        return grounds.nearLimit();
    }

    /** Accepted by another word than the code's own. */
    Finding accepted(Reason why) {
        return with(Verdict.ACCEPT, new Grounds(why, trace(), List.of(), false));
    }

    /** Left open for one thing, whatever was asked before. */
    Finding leftOpen(Reason why, Ask ask, String line) {
        return with(Verdict.INCOMPLETE, new Grounds(why, trace(), List.of(ask), false).traced(line));
    }

    /** Left open for more, beside what it asks already. */
    Finding alsoAsks(List<Ask> more, Reason why) {
        return with(Verdict.INCOMPLETE, grounds.open(why, more));
    }

    /** Left open by entries that nothing judges; what it asked already stays asked. */
    Finding unjudged(Reason why, List<Ask> more, Place entries) {
        Reason first = verdict == Verdict.INCOMPLETE ? reason() : why;
        return new Finding(
                id,
                criterion,
                Verdict.INCOMPLETE,
                Amounts.NOT_JUDGED,
                entries,
                basis,
                grounds.traced(why.words()).open(first, more));
    }

    /** With the code's words on what it leaves free. */
    Finding noted(List<String> lines, Confidence sure) {
        Basis weaker = new Basis(citation(), confidence().lower(sure));
        return new Finding(id, criterion, verdict, amounts, place, weaker, grounds.traced(lines));
    }

    /** With one more line of arithmetic. */
    Finding traced(String line) {
        return with(verdict, grounds.traced(line));
    }

    /** With the places of its indications and readings in another list. */
    Finding renumbered(List<Integer> readingsAt, List<Integer> indicationsAt) {
        Place moved = new Place(
                span(),
                indications().stream().map(indicationsAt::get).toList(),
                readings().stream().map(readingsAt::get).toList());
        return new Finding(id, criterion, verdict, amounts, moved, basis, grounds);
    }

    private Finding with(Verdict other, Grounds otherGrounds) {
        return new Finding(id, criterion, other, amounts, place, basis, otherGrounds);
    }

    private static <T> List<T> joined(List<T> first, List<T> second) {
        List<T> all = new ArrayList<>(first);
        all.addAll(second);
        return List.copyOf(all);
    }

    static Builder of(Criterion criterion, Citation citation) {
        return new Builder(criterion.id(), criterion, citation);
    }

    static Builder of(String id, Criterion criterion, Citation citation) {
        return new Builder(id, criterion, citation);
    }

    /** Gathers a finding while a check goes through its rule. A later verdict replaces an earlier one. */
    static final class Builder {
        /** A usual look has its arithmetic whole; of hundreds of entries nobody reads every line. */
        private static final int MOST_LINES = 30;

        private final String id;
        private final Criterion criterion;
        private Citation citation;
        private Verdict verdict = Verdict.ACCEPT;
        private String measured = "";
        private String allowed = "";
        private String margin = "";
        private Numbers numbers;
        private Span span;
        private List<Integer> indications = List.of();
        private List<Integer> readings = List.of();
        private Confidence confidence = Confidence.HIGH;
        private Reason reason;
        private final List<String> trace = new ArrayList<>();
        private final List<Ask> asks = new ArrayList<>();
        private boolean nearLimit;

        private Builder(String id, Criterion criterion, Citation citation) {
            this.id = id;
            this.criterion = criterion;
            this.citation = citation;
        }

        /** One for the same criterion with nothing found yet. */
        Builder fresh() {
            Builder b = new Builder(id, criterion, citation);
            b.confidence = confidence;
            return b;
        }

        /** Another clause of the same document decides. */
        Builder clause(String clause) {
            citation = new Citation(citation.document(), clause, citation.clauseConfidence());
            return this;
        }

        /** Takes over what another finding of the criterion measured and where. */
        Builder like(Finding f) {
            trace.addAll(f.trace());
            return shows(f).confidence(f.confidence())
                    .indications(f.indications())
                    .readings(f.readings());
        }

        /** Takes over the numbers alone. */
        Builder shows(Finding f) {
            measured = f.measured();
            allowed = f.allowed();
            margin = f.margin();
            numbers = f.numbers().orElse(null);
            span = f.span().orElse(null);
            return this;
        }

        Builder accept(Reason why) {
            return verdict(Verdict.ACCEPT, why);
        }

        Builder reject(Reason why) {
            return verdict(Verdict.REJECT, why);
        }

        Builder notApplicable(Reason why) {
            return verdict(Verdict.NOT_APPLICABLE, why);
        }

        /** Incomplete, with what to inspect. */
        Builder incomplete(Reason why, Ask ask) {
            ask(ask);
            return verdict(Verdict.INCOMPLETE, why);
        }

        /** Incomplete, where what to inspect was asked already. */
        Builder incomplete(Reason why) {
            return verdict(Verdict.INCOMPLETE, why);
        }

        private Builder verdict(Verdict value, Reason why) {
            verdict = value;
            reason = why;
            return this;
        }

        Builder ask(Ask more) {
            asks.add(more);
            return this;
        }

        Builder measured(String value) {
            measured = value;
            return this;
        }

        Builder allowed(String value) {
            allowed = value;
            return this;
        }

        Builder margin(Length left) {
            margin = left.shownWithUnit();
            return this;
        }

        Builder numbers(Numbers value) {
            numbers = value;
            return this;
        }

        /** No number decides. */
        Builder noNumbers() {
            margin = "";
            numbers = null;
            return this;
        }

        /** Measured, allowed and margin of an upper limit, for people and for files. */
        Builder atMost(Length value, Length limit) {
            Length m = value.in(limit.unit());
            return measured(m.shownWithUnit())
                    .allowed(limit.shownWithUnit())
                    .margin(limit.minus(m))
                    .numbers(Numbers.atMost(m, limit));
        }

        Builder span(Span value) {
            span = value;
            return this;
        }

        Builder indications(List<Integer> value) {
            indications = List.copyOf(value);
            return this;
        }

        Builder readings(List<Integer> value) {
            readings = List.copyOf(value);
            return this;
        }

        Builder confidence(Confidence value) {
            confidence = confidence.lower(value);
            return this;
        }

        Builder trace(String line) {
            trace.add(line);
            return this;
        }

        /** A line for each, as many as a reader takes in. */
        <T> Builder traceEach(List<T> each, Function<T, String> line) {
            each.stream().limit(MOST_LINES).map(line).forEach(trace::add);
            if (each.size() > MOST_LINES) {
                trace.add("and " + (each.size() - MOST_LINES) + " more like these");
            }
            return this;
        }

        Builder nearLimit(boolean value) {
            nearLimit |= value;
            return this;
        }

        boolean isOpen() {
            return reason == null;
        }

        Finding build() {
            boolean near = nearLimit && verdict == Verdict.ACCEPT;
            if (near) {
                trace.add(
                        "Near the limit: nearer than half the gauge's smallest division. Read again with a finer gauge.");
            }
            boolean asking = verdict == Verdict.REJECT || verdict == Verdict.INCOMPLETE;
            return new Finding(
                    id,
                    criterion,
                    verdict,
                    new Amounts(measured, allowed, margin, Optional.ofNullable(numbers)),
                    new Place(Optional.ofNullable(span), indications, readings),
                    new Basis(citation, confidence),
                    new Grounds(
                            isOpen() ? Why.NOTHING_RECORDED.of() : reason,
                            List.copyOf(trace),
                            asking ? List.copyOf(asks) : List.of(),
                            near));
        }
    }
}
