package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import mensor.inspection.Entry;
import mensor.inspection.Inspection;
import mensor.length.Length;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;

/** Places by the clock in a file: 24 in around, so that an hour is 2 in. */
class ClockPlacesTest {
    private static String document(String clock, String indications) {
        return ("{'format':'mensor-inspection/1','criteria':'d1.1-tubular','units':'in','joint':{'mark':'P-1','weld':'groove',"
                        + "'connection':'pipe-butt','length':'24','closed':true,'penetration':'cjp',"
                        + clock
                        + "'members':[{'thickness':'1/2'},{'thickness':'1/2'}]},'indications':["
                        + indications
                        + "]}")
                .replace('\'', '"');
    }

    private static Inspection read(String clock, String indications) {
        return InspectionDocument.readUnjudged(document(clock, indications));
    }

    private static Length inches(String text) {
        return Length.parse(text, Unit.INCH);
    }

    @Test
    void timesAreLengthsFromTheDatum() {
        Inspection i = read(
                "'clock':{'diameter':'7 5/8'},",
                "{'kind':'crack','at':'6:00'},{'kind':'undercut','toe':'A','from':'4:30','to':'5:00','depth':'1/32'},"
                        + "{'kind':'crack','at':'3 1/2'}");
        assertThat(i.indications().get(0).span().from()).isEqualTo(inches("12"));
        assertThat(i.indications().get(1).span().from()).isEqualTo(inches("9"));
        assertThat(i.indications().get(1).span().to()).isEqualTo(inches("10"));
        assertThat(i.indications().get(2).span().from()).isEqualTo(inches("3 1/2"));
    }

    @Test
    void againstTheHoursAStretchIsTurned() {
        Inspection i = read(
                "'clock':{'direction':'counterclockwise'},",
                "{'kind':'undercut','toe':'A','from':'4:30','to':'5:00','depth':'1/32'}");
        assertThat(i.indications().get(0).span().from()).isEqualTo(inches("14"));
        assertThat(i.indications().get(0).span().to()).isEqualTo(inches("15"));
        assertThatThrownBy(() -> read(
                        "'clock':{'direction':'counterclockwise'},",
                        "{'kind':'undercut','toe':'A','from':'5:00','to':'4:30','depth':'1/32'}"))
                .isInstanceOf(UnreadableInput.class)
                .hasMessageContaining("half round");
    }

    /** 3:00 lies at 6 in of 24, 6:00 at 12. */
    @Test
    void gapsAndWeldedStretchesMayBeGivenByTheClock() {
        Inspection i = read(
                "'clock':{},'segments':[{'from':'12:00','to':'6:00'}],'gaps':[{'from':'3:00','to':'4:00','opening':'1/8'}],",
                "");
        assertThat(i.joint().segments()).containsExactly(new mensor.length.Span(inches("0"), inches("12")));
        assertThat(i.joint().gaps().get(0).span()).isEqualTo(new mensor.length.Span(inches("6"), inches("8")));
    }

    @Test
    void whatIsWrongIsSaid() {
        assertThatThrownBy(() -> read("", "{'kind':'crack','at':'6:00'}"))
                .isInstanceOf(UnreadableInput.class)
                .hasMessageContaining("time of the clock");
        assertThatThrownBy(() -> read("'clock':{'datum':'25:00'},", "")).hasMessageContaining("12:00");
        assertThatThrownBy(() -> read("'clock':{'direction':'left'},", "")).hasMessageContaining("counterclockwise");
    }

    @Test
    void anEntryIsKeptAsLengths() {
        Inspection i = read("'clock':{},", "");
        EntryDocument typed = EntryDocument.read("{\"kind\":\"crack\",\"at\":\"6:00\"}");
        assertThat(typed.hasTimes()).isTrue();
        EntryDocument kept = typed.inLengths(i.joint());
        assertThat(kept.canonical()).isEqualTo("{\"at\":\"12\",\"kind\":\"crack\"}");
        assertThat(((Entry.Seen) kept.entry(Entry.Sort.INDICATION, Unit.INCH))
                        .indication()
                        .span()
                        .from())
                .isEqualTo(inches("12"));
        assertThat(ClockPlaces.inLengths("{\"starts\":[\"12:00\",\"6:00\"],\"amps\":90}", i.joint()))
                .isEqualTo("{\"amps\":90,\"starts\":[\"0\",\"12\"]}");
    }
}
