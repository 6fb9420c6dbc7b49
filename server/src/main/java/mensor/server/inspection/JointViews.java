package mensor.server.inspection;

import java.util.ArrayList;
import java.util.List;
import mensor.server.contract.Deviations;
import mensor.server.job.ContractTerms;
import mensor.server.job.Jobs;
import mensor.server.joint.JointForm;
import mensor.server.joint.StoredJoint;
import mensor.weld.Joint;
import mensor.weld.Toe;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What the bench says of the joint and of the contract it is made under. */
@Component
class JointViews {
    private final Jobs jobs;
    private final Deviations deviations;
    private final JsonMapper json;

    JointViews(Jobs jobs, Deviations deviations, JsonMapper json) {
        this.jobs = jobs;
        this.deviations = deviations;
        this.json = json;
    }

    BenchView.JointView joint(StoredJoint j, Joint joint, InspectionResult judged) {
        return joint(jobs.get(j.jobId()).name(), j, joint, judged);
    }

    /** @param job what stands where the job's name does */
    BenchView.JointView joint(String job, StoredJoint j, Joint joint, InspectionResult judged) {
        String size =
                joint.size().or(joint::throat).map(l -> l.in(l.unit()).shown()).orElse("");
        return new BenchView.JointView(
                j.id(),
                job,
                j.lot(),
                j.criteria(),
                judged.bookTitle(),
                judged.edition(),
                j.units(),
                j.mark(),
                j.weldNo(),
                j.side(),
                j.welder(),
                j.wps(),
                j.drawing(),
                j.drawingRev(),
                j.inWords(),
                j.position(),
                joint.toeName(Toe.A),
                joint.toeName(Toe.B),
                joint.isFillet(),
                size,
                json.readValue(j.document(), JointForm.class));
    }

    List<String> due(StoredJoint j) {
        return jobs.due(jobs.get(j.jobId()));
    }

    List<Deviations.DeviationView> deviations(StoredJoint j) {
        return deviations.standing(j.id());
    }

    static BenchView.ContractView contract(ContractTerms terms) {
        List<String> lines = new ArrayList<>();
        terms.allLimits()
                .forEach(l ->
                        lines.add(l.id() + (l.max() == null ? "" : " at most " + l.max()) + " (" + l.note() + ")"));
        if (terms.isPerToe()) {
            lines.add("undercut of each toe by itself (" + terms.undercutNote() + ")");
        }
        if (terms.isUnderrunAlsoIntermittent()) {
            lines.add("underrun of intermittent fillets as of continuous ones (" + terms.underrunNote() + ")");
        }
        if (terms.isGuarded()) {
            lines.add("guarded acceptance, " + terms.factor().toPlainString() + " u (" + terms.guardNote() + ")");
        }
        return new BenchView.ContractView(lines, terms.isGuarded(), terms.isPerToe());
    }
}
