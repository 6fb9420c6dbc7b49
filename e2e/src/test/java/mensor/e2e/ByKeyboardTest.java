package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.verdict;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** No pointer at all: a joint is set up, inspected, signed, and its repair decided and recorded with keys alone. */
class ByKeyboardTest extends InTheBrowser {
    private static final int MOST_TABS = 140;

    /** Goes on by Tab until the control has the focus. */
    private static void to(Page page, Locator control) {
        assertThat(control).isAttached(); // a button of a choice is the letters beside an unseen control
        for (int i = 0; i < MOST_TABS; i++) {
            if ((boolean) control.evaluate("e => e === document.activeElement || e.contains(document.activeElement)")) {
                return;
            }
            page.keyboard().press("Tab");
        }
        throw new AssertionError("Tab does not lead to " + control);
    }

    private static void type(Page page, Locator field, String text) {
        to(page, field);
        page.keyboard().press("Control+A");
        page.keyboard().type(text);
    }

    private static void press(Page page, String name) {
        to(
                page,
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(name)))
                        .first());
        page.keyboard().press("Enter");
    }

    private static Locator labelled(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private Page signedIn(String login) {
        Page page = chromium.page(1280, 800);
        page.navigate(mensor.address());
        type(page, page.getByLabel("Login"), login);
        type(page, page.getByLabel("Password"), "lock-bridge-12");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("Mensor, to the worklist")).isVisible();
        return page;
    }

    private static void line(Page page, String words) {
        type(page, page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Entry line")), words);
        page.keyboard().press("Enter");
        assertThat(page.locator(".line .means")).containsText("Recorded");
    }

    @Test
    void setUpInspectedSignedAndRepairedWithKeysAlone() {
        Page page = signedIn("ines");
        to(page, page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Set up a joint")));
        page.keyboard().press("Enter");
        type(page, labelled(page, "Job"), "Lock footbridge");
        page.keyboard().press("Escape"); // the list of jobs closes, what was typed stays
        type(page, page.getByLabel("Mark"), "KEYS-1");
        type(page, page.getByLabel("Fillet size (leg)"), "5/16");
        type(page, labelled(page, "Length"), "24");
        type(page, page.getByLabel("First member, toe A"), "web");
        type(page, page.locator("[id='members[0].thickness']"), "3/8");
        type(page, page.getByLabel("Second member, toe B"), "flange");
        type(page, page.locator("[id='members[1].thickness']"), "3/4");
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Cross-section, as drawn")))
                .isVisible();
        press(page, "^Store and go to the bench");
        assertThat(verdict(page)).isVisible();

        for (String question : new String[] {"Cleaned", "At ambient", "Enough light", "Eye within 24 in, 30° up"}) {
            Locator group = page.getByRole(
                    AriaRole.RADIOGROUP,
                    new Page.GetByRoleOptions().setName(question).setExact(true));
            to(page, group.locator("input").first());
            page.keyboard().press("Space");
            assertThat(group.locator("input").first()).isChecked();
        }
        Locator kit = page.getByText(Pattern.compile("^today’s kit"));
        if (kit.isVisible()) {
            press(page, "^today’s kit");
        } else {
            to(
                    page,
                    page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Gauges in calibration"))
                            .locator("input")
                            .first());
            page.keyboard().press("Space");
        }
        line(page, "blade 5/16 0-24");
        line(page, "slag 10-11 trapped");
        assertThat(verdict(page)).hasText("Reject");
        press(page, "^Sign reject");
        press(page, "^Sign as reject");
        assertThat(page.getByText("Signed reject by Ines Marl")).isVisible();
        String inspection = page.url();

        Page lead = signedIn("rufus");
        lead.navigate(inspection);
        assertThat(verdict(lead)).isVisible();
        Locator slag = lead.getByLabel(Pattern.compile("^NC-\\d+: Slag at 10–11"));
        to(lead, slag.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Decide")));
        lead.keyboard().press("Enter");
        assertThat(slag).containsText("Remove and reweld");
        to(lead, slag.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("^NC-"))));
        lead.keyboard().press("Enter");
        assertThat(lead.locator(".place")).containsText("10–11 in");
        type(lead, labelled(lead, "From, in"), "9 1/2");
        type(lead, labelled(lead, "To, in"), "11 1/2");
        press(lead, "^Record$");
        assertThat(lead.locator(".route .ant-steps-item-active")).containsText("Extent known");
    }

    @Test
    void theTourOfTheBenchIsLeftAndFoundAgainInTheHelp() {
        Page page = signedIn("tomas");
        type(page, page.getByLabel("Find a weld"), "ST2-17");
        to(
                page,
                page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^ST2-17")))
                        .first());
        page.keyboard().press("Enter");
        assertThat(verdict(page)).isVisible();
        page.keyboard().press("F1");
        press(page, "Take the tour");
        assertThat(page.getByText("The verdict, and what is still to do")).isVisible();
        press(page, "^Next$");
        assertThat(page.getByText("The weld along its length", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.keyboard().press("Escape");
        assertThat(page.getByText("2 of 7")).isHidden();
        assertThat(page.url()).doesNotContain("tour");
        page.keyboard().press("F1");
        press(page, "Take the tour");
        assertThat(page.getByText("1 of 7")).isVisible();
    }
}
