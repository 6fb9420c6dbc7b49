package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** An empty Mensor asks the first visitor to make the quality manager, and shows nobody's password. */
class FirstVisitorTest {
    @Test
    void theFirstVisitorMakesTheQualityManagerWhoAddsAnInspector() {
        try (StartedMensor mensor = new StartedMensor(false);
                Chromium chromium = new Chromium()) {
            Page page = chromium.page(1280, 800);
            page.navigate(mensor.address());
            assertThat(page.getByText("Make the quality manager")).isVisible();
            page.getByLabel("Your name").fill("Q. Stone");
            page.getByLabel("Login").fill("stone");
            page.getByLabel("Password").fill("short");
            page.getByText("Make and sign in").click();
            assertThat(page.getByText("10 to 72 characters")).isVisible();
            page.getByLabel("Password").fill("long-enough-1");
            page.getByText("Make and sign in").click();
            assertThat(page.getByText("No joint is set up yet.")).isVisible();
            Floor.goTo(page, "Admin", "People and welders");
            page.locator("#name").fill("I. Vane");
            page.getByLabel("Login").fill("vane");
            page.getByLabel("First password").fill("long-enough-2");
            page.getByText("Add", new Page.GetByTextOptions().setExact(true)).click();
            assertThat(page.getByText("I. Vane").first()).isVisible();
            Floor.signOut(page);
            // the people's page has a login and a password of its own: it must be gone
            assertThat(page.getByLabel("First password")).isHidden();
            assertThat(page.getByText("One touch signs in")).isHidden();
            page.getByLabel("Login").fill("vane");
            page.getByLabel("Password").fill("long-enough-2");
            page.getByLabel("Password").press("Enter");
            assertThat(page.getByText("Set up a joint")).isVisible();
        }
    }
}
