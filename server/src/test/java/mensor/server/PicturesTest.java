package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A picture is measured in, marked, and taken over as an entry that says how far it may be off. */
@ExtendWith(RunningMensor.class)
class PicturesTest {
    private final TestBrowser ines = RunningMensor.as("ines");
    private final TestBrowser tomas = RunningMensor.as("tomas");

    /** A place of the plate, in mm, as a camera that leans sees it. */
    private static String seen(double x, double y) {
        double far = 1 + .0045 * y;
        return String.format(Locale.ROOT, "{'x':%.4f,'y':%.4f}", 640 + 10.4 * (x - 60) / far, 60 + 11.5 * y / far);
    }

    private static final String CARD = "'marks':[" + seen(20, 27) + "," + seen(100, 27) + "," + seen(100, 77) + ","
            + seen(20, 77) + "],'width':'80mm','height':'50mm'";

    private TestBrowser.Answer measure(String rest) {
        return ines.post("/api/pictures/measure", "{" + rest + "}");
    }

    @Test
    void aPoreBesideACardComesBackInEitherUnit() {
        String rim = IntStream.range(0, 6)
                .mapToObj(i -> seen(40 + 1.2 * Math.cos(i), 12.5 + 1.2 * Math.sin(i)))
                .collect(Collectors.joining(",", "'points':[", "]"));
        JsonNode mm = measure(CARD + ",'units':'mm','quantity':'diameter','pixels':1," + rim)
                .expect(200)
                .json();
        assertThat(mm.get("value").asDouble()).isCloseTo(2.4, within(.001));
        assertThat(mm.get("said").asString()).startsWith("2.40 mm ± ").endsWith("(95 %), from a picture");
        assertThat(mm.get("entered").asString()).isEqualTo("2.4mm");
        JsonNode in = measure(CARD + ",'units':'in','quantity':'diameter','pixels':1," + rim)
                .expect(200)
                .json();
        assertThat(in.get("value").asDouble()).isCloseTo(2.4 / 25.4, within(.0001));
        assertThat(in.get("u").asDouble()).isCloseTo(mm.get("u").asDouble() / 25.4, within(1e-6));
        JsonNode unsure = measure(CARD + ",'units':'mm','quantity':'diameter','pixels':4," + rim)
                .expect(200)
                .json();
        assertThat(unsure.get("u").asDouble()).isGreaterThan(3 * mm.get("u").asDouble());
    }

    @Test
    void twoPointsSetTheScaleAndWhatIsMissingIsSaid() {
        String two = "'marks':[{'x':100,'y':100},{'x':1100,'y':100}],'units':'in','distance':'2'";
        String ends = "'points':[{'x':0,'y':0},{'x':0,'y':500}]";
        assertThat(measure(two + ",'quantity':'distance'," + ends)
                        .expect(200)
                        .json()
                        .get("value")
                        .asDouble())
                .isCloseTo(1, within(1e-9));
        assertThat(measure(two + ",'quantity':'area'," + ends).expect(422).text())
                .contains("around it");
        assertThat(measure("'marks':[{'x':1,'y':1}],'units':'in','quantity':'distance'," + ends)
                        .expect(422)
                        .text())
                .contains("true length");
        assertThat(measure(two.replace("'2'", "'long'") + ",'quantity':'distance'," + ends)
                        .expect(422)
                        .text())
                .contains("distance");
        assertThat(measure(two + ",'quantity':'weight'," + ends).expect(422).text())
                .contains("smaller-leg");
        assertThat(measure(two + ",'quantity':'distance','points':[{'x':1e9,'y':0},{'x':1,'y':1}]")
                        .expect(422)
                        .text())
                .contains("pixels");
        assertThat(ines.get("/api/pictures/quantities").expect(200).json()).hasSize(7);
        assertThat(ines.get("/api/pictures/card").expect(200).text()).startsWith("%PDF");
    }

    @Test
    void whatIsTakenOverSaysHowFarItMayBeOff() {
        String inspection = ines.inspection("PI-2");
        ines.sound(inspection);
        ines.add(
                        inspection,
                        "INDICATION",
                        "'kind':'undercut','toe':'A','from':'3','to':'4','depth':'0.02in','division':'0.06in','gauge':'picture'")
                .expect(200);
        JsonNode bench = ines.get(inspection).expect(200).json();
        assertThat(bench.get("evaluation").get("verdict").asString())
                .as("a limit of 1/32 in, a picture that tells 0.06 in apart")
                .isEqualTo("incomplete");
    }

    @Test
    void marksStandApartFromThePictureAlsoOnceItIsSigned() {
        String inspection = ines.inspection("PI-1");
        ines.sound(inspection);
        String photo = inspection + "/photos/" + UUID.randomUUID();
        ines.putBytes(photo + "?at=3", PhotosTest.picture("png", 90, 60)).expect(200);
        ines.sign(inspection, "accept").expect(200);
        byte[] before = ines.bytes(photo);
        String mark = photo + "/marks/" + UUID.randomUUID();
        String note = "{'kind':'note','said':'the crater was ground','points':[{'x':10,'y':20}]}";
        ines.put(mark, note).expect(200);
        ines.put(mark, note).expect(200);
        JsonNode all = tomas.get(photo + "/marks").expect(200).json();
        assertThat(all).hasSize(1);
        assertThat(all.get(0).get("said").asString()).isEqualTo("the crater was ground");
        assertThat(all.get(0).get("by").asString()).isEqualTo("ines");
        tomas.delete(mark).expect(404);
        tomas.put(mark, note).expect(409);
        RunningMensor.as("vera").put(mark, note).expect(403);
        ines.put(photo + "/marks/" + UUID.randomUUID(), "{'kind':'arrow','said':'here','points':[{'x':1,'y':2}]}")
                .expect(422);
        ines.put(photo + "/marks/" + UUID.randomUUID(), "{'kind':'song','said':'la'}")
                .expect(422);
        assertThat(ines.bytes(photo)).isEqualTo(before);
        String job = "/api/jobs/"
                + ines.get("/api/joints?find=PI-1&group=all")
                        .json()
                        .get("rows")
                        .get(0)
                        .get("jobId")
                        .asString();
        assertThat(ines.get(job + "/chain/check").expect(200).text()).doesNotContain("\"fault\"");
        ines.delete(mark).expect(200);
        assertThat(ines.get(photo + "/marks").json()).isEmpty();
    }
}
