package mensor.exchange;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import mensor.inspection.Conditions;
import mensor.inspection.Cover;
import mensor.inspection.Indication;
import mensor.inspection.IndicationField;
import mensor.inspection.IndicationValues;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.ClockDirection;
import mensor.weld.ClockFace;
import mensor.weld.Joint;
import mensor.weld.LegMeaning;
import mensor.weld.Named;
import mensor.weld.Pass;
import mensor.weld.Toe;
import mensor.weld.Use;
import mensor.weld.WeldingRecord;

/** Writes an inspection as the fields of a {@code mensor-inspection/1} document; every length carries its unit. */
final class InspectionWriter {
    private final Inspection inspection;

    InspectionWriter(Inspection inspection) {
        this.inspection = inspection;
    }

    Map<String, Json> fields() {
        Out out = new Out();
        out.text("units", inspection.units().symbol());
        out.put("joint", joint(inspection.joint()));
        if (!inspection.conditions().equals(Conditions.UNANSWERED)) {
            out.put("conditions", conditions(inspection.conditions()));
        }
        if (inspection.clearAllElse()) {
            out.put("clear", new Json.Array(List.of(new Json.Text("all-else"))));
        } else {
            out.list("clear", inspection.clear().stream().sorted().toList(), c -> new Json.Text(c.id()));
        }
        out.list("covered", inspection.covered(), InspectionWriter::cover);
        out.list("readings", inspection.readings(), InspectionWriter::reading);
        out.list("indications", inspection.indications(), InspectionWriter::indication);
        out.list("addenda", inspection.addenda(), a -> {
            Out o = new Out().text("id", a.kind().id());
            o.length("max", a.max());
            a.note().ifPresent(n -> o.text("note", n));
            return o.object();
        });
        if (!inspection.choices().equals(ReadingChoices.CAREFUL)) {
            Out choices = new Out();
            if (inspection.choices().undercutPerToe()) {
                choices.text("undercut", "per-toe");
            }
            if (inspection.choices().underrunAlsoIntermittent()) {
                choices.text("underrun", "also-intermittent");
            }
            out.put("readingChoices", choices.object());
        }
        if (inspection.welding() != WeldingRecord.NONE) {
            out.put("welding", welding(inspection.welding()));
        }
        return out.fields;
    }

    private static Json cover(Cover c) {
        Out o = new Out().text("criterion", c.criterion().id());
        c.where().ifPresent(o::stretch);
        c.by().ifPresent(by -> o.text("by", by));
        return o.object();
    }

    static Json.Object joint(Joint j) {
        Out o = new Out().text("mark", j.mark());
        j.weldNo().ifPresent(v -> o.text("weldNo", v));
        o.word("side", j.side());
        j.datum().ifPresent(v -> o.text("datum", v));
        o.text("weld", j.weld().id()).text("connection", j.connection().id());
        o.word("corner", j.corner());
        o.length("length", Optional.of(j.length()));
        o.flag("closed", j.closed());
        o.list("segments", j.segments(), s -> new Out().stretch(s).object());
        o.list("members", j.members(), m -> {
            Out member = new Out();
            if (!m.name().isEmpty()) {
                member.text("name", m.name());
            }
            return member.length("thickness", Optional.of(m.thickness())).object();
        });
        o.length("size", j.size());
        o.length("throat", j.throat());
        if (!j.dihedral().isSquare()) {
            if (j.size().isPresent()) {
                o.text("sizeMeans", j.sizeMeans().id());
            }
            o.put("dihedral", new Json.Number(j.dihedral().degrees().toPlainString()));
            if (j.legs() != LegMeaning.CONTACT) {
                o.text("legs", j.legs().id());
            }
        }
        o.word("penetration", j.penetration());
        j.groove().ifPresent(g -> {
            Out groove = new Out();
            g.prep().ifPresent(p -> groove.text("prep", p));
            g.includedAngle().ifPresent(a -> groove.put("includedAngle", number(a)));
            groove.length("rootFace", g.rootFace());
            groove.length("rootOpening", g.rootOpening());
            o.put("groove", groove.object());
        });
        o.bool("backing", j.backing());
        if (j.rootOpening().isPresent()) {
            o.length("rootOpening", j.rootOpening());
        } else {
            o.list(
                    "gaps",
                    j.gaps(),
                    g -> new Out()
                            .stretch(g.span())
                            .length("opening", Optional.of(g.opening()))
                            .object());
        }
        o.bool("primary", j.primary());
        o.bool("transverseTension", j.transverseTension());
        if (j.use() != Use.OTHER) {
            o.text("use", j.use().id());
        }
        if (j.flangeWidth().isPresent()) {
            o.length("flangeWidth", j.flangeWidth());
            o.text("girderEnds", j.girderEnds().id());
        }
        j.grade().ifPresent(g -> o.text("grade", g));
        o.bool("delayed", j.delayed());
        o.flag("flush", j.flush());
        o.flag("faying", j.faying());
        o.bool("oneSided", j.oneSidedSaid());
        o.length("offsetMax", j.offsetMax());
        o.word("position", j.position());
        j.clock().ifPresent(c -> o.put("clock", clock(c)));
        o.word("testPiece", j.testPiece());
        j.upper().ifPresent(t -> o.text("upper", t.id()));
        return o.object();
    }

    private static Json clock(ClockFace c) {
        Out o = new Out();
        o.length("diameter", c.diameter());
        o.text("datum", c.datum());
        o.text("direction", (c.clockwise() ? ClockDirection.CLOCKWISE : ClockDirection.COUNTERCLOCKWISE).id());
        o.flag("turned", c.turned());
        return o.object();
    }

    private static Json conditions(Conditions c) {
        Out o = new Out();
        o.bool("cleaned", c.cleaned());
        o.bool("ambient", c.ambient());
        o.bool("coated", c.coated());
        c.hoursSinceWelding().ifPresent(h -> o.put("hoursSinceWelding", new Json.Number(h.toPlainString())));
        return o.object();
    }

    static Json reading(Reading reading) {
        Out o = new Out();
        if (reading instanceof Reading.Blade b) {
            o.stretch(b.span()).length("atLeast", Optional.of(b.atLeast()));
        } else if (reading instanceof Reading.Station s) {
            o.length("at", Optional.of(s.at()));
            o.length("legA", s.legA());
            o.length("legB", s.legB());
            o.length("throat", s.throat());
            o.length("convexity", s.convexity());
            o.length("concavity", s.concavity());
            o.length("faceWidth", s.faceWidth());
            o.length("reinforcement", s.reinforcement());
            o.length("rootReinforcement", s.rootReinforcement());
            o.length("rootWidth", s.rootWidth());
            o.length("offset", s.offset());
            o.number("toeAngleA", s.toeAngleA());
            o.number("toeAngleB", s.toeAngleB());
        }
        o.word("face", reading.face());
        o.length("division", reading.division());
        reading.gauge().ifPresent(g -> o.text("gauge", g));
        return o.object();
    }

    /** Every field that the kind's description names, so that none is lost. */
    static Json indication(Indication i) {
        IndicationValues values = i.values();
        Out o = new Out().text("kind", i.kind().id());
        values.span().ifPresent(s -> {
            switch (i.kind().placement()) {
                case STRETCH, STRETCH_BESIDE -> o.stretch(s);
                case AT_OR_STRETCH -> o.place(s);
                case AT, AT_OR_NONE -> o.length("at", Optional.of(s.from()));
                case NONE -> {}
            }
        });
        for (IndicationField f : i.kind().fields()) {
            values.find(f.name()).ifPresent(v -> {
                switch (f.shape()) {
                    case TOE, TOE_OR_ROOT -> o.text(f.name(), ((Toe) v).id());
                    case DEPTH, SIZE, EXTENT -> o.length(f.name(), Optional.of((Length) v));
                    case COUNT -> o.count(f.name(), (Long) v);
                    case FLAG -> o.bool(f.name(), Optional.of((Boolean) v));
                    case WORD -> o.text(f.name(), (String) v);
                }
            });
        }
        o.length("division", values.division());
        return o.object();
    }

    private static Json welding(WeldingRecord w) {
        Out o = new Out();
        o.list("passes", w.passes(), InspectionWriter::pass);
        o.bool("millScaleRemoved", w.millScaleRemoved());
        o.number("electrodeExposureHours", w.electrodeExposureHours());
        o.number("preheatF", w.preheatF());
        o.word("arcLength", w.arcLength());
        o.list("signs", w.signs(), s -> new Json.Text(s.id()));
        o.list("signsAbsent", w.signsAbsent(), s -> new Json.Text(s.id()));
        if (!w.procedureAmps().isEmpty()) {
            Out amps = new Out();
            w.procedureAmps()
                    .forEach((kind, range) ->
                            amps.put(kind.id(), new Json.Array(List.of(number(range.low()), number(range.high())))));
            o.put("procedure", new Out().put("amps", amps.object()).object());
        }
        return o.object();
    }

    private static Json pass(Pass p) {
        Out o = new Out();
        p.number().ifPresent(n -> o.put("pass", new Json.Number(String.valueOf(n))));
        o.word("kind", p.kind());
        p.electrode().ifPresent(e -> o.text("electrode", e));
        o.length("diameter", p.diameter());
        o.number("amps", p.amps());
        o.number("volts", p.volts());
        o.word("polarity", p.polarity());
        o.word("progression", p.progression());
        o.word("technique", p.technique());
        p.speed().ifPresent(s -> o.text("speed", number(s).text() + " mm/min"));
        o.length("runLength", p.runLength());
        o.number("arcForce", p.arcForce());
        o.flag("planned", p.planned());
        return o.object();
    }

    private static Json.Number number(double d) {
        return new Json.Number(BigDecimal.valueOf(d).stripTrailingZeros().toPlainString());
    }

    /** Gathers the fields of one object; what is absent is left out. */
    private static final class Out {
        private final Map<String, Json> fields = new LinkedHashMap<>();

        Out put(String field, Json value) {
            fields.put(field, value);
            return this;
        }

        Out text(String field, String value) {
            return put(field, new Json.Text(value));
        }

        Out length(String field, Optional<Length> value) {
            value.ifPresent(v -> text(field, v.toString()));
            return this;
        }

        void number(String field, OptionalDouble value) {
            value.ifPresent(v -> put(field, InspectionWriter.number(v)));
        }

        void bool(String field, Optional<Boolean> value) {
            value.ifPresent(v -> put(field, new Json.Bool(v)));
        }

        void count(String field, long value) {
            put(field, new Json.Number(String.valueOf(value)));
        }

        void flag(String field, boolean value) {
            if (value) {
                put(field, new Json.Bool(true));
            }
        }

        void word(String field, Optional<? extends Named> value) {
            value.ifPresent(v -> text(field, v.id()));
        }

        Out stretch(Span s) {
            return length("from", Optional.of(s.from())).length("to", Optional.of(s.to()));
        }

        Out place(Span s) {
            return s.from().compareTo(s.to()) == 0 ? length("at", Optional.of(s.from())) : stretch(s);
        }

        <T> void list(String field, List<T> items, Function<T, Json> item) {
            if (!items.isEmpty()) {
                List<Json> written = new ArrayList<>();
                items.forEach(i -> written.add(item.apply(i)));
                put(field, new Json.Array(written));
            }
        }

        Json.Object object() {
            return new Json.Object(fields);
        }
    }
}
