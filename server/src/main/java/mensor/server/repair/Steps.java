package mensor.server.repair;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import mensor.exchange.InspectionParts;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.repair.RemovalMethod;
import mensor.repair.RepairState;
import mensor.repair.RepairWork;
import mensor.server.web.Refusal;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.Named;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What was recorded at the steps of repairs, read. */
@Component
class Steps {
    /** A week of round shifts; more is a slip of the finger. */
    private static final int MOST_MINUTES = 10_000;

    private final RepairStepRepository steps;
    private final JsonMapper json;

    Steps(RepairStepRepository steps, JsonMapper json) {
        this.steps = steps;
        this.json = json;
    }

    /** Those of one cycle that stand, in their order. */
    List<RepairStepEntity> standing(DefectEntity d, int cycle) {
        return of(d).stream().filter(s -> s.cycle() == cycle && s.stands()).toList();
    }

    /** All of a defect in their order, also those taken back. */
    List<RepairStepEntity> of(DefectEntity d) {
        return steps.findByDefectIdOrderByRecordedAt(d.id());
    }

    RepairStepEntity save(
            DefectEntity d, RepairState state, StepForm form, List<String> warnings, UUID by, Instant at) {
        return steps.save(new RepairStepEntity(
                d,
                state,
                InspectionParts.canonical(json.writeValueAsString(form.withoutVersion())),
                json.writeValueAsString(warnings),
                by,
                at));
    }

    StepForm form(RepairStepEntity s) {
        return json.readValue(s.content(), StepForm.class);
    }

    List<String> warnings(RepairStepEntity s) {
        return List.of(json.readValue(s.warnings(), String[].class));
    }

    Optional<StepForm> at(DefectEntity d, int cycle, RepairState state) {
        return standing(d, cycle).stream()
                .filter(s -> s.state() == state)
                .findFirst()
                .map(this::form);
    }

    /** What was taken off in a cycle, or the extent where nothing was yet. */
    Optional<Span> repaired(DefectEntity d, int cycle, Unit unit) {
        return at(d, cycle, RepairState.EXCAVATED)
                .flatMap(f -> span(f, unit))
                .or(() -> at(d, cycle, RepairState.EXTENT_KNOWN).flatMap(f -> span(f, unit)));
    }

    Optional<Span> repaired(DefectEntity d, Unit unit) {
        return repaired(d, d.cycle(), unit);
    }

    static Optional<Span> span(StepForm f, Unit unit) {
        return f.from() == null || f.to() == null
                ? Optional.empty()
                : Optional.of(new Span(Length.parse(f.from(), unit), Length.parse(f.to(), unit)));
    }

    static Optional<Length> depth(StepForm f, Unit unit) {
        return Optional.ofNullable(f.depth()).map(d -> Length.parse(d, unit));
    }

    /** The form as the core reads it; what cannot be read is refused by its field. */
    static RepairWork.Step read(StepForm f, Unit unit) {
        List<FieldProblem> problems = new ArrayList<>();
        Function<String[], Optional<Length>> length = named -> {
            if (named[1] == null || named[1].isBlank()) {
                return Optional.empty();
            }
            try {
                return Optional.of(Length.parse(named[1], unit));
            } catch (LengthFormatException e) {
                problems.add(new FieldProblem(named[0], e.getMessage()));
                return Optional.empty();
            }
        };
        Optional<Length> from = length.apply(new String[] {"from", f.from()});
        Optional<Length> to = length.apply(new String[] {"to", f.to()});
        Optional<Length> depth = length.apply(new String[] {"depth", f.depth()});
        Optional<Length> left = length.apply(new String[] {"left", f.left()});
        Optional<Length> diameter = length.apply(new String[] {"diameter", f.diameter()});
        Optional<RemovalMethod> method = Optional.ofNullable(f.method()).flatMap(m -> {
            Optional<RemovalMethod> found = Named.find(RemovalMethod.class, m);
            if (found.isEmpty()) {
                problems.add(new FieldProblem("method", "one of " + Named.list(RemovalMethod.class)));
            }
            return found;
        });
        if (f.scale() != null && !f.scale().equals("F") && !f.scale().equals("C")) {
            problems.add(new FieldProblem("scale", "°F or °C: F or C"));
        }
        for (String[] text : new String[][] {
            {"seenBy", f.seenBy()}, {"proofReport", f.proofReport()}, {"rod", f.rod()}, {"welder", f.welder()}
        }) {
            if (text[1] != null && text[1].length() > 60) {
                problems.add(new FieldProblem(text[0], "at most 60 letters"));
            }
        }
        if (f.minutes() != null && (f.minutes() < 1 || f.minutes() > MOST_MINUTES)) {
            problems.add(new FieldProblem("minutes", "minutes of work: 1 to " + MOST_MINUTES));
        }
        if (f.note() != null && f.note().length() > 500) {
            problems.add(new FieldProblem("note", "at most 500 letters"));
        }
        if (!problems.isEmpty()) {
            throw Refusal.invalid(problems);
        }
        return new RepairWork.Step(
                from.flatMap(a -> to.map(b -> new Span(a, b))),
                Optional.ofNullable(f.foundBy()),
                method,
                depth,
                Optional.ofNullable(f.clean()),
                Optional.ofNullable(f.seenBy()),
                Optional.ofNullable(f.proof()),
                Optional.ofNullable(f.proofReport()),
                left,
                Optional.ofNullable(f.preheat()),
                "C".equals(f.scale()),
                Optional.ofNullable(f.rod()),
                diameter,
                Optional.ofNullable(f.rods()),
                Optional.ofNullable(f.welder()),
                Optional.ofNullable(f.cleaned()),
                Optional.ofNullable(f.cooled()));
    }
}
