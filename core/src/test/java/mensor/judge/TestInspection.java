package mensor.judge;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import mensor.criteria.CriteriaBook;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.Addendum;
import mensor.inspection.AddendumKind;
import mensor.inspection.Conditions;
import mensor.inspection.Cover;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.Undercut;
import mensor.inspection.Undersize;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;

/** Writes an inspection at a made-up fillet in a line or two; ready, with nothing else seen, unless a test says otherwise. */
final class TestInspection {
    private CriteriaBook book = new StaticBook();
    private final Unit unit;
    private final JointBuilder joint;
    private Joint built;
    private final List<Reading> readings = new ArrayList<>();
    private final List<Indication> indications = new ArrayList<>();
    private final List<Cover> covered = new ArrayList<>();
    private final List<Addendum> addenda = new ArrayList<>();
    private Conditions conditions = Conditions.READY;
    private Set<Criterion> clear = EnumSet.noneOf(Criterion.class);
    private boolean allElse = true;
    private boolean perToe;
    private boolean intermittentToo;

    private TestInspection(Unit unit, JointBuilder joint) {
        this.unit = unit;
        this.joint = joint;
    }

    /** A tee of two 3/8 in members, 5/16 in fillet. */
    static TestInspection inches(String length) {
        return fillet(Unit.INCH, length, "5/16", "3/8", "3/8");
    }

    /** A tee of two 10 mm members, 8 mm fillet. */
    static TestInspection millimetres(String length) {
        return fillet(Unit.MILLIMETRE, length, "8", "10", "10");
    }

    static TestInspection fillet(Unit unit, String length, String size, String thicknessA, String thicknessB) {
        TestInspection inspection = bare(unit, length, thicknessA, thicknessB);
        inspection.joint.size(inspection.l(size));
        return inspection;
    }

    static TestInspection bare(Unit unit, String length, String thicknessA, String thicknessB) {
        JointBuilder b = new JointBuilder("T1", WeldType.FILLET, Connection.TEE, Length.parse(length, unit));
        b.members(
                new Member("web", Length.parse(thicknessA, unit)),
                new Member("flange", Length.parse(thicknessB, unit)));
        return new TestInspection(unit, b);
    }

    static TestInspection of(Unit unit, JointBuilder joint) {
        return new TestInspection(unit, joint);
    }

    static TestInspection of(Unit unit, Joint joint) {
        TestInspection inspection = new TestInspection(unit, null);
        inspection.built = joint;
        return inspection;
    }

    Length l(String text) {
        return Length.parse(text, unit);
    }

    Span s(String from, String to) {
        return new Span(l(from), l(to));
    }

    TestInspection joint(UnaryOperator<JointBuilder> change) {
        change.apply(joint);
        return this;
    }

    TestInspection by(CriteriaBook other) {
        book = other;
        return this;
    }

    TestInspection nothingInspected() {
        allElse = false;
        conditions = Conditions.UNANSWERED;
        return this;
    }

    TestInspection notCleared() {
        allElse = false;
        return this;
    }

    TestInspection clear(Criterion... criteria) {
        allElse = false;
        clear.addAll(List.of(criteria));
        return this;
    }

    TestInspection conditions(Conditions c) {
        conditions = c;
        return this;
    }

    TestInspection perToe() {
        perToe = true;
        return this;
    }

    TestInspection underrunAlsoIntermittent() {
        intermittentToo = true;
        return this;
    }

    TestInspection cover(Cover cover) {
        covered.add(cover);
        return this;
    }

    TestInspection cover(Criterion criterion, String by) {
        covered.add(new Cover(criterion, by));
        return this;
    }

    TestInspection addendum(AddendumKind kind, String max) {
        addenda.add(new Addendum(kind, Optional.ofNullable(max).map(this::l), Optional.empty()));
        return this;
    }

    TestInspection seen(Indication... seen) {
        indications.addAll(List.of(seen));
        return this;
    }

    TestInspection read(Reading reading) {
        readings.add(reading);
        return this;
    }

    TestInspection undercut(Toe toe, String from, String to, String depth) {
        return seen(new Undercut(toe, s(from, to), l(depth), Optional.empty()));
    }

    TestInspection pore(String at, String diameter) {
        return seen(new Porosity(Span.at(l(at)), l(diameter), 1, Optional.empty()));
    }

    TestInspection pores(String from, String to, String diameter, long count) {
        return seen(new Porosity(s(from, to), l(diameter), count, Optional.empty()));
    }

    TestInspection undersize(String from, String to, String least) {
        return seen(new Undersize(s(from, to), l(least)));
    }

    TestInspection legs(String at, String a, String b) {
        return read(Reading.Station.legs(l(at), l(a), l(b)));
    }

    /** Equal legs at several stations, each {@code "at=leg"}. */
    TestInspection stations(String... atAndLeg) {
        for (String pair : atAndLeg) {
            String[] p = pair.split("=");
            legs(p[0], p[1], p[1]);
        }
        return this;
    }

    TestInspection blade(String from, String to, String size) {
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
                new ReadingChoices(perToe, intermittentToo),
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
