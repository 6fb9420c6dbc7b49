package mensor.e2e;

import com.microsoft.playwright.Page;
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

    /** At a desk, signed in. */
    static Page as(String login) {
        Page page = chromium.page(1280, 800);
        page.navigate(mensor.address());
        Floor.signIn(page, login);
        return page;
    }
}
