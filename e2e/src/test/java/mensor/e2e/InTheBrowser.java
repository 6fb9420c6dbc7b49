package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/** A running Mensor with demo data, which these tests share, and a browser of each class's own. */
abstract class InTheBrowser {
    static StartedMensor mensor;
    static Chromium chromium;

    @BeforeAll
    static void start() {
        mensor = StartedMensor.shared();
        chromium = new Chromium();
    }

    @AfterAll
    static void stop() {
        chromium.close();
    }

    /** What a browser kept after each person's first sign-in: who comes again need not type it anew. */
    private static final Map<String, String> SIGNED_IN = new HashMap<>();

    /** At a desk, signed in. */
    static Page as(String login) {
        Page page = chromium.page(1280, 800, SIGNED_IN.get(login));
        page.navigate(mensor.address());
        Locator form = page.getByLabel("Login");
        assertThat(page.getByLabel(Pattern.compile("^Mensor, to")).or(form).first())
                .isVisible();
        if (form.isVisible()) { // the first time, or somebody signed out everywhere
            Floor.signIn(page, login);
            SIGNED_IN.put(login, page.context().storageState());
        }
        return page;
    }
}
