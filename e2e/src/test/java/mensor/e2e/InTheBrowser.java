package mensor.e2e;

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
}
