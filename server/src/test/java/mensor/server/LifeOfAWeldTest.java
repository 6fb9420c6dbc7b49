package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.LongStream;
import mensor.exchange.InspectionDocument;
import mensor.judge.Judge;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * Welds through whatever may happen to them, in an order nobody thought of: each step is done or refused with a reason; what was
 * signed stays as it was signed; the list, the bench and the chain say the same.
 */
@ExtendWith(RunningMensor.class)
class LifeOfAWeldTest {
    private static final int STEPS = Integer.getInteger("life.steps", 45);
    private static final byte[] PDF = "%PDF-1.4 a document".getBytes(StandardCharsets.US_ASCII);
    private static final List<String> SEEN = List.of(
            "'kind':'undercut','toe':'A','from':'2','to':'3','depth':'1/64'",
            "'kind':'undercut','toe':'A','from':'2','to':'3','depth':'1/8'",
            "'kind':'slag','from':'10','to':'11','trapped':true",
            "'kind':'crack','from':'14','to':'15','where':'throat'",
            "'kind':'porosity','at':'18','diameter':'1/32'");
    private static final String SURE = "&number=E-1&engineer=P.%20Quill&date=2026-01-05";

    private final TestBrowser ines = RunningMensor.as("ines");
    private final TestBrowser rufus = RunningMensor.as("rufus");
    private final TestBrowser wanda = RunningMensor.as("wanda");

    /** What was signed, by the inspection's path: the record as its bytes came first. */
    private final Map<String, String> signed = new HashMap<>();

    /** What could be done at all: a walk that only met refusals would show nothing. */
    private final Map<String, Integer> done = new HashMap<>();

    private Random random;

    private boolean did(String what, TestBrowser.Answer answer) {
        assertThat(answer.status()).as(what + ": " + answer.text()).isLessThan(500);
        boolean ok = answer.status() < 300;
        if (ok) {
            done.merge(what, 1, Integer::sum);
        } else {
            assertThat(answer.text()).as("refused with a reason").contains("detail");
        }
        return ok;
    }

    private String seen(String inspection) {
        did("indication", ines.add(inspection, "INDICATION", SEEN.get(random.nextInt(SEEN.size()))));
        return inspection;
    }

    private String readings(String inspection) {
        ines.put(
                inspection + "/conditions",
                "{'cleaned':true,'ambient':true,'coated':false,'light':true,'near':true,'inCalibration':true,"
                        + "'reverseFace':true,'groundPlaces':true}");
        for (String c : TestBrowser.CLEARABLE) {
            ines.add(inspection, "CLEAR", "'criterion':'" + c + "'");
        }
        did("reading", ines.add(inspection, "READING", "'from':'0','to':'24','atLeast':'5/16'"));
        return inspection;
    }

    private String withdrawnOrRestored(String inspection) {
        List<JsonNode> entries = new ArrayList<>();
        ines.get(inspection).expect(200).json().get("entries").forEach(entries::add);
        if (!entries.isEmpty()) {
            JsonNode e = entries.get(random.nextInt(entries.size()));
            String path = inspection + "/entries/" + e.get("id").asString();
            if (e.get("withdrawn").asBoolean()) {
                did("restored", ines.post(path + "/restore", "{}"));
            } else {
                did(
                        "withdrawn",
                        ines.delete(path + "?version=" + e.get("version").asLong()));
            }
        }
        return inspection;
    }

    private String sign(String inspection) {
        JsonNode bench = ines.get(inspection).expect(200).json();
        String verdict = bench.get("evaluation").get("verdict").asString();
        if (did("signed as " + verdict, ines.sign(inspection, verdict))) {
            assertThat(verdict).isNotEqualTo("incomplete");
            String record = ines.get(inspection + "/record").expect(200).text();
            assertThat(signed.put(inspection, record)).as("signed once").isNull();
            assertThat(record).contains("\"verdict\":\"" + verdict + "\"");
        }
        return inspection;
    }

    private String amended(String inspection) {
        TestBrowser.Answer next = ines.post(inspection + "/amend", "{'reason':'looked again'}");
        return did("amended", next)
                ? "/api/inspections/" + next.json().get("id").asString()
                : inspection;
    }

    private String repairedOrAccepted(String inspection) {
        boolean asItIs = random.nextInt(4) == 0;
        for (JsonNode d : ines.get(inspection + "/defects").expect(200).json().get("defects")) {
            String defect = "/api/defects/" + d.get("id").asString();
            String span = Optional.ofNullable(d.get("place"))
                    .filter(p -> !p.isNull())
                    .map(p -> p.asString().split("–"))
                    .filter(p -> p.length == 2)
                    .map(p -> "'from':'" + p[0] + "','to':'" + p[1] + "'")
                    .orElse("'from':'1','to':'23'");
            if (asItIs) {
                did("as it is", rufus.put(defect + "/disposition", "{'decision':'accept-as-is','note':'low stress'}"));
                did("document", wanda.putBytes(defect + "/holds/accept-as-is/document?name=e.pdf" + SURE, PDF));
                continue;
            }
            did("disposition", rufus.put(defect + "/disposition", "{'decision':'remove-and-reweld'}"));
            did("steel", wanda.putBytes(defect + "/holds/steel/document?name=mill.pdf" + SURE, PDF));
            did("rod", wanda.putBytes(defect + "/holds/rod/document?name=wps.pdf" + SURE, PDF));
            did("extent", rufus.put(defect + "/steps/extent-known", "{" + span + ",'foundBy':'MT'}"));
            did(
                    "excavated",
                    rufus.put(defect + "/steps/excavated", "{'from':'0','to':'24','method':'wheel','depth':'1/4'}"));
            did(
                    "cavity",
                    ines.put(
                            defect + "/steps/cavity-accepted",
                            "{'clean':true,'seenBy':'ines','proof':'MT','proofReport':'MT 7'}"));
            did(
                    "welded",
                    rufus.put(
                            defect + "/steps/welded",
                            "{'welder':'K7','rod':'E7018','diameter':'1/8','preheat':80,'weldedAt':'" + Instant.now()
                                    + "'}"));
            did("ready", rufus.put(defect + "/steps/ready-to-inspect", "{'cleaned':true,'cooled':true}"));
        }
        return inspection;
    }

    private String inspectedAgain(String inspection) {
        TestBrowser.Answer again = ines.post(inspection + "/re-inspection", "{}");
        return did("inspected again", again)
                ? "/api/inspections/" + again.json().get("inspectionId").asString()
                : inspection;
    }

    /** Mostly what can be done now, now and then what cannot. */
    private String step(String inspection) {
        boolean open = !signed.containsKey(inspection);
        int what = random.nextInt(10) == 0 ? random.nextInt(16) : open ? random.nextInt(8) : 8 + random.nextInt(8);
        return switch (what) {
            case 0, 1 -> seen(inspection);
            case 2, 3 -> readings(inspection);
            case 4 -> withdrawnOrRestored(inspection);
            case 5, 6, 7 -> sign(inspection);
            case 8, 9 -> amended(inspection);
            case 10, 11, 12 -> repairedOrAccepted(inspection);
            default -> inspectedAgain(inspection);
        };
    }

    private void agreed(String mark, String newest) {
        JsonNode bench = ines.get(newest).expect(200).json();
        String verdict = bench.get("evaluation").get("verdict").asString();
        JsonNode rows = ines.get("/api/joints?group=all&find=" + mark)
                .expect(200)
                .json()
                .get("rows");
        assertThat(rows).hasSize(1);
        JsonNode row = rows.get(0);
        assertThat(newest)
                .as("the newest is listed")
                .endsWith(row.get("inspectionId").asString());
        assertThat(row.get("verdict").asString()).as(mark + ", list and bench").isEqualTo(verdict);
        boolean isSigned = bench.get("state").asString().equals("SIGNED");
        assertThat(row.get("signed").asBoolean()).isEqualTo(isSigned);
        assertThat(row.get("next").asString()).isEqualTo(bench.get("next").asString());
        if (!isSigned) {
            assertThat(row.get("group").asString())
                    .as("open, and so to be worked on")
                    .isNotEqualTo("done");
            return;
        }
        boolean closed = true;
        for (JsonNode d : ines.get(newest + "/defects").expect(200).json().get("defects")) {
            closed &= d.get("state").asString().equals("closed");
        }
        assertThat(row.get("group").asString().equals("done"))
                .as(mark + " is done where it is accepted, or each of its places by the Engineer: " + row + " "
                        + ines.get(newest + "/defects").text())
                .isEqualTo(verdict.equals("accept") || closed);
    }

    /** Each record reads as it read first, the bench shows what it says, and its file, judged by itself, comes to the same. */
    private void stoodAsSigned() {
        signed.forEach((inspection, record) -> {
            assertThat(ines.get(inspection + "/record").expect(200).text()).isEqualTo(record);
            JsonNode bench = ines.get(inspection).expect(200).json();
            String verdict = bench.get("evaluation").get("verdict").asString();
            assertThat(record).contains("\"verdict\":\"" + verdict + "\"");
            InspectionDocument file = InspectionDocument.read(
                    ines.get(inspection + "/document").expect(200).text());
            assertThat(Judge.evaluate(file.inspection(), file.book()).verdict().id())
                    .as(record)
                    .isEqualTo(verdict);
        });
    }

    static LongStream seeds() {
        return LongStream.rangeClosed(Integer.getInteger("life.first", 1), Integer.getInteger("life.walks", 1));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whateverHappens(long seed) {
        random = new Random(seed);
        RunningMensor.as("quinn")
                .post("/api/jobs", "{'name':'Life " + seed + "','criteria':'d1.1-static','units':'in'}")
                .expect(200);
        List<String> newest = new ArrayList<>();
        for (int w = 0; w < 3; w++) {
            newest.add(ines.inspection("LIFE-" + seed + "-" + w, "Life " + seed));
        }
        String job = "/api/jobs/"
                + ines.get("/api/joints?group=all&find=LIFE-" + seed + "-0")
                        .json()
                        .get("rows")
                        .get(0)
                        .get("jobId")
                        .asString();
        for (int i = 0; i < STEPS; i++) {
            int w = random.nextInt(newest.size());
            newest.set(w, step(newest.get(w)));
            agreed("LIFE-" + seed + "-" + w, newest.get(w));
            assertThat(ines.get(job + "/chain/check").expect(200).text())
                    .as("step " + i)
                    .doesNotContain("\"fault\"");
        }
        stoodAsSigned();
        if (seed == 1) {
            assertThat(done.keySet())
                    .as("what the walk came through")
                    .contains("signed as reject", "amended", "welded", "inspected again");
        }
    }
}
