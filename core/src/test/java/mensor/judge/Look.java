package mensor.judge;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import mensor.criteria.CriteriaBook;
import mensor.criteria.d11.StaticBook;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.look.Addendum;
import mensor.look.AddendumKind;
import mensor.look.Conditions;
import mensor.look.Cover;
import mensor.look.Criterion;
import mensor.look.Indication;
import mensor.look.Inspection;
import mensor.look.Reading;
import mensor.look.Verdict;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.Member;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;

/** Writes a look at a made-up fillet in a line or two; ready, with nothing else seen, unless a test says otherwise. */
final class Look {
    private CriteriaBook book = new StaticBook();
    private final Unit unit;
    private final Joint.Builder joint;
    private Joint built;
    private final List<Reading> readings = new ArrayList<>();
    private final List<Indication> indications = new ArrayList<>();
    private final List<Cover> covered = new ArrayList<>();
    private final List<Addendum> addenda = new ArrayList<>();
    private Conditions conditions = Conditions.READY;
    private Set<Criterion> clear = EnumSet.noneOf(Criterion.class);
    private boolean allElse = true;
    private boolean perToe;

    private Look(Unit unit, Joint.Builder joint) {
        this.unit = unit;
        this.joint = joint;
    }

    /** A tee of two 3/8 in members, 5/16 in fillet. */
    static Look inches(String length) {
        return fillet(Unit.INCH, length, "5/16", "3/8", "3/8");
    }

    /** A tee of two 10 mm members, 8 mm fillet. */
    static Look millimetres(String length) {
        return fillet(Unit.MILLIMETRE, length, "8", "10", "10");
    }

    static Look fillet(Unit unit, String length, String size, String thicknessA, String thicknessB) {
        Look look = bare(unit, length, thicknessA, thicknessB);
        look.joint.size(look.l(size));
        return look;
    }

    static Look bare(Unit unit, String length, String thicknessA, String thicknessB) {
        Joint.Builder b = new Joint.Builder("T1", WeldType.FILLET, Connection.TEE, Length.parse(length, unit));
        b.members(
                new Member("web", Length.parse(thicknessA, unit)),
                new Member("flange", Length.parse(thicknessB, unit)));
        return new Look(unit, b);
    }

    static Look of(Unit unit, Joint.Builder joint) {
        return new Look(unit, joint);
    }

    static Look of(Unit unit, Joint joint) {
        Look look = new Look(unit, null);
        look.built = joint;
        return look;
    }

    Length l(String text) {
        return Length.parse(text, unit);
    }

    Span s(String from, String to) {
        return new Span(l(from), l(to));
    }

    Look joint(UnaryOperator<Joint.Builder> change) {
        change.apply(joint);
        return this;
    }

    Look by(CriteriaBook other) {
        book = other;
        return this;
    }

    Look nothingLookedAt() {
        allElse = false;
        conditions = Conditions.UNANSWERED;
        return this;
    }

    Look notCleared() {
        allElse = false;
        return this;
    }

    Look clear(Criterion... criteria) {
        allElse = false;
        clear.addAll(List.of(criteria));
        return this;
    }

    Look conditions(Conditions c) {
        conditions = c;
        return this;
    }

    Look perToe() {
        perToe = true;
        return this;
    }

    Look cover(Criterion criterion, String by) {
        covered.add(new Cover(criterion, by));
        return this;
    }

    Look addendum(AddendumKind kind, String max) {
        addenda.add(new Addendum(kind, Optional.ofNullable(max).map(this::l), Optional.empty()));
        return this;
    }

    Look seen(Indication... seen) {
        indications.addAll(List.of(seen));
        return this;
    }

    Look read(Reading reading) {
        readings.add(reading);
        return this;
    }

    Look undercut(Toe toe, String from, String to, String depth) {
        return seen(new Indication.Undercut(toe, s(from, to), l(depth), Optional.empty()));
    }

    Look pore(String at, String diameter) {
        return seen(new Indication.Porosity(Span.at(l(at)), l(diameter), 1, Optional.empty()));
    }

    Look pores(String from, String to, String diameter, long count) {
        return seen(new Indication.Porosity(s(from, to), l(diameter), count, Optional.empty()));
    }

    Look undersize(String from, String to, String least) {
        return seen(new Indication.Undersize(s(from, to), l(least)));
    }

    Look legs(String at, String a, String b) {
        return read(Reading.Station.legs(l(at), l(a), l(b)));
    }

    /** Equal legs at several stations, each {@code "at=leg"}. */
    Look stations(String... atAndLeg) {
        for (String pair : atAndLeg) {
            String[] p = pair.split("=");
            legs(p[0], p[1], p[1]);
        }
        return this;
    }

    Look blade(String from, String to, String size) {
        return read(new Reading.Blade(s(from, to), l(size), Optional.empty(), Optional.empty(), Optional.empty()));
    }

    Inspection inspection() {
        return new Inspection(
                built == null ? joint.build() : built,
                unit,
                conditions,
                clear,
                allElse,
                covered,
                readings,
                indications,
                addenda,
                perToe,
                WeldingRecord.NONE);
    }

    Evaluation judge() {
        return Judge.evaluate(inspection(), book);
    }

    Finding finding(Criterion criterion) {
        return judge().finding(criterion.id()).orElseThrow();
    }

    Finding finding(AddendumKind kind) {
        return judge().finding(kind.id()).orElseThrow();
    }

    Verdict verdict(Criterion criterion) {
        return finding(criterion).verdict();
    }
}
