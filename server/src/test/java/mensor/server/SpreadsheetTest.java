package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import mensor.exchange.WeldList;
import mensor.server.spreadsheet.Spreadsheet;
import mensor.server.web.Refusal;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Lists as a spreadsheet's own file: read as the sheet shows them, written so that they read the same. */
@ExtendWith(RunningMensor.class)
class SpreadsheetTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    private static byte[] sheet() throws IOException {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            try (Workbook book = new Workbook(out, "test", "1.0")) {
                Worksheet s = book.newWorksheet("welds");
                String[] head = {"mark", "length", "size", "thickness a", "thickness b", "closed", "wps"};
                for (int c = 0; c < head.length; c++) {
                    s.value(0, c, head[c]);
                }
                s.value(2, 0, "X-1"); // the second row is empty
                s.value(2, 1, 24);
                s.value(2, 2, 0.1 + 0.2);
                s.value(2, 3, "3/8");
                s.value(2, 4, 0.75);
                s.value(2, 5, true);
                s.value(2, 6, LocalDate.of(2026, 11, 30));
                s.style(2, 6).format("yyyy-mm-dd").set();
                book.newWorksheet("other").value(0, 0, "not this one");
            }
            return out.toByteArray();
        }
    }

    @Test
    void theFirstSheetIsReadAsItIsShown() throws IOException {
        String list = Spreadsheet.toList(sheet());
        assertThat(list.lines())
                .containsExactly(
                        "mark,length,size,thickness a,thickness b,closed,wps",
                        "",
                        "X-1,24,0.3,3/8,0.75,yes,2026-11-30");
        assertThat(WeldList.read(list).rows().get(0).line()).isEqualTo(3);
    }

    @Test
    void aListComesBackAsItWas() {
        String list = "mark,size,note\r\n007,5/16,'=1+1\r\nA,0.25,\"a, \"\"b\"\"\"\r\n";
        assertThat(Spreadsheet.toList(Spreadsheet.of(list, "a/b")).lines())
                .containsExactly("mark,size,note", "007,5/16,=1+1", "A,0.25,\"a, \"\"b\"\"\"");
    }

    @Test
    void whatIsNoSpreadsheetIsSaidToBeNone() throws IOException {
        assertThatThrownBy(() -> Spreadsheet.toList("mark,length".getBytes()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("no .xlsx");
        byte[] broken = sheet();
        for (int i = 40; i < broken.length; i++) {
            broken[i] = 0;
        }
        assertThatThrownBy(() -> Spreadsheet.toList(broken)).isInstanceOf(Refusal.class);
    }

    @Test
    void itIsReadForWhoBringsListsInAndAJobsWeldsGoOutLikewise() throws IOException {
        JsonNode read = ines.postBytes("/api/tables", sheet()).expect(200).json();
        assertThat(read.get("list").asString()).contains("X-1,24,0.3");
        assertThat(RunningMensor.as("vera").postBytes("/api/tables", sheet()).status())
                .isEqualTo(403);
        String mark = "XL-" + System.nanoTime();
        ines.inspection(mark);
        for (JsonNode row : ines.get("/api/joints?find=" + mark).json().get("rows")) {
            String path = "/api/jobs/" + row.get("jobId").asString() + "/weld-list";
            byte[] book = ines.bytes(path + "?as=xlsx");
            assertThat(Spreadsheet.toList(book)).contains(mark).startsWith("mark,");
            assertThat(WeldList.read(Spreadsheet.toList(book)).rows())
                    .isEqualTo(WeldList.read(ines.get(path).text()).rows());
        }
    }
}
