package mensor.server.inspection;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.plan.WeldMetal;
import mensor.repair.Disposition;
import mensor.repair.RepairConstants;
import mensor.repair.RepairPlan;
import mensor.repair.RepairPlanner;
import mensor.server.people.Actor;
import mensor.server.web.Refused;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How each rejected place of a look would be repaired: a plan with estimates, nothing is stored. */
@RestController
@RequestMapping("/api/inspections/{id}/repair")
class RepairController {
    private final Bench bench;

    RepairController(Bench bench) {
        this.bench = bench;
    }

    record RepairView(List<PlaceView> places, List<String> cautions) {}

    /**
     * One rejected place.
     *
     * @param entry what was put down there
     * @param criterion whose finding it decides
     * @param least the least repair that clears the finding, where less than all suffices
     * @param extent from the datum, as typed; absent where it must be found first
     * @param asksDepth a depth would give the numbers
     */
    record PlaceView(
            UUID entry,
            String criterion,
            String disposition,
            String why,
            @Nullable String least,
            List<String> holds,
            List<String> steps,
            @Nullable String extent,
            @Nullable NumbersView numbers,
            @Nullable String preheat,
            boolean asksDepth) {}

    /** Estimates; lengths in mm. */
    record NumbersView(
            double depthMm,
            double widthMm,
            double lengthMm,
            double grams,
            double pounds,
            String rod,
            String diameter,
            int rods,
            int beads,
            double arcMinutes) {}

    /** @param depth how deep an entry's excavation goes, as {@code ENTRY:LENGTH}; any number of them */
    @GetMapping
    RepairView plan(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestParam(required = false, defaultValue = "") List<String> depth) {
        Bench.Opened o = bench.open(actor, id);
        JudgedLook judged = o.judged();
        List<RepairPlan> plans = RepairPlanner.plan(
                judged.look(),
                judged.evaluation(),
                judged.terms(),
                RepairConstants.USUAL,
                depths(depth, judged, o.joint().unit()));
        return new RepairView(plans.stream().map(p -> place(p, judged)).toList(), RepairPlanner.cautions());
    }

    private static Map<Integer, Length> depths(List<String> said, JudgedLook judged, Unit unit) {
        Map<Integer, Length> depths = new HashMap<>();
        for (String s : said) {
            int colon = s.indexOf(':');
            String entry = colon < 0 ? s : s.substring(0, colon);
            for (int i = 0; i < judged.indications().size(); i++) {
                if (judged.indications().get(i).id().toString().equals(entry)) {
                    depths.put(i, depth(s.substring(colon + 1), unit));
                }
            }
        }
        return depths;
    }

    private static Length depth(String said, Unit unit) {
        try {
            Length read = Length.parse(said, unit);
            if (!read.isPositive()) {
                throw Refused.invalid("depth", "a depth over zero is wanted, got " + read.shownWithUnit());
            }
            return read;
        } catch (LengthFormatException e) {
            throw Refused.invalid("depth", e.getMessage());
        }
    }

    private static PlaceView place(RepairPlan p, JudgedLook judged) {
        UUID entry = p.indication().isPresent()
                ? judged.indications().get(p.indication().getAsInt()).id()
                : judged.readings().get(p.reading().orElseThrow()).id();
        boolean asksDepth =
                p.numbers().isEmpty() && p.indication().isPresent() && p.disposition() == Disposition.REMOVE_AND_REWELD;
        return new PlaceView(
                entry,
                p.criterion().id(),
                p.disposition().title(),
                p.why(),
                p.least().orElse(null),
                p.holds(),
                p.steps(),
                p.extent().map(Span::shown).orElse(null),
                p.numbers()
                        .map(n -> new NumbersView(
                                n.depth(),
                                n.width(),
                                n.length(),
                                n.grams(),
                                n.grams() / WeldMetal.GRAMS_PER_POUND,
                                n.rod(),
                                n.diameter(),
                                n.rods(),
                                n.beads(),
                                n.arcMinutes()))
                        .orElse(null),
                p.preheat().orElse(null),
                asksDepth);
    }
}
