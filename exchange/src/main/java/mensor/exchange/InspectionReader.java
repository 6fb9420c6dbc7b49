package mensor.exchange;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.Addendum;
import mensor.inspection.AddendumKind;
import mensor.inspection.Conditions;
import mensor.inspection.Cover;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.Named;
import mensor.weld.WeldingRecord;

/** Reads a {@code mensor-inspection/1} document strictly: what the format does not know is an error that names the field. */
final class InspectionReader {
    private static final List<String> RECORD_FIELDS = List.of(
            "inspector",
            "certificate",
            "capacity",
            "at",
            "light",
            "gauges",
            "drawing",
            "drawingRev",
            "wps",
            "wpsRev",
            "welders",
            "weldCompleted",
            "nde",
            "notes");

    private final Json root;

    InspectionReader(Json root) {
        this.root = root;
    }

    InspectionDocument document() {
        Fields bare = bare();
        CriteriaBook book = book(bare);
        Read read = read(bare);
        try {
            Judge.check(read.inspection(), book);
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
        return new InspectionDocument(read.inspection(), book, read.record());
    }

    /** The weld and what was seen on it, nothing of it is judged: a book that would refuse the joint does not. */
    Inspection unjudged() {
        Fields bare = bare();
        book(bare);
        return read(bare).inspection();
    }

    private record Read(Inspection inspection, Json.Object record) {}

    private Fields bare() {
        Fields bare = Fields.of("", root, Unit.INCH);
        String format = bare.requiredText("format");
        if (!format.equals(InspectionDocument.FORMAT)) {
            throw bare.error("format", "\"" + InspectionDocument.FORMAT + "\" is required, got \"" + format + "\"");
        }
        return bare;
    }

    private Read read(Fields bare) {
        Unit units = units(bare);
        try {
            Joint joint = JointReader.joint(bare.with(units).requiredObject("joint"));
            Json inLengths = joint.clock()
                    .map(clock -> ClockPlaces.inLengths(root, clock))
                    .orElse(root);
            Fields f = Fields.of("", inLengths, units);
            f.find("format");
            f.find("criteria");
            f.find("units");
            f.find("joint");
            Inspection inspection = inspection(f, joint, units);
            Json.Object record =
                    f.object("record").map(InspectionReader::record).orElse(null);
            f.end();
            return new Read(inspection, record);
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }

    private static Unit units(Fields f) {
        String symbol = f.requiredText("units");
        for (Unit u : Unit.values()) {
            if (u.symbol().equals(symbol)) {
                return u;
            }
        }
        throw f.error("units", "\"in\" or \"mm\" is required, got \"" + symbol + "\"");
    }

    private static CriteriaBook book(Fields f) {
        String id = f.requiredText("criteria");
        CriteriaBook book = CriteriaBooks.find(id)
                .orElseThrow(() -> f.error(
                        "criteria",
                        "one of "
                                + String.join(
                                        ", ",
                                        CriteriaBooks.all().stream()
                                                .map(CriteriaBook::id)
                                                .toList())
                                + " is required, got \"" + id + "\""));
        if (!book.hasColumn(units(f))) {
            throw f.error("units", id + " has no column in " + units(f).symbol());
        }
        return book;
    }

    private Inspection inspection(Fields f, Joint joint, Unit units) {
        Conditions conditions =
                f.object("conditions").map(InspectionReader::conditions).orElse(Conditions.UNANSWERED);
        List<Reading> readings = f.objects("readings", InspectionReader::reading);
        List<Indication> indications = f.objects("indications", IndicationReader::indication);
        Set<Criterion> clear = EnumSet.noneOf(Criterion.class);
        boolean allElse = clear(f, indications, clear);
        List<Cover> covered = f.objects("covered", InspectionReader::cover);
        List<Addendum> addenda = addenda(f);
        ReadingChoices choices =
                f.object("readingChoices").map(InspectionReader::choices).orElse(ReadingChoices.CAREFUL);
        WeldingRecord welding = f.object("welding").map(WeldingReader::welding).orElse(WeldingRecord.NONE);
        return new Inspection(
                joint, units, conditions, clear, allElse, covered, readings, indications, addenda, choices, welding);
    }

    static Conditions conditions(Fields c) {
        Optional<BigDecimal> hours = c.number("hoursSinceWelding");
        try {
            Conditions conditions = new Conditions(c.bool("cleaned"), c.bool("ambient"), c.bool("coated"), hours);
            c.end();
            return conditions;
        } catch (InvalidField e) {
            throw c.error(e.field(), e.problem());
        }
    }

    private static boolean clear(Fields f, List<Indication> indications, Set<Criterion> clear) {
        List<String> ids = f.list("clear", (at, v) -> {
            if (v instanceof Json.Text t && t.value().equals("all-else")) {
                return t.value();
            }
            Criterion c = criterion(at, v, CLEARABLE, "\"all-else\" or ");
            if (indications.stream().anyMatch(i -> i.criterion() == c)) {
                throw new UnreadableInput(at, c.id() + " is said to be clear, but an indication of it is recorded");
            }
            clear.add(c);
            return c.id();
        });
        boolean allElse = ids.contains("all-else");
        if (allElse && ids.size() > 1) {
            throw f.error("clear", "\"all-else\" stands alone, got " + ids.size() + " entries");
        }
        return allElse;
    }

    /** The criterion of a "none seen". */
    static Criterion clearable(Fields f) {
        return criterion(f.path("criterion"), f.required("criterion", "a criterion"), CLEARABLE, "");
    }

    private static final List<Criterion> CLEARABLE =
            Stream.of(Criterion.values()).filter(Criterion::clearable).toList();
    private static final List<Criterion> COVERABLE = Stream.of(Criterion.values())
            .filter(c -> c.clearable() || c == Criterion.SIZE)
            .toList();

    /** A criterion out of those that can be said here; the error offers no other. */
    private static Criterion criterion(String path, Json value, List<Criterion> offered, String or) {
        return offered.stream()
                .filter(c -> value.equals(new Json.Text(c.id())))
                .findFirst()
                .orElseThrow(() -> new UnreadableInput(
                        path,
                        or + "one of "
                                + String.join(
                                        ", ",
                                        offered.stream().map(Criterion::id).toList()) + " is required, got "
                                + value.said()));
    }

    static Cover cover(String at, Fields c) {
        Criterion criterion = criterion(c.path("criterion"), c.required("criterion", "a criterion"), COVERABLE, "");
        Optional<Span> where = c.has("from") || c.has("to") ? Optional.of(c.stretch()) : Optional.empty();
        if (where.isEmpty()) {
            c.requiredText("by");
        }
        Cover cover = new Cover(criterion, c.text("by"), where);
        c.end();
        return cover;
    }

    static Reading reading(String at, Fields r) {
        Optional<Length> division = r.positive("division");
        Optional<String> gauge = r.text("gauge");
        Optional<mensor.inspection.Face> face = r.word("face", mensor.inspection.Face.class);
        Reading reading;
        try {
            reading = reading(r, face, division, gauge);
        } catch (InvalidField e) {
            throw r.error(e.field(), e.problem());
        }
        r.end();
        return reading;
    }

    private static Reading reading(
            Fields r, Optional<mensor.inspection.Face> face, Optional<Length> division, Optional<String> gauge) {
        if (r.has("from") || r.has("to") || r.has("atLeast")) {
            return new Reading.Blade(r.stretch(), r.requiredPositive("atLeast"), face, division, gauge);
        }
        return new Reading.Station(
                r.requiredLength("at"),
                new Reading.FilletMeasures(
                        r.positive("legA"),
                        r.positive("legB"),
                        r.positive("throat"),
                        r.depth("convexity"),
                        r.depth("concavity"),
                        r.positive("faceWidth")),
                new Reading.GrooveMeasures(
                        r.length("reinforcement"),
                        r.length("rootReinforcement"),
                        r.positive("rootWidth"),
                        r.depth("offset")),
                new Reading.ToeAngles(angle(r, "toeAngleA"), angle(r, "toeAngleB")),
                face,
                division,
                gauge);
    }

    private static OptionalDouble angle(Fields r, String field) {
        OptionalDouble a = r.number(field, 0, "degrees");
        if (a.isPresent() && (a.getAsDouble() <= 0 || a.getAsDouble() > 180)) {
            throw r.error(field, "over 0 and at most 180 degrees are required, got " + a.getAsDouble());
        }
        return a;
    }

    static List<Addendum> addenda(Fields f) {
        List<Addendum> addenda = new ArrayList<>();
        f.objects("addenda", (at, a) -> addenda.add(addendum(a, addenda)));
        return addenda;
    }

    private static Addendum addendum(Fields a, List<Addendum> before) {
        AddendumKind kind = a.requiredWord("id", AddendumKind.class);
        if (before.stream().anyMatch(b -> b.kind() == kind)) {
            throw a.error("id", kind.id() + " is given twice");
        }
        Optional<Length> max = kind.hasMax() ? Optional.of(a.requiredDepth("max")) : Optional.empty();
        Addendum addendum = new Addendum(kind, max, a.text("note"));
        if (!kind.hasMax() && a.has("max")) {
            throw a.error("max", kind.id() + " carries no limit");
        }
        a.end();
        return addendum;
    }

    private enum UndercutChoice implements Named {
        SUM("sum"),
        PER_TOE("per-toe");

        private final String id;

        UndercutChoice(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    private enum UnderrunChoice implements Named {
        CONTINUOUS("continuous"),
        ALSO_INTERMITTENT("also-intermittent");

        private final String id;

        UnderrunChoice(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    private static ReadingChoices choices(Fields c) {
        Optional<UndercutChoice> undercut = c.word("undercut", UndercutChoice.class);
        Optional<UnderrunChoice> underrun = c.word("underrun", UnderrunChoice.class);
        c.end();
        return new ReadingChoices(
                undercut.filter(UndercutChoice.PER_TOE::equals).isPresent(),
                underrun.filter(UnderrunChoice.ALSO_INTERMITTENT::equals).isPresent());
    }

    /** What is kept and given back unchanged: texts or lists, with the few fields that have a form. */
    private static Json.Object record(Fields r) {
        for (String field : RECORD_FIELDS) {
            if (field.equals("nde")) {
                r.objects(field, (at, n) -> {
                    n.text("method");
                    n.find("percent").ifPresent(p -> {
                        if (!(p instanceof Json.Number) && !(p instanceof Json.Text)) {
                            throw n.error("percent", "a number is required, got " + p.said());
                        }
                    });
                    n.text("status");
                    n.end();
                    return at;
                });
                continue;
            }
            r.find(field).ifPresent(v -> {
                if (v instanceof Json.Array) {
                    r.list(field, (at, item) -> item);
                } else if (!(v instanceof Json.Text)) {
                    throw r.error(field, "a text or a list is required, got " + v.said());
                }
            });
        }
        r.find("capacity").ifPresent(v -> {
            if (!v.equals(new Json.Text("QC")) && !v.equals(new Json.Text("verification"))) {
                throw r.error("capacity", "\"QC\" or \"verification\" is required, got " + v.said());
            }
        });
        r.find("at").ifPresent(v -> {
            if (v instanceof Json.Text t && !isTime(t.value())) {
                throw r.error("at", "an ISO time, as 2026-05-04T10:30:00Z, is required, got " + v.said());
            }
        });
        r.end();
        return r.source();
    }

    private static boolean isTime(String text) {
        for (DateTimeFormatter f : List.of(DateTimeFormatter.ISO_DATE_TIME, DateTimeFormatter.ISO_DATE)) {
            try {
                f.parse(text);
                return true;
            } catch (DateTimeException e) {
                // the next form
            }
        }
        return false;
    }
}
