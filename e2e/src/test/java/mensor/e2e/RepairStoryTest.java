package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.answer;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;
import static mensor.e2e.Floor.setUp;
import static mensor.e2e.Floor.tab;
import static mensor.e2e.Floor.verdict;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A crack from its reject to the signed report: plan, hold, approval, repair, an inspection that fails, a second cycle, accept. */
class RepairStoryTest extends InTheBrowser {
    private Page as(String login, int width, int height, String url) {
        Page page = as(login, width, height);
        if (url != null) {
            page.navigate(url);
        }
        return page;
    }

    private static void type(Page page, String line) {
        Locator entry = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Entry line"));
        entry.fill(line);
        entry.press("Enter");
        assertThat(page.locator(".line .means")).containsText("Recorded");
    }

    private static void fill(Page page, String label, String value) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(value);
    }

    private static void record(Page page, String state) {
        button(page, "Record").click();
        assertThat(page.locator(".route .ant-steps-item-active")).containsText(state);
    }

    /** The rod that the weld was laid with, which its repair keeps. */
    private static void pass(Page page) {
        tab(page, "Passes").click();
        Floor.choose(page, "Diameter", "1/8");
        page.getByLabel("Amps").fill("125");
        page.getByLabel("Amps").press("Enter");
        assertThat(page.getByText("Passes (1)")).isVisible();
        tab(page, "Criteria").click();
    }

    private static void signReject(Page page) {
        button(page, "Sign reject …").click();
        button(page, "Sign as reject, Ines Marl").click();
        assertThat(page.getByText("Signed reject by Ines Marl")).isVisible();
    }

    private static void welded(Page page) {
        fill(page, "Welder’s stamp", "K7");
        fill(page, "Rod class", "E7018");
        fill(page, "Rod’s diameter, in", "1/8");
        fill(page, "Preheat read", "75");
        record(page, "Welded");
        answer(page, "Slag and spatter off?", "yes");
        answer(page, "Cooled to ambient?", "yes");
        record(page, "Ready to inspect");
    }

    /** Everything that the inspection after the repair asks, in the stretch that it asks it for. */
    private static void reinspect(Page page) {
        tab(page, "Repair").click();
        button(page, "Begin the re-inspection").click();
        assertThat(page.getByText(Pattern.compile("^Re-inspection, repair \\d")))
                .isVisible();
        for (String q : new String[] {
            "Cleaned",
            "At ambient",
            "Enough light",
            "Eye within 24 in, 30° up",
            "Reverse face inspected",
            "Ground and clamp places"
        }) {
            answer(page, q, "yes");
        }
        Locator kit = page.getByText(Pattern.compile("^today’s kit"));
        Locator calibrated =
                page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Gauges in calibration"));
        kit.or(calibrated.getByText("yes")).first().click();
        page.getByText(Pattern.compile("^5/16 goes, \\d")).click();
    }

    private static void noneSeen(Page page) {
        button(page, "Full length inspected: none seen …").click();
        page.getByText(Pattern.compile("^None seen of all")).click();
        page.getByText(Pattern.compile("^Inspected, none seen of")).click();
    }

    @Test
    void rejectPlanHoldApproveRepairFailRepairAgainAcceptAndReport() {
        Page ines = as("ines", 1280, 800, null);
        setUp(ines, "STORY-1");
        pass(ines);
        type(ines, "blade 5/16 0-24");
        type(ines, "crack 10-11");
        assertThat(verdict(ines)).hasText("Reject");
        signReject(ines);
        String inspection = ines.url();

        Page rufus = as("rufus", 390, 844, inspection);
        Locator crack = rufus.getByLabel(Pattern.compile("^NC-\\d+: Crack at 10–11"));
        tab(rufus, "Repair").click();
        crack.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Decide"))
                .click();
        assertThat(crack).containsText("take out 8–13 from the datum");
        crack.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("^NC-")))
                .click();
        assertThat(rufus.locator(".place")).containsText("10–11 in");
        assertFits(rufus);
        fill(rufus, "From, in", "20");
        fill(rufus, "To, in", "21");
        Floor.choose(rufus, "Ends found by", "MT");
        button(rufus, "Record").click();
        assertThat(rufus.getByText("20–21 is another place")).isVisible();
        fill(rufus, "From, in", "9 1/2");
        fill(rufus, "To, in", "11 1/2");
        record(rufus, "Extent known");
        assertThat(rufus.getByText("Excavated waits")).isVisible();
        assertThat(rufus.getByText("7 1/2–13 1/2").first()).isVisible();
        String ticket = rufus.url();

        Page wanda = as("wanda", 1024, 768, null);
        assertThat(wanda.getByText(Pattern.compile("^Waits for the Engineer \\(\\d+\\)")))
                .isVisible();
        wanda.navigate(ticket);
        for (String kind : new String[] {"major-crack", "steel"}) {
            Locator hold = wanda.getByRole(
                    AriaRole.GROUP,
                    new Page.GetByRoleOptions()
                            .setName(Pattern.compile(
                                    kind.equals("steel") ? "On hold: the steel" : "On hold: is the crack")));
            hold.getByText("The Engineer’s document …").click();
            hold.getByLabel("Document no.").fill("ENG-77");
            hold.getByLabel("The Engineer’s name").fill("P. Quill");
            Floor.day(hold.getByLabel("Date", new Locator.GetByLabelOptions().setExact(true)), "2026-01-15");
            hold.locator("input[type=file]")
                    .setInputFiles(new FilePayload(
                            "ENG-77.pdf", "application/pdf", "%PDF-1.4 made up".getBytes(StandardCharsets.US_ASCII)));
            hold.getByText("Record it").click();
            assertThat(hold).hasCount(0);
        }
        assertThat(wanda.getByText("ENG-77").first()).isVisible();

        rufus.reload();
        Floor.choose(rufus, "How it was taken off", "carbon-arc gouge, skin ground bright");
        fill(rufus, "How deep, in", "1/4");
        assertThat(rufus.getByLabel("From, in")).hasValue("7 1/2");
        record(rufus, "Excavated");
        answer(rufus, "Cavity clean and sound?", "yes");
        Floor.choose(rufus, "Proven gone by", "MT");
        fill(rufus, "Report no.", "MT 12");
        record(rufus, "Cavity accepted");
        welded(rufus);

        ines.reload();
        reinspect(ines);
        type(ines, "slag 9-10 trapped");
        assertThat(verdict(ines)).hasText("Reject");
        signReject(ines);

        rufus.reload();
        assertThat(rufus.getByText("repair 2 of this place")).isVisible();
        button(rufus, "Decide").click();
        wanda.reload();
        Locator steel = wanda.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("On hold: the steel")));
        steel.getByText("The Engineer’s document …").click();
        steel.getByLabel("Document no.").fill("MC-1");
        steel.getByLabel("The Engineer’s name").fill("P. Quill");
        Floor.day(steel.getByLabel("Date", new Locator.GetByLabelOptions().setExact(true)), "2026-01-15");
        steel.locator("input[type=file]")
                .setInputFiles(new FilePayload(
                        "MC-1.pdf", "application/pdf", "%PDF-1.4 mill".getBytes(StandardCharsets.US_ASCII)));
        steel.getByText("Record it").click();
        assertThat(steel).hasCount(0);
        rufus.reload();
        record(rufus, "Extent known");
        Floor.choose(rufus, "How it was taken off", "burr");
        fill(rufus, "How deep, in", "1/8");
        record(rufus, "Excavated");
        answer(rufus, "Cavity clean and sound?", "yes");
        record(rufus, "Cavity accepted");
        welded(rufus);

        ines.reload();
        reinspect(ines);
        noneSeen(ines);
        assertThat(verdict(ines)).hasText("Accept");
        button(ines, "Sign accept …").click();
        button(ines, "Sign as accept, Ines Marl").click();
        assertThat(ines.getByText("Signed accept by Ines Marl")).isVisible();
        rufus.reload();
        assertThat(rufus.getByText("Closed: accepted and signed at repair 2")).isVisible();

        Object report = ines.evaluate(
                "async () => { const r = await fetch(document.querySelector('a[href$=\"/report\"]').href); const b = new Uint8Array(await r.arrayBuffer());"
                        + " return r.headers.get('content-type') + ' ' + String.fromCharCode(...b.slice(0, 5)); }");
        assertThat(report).isEqualTo("application/pdf %PDF-");
        ines.getByText("history", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(ines.locator(".ant-timeline-item").first()).isVisible();
        ines.getByLabel("Find a person or a word").fill("rufus");
        assertThat(ines.getByLabel("Changes")).containsText("remove and reweld");
        assertFits(ines);
    }

    @Test
    void aLotIsReportedFromTheJobsPageWithProgress() {
        Page quinn = as("quinn", 1280, 800, null);
        Floor.goTo(quinn, "Prepare", "Jobs");
        quinn.getByText("Lock footbridge").first().click();
        assertThat(quinn.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Lock footbridge")))
                .isVisible();
        Locator reports = quinn.getByLabel("Reports", new Page.GetByLabelOptions().setExact(true));
        Floor.choose(quinn, reports.getByLabel("Of"), "Canal landing");
        reports.getByText("Make it").click();
        assertThat(reports.getByText(Pattern.compile("^Open \\(\\d+ kB\\)")).first())
                .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                        .setTimeout(60_000));
    }
}
