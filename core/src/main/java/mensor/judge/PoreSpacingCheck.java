package mensor.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mensor.criteria.Rule;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.look.Indication;
import mensor.look.Inspection;

/**
 * Any visible pore counts: none too large, and no two with their centres nearer than the window is wide. Where pores are known
 * only to lie along a stretch, two bounds: they surely break it where more must share a stretch than fit there apart; they
 * surely keep it where every place that they could have keeps them apart.
 */
final class PoreSpacingCheck {
    private final Inspection inspection;
    private final Rule.PoreSpacing rule;

    PoreSpacingCheck(Inspection inspection, Rule.PoreSpacing rule) {
        this.inspection = inspection;
        this.rule = rule;
    }

    /** Pores somewhere from one place to another, laid out straight. */
    private record Somewhere(int index, Length from, Length to, long count) {}

    /** There is at least one pore. */
    void judge(Finding.Builder finding) {
        List<Found<Indication.Porosity>> found = Found.indications(inspection, Indication.Porosity.class);
        String allowed = "one in any " + rule.window().shownWithUnit() + ", none over "
                + rule.most().shownWithUnit();
        finding.allowed(allowed);
        Found<Indication.Porosity> largest = found.stream()
                .max(Comparator.comparing(f -> f.what().diameter()))
                .orElseThrow();
        if (largest.what().diameter().isOver(rule.most())) {
            finding.atMost(largest.what().diameter().in(inspection.units()), rule.most())
                    .span(largest.what().span())
                    .indications(List.of(largest.index()))
                    .reject("a pore of "
                            + largest.what().diameter().in(inspection.units()).shownWithUnit() + " at "
                            + largest.what().span().shown() + "; none over "
                            + rule.most().shownWithUnit() + " is allowed");
            return;
        }
        List<Somewhere> pores = laidOut(found);
        long all = found.stream().mapToLong(f -> f.what().count()).sum();
        finding.measured(all == 1 ? "1 pore" : all + " pores").indications(Found.indices(found));
        Optional<Span> broken = surelyBroken(pores);
        if (broken.isPresent()) {
            finding.span(broken.get())
                    .reject("more than one pore in " + rule.window().shownWithUnit() + " at "
                            + broken.get().shown());
        } else if (surelyKept(pores)) {
            finding.accept(
                    all == 1
                            ? "one pore of "
                                    + largest.what()
                                            .diameter()
                                            .in(inspection.units())
                                            .shownWithUnit()
                            : "no two pores nearer than " + rule.window().shownWithUnit());
        } else {
            finding.incomplete(
                    "along a stretch the pores may or may not lie nearer than "
                            + rule.window().shownWithUnit(),
                    "mark where each pore lies");
        }
    }

    /** Each pore once; on a closed weld those near the datum once more, a turn further on. */
    private List<Somewhere> laidOut(List<Found<Indication.Porosity>> found) {
        Ruler ruler = inspection.joint().ruler();
        List<Somewhere> pores = new ArrayList<>();
        for (Found<Indication.Porosity> f : found) {
            Span s = f.what().span();
            Length from = ruler.place(s.from());
            Length to = s.wraps() ? ruler.place(s.to()).plus(ruler.length()) : from.plus(s.extent());
            pores.add(new Somewhere(f.index(), from, to, f.what().count()));
            if (ruler.closed()) {
                pores.add(new Somewhere(
                        f.index(),
                        from.plus(ruler.length()),
                        to.plus(ruler.length()),
                        f.what().count()));
            }
        }
        pores.sort(Comparator.comparing(Somewhere::from).thenComparing(Somewhere::to));
        return pores;
    }

    /** A stretch that surely holds k pores and is shorter than k − 1 windows; a pore and itself a turn further is no pair. */
    private Optional<Span> surelyBroken(List<Somewhere> pores) {
        for (Somewhere first : pores) {
            long held = 0;
            List<Somewhere> byEnd = pores.stream()
                    .filter(p -> !p.from().isUnder(first.from()))
                    .sorted(Comparator.comparing(Somewhere::to))
                    .toList();
            List<Integer> seen = new ArrayList<>();
            for (Somewhere p : byEnd) {
                if (seen.contains(p.index())) {
                    break; // round the weld once
                }
                seen.add(p.index());
                held += p.count();
                Length needs = rule.window().times(held - 1);
                if (held > 1 && p.to().minus(first.from()).isUnder(needs)) {
                    return Optional.of(new Span(first.from(), p.to()));
                }
            }
        }
        return Optional.empty();
    }

    private boolean surelyKept(List<Somewhere> pores) {
        for (int i = 0; i < pores.size(); i++) {
            if (pores.get(i).count() > 1) {
                return false;
            }
            for (int j = i + 1; j < pores.size(); j++) {
                boolean another = pores.get(i).index() != pores.get(j).index();
                if (another && pores.get(j).from().minus(pores.get(i).to()).isUnder(rule.window())) {
                    return false;
                }
            }
        }
        return true;
    }
}
