package mensor.server.welding;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.PlanDocument;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.plan.PassPlan;
import mensor.plan.PassPlanner;
import mensor.plan.PlanComparison;
import mensor.plan.PlanConstants;
import mensor.plan.PlanRod;
import mensor.plan.SchoolTopic;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.weld.InvalidField;
import mensor.weld.LoggedPass;
import mensor.weld.Range;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The pass plan of a joint as fitted up, held against the passes that were recorded. */
@RestController
class PlanController {
    private final WeldingRecords welding;

    PlanController(WeldingRecords welding) {
        this.welding = welding;
    }

    /** Constants that are set otherwise, by name, as typed: lengths in the drawing's units where none is said. */
    @AllOptional
    record PlanSettings(Map<String, String> constants) {}

    /** A constant as it was planned with; {@code value} is typed back to change it. */
    record PlanConstant(String name, String title, String value, String unit, boolean changed) {}

    /**
     * @param rodsFrom whose rods are planned with
     * @param recorded the stack of the passes that name their rods, as they would lie
     */
    record PlanView(
            String mark,
            String inWords,
            String rodsFrom,
            PlanDocument plan,
            List<PlanDocument.PlanBead> recorded,
            List<PlanConstant> constants,
            List<PlanComparison.ComparisonRow> comparison) {}

    @PostMapping("/api/joints/{id}/plan")
    PlanView plan(@PathVariable UUID id, @RequestBody PlanSettings settings) {
        WeldingRecords.State o = welding.open(id);
        List<LoggedPass> passes = o.loggedPasses();
        boolean byProcedure = o.procedure().isPresent();
        List<PlanRod> rods = byProcedure
                ? PlanRod.of(o.procedure().get())
                : PlanRod.ofPasses(passes.stream().map(LoggedPass::pass).toList());
        try {
            Unit unit = o.joint().unit();
            PlanConstants constants = SchoolTopic.constants(o.schools())
                    .with(settings.constants() == null ? Map.of() : numbers(settings.constants(), unit));
            PassPlan plan = PassPlanner.plan(o.asFitted(), rods, constants);
            String from = byProcedure
                    ? "procedure " + o.procedure().get().name()
                    : rods.isEmpty() ? "nothing recorded: assumed" : "the passes as recorded";
            return new PlanView(
                    o.asFitted().mark(),
                    o.asFitted().inWords(),
                    from,
                    PlanDocument.of(o.asFitted().mark(), plan, unit),
                    PlanDocument.beads(recorded(o, passes, constants), unit),
                    shown(constants, SchoolTopic.constants(o.schools()), unit),
                    PlanComparison.of(o.asFitted(), plan, passes, unit));
        } catch (InvalidField e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
    }

    /** The stack as recorded; none where a pass does not say enough to draw it. */
    private static List<PassPlan.Bead> recorded(
            WeldingRecords.State o, List<LoggedPass> passes, PlanConstants constants) {
        try {
            return PassPlanner.recorded(
                    o.asFitted(), passes.stream().map(LoggedPass::measured).toList(), constants);
        } catch (InvalidField e) {
            return List.of();
        }
    }

    private static Map<String, Double> numbers(Map<String, String> typed, Unit unit) {
        Map<String, Double> numbers = new LinkedHashMap<>();
        typed.forEach((name, text) -> {
            boolean length =
                    PlanConstants.MEANINGS.stream().anyMatch(m -> m.name().equals(name) && m.length());
            try {
                numbers.put(
                        name,
                        length
                                ? Length.parse(text, unit).approximateNanometres() / 1e6
                                : Double.parseDouble(text.strip().replace(',', '.')));
            } catch (LengthFormatException e) {
                throw new InvalidField("constants." + name, e.getMessage());
            } catch (NumberFormatException e) {
                throw new InvalidField("constants." + name, "a number is required, got \"" + text + "\"");
            }
        });
        return numbers;
    }

    private static List<PlanConstant> shown(PlanConstants constants, PlanConstants ofTheShop, Unit unit) {
        Map<String, Double> usual = ofTheShop.byName();
        return PlanConstants.MEANINGS.stream()
                .map(m -> {
                    double value = constants.byName().get(m.name());
                    String text = m.length()
                            ? Length.ofNanometres(Math.round(value * 1e6), unit).shown()
                            : Range.plain(value);
                    return new PlanConstant(
                            m.name(),
                            m.title(),
                            text,
                            m.length() ? unit.symbol() : m.unit(),
                            value != usual.get(m.name()));
                })
                .toList();
    }
}
