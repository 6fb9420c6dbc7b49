package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;

/** A running Mensor with demo data and a browser, which all these tests share; each test has pages of its own. */
@ExtendWith(InTheBrowser.Started.class)
abstract class InTheBrowser {
    static StartedMensor mensor;
    static Chromium chromium;

    /**
     * The browser of each person, signed in at the first time: loading the application into one that had it costs half of
     * loading it into an empty one.
     */
    private static final Map<String, BrowserContext> SIGNED_IN = new HashMap<>();

    /** Started for the first class, ended after the last. */
    static final class Started implements BeforeAllCallback {
        @Override
        public void beforeAll(ExtensionContext extension) {
            extension
                    .getRoot()
                    .getStore(ExtensionContext.Namespace.GLOBAL)
                    .getOrComputeIfAbsent("browser", k -> new Shared());
        }
    }

    private static final class Shared implements AutoCloseable {
        Shared() {
            mensor = new StartedMensor(true);
            chromium = new Chromium();
        }

        @Override
        public void close() {
            chromium.close();
            mensor.close();
        }
    }

    /** What is open goes on asking the server. */
    @AfterEach
    void closePages() {
        chromium.closeAllBut(SIGNED_IN.values());
    }

    /** At a desk, signed in. */
    static Page as(String login) {
        return as(login, 1280, 800);
    }

    static Page as(String login, int width, int height) {
        Page page = SIGNED_IN
                .computeIfAbsent(login, l -> chromium.context(width, height))
                .newPage();
        page.setViewportSize(width, height);
        page.navigate(mensor.address());
        Locator form = page.getByLabel("Login");
        assertThat(page.getByLabel(Pattern.compile("^Mensor, to")).or(form).first())
                .isVisible();
        if (form.isVisible()) { // the first time, or somebody signed out everywhere
            Floor.signIn(page, login);
        }
        return page;
    }
}
