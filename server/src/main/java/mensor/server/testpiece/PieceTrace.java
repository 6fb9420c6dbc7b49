package mensor.server.testpiece;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import mensor.cause.CauseTrace;
import mensor.cause.Surroundings;
import mensor.cause.Tracer;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.testpiece.CuttingPlan;
import mensor.testpiece.PieceSetting;
import mensor.testpiece.SpecimenDefect;
import mensor.testpiece.SpecimenKind;
import mensor.weld.Joint;
import mensor.weld.Named;
import mensor.weld.Pass;
import mensor.weld.Polarity;
import mensor.weld.Progression;
import mensor.weld.Technique;
import mensor.weld.WeldingRecord;
import org.springframework.stereotype.Component;

/**
 * What the failed specimens of a piece without a weld at the bench stand for: traced like a weld's, with the piece's settings as its one pass. A
 * piece that does not say its sizes cannot be traced.
 */
@Component
class PieceTrace {
    private final PieceJoints joints;
    private final Specimens specimens;

    PieceTrace(PieceJoints joints, Specimens specimens) {
        this.joints = joints;
        this.specimens = specimens;
    }

    /** A line for each specimen that showed a defect; empty where the piece cannot be traced. */
    List<String> of(PieceForm form, List<Specimens.SpecimenView> tests) {
        Optional<Joint> made = joints.asJoint(form);
        if (made.isEmpty()) {
            return List.of();
        }
        Joint joint = made.get();
        CuttingPlan plan = CuttingPlan.of(joint);
        List<Indication> defects = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (Specimens.SpecimenView s : tests) {
            Span where = specimens
                    .place(s, form.unit())
                    .filter(p -> !p.to().isOver(joint.length()))
                    .or(() -> Named.find(SpecimenKind.class, s.kind())
                            .flatMap(k -> SpecimenDefect.place(plan, k, s.specimen())))
                    .orElseGet(() -> joint.ruler().whole());
            specimens.defect(s, form.unit(), where).ifPresent(d -> {
                defects.add(d);
                names.add(s.specimen());
            });
        }
        if (defects.isEmpty()) {
            return List.of();
        }
        Inspection inspection = Inspection.begin(joint, form.unit())
                .madeBy(WeldingRecord.NONE.with(
                        List.of(pass(form.settingsRead(), form.unit())), Map.of(), OptionalDouble.empty()))
                .showing(defects);
        return Tracer.traceAll(inspection, Surroundings.NONE).stream()
                .map(t -> line(names.get(t.indication().orElseThrow()), t))
                .toList();
    }

    private static String line(String specimen, CauseTrace t) {
        return specimen + " showed " + t.situation().trouble()
                + t.leading().map(PieceTrace::because).orElse("");
    }

    private static String because(CauseTrace.Cause c) {
        String why = c.speaksFor().isEmpty() ? "" : " (" + String.join("; ", c.speaksFor()) + ")";
        return ". " + capital(c.standing().id()) + ": " + c.name() + why + ". To be sure: " + c.check()
                + ". One thing to change: " + c.change().text();
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }

    private static Pass pass(Map<PieceSetting, String> said, Unit unit) {
        return new Pass(
                OptionalInt.of(1),
                Optional.empty(),
                Optional.empty(),
                Optional.ofNullable(said.get(PieceSetting.ROD)).map(String::strip),
                Optional.ofNullable(said.get(PieceSetting.DIAMETER)).map(d -> Length.parse(d, unit)),
                number(said, PieceSetting.AMPS),
                OptionalDouble.empty(),
                named(Polarity.class, said, PieceSetting.POLARITY),
                named(Progression.class, said, PieceSetting.PROGRESSION),
                named(Technique.class, said, PieceSetting.TECHNIQUE),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                false);
    }

    private static OptionalDouble number(Map<PieceSetting, String> said, PieceSetting setting) {
        String value = said.get(setting);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(value.strip()));
    }

    private static <E extends Enum<E> & Named> Optional<E> named(
            Class<E> type, Map<PieceSetting, String> said, PieceSetting setting) {
        return Optional.ofNullable(said.get(setting))
                .flatMap(v -> Arrays.stream(type.getEnumConstants())
                        .filter(e -> e.id().equalsIgnoreCase(v.strip()))
                        .findFirst());
    }
}
