package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class RepairCommandTest {
    private static final String CRACK =
            file("{'kind':'crack','from':'4','to':'5'},{'kind':'overlap','toe':'A','from':'8','to':'9'}");

    private static String file(String indications) {
        return ("{'format':'mensor-inspection/1','criteria':'d1.1-static','units':'in','joint':{'mark':'R-1','weld':'fillet','connection':'tee','length':'24',"
                        + "'size':'5/16','grade':'A36','members':[{'name':'web','thickness':'3/8'},{'name':'flange','thickness':'3/4'}]},"
                        + "'conditions':{'cleaned':true,'ambient':true,'coated':false},'clear':['all-else'],'indications':["
                        + indications + "]}")
                .replace('\'', '"');
    }

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String input, String... arguments) {
        return new RepairCommand(
                        new ByteArrayInputStream(input.getBytes(StandardCharsets.UTF_8)),
                        new PrintWriter(out, true),
                        new PrintWriter(err, true))
                .run(List.of(arguments));
    }

    private JsonNode defects() {
        return JsonMapper.shared().readTree(out.toString()).get("defects");
    }

    @Test
    void eachRejectedPlaceHasItsPlan() {
        assertThat(run(CRACK, "-")).isZero();
        JsonNode crack = defects().get(0);
        assertThat(crack.get("disposition").asString()).isEqualTo("remove-and-reweld");
        assertThat(crack.get("extent").toString()).isEqualTo("[\"2 in\",\"7 in\"]");
        assertThat(crack.has("grams")).isFalse();
        assertThat(crack.get("steps").toString()).contains("the depth must be found");
        assertThat(crack.get("preheat").asString()).isEqualTo("32 °F [0 °C]");
        assertThat(defects().get(1).get("disposition").asString()).isEqualTo("blend");
    }

    @Test
    void aDepthGivesTheCavityWithUnitsInTheNames() {
        assertThat(run(CRACK, "--depth", "0=1/4", "--set", "includedDegrees=0", "--set", "rootRadius=3.175", "-"))
                .isZero();
        JsonNode crack = defects().get(0);
        // upright walls, 1/4 in wide and deep with a round bottom: 2r(d − r) + πr²/2
        double area = 2 * 3.175 * 3.175 + Math.PI * 3.175 * 3.175 / 2;
        assertThat(crack.get("depthMm").asDouble()).isCloseTo(6.35, within(.001));
        assertThat(crack.get("widthMm").asDouble()).isCloseTo(6.35, within(.001));
        assertThat(crack.get("areaMm2").asDouble()).isCloseTo(area, within(.001));
        assertThat(crack.get("volumeMm3").asDouble()).isCloseTo(area * (127 + 3 * 6.35), within(.01));
        assertThat(crack.get("pounds").asDouble() * 453.59237)
                .isCloseTo(crack.get("grams").asDouble(), within(.3));
        assertThat(crack.has("rods")).as("no rod is recorded").isFalse();
        assertThat(crack.get("holds").toString()).contains("rod");
        out.getBuffer().setLength(0);
        String welded = CRACK.replace(
                "\"indications\"",
                "\"welding\":{\"passes\":[{\"pass\":1,\"electrode\":\"E7018\",\"diameter\":\"1/8\"}]},\"indications\"");
        assertThat(run(welded, "--depth", "0=1/4", "-")).isZero();
        assertThat(defects().get(0).get("rods").asInt()).isPositive();
        assertThat(defects().get(0).get("workHours").asDouble()).isPositive();
    }

    @Test
    void whatCannotBeIsSaidInOneLine() {
        assertThat(run(CRACK, "--depth", "7=1/4", "-")).isEqualTo(3);
        assertThat(run(CRACK, "--depth", "0=deep", "-")).isEqualTo(3);
        assertThat(run(CRACK, "--depth", "0=0", "-")).isEqualTo(3);
        assertThat(run(CRACK, "--set", "rootRadios=3", "-")).isEqualTo(3);
        assertThat(run(CRACK, "--set", "rootRadius", "-")).isEqualTo(3);
        assertThat(run(CRACK, "--set", "rootRadius=wide", "-")).isEqualTo(3);
        assertThat(run("{", "-")).isEqualTo(3);
        assertThat(run(CRACK)).isEqualTo(3);
        assertThat(err.toString().lines()).hasSize(8).anyMatch(l -> l.contains("no indication 7"));
        assertThat(out.toString()).isEmpty();
    }

    @Test
    void anAcceptedWeldNeedsNone() {
        assertThat(run(file("{'kind':'spatter','from':'1','to':'2'}"), "-")).isZero();
        assertThat(defects()).isEmpty();
    }
}
