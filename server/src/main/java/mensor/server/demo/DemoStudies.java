package mensor.server.demo;

import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.UUID;
import mensor.exchange.GaugeStudyFile.Heading;
import mensor.length.Unit;
import mensor.server.people.Actor;
import mensor.server.study.Studies;
import org.springframework.stereotype.Component;

/** A gauge study of ten parts: three inspectors read the depth of made-up undercuts with the dial of the bench. */
@Component
class DemoStudies {
    private static final double[] DEPTHS = {.008, .012, .017, .021, .026, .031, .036, .043, .050, .058};
    private static final String[] READERS = {"Ines Marl", "Tomas Reed", "Igor Thane"};

    /** Of the hand and of each reader, inches. */
    private static final double NOISE = .0016;

    private static final double[] LEANS = {.0004, -.0011, .0007};

    private final Studies studies;

    DemoStudies(Studies studies) {
        this.studies = studies;
    }

    void load(Map<String, Actor> actors) {
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
