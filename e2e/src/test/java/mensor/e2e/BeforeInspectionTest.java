package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.answer;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;
import static mensor.e2e.Floor.finding;
import static mensor.e2e.Floor.goTo;
import static mensor.e2e.Floor.openFromWorklist;
import static mensor.e2e.Floor.tab;
import static mensor.e2e.Floor.verdict;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From the weld list to the bench: what was seen before the last inspection is there when the weld is judged. */
class BeforeInspectionTest extends InTheBrowser {
    private static final String LIST = """
            mark;weld no;size;length;thickness a;thickness b;position;welder;wps
            GR-01;1;1/4;12;3/8;1/2;2F;K7;W-12 rev B
            GR-02;1;;12;3/8;1/2;2F;K7;W-12 rev B
            GR-03;1;1/4;twelve;3/8;1/2;2F;K7;W-12 rev B
            GR-04;1;"5/16";24;3/8;1/2;3F;K7;W-12 rev B
            """;

    @Test
    void aListAGapAndAColdPassAreSeenAtTheBench() {
        Page page = as("ines");
        goTo(page, "Prepare", "Jobs");
        page.getByLabel("Jobs", new Page.GetByLabelOptions().setExact(true))
                .getByText("Lock footbridge")
                .click();
        // The first job's card stands until the chosen one is drawn, and would take the file.
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Lock footbridge")))
                .isVisible();
        page.locator(".weldlist input[type=file]")
                .setInputFiles(new FilePayload("welds.csv", "text/csv", LIST.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("Checked: nothing is stored yet")).isVisible();
        assertThat(page.getByText("2 with a problem")).isVisible();
        assertThat(page.getByText("size: a fillet needs its size or its throat"))
                .isVisible();
        assertThat(page.getByText("\"twelve\" is not a length")).isVisible();
        button(page, "Store the 2 good welds").click();
        assertThat(page.getByText("Stored", new Page.GetByTextOptions().setExact(true)))
                .isVisible();

        openFromWorklist(page, "GR-01");
        page.getByText("change joint").click();
        page.getByText(Pattern.compile("^From the job")).click();
        page.getByLabel("Datum, in words").fill("north end, measured east");
        button(page, "Store the change").click();
        page.getByText("fit-up and passes").first().click();

        page.getByLabel("At, or from–to").fill("6-8");
        page.getByLabel("Gap", new Page.GetByLabelOptions().setExact(true)).fill("1/8");
        page.getByLabel("Gap", new Page.GetByLabelOptions().setExact(true)).press("Enter");
        String raised = "1/4 + gap 1/8 = leg 3/8 in along 6–8";
        assertThat(page.getByText(raised)).isVisible();

        page.getByLabel("Record a pass")
                .getByText("root", new Locator.GetByTextOptions().setExact(true))
                .first()
                .click();
        page.getByLabel("Amps").fill("100");
        page.getByLabel("Starts at").fill("0, 6");
        page.getByLabel("Starts at").press("Enter");
        assertThat(page.getByText("rod at 100 A: the procedure says 115–140 A")).isVisible();
        assertThat(page.getByText("planned, not measured")).isVisible();
        page.reload();
        assertThat(page.getByText(raised)).isVisible();
        assertFits(page);

        page.getByText("pass plan").click();
        assertThat(page.getByText("leg 3/8 (1/4 + gap 1/8)").first()).isVisible();
        assertFits(page);
        page.getByText("to the bench").click();
        assertThat(page.getByText(raised)).isVisible();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The weld along its length"))
                        .getByText("gap 1/8", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(page.getByText("Before, near here:").locator("..")).containsText("pass 1 starts at 6");
        tab(page, "Passes \\(1\\)").click();
        assertThat(page.getByText("rod at 100 A: the procedure says 115–140 A")).isVisible();
    }

    @Test
    void likeWeldsAreInspectedOnOneSheetAndTheExceptionByItself() {
        Page page = as("tomas");
        page.getByLabel("Find a weld").fill("CA-");
        page.getByText("40 alike: one sheet").first().click();
        page.getByLabel(Pattern.compile("^CA-07 .*on the sheet")).click();
        for (String question : new String[] {
            "Slag and spatter off", "Cooled to ambient", "Enough light", "Eye within 24 in, not below 30°"
        }) {
            answer(page, question, "yes");
        }
        answer(page, "Coated or painted", "no");
        button(page, "1/4 blade goes, full length").click();
        button(page, "all 12").click();
        assertFits(page);
        button(page, "Record on 39 welds").click();
        button(page, "Sign 39 as accept").click();
        assertThat(page.getByText("signed", new Page.GetByTextOptions().setExact(true)))
                .hasCount(39);
        openFromWorklist(page, "CA-07");
        assertThat(verdict(page)).hasText("Incomplete");
        assertThat(finding(page, "size")).hasAttribute("data-verdict", "incomplete");
    }
}
