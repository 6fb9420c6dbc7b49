package mensor.judge;

import java.util.List;
import mensor.criteria.Rule;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.NotAsDrawn;
import mensor.inspection.Overlap;
import mensor.inspection.PoorRestart;
import mensor.inspection.Porosity;
import mensor.inspection.ShortWeld;
import mensor.length.Length;

/** Indications of a kind of which none is allowed. */
final class NoneAllowedCheck {
    private final Inspection inspection;
    private final Finding.Builder finding;

    NoneAllowedCheck(Inspection inspection, Finding.Builder finding) {
        this.inspection = inspection;
        this.finding = finding;
    }

    void judge(Rule.NoneAllowed rule, List<Occurrence<Indication>> found) {
        List<Occurrence<Indication>> real =
                found.stream().filter(f -> isSomething(f.what())).toList();
        if (!real.isEmpty()) {
            Indication first = real.get(0).what();
            if (first.isPlaced()) {
                finding.span(first.span());
            }
            finding.traceEach(real, f -> inWords(f.what()));
            finding.measured(real.size() == 1 ? inWords(first) : real.size() + " places")
                    .indications(Occurrence.indices(real))
                    .reject(Why.NONE_ALLOWED.of(
                            inWords(first),
                            real.size() > 1 ? " and " + (real.size() - 1) + " more" : "",
                            rule.thing()));
        } else if (!found.isEmpty()) {
            finding.measured("0").indications(Occurrence.indices(found)).accept(Why.NOTHING_THERE.of("of depth 0"));
        }
    }

    /** A recorded depth of zero is nothing there; an absent one is. */
    private static boolean isSomething(Indication i) {
        if (i instanceof Overlap o) {
            return o.depth().map(Length::isPositive).orElse(true);
        }
        if (i instanceof Porosity p) {
            return p.diameter().isPositive();
        }
        if (i instanceof PoorRestart r) {
            boolean unread = r.height().isEmpty() && r.hollow().isEmpty();
            return unread
                    || r.height().filter(Length::isPositive).isPresent()
                    || r.hollow().filter(Length::isPositive).isPresent();
        }
        return !(i instanceof ShortWeld s) || s.missing().isPositive();
    }

    private String inWords(Indication i) {
        if (i instanceof ShortWeld s) {
            return s.missing().in(inspection.units()).shownWithUnit() + " missing";
        }
        if (i instanceof NotAsDrawn n) {
            return n.what().id().replace('-', ' ')
                    + n.at().map(a -> " at " + a.shown()).orElse("");
        }
        String toe = i instanceof Overlap o ? " on the " + inspection.joint().toeName(o.toe()) : "";
        return i.kind().words() + toe + " at " + inspection.joint().shown(i.span());
    }
}
