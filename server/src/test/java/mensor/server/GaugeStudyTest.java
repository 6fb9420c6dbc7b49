package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A gauge study from its list of readings to a guarded verdict that hangs on it. */
@ExtendWith(RunningMensor.class)
class GaugeStudyTest {
    /** AIAG, Measurement Systems Analysis: 10 parts, 3 appraisers, 3 trials; a line is a person's trial. */
    private static final String AIAG = """
            A .29 -.56 1.34 .47 -.80 .02 .59 -.31 2.26 -1.36
            A .41 -.68 1.17 .50 -.92 -.11 .75 -.20 1.99 -1.25
            A .64 -.58 1.27 .64 -.84 -.21 .66 -.17 2.01 -1.31
            B .08 -.47 1.19 .01 -.56 -.20 .47 -.63 1.80 -1.68
            B .25 -1.22 .94 1.03 -1.20 .22 .55 .08 2.12 -1.62
            B .07 -.68 1.34 .20 -1.28 .06 .83 -.34 2.19 -1.50
            C .04 -1.38 .88 .14 -1.46 -.29 .02 -.46 1.77 -1.49
            C -.11 -1.13 1.09 .20 -1.07 -.67 .01 -.56 1.45 -1.77
            C -.15 -.96 .67 .11 -1.45 -.49 .21 -.49 1.87 -2.16
            """;

    private final TestBrowser quinn = RunningMensor.as("quinn");
    private final TestBrowser ines = RunningMensor.as("ines");

    private static String list(String trials) {
        StringBuilder csv = new StringBuilder("person,part,reading\n");
        trials.lines().forEach(l -> {
            String[] cells = l.split(" ");
            for (int p = 1; p < cells.length; p++) {
                csv.append(cells[0] + "," + p + "," + cells[p] + "\n");
            }
        });
        return csv.toString();
    }

    private static String path() {
        return "/api/studies/" + UUID.randomUUID();
    }

    @Test
    void theManualsReadingsComeToTheManualsNumbers() {
        String path = path();
        JsonNode s = ines.putText(
                        path + "/readings?title=Manual&gauge=Not+registered&quantity=length&units=mm&tolerance=8",
                        list(AIAG),
                        "text/csv")
                .expect(200)
                .json()
                .get("gauge");
        JsonNode anova = s.get("results").get(0);
        assertThat(anova.get("ev").asDouble()).isCloseTo(.1999, within(5e-5));
        assertThat(anova.get("av").asDouble()).isCloseTo(.2268, within(5e-5));
        assertThat(anova.get("percent").asDouble()).isCloseTo(27.9, within(.05));
        assertThat(anova.get("words").asString()).isEqualTo("conditional");
        assertThat(anova.get("percentOfTolerance").asDouble()).isCloseTo(600 * .3024 / 8, within(0.02));
        assertThat(anova.get("low").asDouble()).isLessThan(anova.get("grr").asDouble());
        assertThat(anova.get("method").asString()).isEqualTo("analysis of variance, interaction pooled");
        assertThat(s.get("results").get(1).get("pooled").asBoolean()).isFalse();
        assertThat(s.get("results").get(2).get("method").asString()).isEqualTo("average and range");
        assertThat(s.get("said").asString())
                .isEqualTo("Gauge and people make up 27.9 % of the spread: conditional. They tell 4 groups of parts"
                        + " apart.");
        assertThat(quinn.get(path + "/report?as=csv").expect(200).text()).contains("C,10,-2.16");
        String file = quinn.get(path + "/report?as=json").expect(200).text();
        assertThat(quinn.putJson(path(), file).expect(200).json().get("gauge").get("results"))
                .isEqualTo(s.get("results"));
        assertThat(new String(quinn.bytes(path + "/report"), 0, 4, java.nio.charset.StandardCharsets.ISO_8859_1))
                .isEqualTo("%PDF");
        JsonNode risk =
                quinn.get(path + "/risk?limit=1&mean=0&sd=1").expect(200).json();
        assertThat(risk.get("bad").asDouble())
                .as("one standard deviation, from the table of the normal")
                .isCloseTo(0.1587, within(5e-4));
        assertThat(risk.get("consumers").asDouble())
                .isBetween(
                        risk.get("consumersLow").asDouble(),
                        risk.get("consumersHigh").asDouble());
        assertThat(quinn.get(path + "/risk?limit=1&mean=0&sd=1&guard=2")
                        .json()
                        .get("consumers")
                        .asDouble())
                .isLessThan(risk.get("consumers").asDouble() / 5);
        assertThat(ines.get(path + "/risk?limit=1").status()).isEqualTo(403);
        quinn.get(path + "/risk?limit=1&kind=rust").expect(422);
        assertThat(quinn.post(path + "/use", "{}").expect(409).detail()).contains("register it first");
    }

    /** A least limit is a most one in a mirror: what is truly a standard deviation short is as likely as one over. */
    @Test
    void aLegThatIsTooSmallIsBad() {
        String path = path();
        ines.putText(path + "/readings?title=Legs&gauge=None&quantity=length&units=mm", list(AIAG), "text/csv")
                .expect(200);
        JsonNode most =
                quinn.get(path + "/risk?limit=1&mean=0&sd=1").expect(200).json();
        JsonNode least = quinn.get(path + "/risk?limit=1&least=true&mean=2&sd=1")
                .expect(200)
                .json();
        for (String part : new String[] {"bad", "consumers", "producers", "consumersHigh", "producersLow"}) {
            assertThat(least.get(part).asDouble())
                    .as(part)
                    .isCloseTo(most.get(part).asDouble(), within(1e-9));
        }
        assertThat(least.get("said").asString()).contains("under the limit");
        JsonNode guarded = quinn.get(path + "/risk?limit=1&least=true&mean=2&sd=1&guard=2")
                .expect(200)
                .json();
        assertThat(guarded.get("acceptedTo").asDouble()).isGreaterThan(1);
        assertThat(guarded.get("consumers").asDouble())
                .isLessThan(least.get("consumers").asDouble() / 5);
    }

    /** Of a 5/16 in. fillet on 3/8 in. plate: the limits are those of AWS D1.1 Table 8.1, from memory. */
    @Test
    void whatIsSignedWronglyIsToldCriterionByCriterion() {
        String asked = "/api/studies/risks?criteria=d1.1-static&joint=tee&units=in&thickness=3/8&size=5/16";
        String path = path();
        ines.putText(
                        path + "/readings?title=Legs&gauge=None&quantity=leg&units=in",
                        "person,part,reading\nA,1,.31\nA,1,.32\nA,2,.25\nA,2,.24\nA,3,.19\nA,3,.20\n"
                                + "B,1,.32\nB,1,.31\nB,2,.25\nB,2,.26\nB,3,.20\nB,3,.19",
                        "text/csv")
                .expect(200);
        JsonNode answer = quinn.get(asked).expect(200).json();
        assertThat(answer.get("joint").asString()).contains("5/16 fillet, tee");
        JsonNode leg = null;
        for (JsonNode row : answer.get("criteria")) {
            if (row.get("criterion").asString().equals("Size, leg")) {
                leg = row;
            }
            if (row.get("criterion").asString().startsWith("Porosity")) {
                assertThat(row.get("limit").asString()).isEqualTo("at most 3/8 in");
                assertThat(row.get("why").asString()).contains("no gauge study of pores");
            }
        }
        assertThat(leg.get("limit").asString()).isEqualTo("at least 3/16 in");
        assertThat(leg.get("study").asString()).isEqualTo("Legs: None");
        JsonNode alone = quinn.get(path + "/risk?limit=0.1875&least=true&kind=short-leg")
                .expect(200)
                .json();
        assertThat(leg.get("risk").get("said"))
                .as("as asked of the study itself")
                .isEqualTo(alone.get("said"));
        assertThat(leg.get("risk").get("consumers").asDouble())
                .isCloseTo(alone.get("consumers").asDouble(), within(1e-9));
        assertThat(ines.get(asked).status()).isEqualTo(403);
        quinn.get(asked.replace("thickness=3/8", "thickness=thick")).expect(422);
        quinn.get(asked.replace("d1.1-static", "none")).expect(422);
        assertThat(quinn.get(asked.replace("joint=tee", "joint=butt"))
                        .expect(200)
                        .json()
                        .toString())
                .contains("Profile, reinforcement")
                .doesNotContain("Size, leg");
    }

    @Test
    void aMeasuredGaugeIsGuardedByWhatWasMeasured() {
        String gauge = "Depth G-" + UUID.randomUUID().toString().substring(0, 6);
        quinn.put(
                        "/api/gauges/" + UUID.randomUUID(),
                        "{'form':{'name':'" + gauge + "','kind':'depth gauge','division':'.001'}}")
                .expect(200);
        String job = "Guarded " + gauge;
        quinn.post(
                        "/api/jobs",
                        "{'name':'" + job
                                + "','criteria':'d1.1-static','units':'in','terms':{'guarded':true,'guardNote':'CS-9'}}")
                .expect(200);
        String inspection = ines.inspection(gauge, job);
        // 1/32 at most over more than 2 in: .006 left, the division alone leaves .0006
        ines.add(
                        inspection,
                        "INDICATION",
                        "'kind':'undercut','toe':'A','from':'3','to':'9','depth':'.025','gauge':'" + gauge + "'")
                .expect(200);
        assertThat(undercut(inspection).get("verdict").asString()).isEqualTo("accept");

        String readings = """
                A .020 .031 .040 .052 .063
                A .026 .027 .045 .047 .068
                B .024 .027 .036 .056 .060
                B .018 .033 .043 .050 .066
                """;
        String study = path();
        JsonNode s = ines.putText(
                        study + "/readings?title=Depths&gauge=" + gauge.replace(" ", "+")
                                + "&quantity=undercut+depth&units=in",
                        list(readings),
                        "text/csv")
                .expect(200)
                .json()
                .get("gauge");
        assertThat(s.get("uncertainty").asDouble()).isBetween(.0025, .006);
        assertThat(ines.post(study + "/use", "{}").status())
                .as("the quality manager decides")
                .isEqualTo(403);
        assertThat(quinn.post(study + "/use", "{}")
                        .expect(200)
                        .json()
                        .get("gauge")
                        .get("inUse")
                        .asBoolean())
                .isTrue();
        JsonNode guarded = undercut(inspection);
        assertThat(guarded.get("verdict").asString())
                .as("by what the study found the limit may not be kept")
                .isEqualTo("incomplete");
        assertThat(quinn.delete(study).expect(409).detail()).contains("the register takes");
        quinn.delete(study + "/use").expect(200);
        assertThat(undercut(inspection).get("verdict").asString()).isEqualTo("accept");
        quinn.delete(study).expect(200);
        quinn.post(study + "/restore", "{}").expect(200);
    }

    private JsonNode undercut(String inspection) {
        for (JsonNode f :
                ines.get(inspection).expect(200).json().get("evaluation").get("findings")) {
            if (f.get("id").asString().equals("undercut")) {
                return f;
            }
        }
        throw new AssertionError();
    }

    @Test
    void whatCannotBeReadIsRefusedByItsLine() {
        String heading = "/readings?title=T&gauge=G&quantity=leg&units=";
        JsonNode refused = ines.putText(path() + heading + "in", "person,part,reading\nA,1,deep\n", "text/csv")
                .expect(422)
                .json();
        assertThat(refused.toString()).contains("line 2").contains("deep");
        ines.putText(path() + heading + "ft", list(AIAG), "text/csv").expect(422);
        ines.putJson(path(), "[]").expect(422);
        assertThat(RunningMensor.as("rufus")
                        .putText(path() + heading + "in", list(AIAG), "text/csv")
                        .status())
                .as("a repair lead records no study")
                .isEqualTo(403);
        assertThat(RunningMensor.as("vera").get("/api/studies").status()).isEqualTo(403);
        ines.get(path()).expect(404);
        String path = path();
        ines.putText(path + heading + "in", list(AIAG), "text/csv").expect(200);
        ines.putText(path + heading + "in", list(AIAG), "text/csv").expect(409);
    }
}
