package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.LoggedPass;
import mensor.weld.Member;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.Procedure;
import mensor.weld.Range;
import mensor.weld.RodClock;
import mensor.weld.Steel;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeldingPartsTest {
    private static final Joint JOINT = new JointBuilder("FB-1", WeldType.FILLET, Connection.TEE, Length.inches(24))
            .members(new Member("web", Length.inches(1, 2)))
            .size(Length.inches(5, 16))
            .build();

    private static String json(String quoted) {
        return quoted.replace('\'', '"');
    }

    @Test
    void aPassWithWhatOnlyTheShopFloorAsks() {
        LoggedPass p = WeldingParts.pass(
                json(
                        "{'kind':'root','electrode':'E7018','diameter':'1/8','amps':120,'speed':'5 in/min','temperatureF':160,'starts':['0','8 1/2'],'stops':['8 1/2','24'],"
                                + "'beadWidth':'5/16','cleaned':true,'welder':'K7','plannedFields':['diameter']}"),
                Unit.INCH,
                JOINT);
        assertThat(p.stops()).containsExactly(Length.inches(17, 2), Length.inches(24));
        assertThat(p.temperatureF()).hasValue(160);
        assertThat(p.measured().diameter()).isEmpty();
        assertThat(p.measured().speed()).hasValue(127);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'starts':['25']} | starts",
                "{'plannedFields':['welder']} | plannedFields",
                "{'cleaned':'yes'} | cleaned",
                "{'amps':'hot'} | amps",
                "{'colour':'red'} | colour"
            })
    void aPassThatCannotBeIsRefusedAtItsField(String pass, String field) {
        assertThatThrownBy(() -> WeldingParts.pass(json(pass), Unit.INCH, JOINT))
                .isInstanceOfSatisfying(
                        UnreadableInput.class, e -> assertThat(e.field()).startsWith(field));
    }

    private static Pass recorded(String pass) {
        return WeldingParts.pass(json(pass), Unit.INCH, JOINT).recorded();
    }

    @Test
    void aRecordHoldsOnlyWhatWasMeasured() {
        assertThat(
                        recorded(
                                "{'kind':'root','electrode':'E7018','amps':120,'volts':22,'starts':['1'],'plannedFields':['volts']}"))
                .isEqualTo(recorded("{'kind':'root','electrode':'E7018','amps':120}"));
        Pass whole = recorded(
                "{'kind':'root','electrode':'E7018','amps':120,'cleaned':true,'plannedFields':['amps','electrode']}");
        assertThat(whole).isEqualTo(recorded("{'kind':'root','electrode':'E7018','amps':120,'planned':true}"));
        assertThat(whole.planned()).isTrue();
        assertThat(recorded("{'electrode':'E7018','temperatureF':150,'plannedFields':['temperatureF','electrode']}")
                        .planned())
                .as("the temperature is no field of the record")
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'at':'25','opening':'1/8'} | at",
                "{'from':'4','to':'3','opening':'1/8'} | to",
                "{'at':'3'} | opening",
                "{'at':'3','opening':'-1/8'} | opening",
                "{'opening':'1/8'} | at"
            })
    void aFitUpReadingThatCannotBeIsRefusedAtItsField(String reading, String field) {
        assertThatThrownBy(() -> WeldingParts.fitUpReading(json(reading), Unit.INCH, JOINT))
                .isInstanceOfSatisfying(
                        UnreadableInput.class, e -> assertThat(e.field()).isEqualTo(field));
    }

    @Test
    void aCanOfRodsAndItsOutings() {
        RodClock clock = WeldingParts.rods(
                json(
                        "{'electrode':'E7018','outings':[{'out':'2026-05-12T08:00:00Z','back':'2026-05-12T09:00:00Z'},{'out':'2026-05-12T10:00:00Z'}]}"));
        assertThat(clock.out(Instant.parse("2026-05-12T12:00:00Z"))).isEqualTo(Duration.ofHours(3));
        assertThatThrownBy(() -> WeldingParts.rods(json("{'electrode':'E7018','outings':[{'out':'at eight'}]}")))
                .isInstanceOfSatisfying(
                        UnreadableInput.class, e -> assertThat(e.field()).isEqualTo("outings[0].out"));
    }

    private static final String PROCEDURE = json(
            "{'format':'mensor-procedure/1','number':'W-12','revision':'B','units':'in','welds':['fillet'],'connections':['tee','lap'],'thinnest':'1/8','thickest':'3/4','positions':['2F','3F'],"
                    + "'progression':'up','steel':'a572-50-type','preheatF':50,'interpassMaxF':450,'beadWidthRods':3,'stringerOnly':true,'cleaning':'chip and brush','brightMetal':'1',"
                    + "'backing':false,'passes':[{'kind':'root','electrode':'E7018','diameter':'1/8','amps':[115,135],'volts':[20,24],'polarity':'DCEP','technique':'stringer',"
                    + "'travel':['4 in/min','6 in/min'],'layer':'5/16'}]}");

    @Test
    void aProcedureReadsWhole() {
        Procedure p = ProcedureFile.read(PROCEDURE);
        assertThat(p.name()).isEqualTo("W-12 rev B");
        assertThat(p.steel()).isEqualTo(Steel.A572_TYPE);
        assertThat(p.pass(PassKind.ROOT).orElseThrow().amps()).contains(new Range(115, 135));
        assertThat(p.pass(PassKind.ROOT).orElseThrow().travel()).contains(new Range(101.6, 152.4));
        assertThat(p.brightMetal()).contains(Length.inches(1));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'number':'W-12' | 'number':'' | number",
                "'units':'in' | 'units':'ft' | units",
                "[115,135] | [135,115] | passes[0].amps",
                "[115,135] | [115] | passes[0].amps",
                "'positions':['2F','3F'] | 'positions':['2F','7F'] | positions[1]",
                "'positions':['2F','3F'] | 'positions':['2F','2F'] | positions",
                "'interpassMaxF':450 | 'interpassMaxF':40 | interpassMaxF",
                "'thickest':'3/4' | 'thickest':'1/16' | thickest",
                "'4 in/min' | 'slow' | passes[0].travel[0]",
                "'steel':'a572-50-type' | 'steel':'wood' | steel",
                "'stringerOnly':true | 'stringers':true | stringers"
            })
    void aProcedureThatCannotBeIsRefusedAtItsField(String old, String changed, String field) {
        String text = PROCEDURE.replace(json(old), json(changed));
        assertThat(text).isNotEqualTo(PROCEDURE);
        assertThatThrownBy(() -> ProcedureFile.read(text))
                .isInstanceOfSatisfying(
                        UnreadableInput.class, e -> assertThat(e.field()).isEqualTo(field));
    }
}
