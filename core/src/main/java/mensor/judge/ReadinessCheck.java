package mensor.judge;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.criteria.Rule;
import mensor.inspection.Conditions;
import mensor.inspection.Inspection;
import mensor.inspection.Slag;
import mensor.inspection.Spatter;

/** Whether the weld is ready to be judged: cleaned, cool, bare, in the light, and after its wait. */
final class ReadinessCheck {
    private final Inspection inspection;
    private final Finding.Builder finding;

    ReadinessCheck(Inspection inspection, Finding.Builder finding) {
        this.inspection = inspection;
        this.finding = finding;
    }

    void judge(Rule.Readiness rule) {
        Conditions c = inspection.conditions();
        List<String> wanting = new ArrayList<>();
        want(
                wanting,
                c.cleaned(),
                "not cleaned",
                "clean the weld: slag and spatter off",
                "say whether the weld is cleaned");
        want(
                wanting,
                c.ambient(),
                "not at ambient temperature",
                "let the weld cool to ambient temperature",
                "say whether the weld is at ambient temperature");
        if (c.coated().orElse(false)) {
            wanting.add("coated");
            finding.ask(Ask.Kind.REMOVE_COATING.of());
        }
        boolean covering = Occurrence.indications(inspection, Slag.class).stream()
                .anyMatch(f -> !f.what().trapped());
        if (covering) {
            wanting.add("slag still covers the weld");
            finding.ask(Ask.Kind.CLEAN_FIRST.of("slag"));
        }
        boolean loose = Occurrence.indications(inspection, Spatter.class).stream()
                .anyMatch(f -> f.what().loose());
        if (loose) {
            wanting.add("loose spatter");
            finding.ask(Ask.Kind.CLEAN_FIRST.of("loose spatter"));
        }
        if (inspection.joint().isDelayed()) {
            delayed(rule, wanting, c.hoursSinceWelding());
        }
        c.viewing().ifPresent(v -> {
            want(wanting, v.light(), "not light enough", "bring light to the weld", "say whether the light is enough");
            want(
                    wanting,
                    v.near(),
                    "eye not within 24 in, or below 30°",
                    "get the eye within 24 in and not below 30°",
                    "say whether the eye comes within 24 in, not below 30°");
            want(
                    wanting,
                    v.gauges(),
                    "a gauge out of calibration",
                    "change the gauge for one within its calibration",
                    "choose the day's gauges");
        });
        if (wanting.isEmpty()) {
            finding.measured("ready").accept(Why.READY.of());
        } else {
            String why = String.join(", ", wanting);
            finding.measured(why).incomplete(Why.NOT_READY.of(why));
        }
    }

    private void want(List<String> wanting, Optional<Boolean> answer, String no, String todo, String unanswered) {
        if (answer.isEmpty()) {
            wanting.add(unanswered);
            finding.ask(Ask.Kind.ANSWER.of(unanswered));
        } else if (!answer.get()) {
            wanting.add(no);
            finding.ask(Ask.Kind.MAKE_READY.of(todo));
        }
    }

    private void delayed(Rule.Readiness rule, List<String> wanting, Optional<BigDecimal> hours) {
        BigDecimal wait = BigDecimal.valueOf(rule.delayHours());
        finding.trace("this steel can crack late: inspected no sooner than " + wait + " h after the last welding");
        if (hours.isEmpty()) {
            wanting.add("hours since welding not recorded");
            finding.ask(Ask.Kind.RECORD_HOURS.of(wait));
        } else if (hours.get().compareTo(wait) < 0) {
            wanting.add(hours.get().toPlainString() + " h since welding");
            finding.ask(Ask.Kind.WAIT.of(wait));
        }
    }
}
