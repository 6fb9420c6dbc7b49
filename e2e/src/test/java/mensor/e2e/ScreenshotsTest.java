package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.openFromWorklist;
import static mensor.e2e.Floor.tab;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Takes the pictures of docs/screenshots anew, from the demo data: {@code mvn -pl e2e test -Dtest=ScreenshotsTest -Dscreenshots=true}. */
@EnabledIfSystemProperty(named = "screenshots", matches = "true")
class ScreenshotsTest extends InTheBrowser {
    private static final Path FOLDER = Path.of("../docs/screenshots");

    private static void shoot(Page page, String name) {
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.waitForTimeout(700); // a list that unfolds, a picture that comes late
        page.evaluate("() => document.activeElement?.blur()");
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }

    private static void room(Page page, String path, String name) {
        page.navigate(mensor.address() + path);
        assertThat(page.locator("main").first()).isVisible();
        shoot(page, name);
    }

    private static void follow(Page page, String word, String name) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(word).setExact(true))
                .first()
                .click();
        shoot(page, name);
    }

    @Test
    void allOfThem() {
        Page ines = as("ines", 1280, 800);
        shoot(ines, "worklist");
        openFromWorklist(ines, "RL-1");
        shoot(ines, "bench");
        tab(ines, "Causes").click();
        shoot(ines, "causes");
        openFromWorklist(ines, "CL-09");
        shoot(ines, "re-inspection");
        openFromWorklist(ines, "FB-04");
        follow(ines, "fit-up and passes", "fit-up");
        openFromWorklist(ines, "RS-1");
        shoot(ines, "pipe");
        ines.getByText("fit-up and passes").click();
        openFromWorklist(ines, "FB-13");
        ines.getByText("fit-up and passes").click();
        ines.getByText("First-rod card").click();
        shoot(ines, "first-rod");
        openFromWorklist(ines, "FB-07");
        follow(ines, "change joint", "set-up");
        openFromWorklist(ines, "SN-1");
        tab(ines, "^Scan").click();
        assertThat(ines.locator("[data-lane=undercut]")).isVisible();
        ines.locator(".strip [tabindex='0']").focus();
        for (int i = 0; i < 5; i++) {
            ines.keyboard().press("ArrowRight");
        }
        shoot(ines, "scan");
        ines.navigate(mensor.address() + "/jobs");
        ines.getByText("Lock footbridge").first().click();
        ines.waitForURL(Pattern.compile("/jobs/[0-9a-f-]{36}$"));
        String job = ines.url().substring(ines.url().lastIndexOf('/') + 1);
        ines.locator("a[href='/jobs/" + job + "/map']").click();
        assertThat(ines.locator("[data-pin='ST2-17']")).isVisible();
        shoot(ines, "map");
        ines.navigate(mensor.address() + "/where-to-act?plot=causes");
        assertThat(ines.locator(".recharts-bar-rectangle").first()).isVisible();
        shoot(ines, "where-to-act");
        openFromWorklist(ines, "ST2-16");
        OnTheFloorTest.measured(ines);
        shoot(ines, "picture");
        ines.navigate(mensor.address() + "/test-pieces?list=bench");
        ines.getByText("CP-4").click();
        assertThat(ines.getByText("looks good and broke badly")).isVisible();
        shoot(ines, "test-piece");
        room(ines, "/criteria/d1.1-static", "criteria");

        room(as("lea", 1280, 800), "/series", "series");
        Page igor = as("igor", 1280, 800);
        igor.navigate(mensor.address() + "/practice");
        igor.getByText("Level 4, 5/16 fillet").first().click();
        assertThat(igor.getByText("What truly is there")).isVisible();
        assertThat(igor.locator("canvas.surface[data-drawn]")).isVisible();
        igor.waitForTimeout(1_500);
        shoot(igor, "practice");
        igor.navigate(mensor.address() + "/eye");
        assertThat(igor.locator(".curve path").first()).isVisible();
        shoot(igor, "eye");
        igor.navigate(mensor.address() + "/studies");
        igor.getByText("Undercut depth with the dial").click();
        assertThat(igor.getByText("Repeatability (EV)")).isVisible();
        shoot(igor, "study");

        Page rufus = as("rufus", 1280, 800);
        openFromWorklist(rufus, "FB-03");
        tab(rufus, "Repair").click();
        shoot(rufus, "disposition");
    }
}
