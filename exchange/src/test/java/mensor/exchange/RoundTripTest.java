package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import mensor.inspection.Indication;
import mensor.inspection.Reading;
import mensor.inspection.Verdict;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is read is written so that it reads back the same: each kind of indication, each field of a joint and a reading. */
class RoundTripTest {
    private static String document(String joint, String rest) {
        return ("{'format':'mensor-inspection/1','criteria':'d1.1-static','units':'in','joint':{'mark':'J1','weld':'fillet',"
                        + "'connection':'tee','length':24,'size':'5/16','members':[{'name':'web','thickness':'3/8'},{'name':'flange','thickness':'3/4'}]"
                        + joint + "}" + rest + "}")
                .replace('\'', '"');
    }

    static Stream<String> indications() {
        return Stream.of(
                "'kind':'crack','at':3",
                "'kind':'crack','from':3,'to':4,'where':'toe'",
                "'kind':'crack','at':40,'where':'base'",
                "'kind':'incomplete-fusion','from':3,'to':4",
                "'kind':'overlap','toe':'A','from':3,'to':4",
                "'kind':'overlap','toe':'B','from':3,'to':4,'depth':'1/64','division':'1/64'",
                "'kind':'undercut','toe':'root','from':3,'to':4,'depth':'.03'",
                "'kind':'undersize','from':3,'to':4,'least':'7mm'",
                "'kind':'porosity','at':3,'diameter':'1/16','count':3",
                "'kind':'porosity','from':3,'to':4,'diameter':'2.4mm','division':'0.5mm'",
                "'kind':'crater','at':24",
                "'kind':'crater','at':24,'depth':'1/32'",
                "'kind':'arc-strike','at':25,'ground':true,'checked':'PT'",
                "'kind':'arc-strike','at':25",
                "'kind':'slag','from':3,'to':4,'trapped':true",
                "'kind':'slag','from':3,'to':4",
                "'kind':'spatter','from':3,'to':4,'loose':true",
                "'kind':'underfill','from':3,'to':4,'depth':'1/3'",
                "'kind':'incomplete-penetration','from':3,'to':4",
                "'kind':'melt-through','from':3,'to':4,'depth':'1/8'",
                "'kind':'root-concavity','from':3,'to':4,'depth':'1/8','division':'1/64'",
                "'kind':'burn-through','at':3",
                "'kind':'misalignment','from':3,'to':4,'offset':'1/16'",
                "'kind':'short-weld','missing':'1 1/2'",
                "'kind':'not-as-drawn','what':'missing-return','at':24",
                "'kind':'not-as-drawn','what':'extra-weld'");
    }

    @ParameterizedTest
    @MethodSource("indications")
    void everyKindOfIndication(String fields) {
        InspectionDocument read = InspectionDocument.read(document("", ",'indications':[{" + fields + "}]"));
        InspectionDocument again = InspectionDocument.read(read.write());
        assertThat(again.inspection().indications()).isEqualTo(read.inspection().indications());
        Indication i = read.inspection().indications().get(0);
        assertThat(fields).contains("'" + i.kind().id() + "'");
        assertThat(Judge.evaluate(read.inspection(), read.book())
                        .finding(i.criterion().id()))
                .isPresent();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "'at':3,'legA':'5/16','legB':'8mm','throat':'7/32','face':'concave','concavity':'1/64','faceWidth':'1/2'",
                "'at':3,'convexity':0,'division':'1/64','gauge':'G4'",
                "'at':3,'reinforcement':'-1/64','rootReinforcement':'1/32','rootWidth':'1/4','offset':0",
                "'at':3,'toeAngleA':110,'toeAngleB':120.5",
                "'from':0,'to':24,'atLeast':'5/16','face':'flat'",
            })
    void everyFieldOfAReading(String fields) {
        InspectionDocument read = InspectionDocument.read(document("", ",'readings':[{" + fields + "}]"));
        InspectionDocument again = InspectionDocument.read(read.write());
        assertThat(again.inspection().readings()).isEqualTo(read.inspection().readings());
        for (String f : List.of("legA", "throat", "convexity", "rootWidth", "toeAngleB", "atLeast", "gauge")) {
            assertThat(read.write().contains("\"" + f + "\"")).isEqualTo(fields.contains("'" + f + "'"));
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                ",'closed':true,'segments':[{'from':22,'to':2},{'from':5,'to':8}]",
                ",'dihedral':120,'sizeMeans':'perpendicular','legs':'perpendicular'",
                ",'gaps':[{'from':10,'to':12,'opening':'1/8'}]",
                ",'rootOpening':'1/32'",
                ",'use':'web-to-flange','flangeWidth':4,'girderEnds':'both'",
                ",'primary':true,'transverseTension':false,'oneSided':true,'flush':true,'faying':true",
                ",'grade':'A514','delayed':true,'position':'3F','side':'other','weldNo':'2','datum':'north end','offsetMax':'1/16'",
                ",'testPiece':'break'",
                ",'closed':true,'clock':{'diameter':'7 5/8','datum':'6:00','direction':'counterclockwise'},'position':'5F'",
                ",'closed':true,'clock':{'datum':'12:00','direction':'clockwise','turned':true},'position':'2F'",
            })
    void everyFieldOfAJoint(String fields) {
        InspectionDocument read = InspectionDocument.read(document(fields, ""));
        InspectionDocument again = InspectionDocument.read(read.write());
        assertThat(again.write()).isEqualTo(read.write());
        for (String name : fields.replaceAll("\\[.*?]", "").split(",")) {
            if (name.contains(":")) {
                assertThat(read.write())
                        .contains(name.substring(0, name.indexOf(':')).replace('\'', '"'));
            }
        }
    }

    @Test
    void aMetricDocumentKeepsItsUnits() {
        InspectionDocument d = InspectionDocument.read(document("", "")
                .replace("\"units\":\"in\"", "\"units\":\"mm\"")
                .replace("\"length\":24", "\"length\":600")
                .replace("\"5/16\"", "8")
                .replace("\"3/8\"", "10")
                .replace("\"3/4\"", "20"));
        assertThat(d.inspection().units()).isEqualTo(Unit.MILLIMETRE);
        assertThat(d.inspection().joint().length()).isEqualTo(Length.millimetres("600"));
        assertThat(d.write()).contains("\"length\":\"600 mm\"");
    }

    @Test
    void bareNumbersAreTheirDecimalText() {
        InspectionDocument d = InspectionDocument.read(document("", ",'readings':[{'at':0.1,'legA':0.3,'legB':0.3}]"));
        Reading.Station s = (Reading.Station) d.inspection().readings().get(0);
        assertThat(s.at()).as("a tenth, not the nearest double").isEqualByComparingTo(Length.inches(1, 10));
        assertThat(s.legA().orElseThrow().times(10)).isEqualByComparingTo(Length.inches(3));
    }

    @Test
    void canonicalTextDoesNotDependOnTheOrderOfFields() {
        String a = InspectionParts.canonical("{\"b\":[1,2],\"a\":{\"y\":\"é\",\"x\":null}}");
        assertThat(a).isEqualTo("{\"a\":{\"x\":null,\"y\":\"é\"},\"b\":[1,2]}");
        assertThat(InspectionParts.canonical("{\"a\":{\"x\":null,\"y\":\"\\u00e9\"}, \"b\": [1, 2]}"))
                .isEqualTo(a);
    }

    @Test
    void theExampleInTheDocsIsARejectOfUndercut() throws IOException {
        InspectionDocument d =
                InspectionDocument.read(Files.readString(Path.of("..", "docs", "examples", "ST2-17.json")));
        var evaluation = Judge.evaluate(d.inspection(), d.book());
        assertThat(evaluation.verdict()).isEqualTo(Verdict.REJECT);
        assertThat(evaluation.rejected())
                .singleElement()
                .satisfies(f -> assertThat(f.id()).isEqualTo("undercut"));
    }

    @Test
    void allElseReachesWhatHasNoIndication() {
        InspectionDocument d =
                InspectionDocument.read(document("", ",'clear':['all-else'],'indications':[{'kind':'crack','at':3}]"));
        var e = Judge.evaluate(d.inspection(), d.book());
        assertThat(e.finding("crack").orElseThrow().verdict()).isEqualTo(Verdict.REJECT);
        assertThat(e.finding("undercut").orElseThrow().verdict()).isEqualTo(Verdict.ACCEPT);
        assertThat(e.finding("size").orElseThrow().verdict())
                .as("a size is measured, not cleared")
                .isEqualTo(Verdict.INCOMPLETE);
    }
}
