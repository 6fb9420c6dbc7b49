package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.length.Length;
import mensor.length.Span;
import mensor.look.Criterion;
import mensor.look.Verdict;

/**
 * One criterion's verdict with its numbers.
 *
 * @param id the criterion's or the addendum's word in files
 * @param criterion the criterion it belongs to
 * @param measured for people, in the drawing's manner; empty where nothing was measured, as are allowed and margin
 * @param numbers where one number decides
 * @param span the place that decides
 * @param indications the indices of the indications that decide
 * @param readings the indices of the readings that decide
 * @param reason one line
 * @param trace the arithmetic, step by step
 * @param asks what is still to be looked at, one line each
 * @param nearLimit an accepting reading lies nearer to its limit than the gauge can tell
 */
public record Finding(
        String id,
        Criterion criterion,
        Verdict verdict,
        String measured,
        String allowed,
        String margin,
        Optional<Numbers> numbers,
        Optional<Span> span,
        List<Integer> indications,
        List<Integer> readings,
        Citation citation,
        Confidence confidence,
        String reason,
        List<String> trace,
        List<String> asks,
        boolean nearLimit) {

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

    /** The same finding come to another verdict. */
    Finding becomes(Verdict other, String why, String ask, String line) {
        return with(other, why, traceWith(line), ask.isEmpty() ? List.of() : List.of(ask), false);
    }

    /** Open for more to be looked at, beside what it asks already. */
    Finding alsoAsks(List<String> more, String why) {
        List<String> all = new ArrayList<>(asks);
        all.addAll(more);
        return with(Verdict.INCOMPLETE, why, trace, List.copyOf(all), false);
    }

    /** With a word of the book on something that it leaves free. */
    Finding noted(String line, Confidence sure) {
        Finding f = traced(line);
        return new Finding(
                id,
                criterion,
                verdict,
                measured,
                allowed,
                margin,
                numbers,
                span,
                indications,
                readings,
                citation,
                confidence.lower(sure),
                reason,
                f.trace(),
                asks,
                nearLimit);
    }

    /** Left open by entries that nothing judges; what it asked already stays asked. */
    Finding leftOpen(
            String why, List<String> more, Span where, List<Integer> readingsOpen, List<Integer> indicationsOpen) {
        List<String> all = new ArrayList<>(asks);
        all.addAll(more);
        return new Finding(
                id,
                criterion,
                Verdict.INCOMPLETE,
                "not judged",
                "",
                "",
                Optional.empty(),
                Optional.of(where),
                indicationsOpen,
                readingsOpen,
                citation,
                confidence,
                verdict == Verdict.INCOMPLETE ? reason : why,
                traceWith(why),
                List.copyOf(all),
                false);
    }

    /** With one more line of arithmetic. */
    Finding traced(String line) {
        return with(verdict, reason, traceWith(line), asks, nearLimit);
    }

    private List<String> traceWith(String line) {
        if (line.isEmpty()) {
            return trace;
        }
        List<String> more = new ArrayList<>(trace);
        more.add(line);
        return List.copyOf(more);
    }

    private Finding with(
            Verdict otherVerdict, String why, List<String> otherTrace, List<String> otherAsks, boolean near) {
        return new Finding(
                id,
                criterion,
                otherVerdict,
                measured,
                allowed,
                margin,
                numbers,
                span,
                indications,
                readings,
                citation,
                confidence,
                why,
                otherTrace,
                otherAsks,
                near);
    }

    /** With the places of its indications and readings in another list. */
    Finding renumbered(List<Integer> readingsAt, List<Integer> indicationsAt) {
        return new Finding(
                id,
                criterion,
                verdict,
                measured,
                allowed,
                margin,
                numbers,
                span,
                indications.stream().map(indicationsAt::get).toList(),
                readings.stream().map(readingsAt::get).toList(),
                citation,
                confidence,
                reason,
                trace,
                asks,
                nearLimit);
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
        private String reason = "";
        private final List<String> trace = new ArrayList<>();
        private final List<String> asks = new ArrayList<>();
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

        Builder accept(String why) {
            return verdict(Verdict.ACCEPT, why);
        }

        Builder reject(String why) {
            return verdict(Verdict.REJECT, why);
        }

        Builder notApplicable(String why) {
            return verdict(Verdict.NOT_APPLICABLE, why);
        }

        /** Incomplete, with what to look at. */
        Builder incomplete(String why, String ask) {
            ask(ask);
            return verdict(Verdict.INCOMPLETE, why);
        }

        /** Incomplete, where what to look at was asked already. */
        Builder incomplete(String why) {
            return verdict(Verdict.INCOMPLETE, why);
        }

        private Builder verdict(Verdict value, String why) {
            verdict = value;
            reason = why;
            return this;
        }

        Builder ask(String line) {
            asks.add(line);
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
            return reason.isEmpty();
        }

        Finding build() {
            boolean near = nearLimit && verdict == Verdict.ACCEPT;
            if (near) {
                trace.add(
                        "Near the limit: nearer than half the gauge's smallest division. Read again with a finer gauge.");
            }
            return new Finding(
                    id,
                    criterion,
                    verdict,
                    measured,
                    allowed,
                    margin,
                    Optional.ofNullable(numbers),
                    Optional.ofNullable(span),
                    indications,
                    readings,
                    citation,
                    confidence,
                    reason,
                    List.copyOf(trace),
                    verdict == Verdict.REJECT || verdict == Verdict.INCOMPLETE ? List.copyOf(asks) : List.of(),
                    near);
        }
    }
}
