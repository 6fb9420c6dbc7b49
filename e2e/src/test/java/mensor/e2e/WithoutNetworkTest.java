package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.openFromWorklist;
import static mensor.e2e.Floor.signIn;
import static mensor.e2e.Floor.signOut;
import static mensor.e2e.Floor.verdict;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** A tablet that restarts in the yard goes on with what it had open; after sign-out nothing of the person is left on it. */
class WithoutNetworkTest extends InTheBrowser {
    /** What is kept of the open pages, as text. */
    private static final String KEPT = "() => new Promise((done) => {"
            + " const asked = indexedDB.open('keyval-store'); asked.onsuccess = () => {"
            + " const kept = asked.result.transaction('keyval').objectStore('keyval').get('mensor.open');"
            + " kept.onsuccess = () => done(String(kept.result ?? '')); }; })";

    @Test
    void theTabletIsReloadedWithoutANetworkAndGoesOn() {
        BrowserContext tablet = chromium.keeping(1024, 768);
        Page page = tablet.newPage();
        page.navigate(mensor.address());
        signIn(page, "ines");
        assertThat(page.locator("[data-row]").first()).isVisible();
        page.evaluate("() => navigator.serviceWorker.ready.then(() => true)");
        String map = mensor.address()
                + page.evaluate("async () => '/jobs/' + (await (await fetch('/api/jobs')).json())"
                        + ".find(j => j.form.name === 'Lock footbridge').id + '/map'");
        page.navigate(map);
        assertThat(page.locator("[data-pin='ST2-17']").first()).isVisible();
        page.waitForTimeout(3_000); // what is open is kept every other second
        page.navigate(mensor.address() + "/worklist");
        openFromWorklist(page, "ST2-14");
        String bench = page.url();
        page.waitForTimeout(3_000); // what is open is kept every other second
        assertThat((String) page.evaluate(KEPT)).contains("ST2-14").contains("Ines");
        tablet.setOffline(true);
        page.reload();
        assertThat(verdict(page)).hasText("Incomplete");
        Locator line = page.locator("input[aria-label='Entry line']");
        line.fill("crack 3");
        line.press("Enter");
        assertThat(page.getByText("1 waits").first()).isVisible();
        page.navigate(map);
        assertThat(page.locator("[data-pin='ST2-17']").first()).isVisible(); // read in the yard
        tablet.setOffline(false);
        page.navigate(bench);
        assertThat(verdict(page)).hasText("Reject");

        signOut(page);
        assertThat(page.getByLabel("Login")).isVisible();
        page.waitForTimeout(3_000);
        assertThat((String) page.evaluate(KEPT))
                .as("what is left of the person")
                .doesNotContain("Ines")
                .doesNotContain("ST2-14");
        tablet.setOffline(true);
        page.navigate(bench);
        assertThat(page.getByText("Mensor cannot be reached")).isVisible();
        tablet.close();
    }
}
