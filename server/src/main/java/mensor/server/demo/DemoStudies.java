package mensor.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.UUID;
import mensor.exchange.GaugeStudyFile.Heading;
import mensor.length.Unit;
import mensor.server.people.Actor;
import mensor.server.practice.AgreementStudies;
import mensor.server.practice.AgreementStudies.AgreementForm;
import mensor.server.practice.SettingForm;
import mensor.server.practice.SimulatedInspector;
import mensor.server.practice.SimulatedInspector.Skill;
import mensor.server.study.Studies;
import org.springframework.stereotype.Component;

/**
 * A gauge study of ten parts: three people read the depth of made-up undercuts with the dial of the bench. Three months of practice of three people, one
 * with a sharp eye, one who sees large flaws alone, one who calls too much; and how far they agree.
 */
@Component
class DemoStudies {
    private static final double[] DEPTHS = {.008, .012, .017, .021, .026, .031, .036, .043, .050, .058};
    private static final String[] READERS = {"Ines Marl", "Tomas Reed", "Igor Thane"};

    /** Of the hand and of each reader, inches. */
    private static final double NOISE = .0016;

    private static final double[] LEANS = {.0004, -.0011, .0007};

    private static final Map<String, Skill> EYES = new LinkedHashMap<>();

    static {
        EYES.put("ines", new Skill(0.45, 8, -0.05, 0.05));
        EYES.put("tomas", new Skill(1.0, 5, 0.1, 0.1));
        EYES.put("igor", new Skill(0.65, 6, 0.25, 0.5));
    }

    private static final int WELDS = 30;
    private static final int SHARED = 10;

    private final Studies studies;
    private final AgreementStudies agreements;
    private final SimulatedInspector practice;
    private final Clock clock;

    DemoStudies(Studies studies, AgreementStudies agreements, SimulatedInspector practice, Clock clock) {
        this.studies = studies;
        this.agreements = agreements;
        this.practice = practice;
        this.clock = clock;
    }

    void load(Map<String, Actor> actors) {
        readTheDial(actors);
        practice(actors);
        agree(actors);
    }

    private void practice(Map<String, Actor> actors) {
        Instant now = clock.instant();
        long seed = 100;
        for (Map.Entry<String, Skill> eye : EYES.entrySet()) {
            for (int n = 0; n < WELDS; n++) {
                SettingForm setting = n % 3 == 0
                        ? new SettingForm(1 + n / 7, n % 2 == 0 ? "tee" : "butt", "in", null, null, null, null)
                        : new SettingForm(1 + n / 7, "tee", "in", null, List.of("undercut", "pore"), 2, null);
                Instant at = now.minus(Duration.ofDays(3L * (WELDS - n))).plus(Duration.ofMinutes(37L * n % 300));
                practice.practice(actors.get(eye.getKey()).id(), setting, eye.getValue(), seed++, at);
            }
        }
    }

    private void agree(Map<String, Actor> actors) {
        UUID study = UUID.randomUUID();
        agreements.begin(
                actors.get("quinn"),
                study,
                new AgreementForm(
                        "Three eyes on ten fillets",
                        EYES.keySet().stream().map(l -> actors.get(l).id()).toList(),
                        SHARED,
                        new SettingForm(3, "tee", "in", null, null, null, null),
                        null),
                new Random(11));
        long seed = 7;
        for (Map.Entry<String, Skill> eye : EYES.entrySet()) {
            practice.practiceStudy(
                    actors.get(eye.getKey()).id(),
                    study,
                    eye.getValue(),
                    seed++,
                    clock.instant().minus(Duration.ofDays(5)));
        }
    }

    private void readTheDial(Map<String, Actor> actors) {
        Random random = new Random(41);
        StringBuilder list = new StringBuilder("person,part,reading,reference\n");
        for (int a = 0; a < READERS.length; a++) {
            for (int r = 0; r < 3; r++) {
                for (int p = 0; p < DEPTHS.length; p++) {
                    double read = DEPTHS[p] + LEANS[a] + NOISE * random.nextGaussian();
                    list.append(String.format(
                            Locale.ROOT, "%s,%d,%.3f,%.3f%n", READERS[a], p + 1, Math.max(0, read), DEPTHS[p]));
                }
            }
        }
        studies.putList(
                actors.get("ines"),
                UUID.randomUUID(),
                new Heading(
                        "Undercut depth with the dial",
                        "Dial D-9",
                        "undercut depth",
                        Unit.INCH,
                        OptionalDouble.of(1.0 / 32)),
                list.toString());
    }
}
