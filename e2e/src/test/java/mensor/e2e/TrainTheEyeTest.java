package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** A made-up weld from its beginning to the explained solution; three people who see the same welds; a gauge study from a list. */
class TrainTheEyeTest extends InTheBrowser {
    private static void record(Page page, String line, String said) {
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Entry line"))
                .fill(line);
        page.keyboard().press("Enter");
        assertThat(page.locator(".dock").getByText("Recorded: " + said)).isVisible();
    }

    private static void signAsPractice(Page page) {
        button(page, "Sign as practice …").click();
        page.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^Sign (accept|reject|incomplete)$")))
                .click();
    }

    @Test
    void aPracticeWeldIsSeenGaugedRecordedHandedInAndExplained() {
        Page page = as("lea");
        page.navigate(mensor.address() + "/practice");
        button(page, "Begin").click();
        assertThat(page.locator("canvas.surface")).hasAttribute("data-drawn", Pattern.compile("lit|shaded"));
        assertFits(page);
        button(page, "Hold at 4").click();
        assertThat(page.getByText(Pattern.compile("^fillet blade of the size at 4: ")))
                .isVisible();
        record(page, "uc a 2-3 1/32", "");
        assertThat(page.getByTestId("verdict").getByText("Incomplete")).isVisible();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Entry line"))
                .fill("uc z 2-3");
        assertThat(page.locator(".dock mark")).hasText("z");
        record(page, "none crack fusion overlap", "");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Entries (4)"))
                .click();
        page.getByLabel("What is recorded")
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^take off", Pattern.CASE_INSENSITIVE)))
                .first()
                .click();
        assertThat(page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Entries (3)")))
                .isVisible();
        signAsPractice(page);
        assertThat(page.getByText(
                        Pattern.compile("The verdict is (right|wrong): truly (accept|reject), recorded incomplete")))
                .isVisible();
        assertThat(page.getByText("What truly is there")).isVisible();
        assertThat(page.getByText(Pattern.compile("^Never in view near enough: ")))
                .isVisible();
        assertFits(page);
        page.navigate(mensor.address() + "/eye");
        assertThat(page.getByText(Pattern.compile("\\d welds? handed in"))).isVisible();
    }

    /** The bench hears what a tablet's dictation writes, and shows it before it is recorded; with gloves each question is a touch. */
    @Test
    void theBenchIsSpokenToAndTouchedWithGloves() {
        Page page = as("june");
        page.navigate(mensor.address() + "/practice");
        button(page, "Begin").click();
        Locator line = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Entry line"));
        line.fill("undercut web toe two to three about one thirty-second deep");
        assertThat(page.locator(".dock mark")).hasText("about");
        line.fill("undercut web toe two to three one thirty-second deep");
        assertThat(page.locator(".dock").getByText("heard: undercut a 2..3 1/32"))
                .isVisible();
        assertThat(page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Entries (0)")))
                .isVisible();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Entries (1)")))
                .isVisible();
        button(page, "Gloves").click();
        for (String target : new String[] {"Undercut", "flange toe", "4", "+ 1", "5", "1/32"}) {
            page.locator(".dock")
                    .getByRole(
                            AriaRole.BUTTON,
                            new Locator.GetByRoleOptions().setName(target).setExact(true))
                    .click();
        }
        assertFits(page);
        button(page, "Record").click();
        assertThat(page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Entries (2)")))
                .isVisible();
        button(page, "Gloves off").click();
        assertThat(line).isVisible();
    }

    /** Each sees the two welds twice; nobody is told anything before the last is handed in. */
    @EnabledIfSystemProperty(named = "sweeps", matches = "true")
    @Test
    void threePeopleSeeTheSameWelds() {
        Page quinn = as("quinn");
        quinn.navigate(mensor.address() + "/studies/agreement");
        quinn.getByLabel("Name of the study").fill("Browser eyes");
        Locator people = quinn.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("People"));
        for (String name : new String[] {"Lea Brandt", "Noah Pike", "Mira Solane"}) {
            people.fill(name);
            quinn.keyboard().press("Enter");
        }
        quinn.keyboard().press("Escape");
        Locator welds = quinn.getByRole(AriaRole.SLIDER);
        welds.focus();
        quinn.keyboard().press("Home");
        button(quinn, "Hand the welds out").click();
        assertThat(quinn.getByText("0 of 4")).hasCount(3);
        String[] logins = {"lea", "noah", "mira"};
        for (int p = 0; p < 3; p++) {
            Page page = as(logins[p]);
            for (int nth = 1; nth <= 4; nth++) {
                page.navigate(mensor.address() + "/practice");
                button(page, "Browser eyes, weld " + nth + " of 4").click();
                assertThat(page.getByText("Weld " + nth + " of 4")).isVisible();
                record(page, p == 0 ? "crack 2" : "none crack", "");
                signAsPractice(page);
                assertThat(
                                p < 2 || nth < 4
                                        ? page.getByText(
                                                "Handed in. The solution is shown when everybody has handed in.")
                                        : page.getByText("What truly is there"))
                        .isVisible();
            }
        }
        quinn.reload();
        assertThat(quinn.getByLabel("What it comes to").getByText(Pattern.compile("^On the verdict 3 people agree")))
                .isVisible();
        assertThat(quinn.getByText("Noah Pike and Mira Solane").or(quinn.getByText("Mira Solane and Noah Pike")))
                .isVisible();
        assertFits(quinn);
    }

    @Test
    void readingsFromAListComeToAGaugeStudyThatTheRegisterTakes() {
        Page quinn = as("quinn");
        quinn.navigate(mensor.address() + "/studies/new");
        quinn.getByLabel("Name of the study").fill("Legs");
        quinn.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Gauge"))
                .fill("Rule R-3");
        Locator readings = quinn.getByLabel(Pattern.compile("^Readings"));
        readings.fill("person,part,reading\nA,1,5/16\nA,1,.32\nA,2,3/8\nA,2,.38\nB,1,deep");
        button(quinn, "Compute and keep").click();
        assertThat(quinn.getByText(Pattern.compile("line 6.*deep")).first()).isVisible();
        readings.fill("person,part,reading\nA,1,5/16\nA,1,.32\nA,2,3/8\nA,2,.38\nB,1,.31\nB,1,.33\nB,2,.39\nB,2,.37");
        button(quinn, "Compute and keep").click();
        assertThat(quinn.getByLabel("What it comes to")
                        .getByText(Pattern.compile("^Gauge and people make up \\d+\\.\\d % of the spread")))
                .isVisible();
        button(quinn, "Use it in the register").click();
        assertThat(quinn.getByText(Pattern.compile("The register takes it"))).isVisible();
        button(quinn, "Use the division again").click();
        assertThat(quinn.getByText(Pattern.compile("The register does not take it")))
                .isVisible();
        assertFits(quinn);
    }
}
