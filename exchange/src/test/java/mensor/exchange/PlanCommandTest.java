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

class PlanCommandTest {
    private static final String FILLET =
            ("{'format':'mensor-inspection/1','criteria':'d1.1-static','units':'in','joint':{'mark':'ST2-17','weld':'fillet','connection':'tee','length':'12',"
                            + "'size':'1/2','members':[{'name':'web','thickness':'1/2'}]},'welding':{'passes':[{'pass':1,'kind':'root','electrode':'E7018','diameter':'1/8','amps':120,'volts':23,'speed':'5 in/min'}]}}")
                    .replace('\'', '"');
    private static final String GROOVE =
            ("{'format':'mensor-inspection/1','criteria':'iso5817-b','units':'mm','joint':{'mark':'W1','weld':'groove','connection':'butt','length':'300','penetration':'cjp','oneSided':true,"
                            + "'members':[{'name':'a','thickness':'10'}],'groove':{'prep':'V','includedAngle':60,'rootFace':'2','rootOpening':'3'}}}")
                    .replace('\'', '"');

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String input, String... arguments) {
        return new PlanCommand(
                        new ByteArrayInputStream(input.getBytes(StandardCharsets.UTF_8)),
                        new PrintWriter(out, true),
                        new PrintWriter(err, true))
                .run(List.of(arguments));
    }

    @Test
    void aFilletWithTheHandbooksMetalAndHeat() {
        assertThat(run(FILLET, "--set", "density=7.8333", "-")).isZero(); // 0.283 lb/in³
        JsonNode plan = JsonMapper.shared().readTree(out.toString());
        assertThat(plan.get("format").asString()).isEqualTo("mensor-plan/1");
        assertThat(plan.get("mark").asString()).isEqualTo("ST2-17");
        // welding handbooks: a 1/2 fillet weighs .425 lb/ft; 120 A, 23 V, 5 in/min is 33.1 kJ/in
        assertThat(plan.get("pounds").asDouble()).isCloseTo(.425, within(.001));
        assertThat(plan.get("heat").get(0).get("kJPerInch").asDouble()).isCloseTo(33.1, within(.05));
        assertThat(plan.get("constants").get("density").asDouble()).isEqualTo(7.833);
        assertThat(plan.get("beads").size()).isGreaterThan(3);
    }

    @Test
    void aGrooveIsPlannedWhateverBookJudgesIt() {
        assertThat(run(GROOVE, "-")).isZero();
        JsonNode plan = JsonMapper.shared().readTree(out.toString());
        double tan = Math.tan(Math.PI / 6);
        double cap = 2.0 / 3 * (3 + 16 * tan + 25.4 / 8) * 25.4 / 16;
        assertThat(plan.get("areaMm2").asDouble()).isCloseTo(30 + 64 * tan + cap, within(.001));
    }

    @Test
    void whatCannotBePlannedIsSaidOnOneLine() {
        assertThat(run(GROOVE.replace("\"V\"", "\"J\""), "-")).isEqualTo(3);
        assertThat(err.toString()).startsWith("-: joint.groove.prep:").hasLineCount(1);
        assertThat(out.toString()).isEmpty();
    }

    @Test
    void aWrongSettingIsRefused() {
        assertThat(run(FILLET, "--set", "density", "-")).isEqualTo(3);
        assertThat(run(FILLET, "--set", "colour=1", "-")).isEqualTo(3);
        assertThat(run(FILLET)).isEqualTo(3);
        assertThat(err.toString()).contains("NAME=NUMBER", "constants.colour", "name one or more");
    }
}
