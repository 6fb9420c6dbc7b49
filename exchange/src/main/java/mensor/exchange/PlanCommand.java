package mensor.exchange;

import java.io.InputStream;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import mensor.inspection.Inspection;
import mensor.plan.PassPlanner;
import mensor.plan.PlanConstants;
import mensor.plan.PlanRod;
import mensor.weld.InvalidField;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@code mensor plan [--set NAME=NUMBER]… FILE…}: the pass plan of each joint, one line of {@code mensor-plan/1} a file. The
 * rods are those of the welding record. Exit 0 when all were answered, 3 where one cannot be read or planned.
 */
public final class PlanCommand extends FileCommand {
    public PlanCommand(InputStream in, PrintWriter out, PrintWriter err) {
        super(in, out, err);
    }

    public static void main(String[] args) {
        start(args, PlanCommand::new);
    }

    @Override
    public int run(List<String> arguments) {
        List<String> files = new ArrayList<>(arguments);
        PlanConstants constants;
        try {
            constants = PlanConstants.USUAL.with(Settings.numbers(files, "--set"));
        } catch (InvalidField e) {
            err.println("mensor plan: " + e.field() + ": " + e.problem());
            return 3;
        }
        return InputFiles.answerEach("plan", files, in, out, err, text -> answer(text, constants));
    }

    private static String answer(String text, PlanConstants constants) {
        Inspection inspection = InspectionDocument.readUnjudged(text);
        try {
            List<PlanRod> rods = PlanRod.ofPasses(inspection.welding().passes());
            return JsonMapper.shared()
                    .writeValueAsString(PlanDocument.of(
                            inspection.joint().mark(),
                            PassPlanner.plan(inspection.joint(), rods, constants),
                            inspection.units()));
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }
}
