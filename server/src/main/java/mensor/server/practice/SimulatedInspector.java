package mensor.server.practice;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import mensor.inspection.Criterion;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.practice.FlawKind;
import mensor.practice.PracticeFlaw;
import mensor.practice.SimulatedPracticeWeld;
import mensor.weld.Toe;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** An inspector of known skill who practices on made-up welds, to try the product without waiting for people. */
@Service
public class SimulatedInspector {
    private static final Duration AT_A_WELD = Duration.ofMinutes(6);

    private final ExerciseRepository exercises;
    private final AgreementStudies agreements;
    private final PracticeBenches benches;
    private final JsonMapper json;

    SimulatedInspector(
            ExerciseRepository exercises, AgreementStudies agreements, PracticeBenches benches, JsonMapper json) {
        this.exercises = exercises;
        this.agreements = agreements;
        this.benches = benches;
        this.json = json;
    }

    /**
     * How well somebody sees.
     *
     * @param half the size, mm, of which every other flaw is found
     * @param steep how quickly larger ones are found: log odds for each mm
     * @param bias how much too large sizes are put down, mm
     * @param calls how often a weld something is called that is not there
     */
    public record Skill(double half, double steep, double bias, double calls) {
        boolean finds(double size, Random chance) {
            return chance.nextDouble() < 1 / (1 + Math.exp(-steep * (size - half)));
        }
    }

    /** Begins one weld and hands it in. */
    @Transactional
    public void practice(UUID person, SettingForm form, Skill skill, long seed, Instant at) {
        ExerciseEntity e = new ExerciseEntity(
                UUID.randomUUID(),
                person,
                seed,
                json.writeValueAsString(SettingForm.of(form.read())),
                benches.written(ExerciseContent.NONE),
                at);
        inspect(e, skill, new Random(seed + person.getLeastSignificantBits()), at);
        exercises.saveAndFlush(e);
    }

    /** Hands in all welds of an agreement study that a person was given. */
    @Transactional
    public void practiceStudy(UUID person, UUID study, Skill skill, long seed, Instant from) {
        Random chance = new Random(seed);
        List<ExerciseEntity> own = exercises.findByStudyId(study).stream()
                .filter(e -> e.personId().equals(person))
                .sorted(Comparator.comparingInt(ExerciseEntity::place))
                .toList();
        Instant at = from;
        for (ExerciseEntity e : own) {
            inspect(e, skill, chance, at);
            exercises.saveAndFlush(e);
            at = at.plus(AT_A_WELD);
        }
        agreements.handedIn(own.get(own.size() - 1));
    }

    private void inspect(ExerciseEntity e, Skill skill, Random chance, Instant at) {
        PracticeBench b = benches.of(e);
        SimulatedPracticeWeld weld = b.weld();
        List<String> lines = new ArrayList<>();
        Set<Criterion> seen = new LinkedHashSet<>();
        Unit unit = b.setting().units();
        double end = weld.length();
        for (PracticeFlaw f : weld.flaws()) {
            if (skill.finds(f.size(), chance)) {
                double size = Math.max(0.2, f.size() + skill.bias() + 0.15 * chance.nextGaussian());
                lines.add(line(f, size, weld.wantedLeg(), unit));
                seen.add(criterion(f.kind()));
            }
        }
        if (b.setting().fillet() && !seen.contains(Criterion.SIZE)) {
            lines.add("blade " + shown(weld.wantedLeg(), unit, 16));
        } else {
            for (double s : new double[] {end * 0.1, end * 0.35, end * 0.6, end * 0.9}) {
                lines.add(reading(weld, b.setting().fillet(), s, unit));
            }
        }
        if (chance.nextDouble() < skill.calls()) {
            lines.add("pore " + shown(10 + chance.nextDouble() * (end - 20), unit, 8) + " " + shown(0.8, unit, 64));
            seen.add(Criterion.POROSITY);
        }
        List<String> none = new ArrayList<>();
        for (Criterion c : Criterion.values()) {
            if (c.clearable() && !seen.contains(c) && isAsked(b, c)) {
                none.add(c.id());
            }
        }
        lines.add("none " + String.join(" ", none));
        ExerciseContent content = benches.typed(b, lines);
        content = content.looked(0, end, 120 + chance.nextInt(200));
        e.setContent(benches.written(content));
        e.handIn(at.plus(AT_A_WELD));
    }

    private static String reading(SimulatedPracticeWeld weld, boolean fillet, double s, Unit unit) {
        return fillet
                ? "leg " + shown(s, unit, 8) + " " + shown(weld.leg(Toe.A, s), unit, 32) + " "
                        + shown(weld.leg(Toe.B, s), unit, 32)
                : "crown " + shown(s, unit, 8) + " " + shown(weld.crown(s), unit, 32);
    }

    private static boolean isAsked(PracticeBench b, Criterion c) {
        return b.evaluation().findings().stream().anyMatch(f -> f.criterion() == c);
    }

    private static Criterion criterion(FlawKind kind) {
        return switch (kind) {
            case UNDERCUT -> Criterion.UNDERCUT;
            case PORE -> Criterion.POROSITY;
            case CRACK -> Criterion.CRACK;
            case CRATER -> Criterion.CRATER;
            case SHORT_LEG -> Criterion.SIZE;
        };
    }

    private static String line(PracticeFlaw f, double size, double wanted, Unit unit) {
        String from = shown(f.from(), unit, 8);
        String to = shown(f.to(), unit, 8);
        String middle = shown((f.from() + f.to()) / 2, unit, 8);
        return switch (f.kind()) {
            case UNDERCUT ->
                "uc " + (f.toe().orElseThrow() == Toe.A ? "a " : "b ") + from + "-" + to + " " + shown(size, unit, 64);
            case PORE -> "pore " + middle + " " + shown(size, unit, 64);
            case CRACK -> "crack " + from + "-" + to;
            case CRATER -> "crater " + middle + " " + shown(size, unit, 64);
            case SHORT_LEG -> "undersize " + from + "-" + to + " " + shown(Math.max(1, wanted - size), unit, 32);
        };
    }

    /** One word, as the entry line reads it. */
    private static String shown(double mm, Unit unit, int parts) {
        return unit == Unit.INCH
                ? Length.inches(Math.max(1, Math.round(mm / 25.4 * parts)), parts)
                        .shown()
                        .replace(' ', '-')
                : String.format(Locale.ROOT, "%.1f", mm);
    }
}
