package mensor.server.testpiece;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mensor.inspection.Indication;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.server.inspection.Bench;
import mensor.server.job.Jobs;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.testpiece.TestPieceView.CutView;
import mensor.server.testpiece.TestPieceView.QualifiesView;
import mensor.server.testpiece.TestPieceView.TestPieceRow;
import mensor.server.web.Refusal;
import mensor.server.welder.WelderForm;
import mensor.server.welder.Welders;
import mensor.server.welding.WeldInspections;
import mensor.server.welding.WeldingRecords;
import mensor.testpiece.BendFigures;
import mensor.testpiece.CuttingPlan;
import mensor.testpiece.PieceDecision;
import mensor.testpiece.QualifiedRange;
import mensor.testpiece.SpecimenKind;
import mensor.weld.Joint;
import mensor.weld.Named;
import mensor.weld.Position;
import mensor.weld.Qualification;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Test pieces: how each looked, where it is cut, what its specimens showed, and what that comes to. */
@Service
public class TestPieces {
    private static final String BOOK = PieceJoints.BOOK;
    /** What is said of the steel here; higher strengths are bent around a wider plunger. */
    private static final double USUAL_YIELD_KSI = 50;

    private final Joints joints;
    private final Jobs jobs;
    private final Bench bench;
    private final WeldInspections inspections;
    private final WeldingRecords welding;
    private final Specimens specimens;
    private final Ratings ratings;
    private final Welders welders;

    TestPieces(
            Joints joints,
            Jobs jobs,
            Bench bench,
            WeldInspections inspections,
            WeldingRecords welding,
            Specimens specimens,
            Ratings ratings,
            Welders welders) {
        this.joints = joints;
        this.jobs = jobs;
        this.bench = bench;
        this.inspections = inspections;
        this.welding = welding;
        this.specimens = specimens;
        this.ratings = ratings;
        this.welders = welders;
    }

    /** What the bench and the specimens say of a test piece that has a weld there. */
    record AtTheBench(
            UUID inspection,
            String mark,
            String welder,
            boolean signed,
            Verdict visual,
            List<Indication> seen,
            List<Specimens.SpecimenView> tests,
            PieceDecision decision) {}

    /** Empty where the person may not see its inspection. */
    Optional<AtTheBench> standing(Actor actor, UUID jointId) {
        return piece(actor, joints.get(jointId))
                .map(p -> new AtTheBench(
                        p.inspection(),
                        p.joint().mark(),
                        p.joint().welder(),
                        p.signed(),
                        p.visual(),
                        p.seen(),
                        p.tests(),
                        p.decision()));
    }

    /** The welds that were accepted by eye and then tested to a decision, by joint. */
    Map<UUID, AtTheBench> tested(Actor actor) {
        Map<UUID, AtTheBench> tested = new LinkedHashMap<>();
        Set<UUID> cut = specimens.jointsCut();
        joints.judgedBy(BOOK).stream()
                .filter(j -> cut.contains(j.id()))
                .forEach(j -> standing(actor, j.id())
                        .filter(p -> p.visual() == Verdict.ACCEPT
                                && !p.tests().isEmpty()
                                && p.decision().verdict() != Verdict.INCOMPLETE)
                        .ifPresent(p -> tested.put(j.id(), p)));
        return tested;
    }

    /** A piece as it stands. */
    private record Piece(
            StoredJoint joint,
            UUID inspection,
            boolean signed,
            Verdict visual,
            Joint weld,
            List<Indication> seen,
            CuttingPlan plan,
            List<Specimens.SpecimenView> tests,
            PieceDecision decision) {}

    /** All welds that are judged as a welder's test piece, the newest first. */
    @Transactional(readOnly = true)
    public List<TestPieceRow> all(Actor actor) {
        return joints.judgedBy(BOOK).stream()
                .map(j -> piece(actor, j))
                .flatMap(Optional::stream)
                .map(p -> new TestPieceRow(
                        p.joint().id(),
                        p.joint().mark(),
                        p.joint().inWords(),
                        p.joint().position(),
                        p.joint().welder(),
                        jobs.get(p.joint().jobId()).name(),
                        p.visual().id(),
                        p.signed(),
                        p.tests().stream().filter(t -> !t.withdrawn()).toList().size(),
                        p.plan().cuts().size(),
                        p.decision().verdict().id(),
                        p.decision().lesson(),
                        ratings.of(actor, p.inspection()).stream()
                                .map(Ratings.RatingView::sum)
                                .toList()))
                .toList();
    }

    @Transactional(readOnly = true)
    public TestPieceView open(Actor actor, UUID jointId) {
        return view(found(actor, jointId));
    }

    private Piece found(Actor actor, UUID jointId) {
        return piece(actor, joints.get(jointId))
                .orElseThrow(() -> Refusal.forbidden("a viewer sees signed records only"));
    }

    /** Empty where the person may not see its inspection. */
    private Optional<Piece> piece(Actor actor, StoredJoint joint) {
        UUID latest = inspections.inspectionsAt(joint.id()).latest();
        if (latest == null) {
            return Optional.empty();
        }
        Bench.State o = bench.openAsItStands(latest);
        if (actor.seesSignedOnly() && !o.inspection().isSigned()) {
            return Optional.empty();
        }
        Joint weld = o.judged().inspection().joint();
        CuttingPlan plan = CuttingPlan.of(weld);
        Verdict visual = o.judged().evaluation().verdict();
        List<Specimens.SpecimenView> tests = specimens.of(joint);
        List<PieceDecision.Tested> tested = tests.stream()
                .filter(t -> !t.withdrawn())
                .map(t -> new PieceDecision.Tested(
                        Named.find(SpecimenKind.class, t.kind()).orElse(SpecimenKind.ROOT_BEND),
                        t.specimen(),
                        specimens.result(t, joint.unit())))
                .toList();
        return Optional.of(new Piece(
                joint,
                latest,
                o.inspection().isSigned(),
                visual,
                weld,
                o.judged().inspection().indications(),
                plan,
                tests,
                PieceDecision.of(visual, plan, tested)));
    }

    private TestPieceView view(Piece p) {
        Length plate = p.weld().thinner().thickness();
        BendFigures bend = BendFigures.of(plate, USUAL_YIELD_KSI);
        return new TestPieceView(
                p.joint().id(),
                p.inspection(),
                p.joint().mark(),
                p.joint().inWords(),
                p.joint().units(),
                p.joint().position(),
                p.joint().welder(),
                p.joint().wps(),
                plate.shownWithUnit(),
                mm(p.weld().length()),
                p.visual().id(),
                p.signed(),
                p.plan().cuts().stream()
                        .map(c -> new CutView(
                                c.kind().id(),
                                c.name(),
                                mm(c.where().from()),
                                mm(c.where().to()),
                                c.where().shown(),
                                c.byClock().orElse(null)))
                        .toList(),
                p.plan().discards().stream()
                        .map(s -> new CutView("discard", "cut off", mm(s.from()), mm(s.to()), s.shown(), null))
                        .toList(),
                p.plan().problems(),
                CuttingPlan.CITATION,
                new TestPieceView.BendView(
                        bend.thickness().shownWithUnit(),
                        bend.radius().shownWithUnit(),
                        bend.opening().shownWithUnit(),
                        Math.round(bend.elongation() * 10) / 10.0),
                p.tests(),
                p.decision().verdict().id(),
                p.decision().lines(),
                p.decision().lesson(),
                qualifies(p).orElse(null));
    }

    private static double mm(Length l) {
        return l.approximateNanometres() / 1e6;
    }

    private Optional<QualifiesView> qualifies(Piece p) {
        List<Qualification> ranges = ranges(p);
        return ranges.stream()
                .findFirst()
                .map(r -> new QualifiesView(
                        ranges.stream()
                                .map(x -> new TestPieceView.RodGroup(x.group(), x.backing()))
                                .toList(),
                        r.positions().stream().map(Position::id).toList(),
                        r.thickest().map(Length::shownWithUnit).orElse(null),
                        r.leastDiameter().map(Length::shownWithUnit).orElse(null),
                        QualifiedRange.CITATION,
                        p.decision().verdict() == Verdict.ACCEPT && p.signed(),
                        welder(p)
                                .filter(w -> ranges.stream()
                                        .allMatch(x -> isIn(w.form().tests(), p, x)))
                                .isPresent()));
    }

    private Optional<Welders.WelderView> welder(Piece p) {
        return welders.all().stream()
                .filter(w -> w.form().stamp().equals(p.joint().welder()))
                .findFirst();
    }

    /** The same range, whenever it was written. */
    private static boolean isIn(List<WelderForm.WelderTest> tests, Piece p, Qualification range) {
        return tests.stream()
                .anyMatch(t -> Objects.equals(t.group(), range.group())
                        && Objects.equals(t.position(), p.joint().position())
                        && Objects.equals(
                                t.thickest(),
                                range.thickest().map(Length::shownWithUnit).orElse(null))
                        && Objects.equals(
                                t.leastDiameter(),
                                range.leastDiameter().map(Length::shownWithUnit).orElse(null))
                        && Boolean.TRUE.equals(t.backing()) == range.backing());
    }

    private List<Qualification> ranges(Piece p) {
        return QualifiedRange.of(
                p.weld(),
                welding.open(p.joint()).loggedPasses().stream()
                        .map(l -> l.pass())
                        .flatMap(pass ->
                                pass.electrode().stream().map(rod -> new QualifiedRange.RodUsed(rod, pass.kind())))
                        .toList(),
                welders.today());
    }

    @Transactional
    public TestPieceView record(Actor actor, UUID jointId, UUID specimen, SpecimenForm form) {
        specimens.record(actor, jointId, specimen, form);
        return open(actor, jointId);
    }

    @Transactional
    public TestPieceView setWithdrawn(Actor actor, UUID jointId, UUID specimen, boolean off) {
        specimens.setWithdrawn(actor, jointId, specimen, off);
        return open(actor, jointId);
    }

    /** Writes what an accepted piece qualifies into the welder's tests: the quality manager confirms it. */
    @Transactional
    public TestPieceView qualify(Actor actor, UUID jointId) {
        Piece p = found(actor, jointId);
        if (p.decision().verdict() != Verdict.ACCEPT || !p.signed()) {
            throw Refusal.conflict("the piece is not accepted, or its visual inspection is not signed");
        }
        List<Qualification> ranges = ranges(p);
        if (ranges.isEmpty()) {
            throw Refusal.conflict("position and rods must be known: say them at set-up and in the passes");
        }
        Welders.WelderView welder = welder(p)
                .orElseThrow(() ->
                        Refusal.conflict("welder " + p.joint().welder() + " is not on record; add the welder first"));
        List<WelderForm.WelderTest> tests = new ArrayList<>(welder.form().tests());
        for (Qualification range : ranges) {
            if (isIn(tests, p, range)) {
                continue;
            }
            tests.add(new WelderForm.WelderTest(
                    range.group(),
                    p.joint().position(),
                    range.thickest().map(Length::shownWithUnit).orElse(null),
                    range.backing(),
                    range.tested(),
                    range.lastUsed(),
                    range.leastDiameter().map(Length::shownWithUnit).orElse(null)));
        }
        tests.sort(Comparator.comparing(WelderForm.WelderTest::tested));
        welders.put(actor, new WelderForm(welder.form().stamp(), welder.form().name(), tests), welder.version());
        return view(p);
    }
}
