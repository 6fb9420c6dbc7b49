package mensor.server.practice;

import java.util.List;
import java.util.stream.Collectors;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.length.Unit;
import mensor.practice.FlawKind;
import mensor.practice.PracticeSetting;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.weld.InvalidField;
import mensor.weld.Named;

/**
 * What made-up welds are asked for; what is absent is as usual at the level.
 *
 * @param level 1 to 5
 * @param joint tee or butt
 * @param units in or mm
 * @param criteria the code
 * @param kinds of flaws
 * @param crowd 0 few flaws to 3 many
 * @param dirt 0 clean to 3
 */
@AllOptional
public record SettingForm(
        Integer level, String joint, String units, String criteria, List<String> kinds, Integer crowd, Integer dirt) {

    PracticeSetting read() {
        String as = joint == null ? "tee" : joint;
        if (!as.equals("tee") && !as.equals("butt")) {
            throw Refusal.invalid("joint", "tee or butt");
        }
        String in = units == null ? "in" : units;
        if (!in.equals("in") && !in.equals("mm")) {
            throw Refusal.invalid("units", "in or mm");
        }
        Unit unit = in.equals("in") ? Unit.INCH : Unit.MILLIMETRE;
        CriteriaBook book = CriteriaBooks.find(criteria == null ? "d1.1-static" : criteria)
                .orElseThrow(() -> Refusal.invalid("criteria", "there are no such criteria"));
        if (!book.hasColumn(unit)) {
            throw Refusal.invalid(
                    "units", "this code has no column for " + (in.equals("in") ? "inches" : "millimeters"));
        }
        try {
            PracticeSetting usual =
                    PracticeSetting.ofLevel(level == null ? 1 : level, as.equals("tee"), unit, book.id());
            return new PracticeSetting(
                    usual.level(),
                    usual.fillet(),
                    unit,
                    book.id(),
                    kinds == null || kinds.isEmpty()
                            ? usual.kinds()
                            : kinds.stream().map(SettingForm::kind).collect(Collectors.toSet()),
                    crowd == null ? usual.crowd() : crowd,
                    dirt == null ? usual.dirt() : dirt);
        } catch (InvalidField e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
    }

    private static FlawKind kind(String id) {
        return Named.find(FlawKind.class, id)
                .orElseThrow(() -> Refusal.invalid("kinds", "no kind of flaw is called " + id));
    }

    static SettingForm of(PracticeSetting s) {
        return new SettingForm(
                s.level(),
                s.fillet() ? "tee" : "butt",
                s.units().symbol(),
                s.criteria(),
                s.kinds().stream().sorted().map(FlawKind::id).toList(),
                s.crowd(),
                s.dirt());
    }
}
