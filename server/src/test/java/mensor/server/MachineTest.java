package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The register of machines, and what it makes of a reading at the machine. */
@ExtendWith(RunningMensor.class)
class MachineTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    private TestBrowser.Answer register(String form) {
        return ines.put("/api/machines/" + UUID.randomUUID(), "{'form':{" + form + "},'version':null}");
    }

    @Test
    void arcForceIsKeptAsAShareOfTheMachinesScale() {
        register("'name':'MT-1','modes':['SMAW','GMAW'],'arcForceLowest':-10,'arcForceHighest':10")
                .expect(200);
        String joint = ines.jointOf(ines.inspection("MT-A"));
        String pass =
                "'kind':'root','electrode':'E7018','diameter':'1/8','amps':122,'machine':'MT-1','arcForceShown':%s";
        JsonNode welding =
                ines.made(joint, "PASS", pass.formatted("0")).expect(200).json();
        assertThat(welding.get("entries").get(0).get("content").get("arcForce").asDouble())
                .isEqualTo(50);
        assertThat(ines.made(joint, "PASS", pass.formatted("30")).expect(422).text())
                .contains("-10 to 10");
        assertThat(ines.made(joint, "PASS", "'kind':'root','arcForceShown':3")
                        .expect(422)
                        .text())
                .contains("on which machine");
        assertThat(ines.made(joint, "PASS", "'kind':'root','machine':'nobody'")
                        .expect(422)
                        .text())
                .contains("no machine of this name");
    }

    @Test
    void aScaleOfWordsIsReadByItsWords() {
        register("'name':'MT-W','modes':['SMAW'],'arcForceWords':['soft','medium','crisp']")
                .expect(200);
        assertThat(register("'name':'MT-V','modes':['SMAW'],'arcForceWords':['soft']")
                        .expect(422)
                        .text())
                .contains("two words or more");
        String joint = ines.jointOf(ines.inspection("MT-F"));
        String pass = "'kind':'root','electrode':'E7018','diameter':'1/8','machine':'MT-W','arcForceWord':'%s'";
        assertThat(ines.made(joint, "PASS", pass.formatted("Crisp"))
                        .expect(200)
                        .json()
                        .get("entries")
                        .get(0)
                        .get("content")
                        .get("arcForce")
                        .asDouble())
                .isEqualTo(100);
        assertThat(ines.made(joint, "PASS", pass.formatted("hard")).expect(422).text())
                .contains("soft, medium, crisp");
    }

    @Test
    void aWrongPoleOrModeStopsTheStart() {
        register("'name':'MT-2','modes':['SMAW'],'checkedOn':'2026-05-04','displayAmps':120,'meterAmps':108")
                .expect(200);
        String joint = ines.jointOf(ines.inspection("MT-B"));
        String card =
                "'kind':'root','machine':'MT-2','mode':'%s','polarity':'%s','electrode':'E7018','diameter':'1/8','amps':122,'ovenHours':1,'clampClose':true,'rodsAtHand':true,'protectedNow':true";
        JsonNode good = ines.made(joint, "FIRST_ROD", card.formatted("SMAW", "DCEP"))
                .expect(200)
                .json()
                .get("firstRod");
        assertThat(good.get("stops").asBoolean()).isFalse();
        assertThat(good.get("lines").toString()).contains("11.1 % high");
        assertThat(good.get("protection")).isNotEmpty();
        assertThat(ines.made(joint, "FIRST_ROD", card.formatted("SMAW", "DCEN"))
                        .expect(200)
                        .json()
                        .get("firstRod")
                        .get("stops")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void squarenessIsReadBeforeAndAfterAndHeldAgainstTheDrawing() {
        String joint = ines.jointOf(ines.inspection("MT-E"));
        JsonNode welding = ines.made(
                        joint,
                        "SQUARENESS",
                        "'preset':'2','squareBefore':'-2','squareAfter':'1/8 over 3','squareAllowed':'1','tackedBothEnds':true")
                .expect(200)
                .json();
        assertThat(welding.get("squareness").get("lines").toString()).contains("4.4° toward the side welded first");
        assertThat(welding.get("departures").toString())
                .contains("2.4° toward the side welded first (1/8 in over 3 in)");
        assertThat(ines.made(joint, "SQUARENESS", "'squareAfter':'crooked'")
                        .expect(422)
                        .text())
                .contains("squareAfter")
                .contains("1/16 over 3");
    }

    @Test
    void whatElseWasSeenOfAPassIsKeptAndRefusedWhereItCannotBe() {
        String joint = ines.jointOf(ines.inspection("MT-D"));
        String pass = "'kind':'root','electrode':'E7018','diameter':'1/8','amps':130,";
        JsonNode content = ines.made(
                        joint,
                        "PASS",
                        pass
                                + "'ampsAtArc':115,'workAngle':45,'travelAngle':-5,'cover':60,'hotStart':30,'restarts':['8'],'changes':[{'at':'6','what':'amps','from':'130','to':'122'}],'angles':[{'at':'4','work':50,'travel':-5}]")
                .expect(200)
                .json()
                .get("entries")
                .get(0)
                .get("content");
        assertThat(content.get("changes").get(0).get("to").asString()).isEqualTo("122");
        assertThat(content.get("travelAngle").asInt()).isEqualTo(-5);
        assertThat(content.get("angles").get(0).get("work").asInt()).isEqualTo(50);
        for (String wrong : new String[] {
            "'cover':160",
            "'workAngle':120",
            "'restarts':['99']",
            "'angles':[{'at':'99','work':45}]",
            "'angles':[{'at':'4','work':145}]",
            "'changes':[{'at':'6','what':'hat','from':'1','to':'2'}]"
        }) {
            ines.made(joint, "PASS", pass + wrong).expect(422);
        }
    }

    @Test
    void whatIsSeenWhileWeldingIsKeptAsEvidence() {
        String inspection = ines.inspection("MT-C");
        String joint = ines.jointOf(inspection);
        JsonNode welding = ines.made(joint, "SIGHT", "'question':'slag-ahead','at':'12'")
                .expect(200)
                .json();
        assertThat(welding.get("sights")).hasSize(8);
        assertThat(ines.made(joint, "SIGHT", "'question':'rain'").expect(422).text())
                .contains("slag-ahead");
        assertThat(ines.made(joint, "SIGHT", "'question':'steady','at':'99'")
                        .expect(422)
                        .text())
                .contains("99");
        ines.add(inspection, "INDICATION", "'kind':'slag','from':'11','to':'13','trapped':true")
                .expect(200);
        assertThat(ines.get(inspection + "/causes").expect(200).text()).contains("seen while welding: slag runs ahead");
    }

    @Test
    void aMachineIsRegisteredOnceAndInWords() {
        register("'name':'MT-3','modes':['SMAW']").expect(200);
        assertThat(register("'name':'MT-3','modes':['SMAW']").expect(422).text())
                .contains("there is a machine of this name");
        assertThat(register("'name':'MT-4','modes':[]").expect(422).text()).contains("processes");
        assertThat(register("'name':'MT-4','modes':['SMAW'],'arcForceLowest':5,'arcForceHighest':1")
                        .expect(422)
                        .text())
                .contains("middle lies between");
        assertThat(RunningMensor.as("vera").get("/api/machines").status()).isEqualTo(403);
    }
}
