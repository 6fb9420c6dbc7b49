package mensor.repair;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mensor.criteria.CriteriaBook;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Verdict;
import mensor.judge.Finding;
import mensor.judge.Judge;
import mensor.judge.Terms;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;

/**
 * The shortest stretch whose correction clears a rejecting finding, found by judging the look again with it corrected. One
 * stretch from one of its ends, on the marks of a rule (1/16 in, 1 mm); where no single one suffices, whole ones before it.
 *
 * @param stretches what is corrected, along the weld
 * @param total their length
 */
public record LeastRepair(List<Span> stretches, Length total) {
    /** More deciding indications than this are corrected as they are: the search would be long, and the weld is bad. */
    private static final int MOST = 40;

    /**
     * Empty where all that decides must be corrected, or where no indication does; also where readings are guarded, for then a
     * correction is read anew with its own uncertainty.
     */
    public static Optional<LeastRepair> of(Inspection inspection, CriteriaBook book, Terms terms, Finding finding) {
        // not only those of the worst window: with it corrected another may be over
        List<Integer> deciding = IntStream.range(0, inspection.indications().size())
                .filter(i -> inspection.indications().get(i).criterion() == finding.criterion()
                        && inspection.indications().get(i).isPlaced())
                .boxed()
                .toList();
        if (deciding.isEmpty()
                || deciding.size() > MOST
                || !finding.readings().isEmpty()
                || terms.guard().isPresent()) {
            return Optional.empty();
        }
        Search search = new Search(inspection, book, terms, finding.id());
        Optional<LeastRepair> found = search.least(deciding);
        Length all = deciding.stream()
                .map(i -> inspection.indications().get(i).span())
                .filter(s -> !s.wraps())
                .map(Span::extent)
                .reduce(Length.zero(inspection.units()), Length::plus);
        return found.filter(f -> f.total().isUnder(all) || f.stretches().size() < deciding.size());
    }

    private record Part(int indication, Span span) {
        Length length() {
            return span.extent();
        }
    }

    private static final class Search {
        private final Inspection inspection;
        private final CriteriaBook book;
        private final Terms terms;
        private final String finding;
        private final Length mark;

        Search(Inspection inspection, CriteriaBook book, Terms terms, String finding) {
            this.inspection = inspection;
            this.book = book;
            this.terms = terms;
            this.finding = finding;
            this.mark = inspection.units() == Unit.INCH ? Length.inches(1, 16) : Length.millimetres("1");
        }

        Optional<LeastRepair> least(List<Integer> deciding) {
            List<Integer> left = new ArrayList<>(deciding);
            List<Part> whole = new ArrayList<>();
            while (!left.isEmpty()) {
                Optional<Part> last = left.stream()
                        .map(i -> shortest(i, whole))
                        .flatMap(Optional::stream)
                        .min(Comparator.comparing(Part::length)
                                .thenComparing(p -> inspection
                                        .indications()
                                        .get(p.indication())
                                        .span()
                                        .extent())
                                .thenComparing(p -> p.span().from()));
                if (last.isPresent()) {
                    List<Part> parts = new ArrayList<>(whole);
                    parts.add(last.get());
                    return Optional.of(answer(parts));
                }
                // no single one suffices beside those taken: the one that decides most goes whole
                Integer longest = left.stream()
                        .max(Comparator.comparing(
                                i -> inspection.indications().get(i).span().extent()))
                        .orElseThrow();
                whole.add(
                        new Part(longest, inspection.indications().get(longest).span()));
                left.remove(longest);
            }
            return clears(whole) ? Optional.of(answer(whole)) : Optional.empty();
        }

        private LeastRepair answer(List<Part> parts) {
            List<Span> spans = parts.stream()
                    .map(Part::span)
                    .sorted(Comparator.comparing(Span::from))
                    .toList();
            return new LeastRepair(
                    spans, spans.stream().map(Span::extent).reduce(Length.zero(inspection.units()), Length::plus));
        }

        /** The shortest piece of one indication, from either end, that clears the finding beside what is corrected whole. */
        private Optional<Part> shortest(int index, List<Part> beside) {
            Span span = inspection.indications().get(index).span();
            Part all = new Part(index, span);
            if (!clears(with(beside, all))) {
                return Optional.empty();
            }
            Indication whole = inspection.indications().get(index);
            boolean stretch = !span.wraps() && span.extent().isOver(mark) && whole.along(span) != whole;
            if (!stretch) {
                return Optional.of(all);
            }
            Part best = all;
            for (boolean fromStart : new boolean[] {true, false}) {
                long low = 0;
                long high = (long) Math.ceil(span.extent().approximateNanometres() / mark.approximateNanometres());
                while (high - low > 1) {
                    long middle = (low + high) / 2;
                    if (clears(with(beside, piece(index, span, fromStart, middle)))) {
                        high = middle;
                    } else {
                        low = middle;
                    }
                }
                Part piece = piece(index, span, fromStart, high);
                if (piece.length().isUnder(best.length()) && clears(with(beside, piece))) {
                    best = piece;
                }
            }
            return Optional.of(best);
        }

        private static List<Part> with(List<Part> beside, Part one) {
            List<Part> parts = new ArrayList<>(beside);
            parts.add(one);
            return parts;
        }

        private Part piece(int index, Span span, boolean fromStart, long marks) {
            Length length = mark.times(marks).min(span.extent());
            return new Part(
                    index,
                    fromStart
                            ? new Span(span.from(), span.from().plus(length))
                            : new Span(span.to().minus(length), span.to()));
        }

        private boolean clears(List<Part> corrected) {
            List<Indication> left = new ArrayList<>();
            for (int i = 0; i < inspection.indications().size(); i++) {
                Indication indication = inspection.indications().get(i);
                int index = i;
                Optional<Part> part =
                        corrected.stream().filter(p -> p.indication() == index).findFirst();
                if (part.isEmpty()) {
                    left.add(indication);
                } else {
                    rest(indication, part.get().span()).ifPresent(left::add);
                }
            }
            Inspection then = inspection.with(inspection.readings(), left);
            return Judge.evaluate(then, book, terms).findings().stream()
                    .filter(f -> f.id().equals(finding))
                    .noneMatch(f -> f.verdict() == Verdict.REJECT);
        }

        private static Optional<Indication> rest(Indication indication, Span corrected) {
            Span span = indication.span();
            if (corrected.equals(span)) {
                return Optional.empty();
            }
            return Optional.of(
                    corrected.from().compareTo(span.from()) == 0
                            ? indication.along(new Span(corrected.to(), span.to()))
                            : indication.along(new Span(span.from(), corrected.from())));
        }
    }
}
