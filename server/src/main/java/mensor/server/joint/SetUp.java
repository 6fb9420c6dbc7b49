package mensor.server.joint;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.drawing.SectionDrawing;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Inspection;
import mensor.judge.Judge;
import mensor.length.Unit;
import mensor.server.job.JobForm;
import mensor.server.job.Jobs;
import mensor.server.job.StoredJob;
import mensor.server.people.Actor;
import mensor.server.procedure.Procedures;
import mensor.server.procedure.StoredProcedure;
import mensor.server.web.Refusal;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.Procedure;
import mensor.weld.SizeNumbers;
import mensor.weld.Unusual;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Setting up joints: refuses what cannot be, warns of what is unusual, draws what is typed. */
@Service
public class SetUp {
    private final JointRepository joints;
    private final Jobs jobs;
    private final Procedures procedures;
    private final RedLines redLines;
    private final JsonMapper json;
    private final Clock clock;

    SetUp(JointRepository joints, Jobs jobs, Procedures procedures, RedLines redLines, JsonMapper json, Clock clock) {
        this.joints = joints;
        this.jobs = jobs;
        this.procedures = procedures;
        this.redLines = redLines;
        this.json = json;
        this.clock = clock;
    }

    /** What a form comes to while it is filled in. */
    public record Preview(
            List<FieldProblem> problems,
            List<Unusual.Remark> remarks,
            List<String> redLines,
            List<SizeNumbers.GoverningNumber> numbers,
            @Nullable SectionDrawing section,
            @Nullable String inWords) {}

    /** A form that was checked; the joint is absent where it cannot be. The job is absent where it is new. */
    public record Checked(
            NewJoint form,
            Optional<StoredJob> job,
            Optional<StoredProcedure> procedure,
            @Nullable Joint joint,
            String document,
            List<FieldProblem> problems) {}

    public Preview preview(NewJoint form) {
        Checked checked = check(form);
        Joint joint = checked.joint();
        if (joint == null) {
            return new Preview(checked.problems(), List.of(), List.of(), List.of(), null, null);
        }
        SectionDrawing section = SectionDrawing.asDrawn(joint);
        List<Unusual.Remark> remarks = new ArrayList<>(Unusual.of(joint));
        if (form.wps() != null && !form.wps().isBlank() && checked.procedure().isEmpty()) {
            remarks.add(
                    new Unusual.Remark("wps", "no procedure of this name is kept here: nothing is checked against it"));
        }
        Optional<CriteriaBook> book = checked.job()
                .map(StoredJob::criteria)
                .or(() -> Optional.ofNullable(checked.form().criteria()))
                .flatMap(CriteriaBooks::find);
        Optional<Procedure> procedure = checked.procedure().map(StoredProcedure::read);
        boolean cyclic = book.map(CriteriaBook::isCyclic).orElse(false);
        boolean structural = book.map(CriteriaBook::isStructural).orElse(false);
        return new Preview(
                checked.problems(),
                remarks,
                redLines.of(joint, procedure, form.welder(), book),
                structural
                        ? SizeNumbers.structural(joint, cyclic, procedure.map(Procedure::isLowHydrogen))
                        : SizeNumbers.geometric(joint),
                section,
                joint.inWords());
    }

    @Transactional
    public StoredJoint create(Actor actor, NewJoint form) {
        requireRole(actor);
        Checked checked = accepted(form);
        return joints.save(newEntity(actor, checked, jobOf(actor, checked)));
    }

    /** A joint of what was checked, not stored yet. */
    public StoredJoint entity(Actor actor, Checked checked, StoredJob job) {
        return newEntity(actor, checked, job);
    }

    private JointEntity newEntity(Actor actor, Checked checked, StoredJob job) {
        JointEntity joint = new JointEntity(UUID.randomUUID(), clock.instant(), actor.id());
        joint.set(checked.form(), job, checked.procedure(), checked.joint(), checked.document());
        return joint;
    }

    /** The job named; one that is not there yet is made with the form's book and units. */
    private StoredJob jobOf(Actor actor, Checked checked) {
        NewJoint form = checked.form();
        return checked.job().orElseGet(() -> jobs.create(actor, JobForm.of(form.job(), form.criteria(), form.units())));
    }

    /** Changes a joint that nothing was signed on; whoever calls has checked that. */
    @Transactional
    StoredJoint change(Actor actor, UUID id, NewJoint form, long version) {
        requireRole(actor);
        JointEntity joint = joints.findById(id).orElseThrow(() -> Refusal.notFound("there is no such joint"));
        if (joint.version() != version) {
            throw Refusal.stale("somebody changed this joint meanwhile; check it again", null);
        }
        Checked checked = accepted(form);
        joint.set(form, jobOf(actor, checked), checked.procedure(), checked.joint(), checked.document());
        joints.flush();
        return joint;
    }

    public static void requireRole(Actor actor) {
        if (!actor.setsUp()) {
            throw Refusal.forbidden("joints are set up by an inspector, the welding engineer or the quality manager");
        }
    }

    private Checked accepted(NewJoint form) {
        Checked checked = check(form);
        if (!checked.problems().isEmpty()) {
            throw Refusal.invalid(checked.problems());
        }
        return checked;
    }

    public Checked check(NewJoint form) {
        Optional<StoredJob> job = form.job() == null ? Optional.empty() : jobs.named(form.job());
        Optional<StoredProcedure> procedure =
                form.wps() == null || form.wps().isBlank() ? Optional.empty() : procedures.named(form.wps());
        return check(form, job, procedure);
    }

    /** As above, where job and procedure were looked up already. */
    public Checked check(NewJoint form, Optional<StoredJob> job, Optional<StoredProcedure> procedure) {
        List<FieldProblem> problems = new ArrayList<>();
        if (form.job() == null || form.job().isBlank()) {
            problems.add(new FieldProblem("job", "name the job that the joint belongs to"));
        }
        tooLong(problems, "job", form.job(), 120);
        tooLong(problems, "lot", form.lot(), 120);
        tooLong(problems, "welder", form.welder(), 60);
        tooLong(problems, "wps", form.wps(), 60);
        tooLong(problems, "drawing", form.drawing(), 60);
        tooLong(problems, "drawingRev", form.drawingRev(), 20);
        String criteria = job.map(StoredJob::criteria).orElse(form.criteria());
        String units = job.map(StoredJob::units).orElse(form.units());
        CriteriaBook book = CriteriaBooks.find(String.valueOf(criteria)).orElse(null);
        if (book == null) {
            problems.add(new FieldProblem("criteria", "choose the acceptance criteria that apply"));
        }
        Unit unit = "mm".equals(units) ? Unit.MILLIMETRE : "in".equals(units) ? Unit.INCH : null;
        if (unit == null) {
            problems.add(new FieldProblem("units", "the drawing is in inches or in millimetres"));
        }
        job.ifPresent(j -> {
            stands(problems, "criteria", form.criteria(), j.criteria(), "judged by another code");
            stands(problems, "units", form.units(), j.units(), "drawn in the other unit");
        });
        if (form.joint() == null || unit == null) {
            return new Checked(form, job, procedure, null, "{}", problems);
        }
        tooLong(problems, "mark", form.joint().mark(), 60);
        tooLong(problems, "weldNo", form.joint().weldNo(), 20);
        ObjectNode fields = json.valueToTree(form.joint());
        if (form.joint().mark() == null || form.joint().mark().isBlank()) {
            problems.add(new FieldProblem("mark", "a joint needs its mark"));
            fields.put("mark", "–"); // so that the rest can be checked and drawn
        }
        String document = json.writeValueAsString(fields);
        try {
            Joint joint = InspectionParts.readJoint(document, unit);
            if (book != null) {
                Judge.check(Inspection.begin(joint, unit), book);
            }
            return new Checked(form, job, procedure, joint, document, problems);
        } catch (UnreadableInput e) {
            problems.add(new FieldProblem(e.field(), e.problem()));
        } catch (InvalidField e) {
            problems.add(new FieldProblem(e.field().replaceFirst("^joint\\.", ""), e.problem()));
        }
        return new Checked(form, job, procedure, null, document, problems);
    }

    /** Book and units are the job's: a form may repeat them, not change them. */
    private static void stands(List<FieldProblem> problems, String field, String given, String stands, String why) {
        if (given != null && !given.equals(stands)) {
            problems.add(
                    new FieldProblem(field, "this job has " + stands + "; a weld " + why + " belongs to another job"));
        }
    }

    private static void tooLong(List<FieldProblem> problems, String field, String value, int longest) {
        if (value != null && value.length() > longest) {
            problems.add(new FieldProblem(field, "at most " + longest + " letters"));
        }
    }
}
