package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;
import static mensor.e2e.Floor.finding;
import static mensor.e2e.Floor.openFromWorklist;
import static mensor.e2e.Floor.tab;
import static mensor.e2e.Floor.verdict;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A weld measured from a scan at the bench: the undercut that six gauge readings missed, a live scan, a file that cannot be read. */
class ScanTest extends InTheBrowser {
    @Test
    void theUndercutBetweenTheGaugesPlacesIsTakenOverAndRejects() {
        Page page = as("ines");
        openFromWorklist(page, "SN-1");
        assertThat(verdict(page)).hasText("Incomplete");
        tab(page, "^Scan").click();
        assertThat(page.locator("[data-lane=undercut]")).containsText("at most 1/16 in");
        assertThat(page.getByText("undercut web toe 5.4–6.6")).isVisible();
        assertFits(page);

        button(page, "radar-chart Surface …")
                .or(button(page, "Surface …"))
                .first()
                .click();
        assertThat(page.locator("canvas.surface")).hasAttribute("data-drawn", Pattern.compile("lit|shaded"));
        page.keyboard().press("Escape");

        page.getByText(Pattern.compile("^Take all \\d+ over$")).click();
        assertThat(verdict(page)).hasText("Reject");
        assertThat(page.getByText(Pattern.compile("^All \\d+ proposals are entries")))
                .isVisible();
        tab(page, "Criteria").click();
        assertThat(finding(page, "undercut")).hasAttribute("data-verdict", "reject");
    }

    @Test
    void beforeAndAfterTheRepairAreComparedAndATabletWithoutGraphicsShowsAShadedPicture() {
        Page page = as("ines");
        openFromWorklist(page, "SN-3");
        tab(page, "^Scan").click();
        Locator compared = page.getByLabel("Two scans compared");
        assertThat(compared).containsText("SN-3 before repair.ply, first inspection");
        assertThat(compared).containsText(Pattern.compile("Put on 0\\.\\d+ in³, taken off"));
        assertThat(compared).containsText(Pattern.compile("The section differs at 4 (5/16|3/8)–6 1/2"));
        page.evaluate("""
                () => { const get = HTMLCanvasElement.prototype.getContext;
                  HTMLCanvasElement.prototype.getContext = function (kind, ...rest) {
                    return /webgl/.test(kind) ? null : get.call(this, kind, ...rest); }; }""");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Surface …$")))
                .first()
                .click();
        Locator surface = page.locator("canvas.surface");
        assertThat(surface).hasAttribute("data-drawn", "shaded");
        assertThat(surface).isVisible();
        org.assertj.core.api.Assertions.assertThat((int) surface.evaluate("""
                        c => { const d = c.getContext("2d").getImageData(0, 0, c.width, c.height).data;
                          return new Set(Array.from(d).filter((v, i) => i % 4 === 0)).size; }"""))
                .as("shades of the picture")
                .isGreaterThan(20);
    }

    @Test
    void aLiveScanFillsTheStripAndWhatWasNotScannedStaysOpen() {
        Page page = as("tomas");
        Floor.setUp(page, "LIVE-1", "120"); // so long that a busy machine does not come to its end before it is stopped
        tab(page, "^Scan").click();
        button(page, "Scan live (simulated)").click();
        Locator open = page.locator("[data-lane=legs] [data-unscanned]");
        assertThat(open).hasCount(1);
        assertThat(page.locator("[data-lane=throat] path").first()).isVisible();
        page.waitForTimeout(1_500);
        button(page, "Stop scanning").click();
        assertThat(page.getByText(Pattern.compile("^Not measured at .*inspect there by hand")))
                .isVisible();
        assertThat(open).hasCount(1);
        assertThat(page.getByText("Scanned at").or(page.getByText("Not measured here")))
                .isVisible();
        page.locator("input[type=file]")
                .last()
                .setInputFiles(new FilePayload(
                        "torn.csv", "text/csv", "# mensor-scan/1\ns,y,z\n0,1\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText(Pattern.compile("^Not measured: line 3"))).isVisible();
        assertFits(page);
    }
}
