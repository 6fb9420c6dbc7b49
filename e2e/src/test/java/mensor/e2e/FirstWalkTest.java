package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One inspector takes a made-up fillet joint from set-up to a signed verdict; the repair lead disposes of it. */
class FirstWalkTest {
    private static StartedMensor mensor;
    private static Chromium chromium;

    @BeforeAll
    static void start() {
        mensor = new StartedMensor(true);
        chromium = new Chromium();
    }

    @AfterAll
    static void stop() {
        chromium.close();
        mensor.close();
    }

    private static Page open(int width, int height) {
        Page page = chromium.page(width, height);
        page.navigate(mensor.address());
        return page;
    }

    private static void signIn(Page page, String login) {
        page.getByLabel("Login").fill(login);
        page.getByLabel("Password").fill("lock-bridge-12");
        page.getByLabel("Password").press("Enter");
        assertThat(page.getByLabel("Find by mark")).isVisible();
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator verdict(Page page) {
        return page.getByTestId("verdict");
    }

    private static void setUp(Page page, String mark) {
        page.getByText("Set up a joint").click();
        page.getByLabel("Job").fill("Lock footbridge");
        page.getByLabel("Mark").fill(mark);
        page.getByLabel("Fillet size (leg)").fill("5/16");
        page.getByLabel("Length", new Page.GetByLabelOptions().setExact(true)).fill("24");
        page.getByLabel("First member, toe A").fill("web");
        page.getByLabel("Second member, toe B").fill("flange");
        page.locator("[id='members[0].thickness']").fill("3/8");
        page.locator("[id='members[1].thickness']").fill("3/4");
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Cross-section, as drawn")))
                .isVisible();
        button(page, "Store and go to the bench").click();
        assertThat(page.getByLabel("The weld along its length", new Page.GetByLabelOptions().setExact(true)))
                .isVisible();
    }

    private static void legs(Page page, String at, String a, String b) {
        page.locator("#dock-at").fill(at);
        page.locator("#dock-legA").fill(a);
        page.locator("#dock-legB").fill(b);
        page.locator("#dock-legB").press("Enter");
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("legs " + a + ", " + b + " at " + at);
    }

    private static Locator finding(Page page, String criterion) {
        return page.locator("[data-criterion=" + criterion + "]");
    }

    @Test
    void fromSetUpToASignedAndDisposedReject() {
        Page page = open(1280, 800);
        signIn(page, "ines");
        setUp(page, "WALK-1");
        assertThat(verdict(page)).hasText("Incomplete");
        page.keyboard().press("l");
        legs(page, "1", "5/16", "3/8");
        legs(page, "12", "5/16", "3/8");
        legs(page, "23", "5/16", "3/8");
        assertThat(finding(page, "size")).hasAttribute("data-verdict", "accept");

        page.keyboard().press("Escape");
        button(page, "Undercut").click();
        button(page, "web toe").click();
        page.locator("#dock-from").fill("11");
        page.locator("#dock-to").fill("40");
        button(page, "3/64").click();
        button(page, "Put down").click();
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("past the weld's end");
        page.locator("#dock-to").fill("13 1/4");
        button(page, "Put down").click();

        assertThat(verdict(page)).hasText("Reject");
        Locator undercut = finding(page, "undercut");
        assertThat(undercut).hasAttribute("data-verdict", "reject");
        undercut.locator("button").first().click();
        assertThat(undercut.getByLabel("Arithmetic")).containsText("2 1/4 in in");
        assertThat(undercut).containsText("Table 8.1");
        Locator causes = undercut.getByLabel("Likely causes");
        assertThat(causes.locator("[data-cause]").first()).hasAttribute("data-cause", "work-angle");
        assertThat(causes).containsText("the leg at this toe is 5/16, the other 3/8");
        assertThat(causes).containsText("Change one thing: aim the rod more at this toe");

        button(page, "Sign reject …").click();
        button(page, "the fabricator (QC)").click();
        button(page, "Sign as reject, Ines Marl").click();
        assertThat(page.getByText("Signed reject by Ines Marl (QC)")).isVisible();
        String look = page.url();
        button(page, "Sign out").click();

        signIn(page, "rufus");
        page.navigate(look);
        Locator dispose = page.getByLabel("Dispose of Undercut");
        dispose.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add weld metal"))
                .click();
        dispose.getByLabel("Note").fill("clean to bright metal first");
        dispose.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Decide"))
                .click();
        assertThat(dispose).containsText("Add weld metal: clean to bright metal first");
        assertThat(page.getByText("Repair, then look again")).isVisible();
        button(page, "Sign out").click();
        assertThat(page.getByLabel("Login")).isVisible();
    }

    @Test
    void oneConfirmationAfterTheWalkAndUndo() {
        Page page = open(1280, 800);
        signIn(page, "tomas");
        setUp(page, "WALK-2");
        page.getByLabel("Cleaned").getByText("yes").click();
        page.getByLabel("At ambient").getByText("yes").click();
        button(page, "5/16 goes, full length").click();
        assertThat(finding(page, "size")).hasAttribute("data-verdict", "accept");
        button(page, "Walked it: none seen …").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog.getByRole(AriaRole.CHECKBOX).first()).not().isChecked();
        dialog.getByText("None seen of all 12").click();
        dialog.getByLabel("Crack").uncheck();
        dialog.getByText("Looked, none seen of 11").click();
        assertThat(dialog).isHidden();
        assertThat(verdict(page)).hasText("Incomplete");
        page.getByLabel("Crack: looked, none seen").click();
        assertThat(verdict(page)).hasText("Accept");
        button(page, "Crack").click();
        page.locator("#dock-at").fill("7");
        page.locator("#dock-at").press("Enter");
        assertThat(verdict(page)).hasText("Reject");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile("Put down")))
                .click();
        assertThat(page.getByText("taken back: crack was seen")).isVisible();
        button(page, "take off").first().click();
        assertThat(verdict(page)).hasText("Incomplete");
        button(page, "undo").first().click();
        assertThat(verdict(page)).hasText("Reject");
    }

    @Test
    void aColdPassIsRecordedAndLeadsTheCausesOfSlag() {
        Page page = open(1280, 800);
        signIn(page, "ines");
        setUp(page, "WALK-4");
        page.getByLabel("More kinds").selectOption("slag");
        page.locator("#dock-from").fill("10");
        page.locator("#dock-to").fill("12");
        page.locator("#dock-to").press("Enter");
        assertThat(verdict(page)).hasText("Reject");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile("Passes")))
                .click();
        page.getByLabel("Diameter").selectOption("1/8");
        page.getByLabel("Amps").fill("95");
        page.getByLabel("Amps").press("Enter");
        assertThat(page.getByText("1/8 in E7018 at 95 A: the rod's range is 115–165 A"))
                .isVisible();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("The book"))
                .click();
        finding(page, "slag").locator("button").first().click();
        Locator causes = page.getByLabel("Likely causes");
        assertThat(causes.locator("[data-cause]").first()).hasAttribute("data-cause", "current-low");
        Locator next = causes.getByText("Next check:").locator("..");
        String asked = next.innerText();
        next.getByText("not seen").click();
        assertThat(next).not().hasText(asked);
    }

    @ParameterizedTest
    @CsvSource({"1280, 800", "1024, 768"})
    void noScreenScrollsSideways(int width, int height) {
        Page page = open(width, height);
        assertFits(page);
        signIn(page, "ines");
        assertFits(page);
        page.navigate(mensor.address() + "/joints/new");
        assertThat(page.getByLabel("Mark")).isVisible();
        assertFits(page);
        page.navigate(mensor.address());
        page.getByLabel("Find by mark").fill("ST2-17");
        page.getByText("ST2-17").first().click();
        assertThat(verdict(page)).isVisible();
        assertFits(page);
        page.keyboard().press("u");
        assertThat(page.locator("#dock-depth")).isVisible();
        assertFits(page);
    }

    private static void assertFits(Page page) {
        Object over =
                page.evaluate("() => document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertThat(((Number) over).intValue()).as("at " + page.url()).isLessThanOrEqualTo(0);
    }

    /** From the key to the verdict; the machine is noisy, so the middle of several is taken and the bound is wide. */
    @Test
    void aChangeIsJudgedAtOnce() {
        Page page = open(1280, 800);
        signIn(page, "ines");
        setUp(page, "WALK-3");
        List<Double> times = new ArrayList<>();
        page.keyboard().press("c");
        for (int i = 0; i < 12; i++) {
            page.locator("#dock-at").fill(String.valueOf(i + 1));
            times.add(((Number) page.evaluate("""
                            () => new Promise((done) => {
                              const tab = [...document.querySelectorAll('[role=tab]')].find((t) => t.textContent.startsWith('Put down'));
                              const started = performance.now();
                              new MutationObserver((_, o) => { o.disconnect(); requestAnimationFrame(() => done(performance.now() - started)); })
                                .observe(tab, { childList: true, characterData: true, subtree: true });
                              document.querySelector('.dock form').requestSubmit();
                            })""")).doubleValue());
        }
        Collections.sort(times);
        double middle = times.get(times.size() / 2);
        System.out.printf(
                "key to verdict: middle of 12 %.0f ms, fastest %.0f ms, slowest %.0f ms%n",
                middle, times.get(0), times.get(11));
        assertThat(middle).isLessThan(3_000);
    }
}
