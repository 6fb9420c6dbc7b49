package mensor.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Debian's Chromium without a window, kept from calling home. */
final class Chromium implements AutoCloseable {
    /** Milliseconds; a busy machine is slow, not wrong. */
    private static final int PATIENCE = 60_000;

    private final Playwright playwright =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private final Browser browser = playwright
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));

    Chromium() {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    }

    /** A page in a browser of its own, with no cookie of another. */
    Page page(int width, int height) {
        return context(width, height).newPage();
    }

    /** A browser of its own, empty. */
    BrowserContext context(int width, int height) {
        BrowserContext context = browser.newContext(settings(width, height));
        context.setDefaultTimeout(PATIENCE);
        return context;
    }

    /** Closes every page, and every browser but these. */
    void closeAllBut(Collection<BrowserContext> kept) {
        for (BrowserContext context : List.copyOf(browser.contexts())) {
            if (kept.contains(context)) {
                List.copyOf(context.pages()).forEach(Page::close);
            } else {
                context.close();
            }
        }
    }

    /** A tablet: a browser of its own, under fingers. */
    BrowserContext tablet(int width, int height) {
        BrowserContext context = browser.newContext(settings(width, height).setHasTouch(true));
        context.setDefaultTimeout(PATIENCE);
        return context;
    }

    /** The app comes from the server at each visit, not from what the browser kept of it. */
    private static Browser.NewContextOptions settings(int width, int height) {
        return new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setReducedMotion(ReducedMotion.REDUCE) // a test does not wait for what slides in
                .setServiceWorkers(ServiceWorkerPolicy.BLOCK);
    }

    /** A browser that keeps the app, to go on without a network. */
    BrowserContext keeping(int width, int height) {
        BrowserContext context =
                browser.newContext(settings(width, height).setServiceWorkers(ServiceWorkerPolicy.ALLOW));
        context.setDefaultTimeout(PATIENCE);
        return context;
    }

    @Override
    public void close() {
        browser.close();
        playwright.close();
    }
}
