package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.openFromWorklist;
import static mensor.e2e.Floor.signIn;
import static mensor.e2e.Floor.tab;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every screen held against the rules of axe-core (WCAG 2); in the dark, where only the colors differ, against that of contrast. */
class AccessibilityTest extends InTheBrowser {
    private static final List<String> ROOMS = List.of(
            "/series/lea",
            "/test-pieces",
            "/test-pieces/new",
            "/drills",
            "/repairs",
            "/jobs",
            "/procedures",
            "/gauges",
            "/reject-rates",
            "/where-to-act",
            "/scan-label",
            "/practice",
            "/eye",
            "/studies",
            "/studies/new",
            "/criteria",
            "/people",
            "/joints/new");

    private static final boolean SWEEPS = Boolean.getBoolean("sweeps");
    /** One of each sort of page. */
    private static final List<String> SOME_ROOMS = List.of("/repairs", "/criteria", "/joints/new");

    private final Map<String, String> found = new LinkedHashMap<>();

    private boolean dark;

    private void inspection(Page page, String screen) {
        AxeBuilder axe = new AxeBuilder(page);
        if (dark) {
            axe.withRules(List.of("color-contrast"));
        }
        for (Rule r : axe.analyze().getViolations()) {
            if (r.getImpact().equals("serious") || r.getImpact().equals("critical")) {
                found.put(
                        screen + ": " + r.getId(),
                        r.getNodes().stream()
                                .limit(4)
                                .map(n -> n.getHtml() + " " + n.getFailureSummary())
                                .toList()
                                .toString());
            }
        }
    }

    static Stream<String> themes() {
        return SWEEPS ? Stream.of("light", "dark") : Stream.of("light");
    }

    /** In the dark the contrast alone is another; it, and every plain room of the same parts, only with {@code -Dsweeps=true}. */
    @ParameterizedTest
    @MethodSource("themes")
    void nothingSeriousOnAnyScreen(String theme) {
        dark = theme.equals("dark");
        Page page = chromium.page(1280, 800);
        page.addInitScript("localStorage.setItem('mensor.theme', '" + theme + "')");
        page.navigate(mensor.address());
        assertThat(page.getByLabel("Login")).isVisible();
        inspection(page, "sign in");
        signIn(page, "ines");
        assertThat(page.locator("[data-row]").first()).isVisible();
        inspection(page, "worklist");
        for (String room : SWEEPS ? ROOMS : SOME_ROOMS) {
            page.navigate(mensor.address() + room);
            assertThat(page.locator("main").first()).isVisible();
            inspection(page, room);
        }
        openFromWorklist(page, "ST2-17");
        inspection(page, "bench");
        page.locator(".finding > button").first().click();
        inspection(page, "bench, a finding open");
        page.keyboard().press("u");
        inspection(page, "bench, undercut");
        page.keyboard().press("Escape");
        page.evaluate("() => document.activeElement?.blur()");
        page.keyboard().press("l");
        page.getByText("Run", new Page.GetByTextOptions().setExact(true)).click();
        page.getByText("Practice gauge").click();
        inspection(page, "bench, a run of stations");
        openFromWorklist(page, "CL-07");
        tab(page, "Repair").click();
        assertThat(page.locator(".defect").first()).isVisible();
        inspection(page, "bench, repair");
        page.locator(".defect .nc a").first().click();
        assertThat(page.locator(".ticket .place")).isVisible();
        inspection(page, "repair ticket");
        openFromWorklist(page, "SN-3");
        tab(page, "^Scan").click();
        assertThat(page.getByText("Two scans compared")).isVisible();
        inspection(page, "bench, scans");
        openFromWorklist(page, "ST1-46");
        tab(page, "Causes").click();
        page.getByText("Check for a sign").click();
        inspection(page, "bench, causes");
        Object joint = page.evaluate(
                "async () => (await (await fetch('/api/joints?find=ST2-17&group=all')).json()).rows[0].jointId");
        if (SWEEPS) {
            page.getByText("note for the welder").click();
            assertThat(page.locator("article")).isVisible();
            inspection(page, "note for the welder");
        }
        for (String page2 : SWEEPS ? List.of("welding-record", "plan", "history") : List.of("plan")) {
            page.navigate(mensor.address() + "/joints/" + joint + "/" + page2);
            assertThat(page.locator("main").first()).isVisible();
            inspection(page, page2);
        }
        page.keyboard().press("F1");
        assertThat(page.getByText("Handbook").first()).isVisible();
        inspection(page, "help");
        assertThat(found).as("axe, %s", theme).isEmpty();
    }
}
