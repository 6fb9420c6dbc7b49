package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class InspectionFormatTest {
    /** One good document that uses most of the format; single quotes stand for double ones. */
    static final String GOOD = ("{'format':'mensor-inspection/1','criteria':'d1.1-static','units':'in',"
                    + "'joint':{'mark':'ST2-17','weldNo':'1','side':'arrow','datum':'north end','weld':'fillet','connection':'tee',"
                    + "'length':24,'size':'5/16','members':[{'name':'web','thickness':'3/8'},{'thickness':0.75}],"
                    + "'gaps':[{'from':10,'to':12,'opening':'1/8'}],'position':'2F','grade':'A36'},"
                    + "'conditions':{'cleaned':true,'ambient':true,'coated':false,'hoursSinceWelding':50.5},"
                    + "'clear':['crack','fusion'],'covered':[{'criterion':'root','by':'UT report 114'}],"
                    + "'readings':[{'at':1,'legA':'5/16','legB':'8mm','face':'flat','division':'1/64','gauge':'G4'},"
                    + "{'from':0,'to':24,'atLeast':'5/16'}],"
                    + "'indications':[{'kind':'undercut','toe':'A','from':3,'to':'4 1/2','depth':'1/32','division':'1/64'},"
                    + "{'kind':'porosity','at':7,'diameter':'1/16','count':3},{'kind':'crater','at':24,'depth':0},"
                    + "{'kind':'arc-strike','at':30,'ground':true,'checked':'VT'},{'kind':'not-as-drawn','what':'tab-left'}],"
                    + "'addenda':[{'id':'undercut.depth','max':'1/32','note':'client spec 4.2'},{'id':'porosity.none'}],"
                    + "'readingChoices':{'undercut':'per-toe'},"
                    + "'welding':{'passes':[{'pass':1,'kind':'root','electrode':'E7018','diameter':'1/8','amps':120,'polarity':'DCEP',"
                    + "'speed':'5 in/min','planned':true}],'signs':['ropy-bead'],'procedure':{'amps':{'root':[115,130]}}},"
                    + "'record':{'inspector':'A. Marsh','capacity':'QC','at':'2026-05-04T10:30:00Z','nde':[{'method':'MT','percent':10,'status':'due'}]}}")
            .replace('\'', '"');

    @Test
    void readsAGoodDocumentAndWritesItBackToTheSame() {
        InspectionDocument document = InspectionDocument.read("\uFEFF" + GOOD);
        InspectionDocument again = InspectionDocument.read(document.write());
        assertThat(again.write()).isEqualTo(document.write());
        assertThat(again.inspection().readings())
                .isEqualTo(document.inspection().readings());
        assertThat(again.inspection().indications())
                .isEqualTo(document.inspection().indications());
        assertThat(document.write()).contains("\"inspector\":\"A. Marsh\"").contains("\"legB\":\"8 mm\"");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                // what is replaced | with | the field named in the error
                "mensor-inspection/1 | mensor-inspection/2 | format",
                "'d1.1-static' | 'd1.1-imagined' | criteria",
                "'d1.1-static' | 'iso5817-b' | units",
                "'units':'in' | 'units':'ft' | units",
                "'units':'in' | 'units':null | units",
                "'mark':'ST2-17' | 'mark':' ' | joint.mark",
                "'mark':'ST2-17' | 'mark':7 | joint.mark",
                "'mark':'ST2-17', | EMPTY | joint.mark",
                "'length':24 | 'length':0 | joint.length",
                "'length':24 | 'length':'-24' | joint.length",
                "'length':24 | 'length':true | joint.length",
                "'length':24 | 'length':2.4e1 | joint.length",
                "'length':24 | 'length':'39371' | joint.length",
                "'length':24 | 'lenght':24 | joint.length",
                "'length':24 | 'length':24,'colour':'red' | joint.colour",
                "'length':24 | 'length':24,'length':25 | joint.length",
                "'size':'5/16' | 'size':'5/0' | joint.size",
                "'size':'5/16' | 'size':'5/16','throat':'7/32' | joint.throat",
                "'size':'5/16', | EMPTY | joint.size",
                "'size':'5/16' | 'size':'5/16','dihedral':120 | joint.sizeMeans",
                "'size':'5/16' | 'size':'5/16','dihedral':29 | joint.dihedral",
                "'size':'5/16' | 'size':'5/16','penetration':'cjp' | joint.penetration",
                "'size':'5/16' | 'size':'5/16','rootOpening':'1/8' | joint.gaps",
                "'size':'5/16' | 'size':'5/16','corner':'inside' | joint.corner",
                "'size':'5/16' | 'size':'5/16','use':'web-to-flange' | joint.flangeWidth",
                "'size':'5/16' | 'size':'5/16','segments':[{'from':0,'to':3},{'from':2,'to':5}] | joint.segments[1]",
                "'connection':'tee' | 'connection':'corner' | joint.corner",
                "'connection':'tee' | 'connection':'pipe-butt' | joint.connection",
                "'connection':'tee' | 'connection':'butterfly' | joint.connection",
                "'thickness':0.75 | 'thickness':0 | joint.members[1].thickness",
                "{'thickness':0.75} | {'thickness':1},{'thickness':1} | joint.members",
                "'opening':'1/8' | 'opening':'-1/8' | joint.gaps[0].opening",
                "'from':10,'to':12 | 'from':12,'to':10 | joint.gaps[0].to",
                "'position':'2F' | 'position':'9F' | joint.position",
                "'cleaned':true | 'cleaned':'yes' | conditions.cleaned",
                "'hoursSinceWelding':50.5 | 'hoursSinceWelding':-1 | conditions.hoursSinceWelding",
                "'clear':['crack' | 'clear':['size' | clear[0]",
                "'clear':['crack' | 'clear':['undercut' | clear[0]",
                "'clear':['crack' | 'clear':['all-else' | clear",
                "'clear':['crack' | 'clear':[null | clear[0]",
                "'criterion':'root' | 'criterion':'readiness' | covered[0].criterion",
                "'by':'UT report 114' | 'by':'' | covered[0].by",
                "'at':1,'legA' | 'at':25,'legA' | readings[0].at",
                "'at':1,'legA' | 'at':-1,'legA' | readings[0].at",
                "'legA':'5/16' | 'legA':'0' | readings[0].legA",
                "'legA':'5/16' | 'legs':'5/16' | readings[0].legs",
                "'face':'flat' | 'face':'wavy' | readings[0].face",
                "'from':0,'to':24,'atLeast' | 'from':0,'to':24,'at':3,'atLeast' | readings[1].at",
                "'atLeast':'5/16' | 'atLeast':'0 mm' | readings[1].atLeast",
                "'kind':'undercut' | 'kind':'scratch' | indications[0].kind",
                "'toe':'A' | 'toe':'C' | indications[0].toe",
                "'toe':'A', | EMPTY | indications[0].toe",
                "'depth':'1/32','division' | 'division' | indications[0].depth",
                "'depth':'1/32' | 'depth':'-1/32' | indications[0].depth",
                "'depth':'1/32' | 'depth':'1/32','count':2 | indications[0].count",
                "'from':3,'to':'4 1/2' | 'from':5,'to':'4 1/2' | indications[0].to",
                "'from':3,'to':'4 1/2' | 'from':3,'to':'24.5' | indications[0].to",
                "'from':3,'to':'4 1/2' | 'from':3,'to':'4 1/2','at':3 | indications[0].at",
                "'at':7,'diameter' | 'at':7,'from':6,'diameter' | indications[1].from",
                "'count':3 | 'count':2.5 | indications[1].count",
                "'count':3 | 'count':0 | indications[1].count",
                "'at':24,'depth':0 | 'at':24.1,'depth':0 | indications[2].at",
                "'checked':'VT' | 'checked':'UT' | indications[3].checked",
                "'at':30,'ground' | 'at':-30,'ground' | indications[3].at",
                "'what':'tab-left' | 'what':'ugly' | indications[4].what",
                "'max':'1/32' | 'max':'1/8' | addenda[0].max",
                "'max':'1/32' | 'limit':'1/32' | addenda[0].max",
                "{'id':'porosity.none'} | {'id':'porosity.none','max':'1'} | addenda[1].max",
                "{'id':'porosity.none'} | {'id':'undercut.depth','max':'1/32'} | addenda[1].id",
                "'undercut':'per-toe' | 'undercut':'never' | readingChoices.undercut",
                "'pass':1 | 'pass':1.5 | welding.passes[0].pass",
                "'speed':'5 in/min' | 'speed':'fast' | welding.passes[0].speed",
                "'amps':120 | 'amps':'120' | welding.passes[0].amps",
                "['ropy-bead'] | ['ugly'] | welding.signs[0]",
                "[115,130] | [130,115] | welding.procedure.amps.root",
                "'capacity':'QC' | 'capacity':'boss' | record.capacity",
                "'2026-05-04T10:30:00Z' | 'yesterday' | record.at",
                "'inspector':'A. Marsh' | 'inspector':5 | record.inspector",
                "'record': | 'records': | records",
            })
    void everyErrorNamesItsField(String what, String with, String field) {
        String quotedWhat = what.replace('\'', '"');
        String quotedWith = with.equals("EMPTY") ? "" : with.replace('\'', '"');
        assertThat(GOOD).contains(quotedWhat);
        assertThatThrownBy(() -> InspectionDocument.read(GOOD.replace(quotedWhat, quotedWith)))
                .isInstanceOfSatisfying(UnreadableInput.class, e -> {
                    assertThat(e.field()).isEqualTo(field);
                    assertThat(e.problem()).isNotBlank();
                });
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "nul", "[]", "7", "{", "{}", "{\"format\":NaN}", "{} {}", "\"x\""})
    void refusesWhatIsNoDocument(String text) {
        assertThatThrownBy(() -> InspectionDocument.read(text)).isInstanceOf(UnreadableInput.class);
    }

    /** A pipe butt by a metric book, with the measures that a groove has. */
    private static final String GROOVE = ("{'format':'mensor-inspection/1','criteria':'iso5817-c','units':'mm',"
                    + "'joint':{'mark':'P-1','weld':'groove','connection':'pipe-butt','penetration':'pjp','throat':5,'length':200,'closed':true,'oneSided':true,"
                    + "'groove':{'prep':'V','includedAngle':60,'rootFace':1,'rootOpening':2},'members':[{'name':'pipe','thickness':6},{'name':'elbow','thickness':'1/4in'}],'offsetMax':1},"
                    + "'conditions':{'cleaned':true,'ambient':true},'clear':['all-else'],"
                    + "'readings':[{'at':10,'reinforcement':-0.5,'faceWidth':12,'rootReinforcement':1,'rootWidth':4,'offset':0.5,'toeAngleA':120,'division':0.5},{'at':150,'throat':5,'convexity':1}],"
                    + "'indications':[{'kind':'incomplete-penetration','from':190,'to':5,'depth':0.5},{'kind':'overlap','toe':'B','from':3,'to':9,'depth':1},{'kind':'root-concavity','from':20,'to':30,'depth':0.4},"
                    + "{'kind':'misalignment','from':3,'to':9,'offset':1},{'kind':'underfill','from':40,'to':45}],'addenda':[{'id':'reinforcement.max','max':2,'note':'CS'}]}")
            .replace('\'', '"');

    /** A thousand random cuts, doublings and swaps of a good file: a verdict or a clear refusal, never anything else. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "d1.1-static in",
                "d1.1-cyclic mm",
                "d1.1-tubular in",
                "d1.1-welder-test in",
                "b31.3-normal in",
                "iso5817-d mm",
                "groove"
            })
    void randomMutationsNeverEscapeAsAnythingElse(String of) {
        String[] codeAndUnits = of.split(" ");
        String good = of.equals("groove")
                ? GROOVE
                : GOOD.replace("d1.1-static", codeAndUnits[0])
                        .replace("\"units\":\"in\"", "\"units\":\"" + codeAndUnits[1] + "\"");
        assertThat(judged(good)).as("the file itself").isNull();
        Random random = new Random(1906);
        int refused = 0;
        for (int i = 0; i < 1_000; i++) {
            String text = random.nextBoolean() ? garbled(good, random) : swapped(good, random);
            Throwable thrown = judged(text);
            if (thrown != null) {
                assertThat(thrown).as(text).isInstanceOf(UnreadableInput.class);
                assertThat(((UnreadableInput) thrown).getMessage()).doesNotContain("\n");
                refused++;
            }
        }
        assertThat(refused).isBetween(300, 999);
    }

    private static Throwable judged(String text) {
        return catchThrowable(() -> {
            InspectionDocument d = InspectionDocument.read(text);
            mensor.judge.Judge.evaluate(d.inspection(), d.book());
        });
    }

    private static String garbled(String good, Random random) {
        StringBuilder text = new StringBuilder(good);
        for (int n = 1 + random.nextInt(3); n > 0; n--) {
            int at = random.nextInt(text.length());
            switch (random.nextInt(4)) {
                case 0 -> text.deleteCharAt(at);
                case 1 -> text.insert(at, "{}[],:\"0-/ae.".charAt(random.nextInt(13)));
                case 2 -> text.setCharAt(at, (char) (32 + random.nextInt(90)));
                default -> text.insert(at, text.substring(at, Math.min(text.length(), at + random.nextInt(20))));
            }
        }
        return text.toString();
    }

    /** Still JSON, but a value stands where another stood, or a field is gone. */
    private static String swapped(String good, Random random) {
        String[] values = {
            "0", "-1", "1/64", "1e9", "true", "[]", "{}", "A", "999999", "1/3", "0.0001mm", "crack", "all-else", "null"
        };
        java.util.regex.Matcher m = java.util.regex.Pattern.compile(":(\"[^\"]*\"|-?[0-9.]+|true|false)")
                .matcher(good);
        java.util.List<int[]> places = new java.util.ArrayList<>();
        while (m.find()) {
            places.add(new int[] {m.start(1), m.end(1)});
        }
        int[] place = places.get(random.nextInt(places.size()));
        String value = values[random.nextInt(values.length)];
        boolean bare = value.matches("0|-1|true|\\[]|\\{}|999999|null");
        return good.substring(0, place[0]) + (bare ? value : "\"" + value + "\"") + good.substring(place[1]);
    }
}
