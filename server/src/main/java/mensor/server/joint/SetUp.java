package mensor.server.joint;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.draw.SectionDrawing;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.judge.Judge;
import mensor.length.Unit;
import mensor.look.Inspection;
import mensor.server.people.Actor;
import mensor.server.web.Refused;
import mensor.server.web.Refused.FieldProblem;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
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
    private final JsonMapper json;
    private final Clock clock;

    SetUp(JointRepository joints, JsonMapper json, Clock clock) {
        this.joints = joints;
        this.json = json;
        this.clock = clock;
    }

    /** What a form comes to while it is filled in. */
    public record Preview(
            List<FieldProblem> problems,
            List<Unusual.Remark> remarks,
            @Nullable SectionDrawing section,
            @Nullable String inWords) {}

    private record Checked(Joint joint, String document, List<FieldProblem> problems) {}

    public Preview preview(NewJoint form) {
        Checked checked = check(form);
        Joint joint = checked.joint();
        if (joint == null) {
            return new Preview(checked.problems(), List.of(), null, null);
        }
        SectionDrawing section = joint.isFillet() ? SectionDrawing.asDrawn(joint) : null;
        return new Preview(checked.problems(), Unusual.of(joint), section, joint.inWords());
    }

    @Transactional
    public JointEntity create(Actor actor, NewJoint form) {
        requireRole(actor);
        Checked checked = accepted(form);
        return joints.save(new JointEntity(
                UUID.randomUUID(), form, checked.joint(), checked.document(), clock.instant(), actor.id()));
    }

    /** Changes a joint that nothing was signed on; whoever calls has checked that. */
    @Transactional
    public JointEntity change(Actor actor, JointEntity joint, NewJoint form) {
        requireRole(actor);
        Checked checked = accepted(form);
        joint.set(form, checked.joint(), checked.document());
        return joint;
    }

    private static void requireRole(Actor actor) {
        if (!actor.role().setsUp()) {
            throw Refused.forbidden("joints are set up by an inspector, the welding engineer or the quality manager");
        }
    }

    private Checked accepted(NewJoint form) {
        Checked checked = check(form);
        if (!checked.problems().isEmpty()) {
            throw Refused.invalid(checked.problems());
        }
        return checked;
    }

    private Checked check(NewJoint form) {
        List<FieldProblem> problems = new ArrayList<>();
        if (form.job() == null || form.job().isBlank()) {
            problems.add(new FieldProblem("job", "name the job that the joint belongs to"));
        }
        tooLong(problems, "job", form.job(), 120);
        tooLong(problems, "lot", form.lot(), 120);
        tooLong(problems, "welder", form.welder(), 60);
        tooLong(problems, "wps", form.wps(), 60);
        CriteriaBook book = CriteriaBooks.find(String.valueOf(form.criteria())).orElse(null);
        if (book == null) {
            problems.add(new FieldProblem("criteria", "choose the criteria book that applies"));
        }
        Unit unit = "mm".equals(form.units()) ? Unit.MILLIMETRE : "in".equals(form.units()) ? Unit.INCH : null;
        if (unit == null) {
            problems.add(new FieldProblem("units", "the drawing is in inches or in millimetres"));
        }
        if (form.joint() == null || unit == null) {
            return new Checked(null, null, problems);
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
            return new Checked(joint, document, problems);
        } catch (UnreadableInput e) {
            problems.add(new FieldProblem(e.field(), e.problem()));
        } catch (InvalidField e) {
            problems.add(new FieldProblem(e.field().replaceFirst("^joint\\.", ""), e.problem()));
        }
        return new Checked(null, document, problems);
    }

    private static void tooLong(List<FieldProblem> problems, String field, String value, int longest) {
        if (value != null && value.length() > longest) {
            problems.add(new FieldProblem(field, "at most " + longest + " letters"));
        }
    }
}
