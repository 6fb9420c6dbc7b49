package mensor.server.criteria;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import mensor.criteria.Coverage;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.criteria.CriteriaPage;
import mensor.criteria.SilentPlace;
import mensor.inspection.Judgeable;
import mensor.inspection.ReadValue;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.WeldType;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The criteria books to read, and the record that one was held against the shop's copy. */
@RestController
@RequestMapping("/api/criteria")
class CriteriaController {
    private final CriteriaChecks books;

    CriteriaController(CriteriaChecks books) {
        this.books = books;
    }

    record CriteriaLine(
            String id,
            String title,
            String edition,
            List<String> units,
            CriteriaChecks.@Nullable CriteriaCheckView check,
            @Nullable String stop) {}

    /** A limit as the page shows it. */
    record LimitLine(String clause, String of, String allowed, String by, String confidence) {}

    record CriterionLine(String criterion, String title, String citation, String confidence, List<LimitLine> limits) {}

    record ThicknessRow(String criterion, String title, String of, List<String> allowed) {}

    enum Covered {
        LIMITED,
        FREE,
        SILENT
    }

    /**
     * What becomes of something that is read or seen.
     *
     * @param read a value that is read; else a kind of indication
     * @param by the criterion that judges it, or the code's word that there is no limit
     */
    record CoverageLine(String what, boolean read, Covered covered, String by, String clause, String confidence) {}

    /**
     * @param refused why the code does not judge this kind of joint; the rest is empty then
     * @param thicknesses the columns of the table
     */
    record CriteriaView(
            CriteriaLine book,
            String units,
            @Nullable String refused,
            List<CriterionLine> criteria,
            List<String> thicknesses,
            List<ThicknessRow> byThickness,
            List<CoverageLine> coverage,
            List<String> notes,
            List<SilentPlace> choices) {}

    @GetMapping
    List<CriteriaLine> all() {
        return CriteriaBooks.all().stream().map(this::line).toList();
    }

    private CriteriaLine line(CriteriaBook b) {
        return new CriteriaLine(
                b.id(),
                b.title(),
                b.edition(),
                Arrays.stream(Unit.values())
                        .filter(b::hasColumn)
                        .map(Unit::symbol)
                        .toList(),
                books.check(b).orElse(null),
                books.stop(b).orElse(null));
    }

    /** @param joint {@code fillet}, {@code butt}, {@code tee-groove} or {@code pipe-butt} */
    @GetMapping("/{id}")
    CriteriaView one(
            @PathVariable String id,
            @RequestParam(required = false) String units,
            @RequestParam(defaultValue = "fillet") String joint,
            @RequestParam(required = false) String thickness) {
        CriteriaBook book = CriteriaChecks.get(id);
        Unit unit = unit(book, units);
        Length t = thickness(thickness, unit);
        Joint asked = probe(joint, t, unit);
        var refused = book.refuses(asked);
        if (refused.isPresent()) {
            return new CriteriaView(
                    line(book),
                    unit.symbol(),
                    refused.get().problem(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    SilentPlace.ALL);
        }
        List<Length> thicknesses = Stream.of(unit.pick(
                        new String[] {"1/8", "3/16", "1/4", "3/8", "1/2", "3/4", "1", "1 1/2", "2", "2 1/2"},
                        new String[] {"3", "5", "6", "8", "12", "16", "20", "25", "40", "60"}))
                .map(x -> Length.parse(x, unit))
                .toList();
        return new CriteriaView(
                line(book),
                unit.symbol(),
                null,
                CriteriaPage.of(book, asked, unit).stream()
                        .map(CriteriaController::criterion)
                        .toList(),
                thicknesses.stream().map(Length::shown).toList(),
                CriteriaPage.byThickness(book, x -> probe(joint, x, unit), thicknesses, unit).stream()
                        .map(r -> new ThicknessRow(
                                r.criterion().id(), r.criterion().title(), r.of(), r.allowed()))
                        .toList(),
                Coverage.all()
                        .map(j -> coverage(j, new Coverage(book, asked, unit).cell(j)))
                        .toList(),
                book.notes(asked),
                SilentPlace.ALL);
    }

    private static CriterionLine criterion(CriteriaPage.Line l) {
        return new CriterionLine(
                l.criterion().id(),
                l.criterion().title(),
                l.citation().shown(),
                l.confidence().id(),
                l.limits().stream()
                        .map(x -> new LimitLine(
                                x.clause(),
                                x.of(),
                                x.allowed(),
                                x.by(),
                                x.confidence().id()))
                        .toList());
    }

    private static CoverageLine coverage(Judgeable what, Coverage.Cell cell) {
        boolean read = what instanceof ReadValue;
        if (cell instanceof Coverage.Cell.Limited l) {
            return new CoverageLine(
                    what.words(), read, Covered.LIMITED, l.criterion().title(), "", "high");
        }
        if (cell instanceof Coverage.Cell.Free f) {
            return new CoverageLine(
                    what.words(),
                    read,
                    Covered.FREE,
                    f.word().why(),
                    f.word().clause(),
                    f.word().confidence().id());
        }
        return new CoverageLine(what.words(), read, Covered.SILENT, "", "", "high");
    }

    private static Unit unit(CriteriaBook book, @Nullable String asked) {
        Unit first = book.hasColumn(Unit.INCH) ? Unit.INCH : Unit.MILLIMETRE;
        Unit unit = asked == null ? first : asked.equals("mm") ? Unit.MILLIMETRE : Unit.INCH;
        if (!book.hasColumn(unit)) {
            throw Refusal.invalid("units", book.title() + " has no column in " + unit.symbol());
        }
        return unit;
    }

    private static Length thickness(@Nullable String asked, Unit unit) {
        try {
            Length t = asked == null
                    ? unit.pick(Length.inches(3, 8), Length.millimetres("10"))
                    : Length.parse(asked, unit);
            if (!t.isPositive()) {
                throw Refusal.invalid("thickness", "must be over zero");
            }
            return t;
        } catch (LengthFormatException e) {
            throw Refusal.invalid("thickness", e.getMessage());
        }
    }

    /** A joint of that kind and thickness, of which nothing more is known. */
    private static Joint probe(String kind, Length t, Unit unit) {
        Length length = unit.pick(Length.inches(24), Length.millimetres("600"));
        JointBuilder b = switch (kind) {
            case "fillet" ->
                new JointBuilder("book", WeldType.FILLET, Connection.TEE, length)
                        .size(unit.pick(Length.inches(5, 16), Length.millimetres("8")));
            case "butt" -> groove(Connection.BUTT, length);
            case "tee-groove" -> groove(Connection.TEE, length);
            case "pipe-butt" -> groove(Connection.PIPE_BUTT, length);
            default -> throw Refusal.invalid("joint", "fillet, butt, tee-groove or pipe-butt");
        };
        return b.members(new Member("", t), new Member("", t)).build();
    }

    private static JointBuilder groove(Connection connection, Length length) {
        return new JointBuilder("book", WeldType.GROOVE, connection, length)
                .penetration(Penetration.COMPLETE)
                .oneSided(true);
    }

    @PostMapping("/{id}/check")
    CriteriaLine check(
            @AuthenticationPrincipal Actor actor, @PathVariable String id, @RequestBody CriteriaCheckForm form) {
        CriteriaBook book = CriteriaChecks.get(id);
        books.record(actor, book, form);
        return line(book);
    }
}
