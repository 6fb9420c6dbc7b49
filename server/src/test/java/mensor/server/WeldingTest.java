package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningMensor.class)
class WeldingTest {
    private static final String COLD = "'kind':'root','electrode':'E7018','diameter':'1/8','amps':80,'polarity':'DCEP'";

    private static TestBrowser.Answer record(TestBrowser who, String inspection, String welding) {
        long version = who.get(inspection)
                .expect(200)
                .json()
                .get("welding")
                .get("version")
                .asLong();
        return who.put(inspection + "/welding", "{'version':" + version + ",'welding':" + welding + "}");
    }

    private static JsonNode leading(TestBrowser who, String inspection) {
        return who.get(inspection + "/causes")
                .expect(200)
                .json()
                .get("defects")
                .get(0)
                .get("causes")
                .get(0);
    }

    @Test
    void aColdPassIsSaidAtOnceAndLeadsTheCauses() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("W1");
        ines.add(inspection, "INDICATION", "'kind':'incomplete-fusion','from':'10','to':'12'")
                .expect(200);
        ines.made(ines.jointOf(inspection), "PASS", COLD).expect(200);
        JsonNode bench = ines.get(inspection).expect(200).json();
        assertThat(bench.get("welding").get("departures").get(0).get("line").asString())
                .isEqualTo("1/8 in E7018 at 80 A: the rod's range is 115–165 A");
        assertThat(leading(ines, inspection).get("id").asString()).isEqualTo("current-low");
        assertThat(leading(ines, inspection).get("speaksFor").toString()).contains("115–165 A");
    }

    @Test
    void anAnsweredSignMovesTheRankingEvenAfterTheSignature() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("W2");
        ines.add(inspection, "INDICATION", "'kind':'slag','from':'10','to':'12','trapped':true")
                .expect(200);
        ines.sign(inspection, "reject").expect(200);
        String sum = ines.get(inspection).json().get("signature").get("sha256").asString();
        TestBrowser rufus = RunningMensor.as("rufus");
        record(rufus, inspection, "{'signs':['slag-ahead-of-pool']}").expect(200);
        assertThat(leading(rufus, inspection).get("id").asString()).isEqualTo("travel-angle");
        assertThat(ines.get(inspection).json().get("signature").get("sha256").asString())
                .as("the record stays frozen")
                .isEqualTo(sum);
    }

    @Test
    void badRecordsAreRefusedByFieldAndStaleOnesByVersion() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("W3");
        TestBrowser.Answer bad =
                ines.made(ines.jointOf(inspection), "PASS", "'amps':-3").expect(422);
        assertThat(bad.json().get("errors").get(0).get("field").asString()).isEqualTo("amps");
        record(ines, inspection, "{'signs':['ugly']}").expect(422);
        record(ines, inspection, "{'arcLength':'long'}").expect(200);
        assertThat(ines.put(inspection + "/welding", "{'version':0,'welding':{}}")
                        .expect(409)
                        .detail())
                .contains("somebody changed");
        RunningMensor.as("vera")
                .put(inspection + "/welding", "{'version':1,'welding':{}}")
                .expect(403);
    }

    @Test
    void theExportedFileCarriesTheRecord() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("W4");
        ines.made(ines.jointOf(inspection), "PASS", COLD).expect(200);
        var document = mensor.exchange.InspectionDocument.read(
                ines.get(inspection + "/document").expect(200).text());
        assertThat(document.inspection().welding().passes()).hasSize(1);
    }
}
