package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import mensor.exchange.WeldList.Column;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Joint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Lists as spreadsheets write them; the quoting is RFC 4180's. */
class WeldListTest {
    private static Joint joint(WeldList.Row row, Unit unit) {
        return InspectionParts.readJoint(WeldList.joint(row), unit);
    }

    @ParameterizedTest
    @ValueSource(strings = {",", ";", "\t"})
    void eachSeparatorWithAndWithoutAByteOrderMark(String s) {
        String text =
                "Mark,Weld No,Size,Length,Thickness A,Thickness B,Datum\r\nFB-1,2,5/16,24,3/8,1/2,\"north end\"\r\n"
                        .replace(",", s);
        for (String t : List.of(text, "\uFEFF" + text)) {
            WeldList.Sheet sheet = WeldList.read(t);
            assertThat(sheet.ignored()).isEmpty();
            assertThat(sheet.rows()).singleElement().satisfies(r -> {
                assertThat(r.line()).isEqualTo(2);
                Joint j = joint(r, Unit.INCH);
                assertThat(j.mark()).isEqualTo("FB-1");
                assertThat(j.weldNo()).contains("2");
                assertThat(j.size()).contains(Length.inches(5, 16));
                assertThat(j.datum()).contains("north end");
            });
        }
    }

    @Test
    void aDecimalCommaIsADecimalPoint() {
        WeldList.Sheet sheet = WeldList.read("mark;size;length;t1;t2\nPS-1;5,5;300;9,5 mm;12\n");
        Joint j = joint(sheet.rows().get(0), Unit.MILLIMETRE);
        assertThat(j.size()).contains(Length.millimetres("5.5"));
        assertThat(j.member(mensor.weld.Toe.A).thickness()).isEqualByComparingTo(Length.millimetres("9.5"));
        WeldList.Sheet quoted = WeldList.read("mark,size,length,t1,t2\nPS-1,\"5,5\",300,10,12\n");
        assertThat(joint(quoted.rows().get(0), Unit.MILLIMETRE).size()).contains(Length.millimetres("5.5"));
    }

    @Test
    void quotesHoldSeparatorsQuotesAndLineBreaks() {
        WeldList.Sheet sheet =
                WeldList.read("mark,length,datum\n\"FB \"\"3\"\"\",12,\"north end,\npunch mark\"\n\nFB-4,10,\n");
        assertThat(sheet.rows()).hasSize(2);
        assertThat(sheet.rows().get(0).cell(Column.MARK)).isEqualTo("FB \"3\"");
        assertThat(sheet.rows().get(0).cell(Column.DATUM)).isEqualTo("north end,\npunch mark");
        assertThat(sheet.rows().get(1).line()).isEqualTo(4);
        assertThat(sheet.rows().get(1).cells()).doesNotContainKey(Column.DATUM);
    }

    @Test
    void aGrooveHasItsPreparationAndGoesOutAsItCameIn() {
        WeldList.Sheet sheet = WeldList.read(
                "mark;length;t1;t2;penetration;prep;included angle;land;root opening;backing\nG-1;300;12;12;CJP;V;60°;1,5;3;yes\n"
                        + "G-2;300;12;12;cjp;V;wide;;;\n");
        Joint j = joint(sheet.rows().get(0), Unit.MILLIMETRE);
        assertThat(j.isFillet()).isFalse();
        assertThat(j.connection()).isEqualTo(mensor.weld.Connection.BUTT);
        assertThat(j.groove().orElseThrow().includedAngle()).contains(60.0);
        assertThat(j.groove().orElseThrow().rootFace()).contains(Length.millimetres("1.5"));
        assertThat(j.backing()).contains(true);
        Map<Column, String> out = WeldList.cells(WeldList.joint(sheet.rows().get(0)));
        assertThat(out).containsEntry(Column.ANGLE, "60").containsEntry(Column.ROOT_FACE, "1.5");
        assertThat(joint(WeldList.read(WeldList.write(List.of(out))).rows().get(0), Unit.MILLIMETRE)
                        .inWords())
                .isEqualTo(j.inWords());
        assertThatThrownBy(() -> joint(sheet.rows().get(1), Unit.MILLIMETRE))
                .isInstanceOfSatisfying(
                        UnreadableInput.class,
                        e -> assertThat(WeldList.inColumn(e).field()).isEqualTo("included angle"));
    }

    @Test
    void yesAndNoSegmentsAndWordsInAnyCase() {
        WeldList.Sheet sheet = WeldList.read(
                "mark;length;size;t1;side;position;connection;segments;primary\nFB-1;24;1/4;3/8;Arrow side;2f;Lap;0-3; yes\n"
                        .replace("0-3;", "\"0-3; 12 to 15; 20-1/8-22\";"));
        Joint j = joint(sheet.rows().get(0), Unit.INCH);
        assertThat(j.side()).contains(mensor.weld.Side.ARROW);
        assertThat(j.connection()).isEqualTo(mensor.weld.Connection.LAP);
        assertThat(j.primary()).contains(true);
        assertThat(j.segments()).extracting(s -> s.shown()).containsExactly("0–3", "12–15", "20 1/8–22");
    }

    @Test
    void aRowsProblemNamesItsColumn() {
        WeldList.Sheet sheet = WeldList.read(
                "mark,length,size,thickness a,closed\nFB-1,24,5/16,3/8 in x,no\nFB-2,24,5/16,1/2,perhaps\n");
        assertThatThrownBy(() -> joint(sheet.rows().get(0), Unit.INCH))
                .isInstanceOfSatisfying(
                        UnreadableInput.class,
                        e -> assertThat(WeldList.inColumn(e).field()).isEqualTo("thickness a"));
        assertThatThrownBy(() -> joint(sheet.rows().get(1), Unit.INCH))
                .isInstanceOfSatisfying(
                        UnreadableInput.class,
                        e -> assertThat(WeldList.inColumn(e).field()).isEqualTo("closed"));
    }

    @Test
    void unknownColumnsAreSaidAndLeftOut() {
        assertThat(WeldList.read("Mark,Colour,Length\nFB-1,red,12\n").ignored()).containsExactly("Colour");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "\n\n",
                "mark,size\nFB-1,1/4\n",
                "length\n12\n",
                "mark,mark,length\na,b,1\n",
                "mark,length\n\"FB-1,12\n"
            })
    void whatIsNoListIsRefused(String text) {
        assertThatThrownBy(() -> WeldList.read(text)).isInstanceOf(UnreadableInput.class);
    }

    @Test
    void whatIsWrittenReadsBack() {
        String source =
                "mark,weld no,side,lot,connection,size,length,position,member a,thickness a,member b,thickness b,closed,segments,delayed,welder,wps,datum\n"
                        + "FB-1,1,arrow,Deck,tee,5/16,24,2F,web,3/8,flange,3/4,no,0 to 3; 21 to 24,yes,K7,W-12,\"north end, punch mark\"\n";
        WeldList.Row row = WeldList.read(source).rows().get(0);
        Map<Column, String> cells = WeldList.cells(WeldList.joint(row));
        for (Column c : List.of(Column.LOT, Column.WELDER, Column.WPS)) {
            cells.put(c, row.cell(c));
        }
        WeldList.Row back = WeldList.read(WeldList.write(List.of(cells))).rows().get(0);
        assertThat(InspectionParts.canonical(WeldList.joint(back)))
                .isEqualTo(InspectionParts.canonical(WeldList.joint(row)));
        assertThat(back.cell(Column.WELDER)).isEqualTo("K7");
    }

    @Test
    void aCellThatASpreadsheetWouldRunIsWrittenAsText() {
        String written = WeldList.write(List.of(Map.of(Column.MARK, "=1+1", Column.LENGTH, "12")));
        assertThat(written).contains("'=1+1");
        assertThat(WeldList.read(written).rows().get(0).cell(Column.MARK)).isEqualTo("=1+1");
    }
}
