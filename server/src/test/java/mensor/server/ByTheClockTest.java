package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A pipe weld told by the clock, from set-up to the ticket; 24 in around, so that an hour is 2 in. */
@ExtendWith(RunningMensor.class)
class ByTheClockTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    private String pipe(String mark, String clock) {
        ines.post("/api/jobs", "{'name':'Pipes " + mark + "','criteria':'d1.1-tubular','units':'in'}")
                .expect(200);
        return ines.post(
                        "/api/joints",
                        "{'job':'Pipes " + mark + "','lot':'','welder':'D5','joint':{'mark':'" + mark
                                + "','weld':'groove','connection':'pipe-butt','length':'24','closed':true," + clock
                                + "'penetration':'cjp','oneSided':true,'position':'6G','datum':'top',"
                                + "'members':[{'name':'lower','thickness':'1/2'},{'name':'upper','thickness':'1/2'}]}}")
                .expect(200)
                .json()
                .get("inspectionId")
                .asString();
    }

    @Test
    void whatIsTypedByTheClockIsKeptAsALengthAndShownBothWays() {
        String inspection = "/api/inspections/" + pipe("BC-1", "'clock':{'diameter':'7 5/8','datum':'12:00'},");
        ines.put(inspection + "/conditions", TestBrowser.READY);
        ines.add(inspection, "INDICATION", "'kind':'incomplete-fusion','from':'5:45','to':'6:15'")
                .expect(200);
        JsonNode bench = ines.get(inspection).expect(200).json();
        JsonNode content = bench.get("entries").get(0).get("content");
        assertThat(content.get("from").asString()).isEqualTo("11 1/2");
        assertThat(content.get("to").asString()).isEqualTo("12 1/2");
        assertThat(bench.get("strip").get("clock")).hasSize(12);
        assertThat(bench.get("evaluation").get("findings").toString()).contains("11 1/2–12 1/2 (5:45–6:15)");
        JsonNode line = ines.post(inspection + "/lines", "{'lines':['uc a 4:30-5 1/32','crack 6:00'],'before':''}")
                .expect(200)
                .json();
        assertThat(line.get(0).get("entries").get(0).get("content").get("from").asString())
                .isEqualTo("9");
        assertThat(line.get(1).get("entries").get(0).get("content").get("at").asString())
                .isEqualTo("12");
    }

    @Test
    void withoutAClockATimeIsRefusedInWords() {
        String inspection = "/api/inspections/" + pipe("BC-2", "");
        assertThat(ines.add(inspection, "INDICATION", "'kind':'crack','at':'6:00'")
                        .expect(422)
                        .text())
                .contains("time of the clock");
    }

    @Test
    void aClockThatCannotBeIsRefusedAtSetUp() {
        assertThat(ines.post(
                                "/api/joints",
                                "{'job':'Pipes BC-3','criteria':'d1.1-tubular','units':'in','joint':{'mark':'BC-3','weld':'groove',"
                                        + "'connection':'pipe-butt','length':'24','closed':true,'clock':{'datum':'25:00'},'penetration':'cjp',"
                                        + "'members':[{'thickness':'1/2'},{'thickness':'1/2'}]}}")
                        .expect(422)
                        .text())
                .contains("clock.datum", "12:00");
    }
}
