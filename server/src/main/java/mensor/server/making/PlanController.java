package mensor.server.making;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.PlanDocument;
import mensor.plan.PassPlan;
import mensor.plan.PassPlanner;
import mensor.plan.PlanComparison;
import mensor.plan.PlanConstants;
import mensor.plan.PlanRod;
import mensor.server.web.AllOptional;
import mensor.server.web.Refused;
import mensor.weld.InvalidField;
import mensor.weld.LoggedPass;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The pass plan of a joint as fitted up, held against the passes that were recorded. */
@RestController
class PlanController {
    private final Making making;

    PlanController(Making making) {
        this.making = making;
    }

    /** Constants that are set otherwise, by name. */
    @AllOptional
    record PlanSettings(Map<String, Double> constants) {}

    /** @param rodsFrom whose rods are planned with */
    record PlanView(
            String mark, String inWords, String rodsFrom, PlanDocument plan, List<PlanComparison.Line> comparison) {}

    @PostMapping("/api/joints/{id}/plan")
    PlanView plan(@PathVariable UUID id, @RequestBody PlanSettings settings) {
        Making.Opened o = making.open(id);
        List<LoggedPass> passes = o.loggedPasses();
        boolean byProcedure = o.procedure().isPresent();
        List<PlanRod> rods = byProcedure
                ? PlanRod.of(o.procedure().get())
                : PlanRod.ofPasses(passes.stream().map(LoggedPass::pass).toList());
        try {
            PlanConstants constants =
                    PlanConstants.USUAL.with(settings.constants() == null ? Map.of() : settings.constants());
            PassPlan plan = PassPlanner.plan(o.asFitted(), rods, constants);
            String from = byProcedure
                    ? "procedure " + o.procedure().get().name()
                    : rods.isEmpty() ? "nothing recorded: assumed" : "the passes as recorded";
            return new PlanView(
                    o.asFitted().mark(),
                    o.asFitted().inWords(),
                    from,
                    PlanDocument.of(o.asFitted().mark(), plan, o.joint().unit()),
                    PlanComparison.of(plan, passes));
        } catch (InvalidField e) {
            throw Refused.invalid(e.field(), e.problem());
        }
    }
}
