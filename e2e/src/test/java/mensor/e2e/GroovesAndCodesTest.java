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
import org.junit.jupiter.api.Test;

/** A groove butt and a pipe butt from set-up to their verdicts, other books beside the contract's, and a book to read. */
class GroovesAndCodesTest extends InTheBrowser {
    private static void setUpGroove(Page page, String job, String mark, String connection, String length, String t) {
        page.getByText("Set up a joint").click();
        field(page, "Job").fill(job);
        field(page, "Mark").fill(mark);
        Floor.choose(page, "Weld", "groove");
        Floor.choose(page, "Connection", connection);
        field(page, "Length").fill(length);
        page.locator("[id='members[0].thickness']").fill(t);
        page.locator("[id='members[1].thickness']").fill(t);
    }

    private static void storeAndOpen(Page page) {
        button(page, "Store and go to the bench").click();
        assertThat(page.getByLabel("The weld along its length", new Page.GetByLabelOptions().setExact(true)))
                .isVisible();
        assertThat(verdict(page)).hasText("Incomplete");
    }

    private static void crown(Page page, String at, String height) {
        page.locator("#dock-at").fill(at);
        page.locator("#dock-reinforcement").fill(height);
        page.locator("#dock-reinforcement").press("Enter");
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("crown " + height);
    }

    @Test
    void aGrooveButtIsJudgedAndHeldAgainstOtherBooks() {
        Page page = as("ines");
        setUpGroove(page, "Lock footbridge", "GB-1", "butt", "18", "1/2");
        storeAndOpen(page);
        page.keyboard().press("w");
        crown(page, "6", "1/8");
        assertThat(finding(page, "profile")).hasAttribute("data-verdict", "accept");
        crown(page, "12", "5/32");
        assertThat(finding(page, "profile")).hasAttribute("data-verdict", "reject");
        assertThat(finding(page, "profile")).containsText("reinforcement 5/32 in at 12; 1/8 in allowed");
        assertThat(verdict(page)).hasText("Reject");
        assertThat(page.getByText("Section read at")).isVisible();

        tab(page, "Compare").click();
        button(page, "d1.1-welder-test").click();
        button(page, "iso5817-b").click();
        Locator profile = page.locator("tr[data-criterion=profile]");
        assertThat(profile).containsText("≠ differs");
        assertThat(profile).containsText("incomplete 3.175 mm of 1 mm"); // the width of the face was not read
        assertThat(page.locator(".ant-table-thead")).containsText("the contract’s code");
        assertFits(page);
        tab(page, "Criteria").click();
        assertThat(finding(page, "profile")).hasAttribute("data-verdict", "reject");
    }

    @Test
    void aPipeButtIsJudgedAtItsRoot() {
        Page page = as("ines");
        setUpGroove(page, "Lock gate hydraulics", "GP-1", "pipe butt", "7 1/2", "1/4");
        page.getByText("Less common").click();
        page.getByLabel("all around").check();
        Floor.choose(page, "Welded from one side", "yes, no backing");
        field(page, "Offset at most, by the procedure").fill("1/16");
        storeAndOpen(page);
        Floor.choose(page, "More kinds", "Incomplete penetration");
        page.locator("#dock-from").fill("7");
        page.locator("#dock-to").fill("1");
        page.locator("#dock-depth").fill("1/64");
        button(page, "Record").click();
        assertThat(finding(page, "root")).hasAttribute("data-verdict", "accept");
        page.locator("#dock-from").fill("2");
        page.locator("#dock-to").fill("2 1/4");
        page.locator("#dock-depth").fill("1/32");
        button(page, "Record").click();
        assertThat(finding(page, "root")).hasAttribute("data-verdict", "reject");
        assertThat(finding(page, "root")).containsText("1 1/2 in allowed in any 6 in");
    }

    @Test
    void aGaugePastItsDateIsWaivedByTheQualityManager() {
        Page page = as("quinn");
        openFromWorklist(page, "HG-2");
        assertThat(page.getByText("Dial D-9 was due for calibration")).isVisible();
        assertThat(page.getByText("Replace the gauge, or have it waived")).isVisible();
        button(page, "waive it …").click();
        page.getByLabel("Why its readings may stand").fill("read right on the block");
        button(page, "Waive it").click();
        assertThat(page.getByText("Waived by Quinn Sato: read right on the block"))
                .isVisible();
        assertThat(page.getByText("Sign the reject")).isVisible();
    }

    @Test
    void aBookIsReadAndCheckedAgainstTheCopy() {
        Page page = as("quinn");
        Floor.goTo(page, "Prepare", "Acceptance criteria");
        page.getByLabel("Acceptance criteria", new Page.GetByLabelOptions().setExact(true))
                .getByText("ISO 5817 quality level C")
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("ISO 5817 quality level C")))
                .isVisible();
        Floor.choose(page, "Read it for", "groove, butt");
        assertThat(page.locator("[data-criterion=profile]")).containsText("1 + 0.15 b mm, at most 7 mm");
        assertThat(page.getByText("Where the codes are silent, Mensor chose")).isVisible();
        button(page, "Record a check …").click();
        field(page, "Edition of your copy").fill("2014");
        button(page, "Checked against our copy").click();
        assertThat(page.getByText("the day of the check, not in the future").first())
                .isVisible();
        Floor.day(field(page, "Checked on"), "2026-03-02");
        Floor.send(page, "Checked against our copy");
        assertThat(page.getByText("✓ Mar 2, 2026, Quinn Sato")).isVisible();
        assertFits(page);
    }

    @Test
    void whichNumberGovernsIsSaidAtSetUp() {
        Page page = as("ines");
        page.getByText("Set up a joint").click();
        field(page, "Job").fill("Lock footbridge");
        field(page, "Mark").fill("GN-1");
        field(page, "Fillet size (leg)").fill("1/8");
        field(page, "Length").fill("12");
        page.locator("[id='members[0].thickness']").fill("3/8");
        page.locator("[id='members[1].thickness']").fill("3/4");
        Locator numbers = page.getByLabel("Numbers that govern the size");
        assertThat(numbers).containsText("3/16 in");
        assertThat(numbers).containsText("the drawn size breaks it");
        page.getByText("Less common").click();
        field(page, "Fit-up gap").fill("1/8");
        assertThat(numbers).containsText("leg over the gap at 0–12");
        assertThat(numbers).containsText("1/4 in");
    }
}
