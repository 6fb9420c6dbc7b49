package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class WeldListTest {
    private static final String HEAD =
            "Mark;Weld No;Lot;Size;Length;Member A;Thickness A;Member B;Thickness B;Position;Welder;Colour\n";

    private final TestBrowser ines = RunningMensor.as("ines");

    private String job(String name) {
        return ines.post("/api/jobs", "{'name':'" + name + "','criteria':'d1.1-static','units':'in'}")
                .expect(200)
                .json()
                .get("id")
                .asString();
    }

    private JsonNode settled(String id) {
        for (int i = 0; i < 600; i++) {
            JsonNode view = ines.get("/api/weld-lists/" + id).expect(200).json();
            if (!Set.of("CHECKING", "STORING").contains(view.get("state").asString())) {
                return view;
            }
            pause();
        }
        throw new AssertionError("the list never came to an end");
    }

    private static void pause() {
        try {
            Thread.sleep(50);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private JsonNode check(String job, String list) {
        JsonNode begun = ines.postText("/api/jobs/" + job + "/weld-list", list)
                .expect(200)
                .json();
        return settled(begun.get("id").asString());
    }

    private long welds(String job) {
        return ines.get("/api/jobs/" + job).json().get("welds").asLong();
    }

    private static String row(String mark) {
        return mark + ";1;Deck;5/16;24;web;3/8;flange;3/4;2F;K7;red\n";
    }

    @Test
    void eachRowsProblemIsShownAndOnlyTheGoodOnesAreStoredWhenWanted() {
        String job = job("List job 1");
        JsonNode view = check(
                job,
                "\uFEFF" + HEAD + row("L1-1") + row("L1-2").replace("5/16", "5/0") + row("L1-1")
                        + row("L1-3").replace("2F", "9F") + row("L1-4"));
        assertThat(view.get("state").asString()).isEqualTo("CHECKED");
        assertThat(view.get("good").asInt()).isEqualTo(2);
        assertThat(view.get("bad").asInt()).isEqualTo(3);
        assertThat(view.get("ignored").toString()).isEqualTo("[\"Colour\"]");
        assertThat(view.get("shown")
                        .valueStream()
                        .filter(r -> r.has("problem"))
                        .map(r -> r.get("line").asInt() + " "
                                + r.get("problem").get("field").asString()))
                .containsExactly("3 size", "4 mark", "5 position");
        assertThat(welds(job)).as("nothing is stored unless wanted").isZero();
        ines.post("/api/weld-lists/" + view.get("id").asString() + "/store", null)
                .expect(200);
        assertThat(settled(view.get("id").asString()).get("state").asString()).isEqualTo("STORED");
        assertThat(welds(job)).isEqualTo(2);
        ines.post("/api/weld-lists/" + view.get("id").asString() + "/store", null)
                .expect(409);
        JsonNode again = check(job, HEAD + row("L1-1"));
        assertThat(again.get("bad").asInt()).as("it is in the job already").isEqualTo(1);
    }

    @Test
    void whatIsExportedComesBackIntoAnotherJob() {
        String from = job("List job 2");
        String to = job("List job 3");
        JsonNode view = check(from, HEAD + row("L2-1") + row("L2-2"));
        ines.post("/api/weld-lists/" + view.get("id").asString() + "/store", null)
                .expect(200);
        settled(view.get("id").asString());
        String list = ines.get("/api/jobs/" + from + "/weld-list").expect(200).text();
        assertThat(list).startsWith("\uFEFFmark,").contains("L2-1", "K7", "flange");
        JsonNode back = check(to, list);
        assertThat(back.get("good").asInt()).isEqualTo(2);
        assertThat(back.get("bad").asInt()).isZero();
    }

    @Test
    void aCancelledListStoresNothing() {
        String job = job("List job 4");
        StringBuilder list = new StringBuilder(HEAD);
        for (int i = 0; i < 3000; i++) {
            list.append(row("L4-" + i));
        }
        JsonNode view = check(job, list.toString());
        assertThat(view.get("good").asInt()).isEqualTo(3000);
        String id = view.get("id").asString();
        ines.post("/api/weld-lists/" + id + "/store", null).expect(200);
        ines.delete("/api/weld-lists/" + id).expect(200);
        assertThat(settled(id).get("state").asString()).isEqualTo("CANCELLED");
        assertThat(welds(job)).isZero();
        assertThat(ines.get("/api/joints?find=L4-").json().get("fitting").asInt())
                .isZero();
    }

    @Test
    void whatIsNoListIsRefusedInWordsAndOthersDoNotSeeIt() {
        String job = job("List job 5");
        assertThat(ines.postText("/api/jobs/" + job + "/weld-list", "nothing here")
                        .expect(422)
                        .detail())
                .contains("no column is headed \"mark\"");
        JsonNode view = check(job, HEAD + row("L5-1"));
        RunningMensor.as("tomas")
                .get("/api/weld-lists/" + view.get("id").asString())
                .expect(404);
        RunningMensor.as("vera")
                .postText("/api/jobs/" + job + "/weld-list", HEAD + row("L5-1"))
                .expect(403);
    }

    @Test
    void likeWeldsAreInspectedOnOneSheet() {
        String job = job("List job 6");
        JsonNode view = check(
                job,
                HEAD + row("L6-1") + row("L6-2") + row("L6-3") + row("L6-4").replace("5/16", "1/4"));
        ines.post("/api/weld-lists/" + view.get("id").asString() + "/store", null)
                .expect(200);
        settled(view.get("id").asString());
        JsonNode rows = ines.get("/api/joints?job=" + job).json().get("rows");
        assertThat(rows.get(0).get("alike").asInt()).isEqualTo(3);
        String inspection =
                "/api/inspections/" + rows.get(0).get("inspectionId").asString();
        JsonNode sheet = ines.get(inspection + "/sheet").expect(200).json();
        assertThat(sheet.get("lines")).hasSize(3);
        StringBuilder entries =
                new StringBuilder("{'kind':'READING','content':{'from':'0','to':'24','atLeast':'5/16'}}");
        sheet.get("clearable")
                .forEach(c -> entries.append(",{'kind':'CLEAR','content':{'criterion':'")
                        .append(c.get("id").asString())
                        .append("'}}"));
        String ids = "'" + id(sheet, 0) + "','" + id(sheet, 1) + "'";
        String common =
                "{'inspections':[" + ids + "],'conditions':" + TestBrowser.READY + ",'entries':[" + entries + "]}";
        JsonNode put = ines.post(inspection + "/sheet", common).expect(200).json();
        assertThat(put.get("lines").valueStream().map(l -> l.get("verdict").asString()))
                .containsExactly("accept", "accept", "incomplete");
        ines.post(inspection + "/sheet", common).expect(200);
        assertThat(ines.get("/api/inspections/" + id(sheet, 0)).json().get("entries"))
                .as("the same sheet twice records nothing twice")
                .hasSize(13);
        // an exception is opened by itself, and then is left off the sheet
        String third = "/api/inspections/" + id(sheet, 2);
        ines.add(third, "INDICATION", "'kind':'crack','at':'4'").expect(200);
        assertThat(ines.post(inspection + "/sheet", common.replace(ids, ids + ",'" + id(sheet, 2) + "'"))
                        .expect(409)
                        .detail())
                .contains("L6-3");
        JsonNode now = ines.get(inspection + "/sheet").json();
        String signs = "{'capacity':'QC','inspections':[{'inspectionId':'" + id(now, 0) + "','version':"
                + version(now, 0) + "},{'inspectionId':'" + id(now, 1) + "','version':" + version(now, 1) + "}]}";
        JsonNode signed =
                ines.post(inspection + "/sheet/sign", signs).expect(200).json();
        assertThat(signed.get("lines").valueStream().filter(l -> l.get("signed").asBoolean()))
                .hasSize(2);
        assertThat(ines.post(
                                inspection + "/sheet/sign",
                                "{'capacity':'QC','inspections':[{'inspectionId':'" + id(now, 2) + "','version':"
                                        + version(now, 2) + "}]}")
                        .status())
                .isEqualTo(409);
    }

    private static String id(JsonNode sheet, int n) {
        return sheet.get("lines").get(n).get("inspectionId").asString();
    }

    private static long version(JsonNode sheet, int n) {
        return sheet.get("lines").get(n).get("version").asLong();
    }
}
