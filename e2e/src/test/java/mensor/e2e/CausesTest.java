package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;
import static mensor.e2e.Floor.openFromWorklist;
import static mensor.e2e.Floor.setUp;
import static mensor.e2e.Floor.tab;
import static mensor.e2e.Floor.verdict;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From a defect to its cause, the one thing to change, the page for the welder, and the rates. */
class CausesTest extends InTheBrowser {
    private static Locator causes(Page page) {
        return page.locator(".causes [data-cause]");
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    @Test
    void slagWithAColdRecordLeadsToTheCurrentTheCheckIsAnsweredAndTheNoteIsPrinted() {
        Page page = as("ines", 1280, 800);
        setUp(page, "CAUSE-1");
        Locator line = page.locator("input[aria-label='Entry line']");
        line.fill("slag 10-12 trapped");
        line.press("Enter");
        assertThat(verdict(page)).hasText("Reject");
        tab(page, "Passes").click();
        Floor.choose(page, "Diameter", "1/8");
        field(page, "Amps").fill("85");
        button(page, "Record the pass").click();
        assertThat(tab(page, "Passes")).hasText("Passes (1)");

        tab(page, "Causes").click();
        assertThat(causes(page).first()).hasAttribute("data-cause", "current-low");
        assertThat(causes(page).first()).containsText("at 85 A");
        assertThat(causes(page).first().locator(".strong")).containsText(Pattern.compile("strong|likely"));
        Locator next = page.locator(".nextcheck");
        String asked = next.textContent();
        next.getByText("not seen").click();
        assertThat(next).not().hasText(asked);
        assertThat(page.getByText("inspected for, not seen").first()).isVisible();
        assertThat(page.getByLabel("Fusion in doubt")).containsText("slag at the toes");

        button(page, "We change this …").click();
        page.getByLabel("What is changed, one thing").fill("amps from 85 to 125");
        button(page, "Write it down").click();
        Locator before = page.getByLabel("Changed before");
        assertThat(before).containsText("amps from 85 to 125");
        before.getByLabel("Mark of the next weld").fill("CAUSE-2");
        before.getByText("no better").click();
        assertThat(before).containsText("CAUSE-2 was no better");
        assertThat(page.locator("[data-cause=current-low]")).containsText("CAUSE-2 was no better");

        page.getByText("note for the welder").click();
        Locator note = page.getByLabel("Note for the welder", new Page.GetByLabelOptions().setExact(true));
        assertThat(note).containsText("Change one thing");
        assertThat(note).containsText("10–12");
        page.addInitScript("window.print = () => { window.printed = true; }");
        page.reload();
        button(page, "Print the note").click();
        assertThat(page.evaluate("() => window.printed")).isEqualTo(true);
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(com.microsoft.playwright.options.Media.PRINT));
        assertThat(page.locator("header").first()).isHidden();
        assertThat(page.getByText("Rate the test piece")).isHidden();
        assertThat(note).isVisible();
    }

    @Test
    void aCouponIsBrokenAndRatedApartFromItsVerdict() {
        Page page = as("ines", 1024, 768);
        setUp(page, "CAUSE-3");
        tab(page, "Causes").click();
        assertThat(page.getByText("Nothing rejects")).isVisible();
        button(page, "Check for a sign (33)").click();
        Locator wavy = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("tall, ropy bead"));
        wavy.getByText("seen").click();
        assertThat(wavy.getByRole(AriaRole.BUTTON).first()).hasAttribute("aria-pressed", "true");
        button(page, "wavy, uneven bead").click();
        assertThat(causes(page).first()).hasAttribute("data-cause", "manipulation");
        button(page, "Record a specimen …").click();
        page.getByLabel("Specimen", new Page.GetByLabelOptions().setExact(true)).fill("break 1");
        Floor.answer(page, "Bent flat without breaking", "yes");
        button(page, "Record it").click();
        assertThat(page.getByLabel("Specimens")).containsText("bent flat");
        assertFits(page);
        page.getByText("note for the welder").click();
        for (String point : new String[] {"Size and profile", "Toes", "Uniformity", "Tie-ins", "Cleaning", "Defects"}) {
            Floor.answer(page, point, "1");
        }
        page.getByLabel("Why, in two lines").fill("even face");
        page.getByLabel("Second line").fill("ropy at the stops");
        button(page, "Store 6 of 10").click();
        assertThat(page.getByText("How well it is made: 6 of 10")).isVisible();
        assertThat(page.getByText("It is not pass or fail")).isVisible();
        assertFits(page);
    }

    @Test
    void theRatesSetFewWeldsApart() {
        Page page = as("quinn", 1280, 800);
        Floor.goTo(page, "Learn", "Reject rates");
        assertThat(page.getByText("Fewer than 20 welds")).isVisible();
        assertThat(page.locator("[data-row=B2]")).containsText(Pattern.compile("\\d\\d"));
        page.locator("[data-row=K7]").click();
        assertThat(page.getByLabel("One of them")).containsText("Likely the shop");
        button(page, "Positions").click();
        assertThat(page.locator("[data-row]").first()).containsText("position");
        assertFits(page);
        openFromWorklist(page, "ST1-45");
        tab(page, "Causes").click();
        assertThat(page.getByLabel("Together")).containsText("Current too low");
    }
}
