package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;
import static mensor.e2e.Floor.setUp;
import static mensor.e2e.Floor.signIn;
import static mensor.e2e.Floor.tab;
import static mensor.e2e.Floor.verdict;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The bench as a hand uses it: the line, a finger, a gauge that types, a camera, without a network, and with a colleague. */
class BenchByHandTest extends InTheBrowser {
    /** One red point. */
    private static final String PNG =
            "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAIAAACQd1PeAAAADElEQVR4nGP4z8AAAAMBAQDJ/pLvAAAAAElFTkSuQmCC";

    private static Page signedIn(Page page, String login) {
        page.navigate(mensor.address());
        signIn(page, login);
        return page;
    }

    private static Locator line(Page page) {
        return page.locator("input[aria-label='Entry line']");
    }

    private static Locator said(Page page) {
        return page.locator(".dock .said");
    }

    private static void enter(Page page, String text) {
        line(page).fill(text);
        line(page).press("Enter");
    }

    /** Every example of the help card that a fillet can have, in one inspection. */
    @EnabledIfSystemProperty(named = "sweeps", matches = "true")
    @Test
    void theLineTakesEveryKind() {
        Page page = as("ines", 1280, 800);
        setUp(page, "HAND-1");
        enter(page, "none crack overlap");
        assertThat(line(page)).hasValue("");
        @SuppressWarnings("unchecked")
        List<String> examples = (List<String>) page.evaluate("""
                async () => (await (await fetch('/api/entry-line')).json()).map((c) => c.example).filter((e) => !e.startsWith('none'))""");
        assertThat(examples).hasSizeGreaterThan(20);
        int taken = 0;
        for (String example : examples) {
            line(page).fill(example);
            Locator means = page.locator(".line .means");
            assertThat(page.locator(".line .means[aria-busy=false]")
                            .locator("b, .fault")
                            .first())
                    .isVisible();
            if (means.locator(".fault").count() > 0) {
                assertThat(means).hasText(Pattern.compile("fillet|groove|one-sided|root|penetration|24"));
                continue;
            }
            line(page).press("Enter");
            assertThat(line(page)).hasValue("");
            assertThat(means).containsText("Recorded: ");
            taken++;
        }
        assertThat(taken).as("of " + examples).isGreaterThanOrEqualTo(15);
        assertThat(verdict(page)).hasText("Reject");
        assertThat(page.locator("[data-mark=crack]").first()).isVisible();
    }

    private static void drag(CDPSession cdp, double fromX, double toX, double y) {
        touch(cdp, "touchStart", fromX, y);
        for (int i = 1; i <= 5; i++) {
            touch(cdp, "touchMove", fromX + (toX - fromX) * i / 5, y);
        }
        JsonObject end = new JsonObject();
        end.addProperty("type", "touchEnd");
        end.add("touchPoints", new com.google.gson.JsonArray());
        cdp.send("Input.dispatchTouchEvent", end);
    }

    private static void touch(CDPSession cdp, String type, double x, double y) {
        JsonObject point = new JsonObject();
        point.addProperty("x", x);
        point.addProperty("y", y);
        com.google.gson.JsonArray points = new com.google.gson.JsonArray();
        points.add(point);
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", points);
        cdp.send("Input.dispatchTouchEvent", event);
    }

    @Test
    void aFingerDrawsAStretchAndAChipSaysHowDeep() {
        BrowserContext tablet = chromium.tablet(1024, 768);
        Page page = signedIn(tablet.newPage(), "ines");
        setUp(page, "HAND-2");
        BoundingBox lane = page.locator("[data-lane=B]").boundingBox();
        double inch = lane.width / 24;
        double y = lane.y + lane.height / 2;
        drag(tablet.newCDPSession(page), lane.x + 12 * inch, lane.x + 14 * inch, y);
        Locator drawn = page.getByLabel("Drawn stretch");
        assertThat(drawn).containsText("flange toe");
        assertThat(drawn.locator("output")).hasText(new String[] {"12", "14"});
        page.getByLabel("to: 1/8 in on").tap();
        assertThat(drawn.locator("output")).hasText(new String[] {"12", "14 1/8"});
        drawn.getByText("1/32", new Locator.GetByTextOptions().setExact(true)).tap();
        assertThat(said(page)).hasText("Recorded: undercut flange toe 12–14 1/8 1/32 deep");
        assertThat(page.locator("[data-mark=undercut]")).hasCount(1);
        BoundingBox size = page.locator("[data-band=UNTRIED] rect").first().boundingBox();
        drag(tablet.newCDPSession(page), size.x + 1, size.x + size.width - 1, size.y + size.height / 2);
        drawn.getByText("5/16 goes", new Locator.GetByTextOptions().setExact(true))
                .tap();
        assertThat(page.locator("[data-band=GOES]")).hasCount(1);
        assertFits(page);
        tablet.close();
    }

    /** Keys as fast as a gauge sends them, then the gauge that ships with the application. */
    @Test
    void aGaugeTypesFromReadingToReadingAndStationToStation() {
        Page page = as("ines", 1280, 800);
        setUp(page, "HAND-3");
        page.locator(".guide .go").click();
        assertThat(page.locator("#dock-at")).hasValue("1");
        assertThat(page.locator("#dock-legA")).isFocused();
        button(page, "Run").click(); // a busy machine types no faster than a hand
        page.locator("#dock-legA").focus();
        page.keyboard().type("0.322\n");
        assertThat(page.locator("#dock-legB")).isFocused();
        page.keyboard().type("0.330\n");
        assertThat(said(page)).hasText("Recorded: legs 0.322, 0.330 at 1");
        assertThat(page.locator("#dock-at")).hasValue("12");
        assertThat(page.locator("#dock-legA")).isFocused();
        button(page, "Practice gauge").click();
        page.locator("#dock-legA").focus();
        button(page, "Take a reading").click();
        assertThat(page.locator("#dock-legA")).hasValue(Pattern.compile("0\\.\\d{3}"));
        assertThat(page.locator("#dock-legB")).isFocused();
        button(page, "Take a reading").click();
        assertThat(page.locator("[data-station]")).hasCount(2);
        assertThat(page.locator("#dock-at")).hasValue("23");
    }

    @Test
    void whatWasPutDownIsTakenBackAndPutDownAgain() {
        Page page = as("ines", 1280, 800);
        setUp(page, "HAND-4");
        enter(page, "none crack");
        enter(page, "crack 18 crater");
        assertThat(verdict(page)).hasText("Reject");
        line(page).press("Control+z");
        assertThat(verdict(page)).hasText("Incomplete");
        assertThat(page.locator("[data-none=crack]")).hasCount(0);
        line(page).press("Control+y");
        assertThat(verdict(page)).hasText("Reject");
        line(page).press("Control+z");
        line(page).press("Control+z");
        assertThat(page.locator("[data-none=crack]")).isVisible();
    }

    @Test
    void withoutANetworkTheWorkGoesOnAndAllOfItArrivesOnce() {
        Page page = as("ines", 1280, 800);
        setUp(page, "HAND-5");
        enter(page, "leg 1 5/16 5/16");
        assertThat(tab(page, "Entries \\(1\\)")).isVisible();
        page.context().setOffline(true);
        enter(page, "uc a 12-14 1/32");
        assertThat(page.locator(".line .means"))
                .containsText("Kept here, it is read and goes when the network is back");
        page.getByLabel("Slag: inspected, none seen").click();
        page.evaluate("() => document.activeElement?.blur()");
        page.keyboard().press("c");
        page.locator("#dock-at").fill("18");
        page.locator("#dock-at").press("Enter");
        assertThat(said(page)).containsText("Kept here");
        assertThat(page.locator(".network")).hasText("◌ no network · 3 wait");
        tab(page, "Entries").click();
        assertThat(page.getByText("waits for the network")).hasCount(3);
        page.context().setOffline(false);
        assertThat(page.locator(".network")).hasText("");
        assertThat(tab(page, "Entries \\(4\\)")).isVisible();
        assertThat(page.locator("[data-mark=undercut]")).hasCount(1);
        page.reload();
        assertThat(tab(page, "Entries \\(4\\)")).isVisible();
        assertThat(verdict(page)).hasText("Reject");
    }

    /** Another session wins a change while this one has no network: both are shown, and the one who comes late decides. */
    @Test
    void twoOnOneWeldSeeEachOtherAndAClashLosesNothing() {
        Page ines = as("ines", 1280, 800);
        setUp(ines, "HAND-6");
        Page tomas = as("tomas", 1280, 800);
        tomas.navigate(ines.url());
        assertThat(verdict(tomas)).isVisible();
        enter(ines, "uc a 12-14 1/32");
        assertThat(ines.locator("[data-mark=undercut]")).hasCount(1);
        double seen = ((Number) tomas.evaluate("""
                () => new Promise((done) => {
                  const started = performance.now();
                  const inspection = () => document.querySelector('[data-mark=undercut]') ? done(performance.now() - started) : setTimeout(inspection, 20);
                  inspection();
                })""")).doubleValue();
        System.out.printf("the other's entry is seen after %.0f ms at most%n", seen);
        assertThat(seen).isLessThan(10_000);

        ines.locator("[data-mark=undercut]").click();
        ines.locator("#dock-depth").fill("3/64");
        ines.context().setOffline(true);
        button(ines, "Store the change").click();
        assertThat(ines.locator(".network")).hasText("◌ no network · 1 waits");
        tomas.locator("[data-mark=undercut]").click();
        tomas.locator("#dock-to").fill("16");
        button(tomas, "Store the change").click();
        assertThat(tomas.locator("#dock-to")).hasCount(0);
        ines.context().setOffline(false);
        Locator clash = ines.getByLabel("Two changed this entry");
        assertThat(clash).containsText("undercut web toe 12–16 1/32 deep");
        assertThat(clash).containsText("undercut web toe 12–14 3/64 deep");
        clash.getByText("Both stand: mine as one more").click();
        assertThat(ines.locator("[data-mark=undercut]")).hasCount(2);
        assertThat(tomas.locator("[data-mark=undercut]")).hasCount(2);
    }

    @Test
    void aPictureStandsOnTheStripAndAnythingElseIsRefused() {
        Page page = as("ines", 1280, 800);
        setUp(page, "HAND-7");
        Locator camera = page.locator(".dock input[type=file]");
        camera.setInputFiles(
                new FilePayload("toe.png", "image/png", Base64.getDecoder().decode(PNG)));
        assertThat(page.locator("[data-photo]")).hasCount(1);
        assertThat(said(page)).hasText("Recorded: picture at 12 in");
        page.locator("[data-photo]").click();
        assertThat(page.getByAltText("The weld, at 12 in")).isVisible();
        page.keyboard().press("Escape");
        camera.setInputFiles(new FilePayload("toe.jpg", "image/jpeg", "GIF89a".getBytes()));
        assertThat(said(page)).containsText("a PNG or a JPEG is, whatever the file is called");
        assertThat(page.locator("[data-photo]")).hasCount(1);
    }

    @Test
    void aLongWeldIsReadFromFarAndNear() {
        Page page = as("ines", 1280, 800);
        setUp(page, "HAND-8", "240");
        enter(page, "uc a 100..100-1/4 1/16");
        Locator mark = page.locator("[data-mark=undercut] path");
        assertThat(mark).hasCount(1);
        assertThat(mark.boundingBox().width).as("seen from far").isBetween(2.0, 12.0);
        assertThat(page.locator("[data-bracket]")).hasCount(1);
        page.locator("[data-criterion=undercut] > button").click();
        assertThat(page.locator(".overview")).isVisible();
        assertThat(page.locator("[data-bracket=undercut]").first()).isVisible();
        page.locator(".strip [tabindex='0']").focus();
        page.keyboard().press("Home");
        page.keyboard().press("PageDown");
        for (int i = 0; i < 6; i++) {
            page.keyboard().press("+");
        }
        assertThat(mark.boundingBox().width).as("near enough to touch").isGreaterThan(44);
        page.keyboard().press("0");
        assertThat(page.locator(".overview")).hasCount(0);
    }

    /** Everything that is pressed or typed into on the bench has room for a gloved finger. */
    @ParameterizedTest
    @CsvSource({"820, 1180"})
    void everyTargetIsBigEnoughForAGlove(int width, int height) {
        Page page = as("ines", width, height);
        page.getByLabel("Find a weld").fill("ST2-17");
        page.getByText("ST2-17").first().click();
        assertThat(verdict(page)).isVisible();
        assertFits(page);
        for (String key : List.of("", "u", "l", "b")) {
            page.evaluate("() => document.activeElement?.blur()");
            if (!key.isEmpty()) {
                page.keyboard().press(key);
                assertThat(page.locator(".dock form input").first()).isVisible();
            }
            Object small = page.evaluate("""
                    () => [...document.querySelectorAll('button, .ant-select, .ant-radio-button-wrapper, .strip a,'
                      + 'input:not([type=checkbox], [type=radio], [type=file], [role=combobox])')]
                      .filter((e) => e.offsetParent !== null)
                      .map((e) => [e.getBoundingClientRect(), (e.getAttribute('aria-label') ?? e.textContent).trim()])
                      .filter(([r]) => r.height < 43.5 || r.width < 43.5)
                      .map(([r, name]) => `${name} ${Math.round(r.width)}×${Math.round(r.height)}`)""");
            assertThat((List<?>) small)
                    .as("at %d × %d after '%s'", width, height, key)
                    .isEmpty();
            assertFits(page);
        }
        Map<?, ?> letters = (Map<?, ?>) page.evaluate("""
                () => ({ size: parseFloat(getComputedStyle(document.querySelector('.tower .said .verdict')).fontSize) })""");
        assertThat(((Number) letters.get("size")).doubleValue())
                .as("letters 8 mm high, 30 px at 96 to the inch, stand in type of some 42")
                .isGreaterThanOrEqualTo(40);
    }
}
