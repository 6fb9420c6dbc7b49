package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;
import static mensor.e2e.Floor.field;
import static mensor.e2e.Floor.finding;
import static mensor.e2e.Floor.openFromWorklist;
import static mensor.e2e.Floor.tab;
import static mensor.e2e.Floor.verdict;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A pipe from its plan to its ticket, told by the clock; the machine before the first rod. */
class AroundAPipeTest extends InTheBrowser {
    private static Locator drawing(Page page, String begin) {
        return page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^" + begin)));
    }

    @Test
    void aPipeIsPlannedRecordedAndInspectedByTheClock() {
        Page page = as("ines");
        page.getByText("Set up a joint").click();
        field(page, "Job").fill("Stair tower posts");
        field(page, "Mark").fill("PC-1");
        Floor.choose(page, "Weld", "groove");
        Floor.choose(page, "Connection", "pipe butt");
        field(page, "Length").fill("24");
        page.locator("[id='members[0].thickness']").fill("1/2");
        page.locator("[id='members[1].thickness']").fill("1/2");
        Floor.choose(page, "Preparation", "V");
        field(page, "Included angle, °").fill("75");
        field(page, "Root face").fill("1/16");
        field(page, "Root opening").fill("1/8");
        page.getByText("Less common").click();
        page.getByLabel("all around").check();
        page.getByLabel("around a pipe or tube, by the clock").check();
        field(page, "Outside diameter").fill("7 5/8");
        Floor.choose(page, "Welded from one side", "yes, no backing");
        button(page, "Store and go to the bench").click();
        assertThat(verdict(page)).hasText("Incomplete");
        assertThat(drawing(page, "The weld around its member")).isVisible();

        // the passes, by the clock, beside the plan
        page.getByText("fit-up and passes").click();
        field(page, "Amps").fill("118");
        Floor.choose(page, "Vertical", "up");
        Floor.choose(page, "Diameter", "1/8");
        field(page, "Run a rod").fill("6");
        field(page, "Starts at").fill("6:00, 6:00");
        field(page, "Stops at").fill("12:00, 12:00");
        button(page, "more").click();
        field(page, "6:00 work").fill("50");
        field(page, "12:00 travel").fill("10");
        button(page, "Record the pass").click();
        assertThat(page.getByText("starts 6:00, 6:00, stops 12:00, 12:00")).isVisible();
        assertThat(page.getByText("at 6:00 work angle 50°, at 12:00 dragged 10°"))
                .isVisible();
        page.getByText("pass plan").click();
        assertThat(drawing(page, "As planned")).isVisible();
        assertThat(drawing(page, "As recorded")).isVisible();
        assertFits(page);

        // the inspection
        page.getByText("to the bench").click();
        assertThat(verdict(page)).isVisible();
        page.keyboard().press("/");
        page.keyboard().type("fusion 5:50-6:10");
        page.keyboard().press("Enter");
        assertThat(verdict(page)).hasText("Reject");
        assertThat(finding(page, "fusion")).containsText("(5:50–6:10)");
        tab(page, "Entries").click();
        assertThat(page.getByText("incomplete fusion 11 43/64–12 21/64 (5:50–6:10)")
                        .first())
                .isVisible();
        assertFits(page);
    }

    @Test
    void theTicketSaysWhereByTheClock() {
        Page page = as("ines");
        openFromWorklist(page, "RS-1");
        tab(page, "Repair").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("ticket")))
                .first()
                .click();
        assertThat(page.getByLabel("Where", new Page.GetByLabelOptions().setExact(true)))
                .containsText("5:50–6:10 o’clock");
        assertThat(drawing(page, "The weld around its member")).isVisible();
    }

    @Test
    void aWrongPoleStopsTheStart() {
        Page page = as("wanda");
        page.navigate(mensor.address() + "/machines");
        button(page, "M-4").click();
        assertThat(field(page, "Middle")).hasValue("0");
        assertFits(page);
        openFromWorklist(page, "FB-06");
        page.getByText("fit-up and passes").click();
        page.getByText("First-rod card").click();
        button(page, "Fill in the card").click();
        Floor.choose(page, "Machine", "M-4");
        Floor.choose(page, "Switched to", "stick");
        page.getByLabel("First-rod card").getByLabel("Polarity").click();
        page.getByTitle("DCEN").last().click();
        page.getByLabel("First-rod card")
                .getByLabel("Arc force, as the machine has it")
                .fill("0");
        button(page, "Keep the card").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Do not start");
        assertThat(page.getByText("50 % of its scale")).isVisible();

        // while the rod burns
        page.getByText("stop or go on").click();
        button(page, "The rod sticks").click();
        assertThat(page.getByText("✕ Stop")).isVisible();
        button(page, "Keep that it was seen").click();
        assertThat(page.getByText("Kept once")).isVisible();
        assertFits(page);
    }
}
