package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;

/** What every walk through the application does. */
final class Floor {
    private static final int A_TOUCH_LOST = 20_000;

    private Floor() {}

    static void signIn(Page page, String login) {
        page.getByLabel("Login").fill(login);
        page.getByLabel("Password").fill("lock-bridge-12");
        page.getByLabel("Password").press("Enter");
        assertThat(page.getByLabel(Pattern.compile("^Mensor, to"))).isVisible();
    }

    static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    static Locator tab(Page page, String begin) {
        return page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile(begin)));
    }

    static Locator verdict(Page page) {
        return page.getByTestId("verdict");
    }

    static Locator finding(Page page, String criterion) {
        return page.locator("[data-criterion=" + criterion + "]");
    }

    static void setUp(Page page, String mark) {
        setUp(page, mark, "24");
    }

    static void setUp(Page page, String mark, String length) {
        Locator job = page.getByLabel("Job", new Page.GetByLabelOptions().setExact(true));
        page.getByText("Set up a joint").click();
        try {
            job.waitFor(new Locator.WaitForOptions().setTimeout(A_TOUCH_LOST));
        } catch (
                TimeoutError lost) { // the worklist may be drawn anew under the finger while it comes: then one touches
            // again
            page.getByText("Set up a joint").click();
        }
        job.fill("Lock footbridge");
        page.getByLabel("Mark").fill(mark);
        page.getByLabel("Fillet size (leg)").fill("5/16");
        page.getByLabel("Length", new Page.GetByLabelOptions().setExact(true)).fill(length);
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

    /** Finds a weld on the worklist and opens its bench. */
    static void openFromWorklist(Page page, String mark) {
        page.getByLabel("Mensor, to the worklist").click();
        page.getByLabel("Find a weld").fill(mark);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + mark)))
                .first()
                .click();
        assertThat(verdict(page)).isVisible();
    }

    static void answer(Page page, String question, String word) {
        page.getByRole(
                        AriaRole.RADIOGROUP,
                        new Page.GetByRoleOptions().setName(question).setExact(true))
                .or(page.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName(question).setExact(true)))
                .getByText(word, new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    /** Opens a list by its label and touches a word. */
    static void choose(Page page, String label, String word) {
        choose(page, page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)), word);
    }

    static void choose(Page page, Locator list, String word) {
        list.focus();
        list.press("ArrowDown");
        page.locator(".ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option")
                .getByText(word, new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    /** Types a day and takes it. */
    static void day(Locator field, String day) {
        field.fill(day);
        field.press("Enter");
    }

    /** Touches a form's button, unless Enter in its last field sent the form before and it is gone. */
    static void send(Page page, String name) {
        Locator there = button(page, name);
        try {
            there.click(new Locator.ClickOptions().setTimeout(8_000));
        } catch (TimeoutError e) {
            if (there.count() > 0) {
                throw e;
            }
        }
    }

    /** Goes to one of the pages by the menu in the bar. */
    static void goTo(Page page, String group, String word) {
        page.getByRole(
                        AriaRole.MENUITEM,
                        new Page.GetByRoleOptions().setName(group).setExact(true))
                .click();
        page.getByRole(
                        AriaRole.MENUITEM,
                        new Page.GetByRoleOptions().setName(word).setExact(true))
                .click();
    }

    static void signOut(Page page) {
        page.getByLabel(Pattern.compile("theme, sign out$")).click();
        page.getByText("Sign out", new Page.GetByTextOptions().setExact(true)).click();
    }

    static void assertFits(Page page) {
        Object over =
                page.evaluate("() => document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertThat(((Number) over).intValue()).as("at " + page.url()).isLessThanOrEqualTo(0);
    }
}
