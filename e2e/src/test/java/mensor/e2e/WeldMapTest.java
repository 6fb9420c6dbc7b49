package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From the drawing to the weld: a pin is touched, its bench opened, and its label asked for. */
class WeldMapTest extends InTheBrowser {
    private static void touch(Page page, Locator pin) {
        BoundingBox at = pin.locator("path, circle").first().boundingBox();
        page.mouse().click(at.x + at.width / 2, at.y + at.height / 2);
    }

    /** The map of the footbridge. */
    private static Page mapAs(String login) {
        Page page = as(login);
        page.navigate(mensor.address() + "/jobs");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Lock footbridge"))
                .first()
                .click();
        page.waitForURL(Pattern.compile("/jobs/[0-9a-f-]{36}$"));
        String job = page.url().substring(page.url().lastIndexOf('/') + 1);
        page.locator("a[href='/jobs/" + job + "/map']").click(); // not that of the job shown before
        return page;
    }

    @Test
    void aPinLeadsToItsBenchAndItsLabel() {
        Page page = mapAs("ines");
        Locator pin = page.locator("[data-pin='ST2-17']").first();
        assertThat(pin).isVisible();
        assertFits(page);
        Locator side = page.getByLabel("Welds and what is chosen");
        side.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^hold ")))
                .click();
        assertThat(pin).hasCount(0);
        side.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^hold ")))
                .click();
        touch(page, pin);
        assertThat(side.getByText(Pattern.compile("^ST2-17 weld 1"))).isVisible();
        assertThat(side.getByText("open", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
        assertFits(page);
        button(page, "To the bench").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The weld along its length")))
                .isVisible();
        assertThat(page.locator(".mark").first()).containsText("ST2-17");
        page.goBack();
        page.goBack();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Print labels")))
                .isVisible();
    }

    /** A pin that was put at the wrong place is moved by two touches. */
    @Test
    void aPinIsMoved() {
        Page page = mapAs("tomas");
        Locator pin = page.locator("[data-pin='SN-1']").first();
        touch(page, pin);
        BoundingBox before = pin.boundingBox();
        button(page, "Move the pin").click();
        page.mouse().click(before.x + 60, before.y + 90);
        assertThat(button(page, "Move the pin")).isVisible();
        page.waitForCondition(() -> pin.boundingBox().y > before.y + 40);
        page.reload();
        assertThat(pin).isVisible();
        page.waitForCondition(() -> pin.boundingBox().y > before.y + 40);
    }
}
