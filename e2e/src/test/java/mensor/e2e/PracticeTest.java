package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;
import static mensor.e2e.Floor.field;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Practice: a learner's series of pieces with one change each, the class, and a piece that goes to the bench. */
class PracticeTest extends InTheBrowser {
    private static Locator part(Page page, String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** Stores a piece and gives it so many points for its toes; all other lines get their least. */
    private static void storeAndScore(Page page, int toes) {
        button(page, "Begin the piece").click();
        button(page, "Score it …").click();
        for (String line : new String[] {"Size and profile", "Toes", "Uniformity", "Tie-ins", "Cleaning", "Defects"}) {
            page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(line))
                    .getByText(
                            line.equals("Toes") ? String.valueOf(toes) : "1",
                            new Locator.GetByTextOptions().setExact(true))
                    .click();
        }
        button(page, "Store " + (5 + toes) + " of 10").click();
        assertThat(page.getByText("Score: " + (5 + toes) + " of 10")).isVisible();
    }

    private static void next(Page page) {
        page.getByText("next piece like this").click();
        assertThat(page.locator(".mark")).hasText("New test piece"); // what is typed before belongs to the old one
    }

    @Test
    void threePiecesWithOneChangeEachMakeACurveAndStandSideBySide() {
        Page page = as("june");
        Floor.goTo(page, "Learn", "Drills");
        button(page, "Crater filled at the end")
                .or(page.getByText("Crater filled at the end"))
                .first()
                .click();
        assertFits(page);
        button(page, "Begin it").click();
        field(page, "Rod").fill("E7018");
        field(page, "Amps").fill("135");
        storeAndScore(page, 0);
        next(page);
        assertThat(field(page, "Rod")).hasValue("E7018");
        field(page, "Amps").fill("125");
        storeAndScore(page, 2);
        next(page);
        field(page, "Amps").fill("105");
        storeAndScore(page, 1);
        page.getByText("series", new Page.GetByTextOptions().setExact(true)).click();
        Floor.choose(page, "Exercise", "Crater filled at the end");

        assertThat(page.getByRole(
                        AriaRole.IMG,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Scores in order: .* 5, .* 7, .* 6$"))))
                .isVisible();
        assertThat(part(page, "What it teaches")).containsText("amps back to 125 A");
        assertThat(part(page, "What it teaches")).containsText("amps 135 A to 125 A");
        Locator beside = part(page, "Side by side");
        assertThat(beside.locator("b", new Locator.LocatorOptions().setHasText("125 A")))
                .isVisible();
        assertThat(beside.locator("b", new Locator.LocatorOptions().setHasText("E7018")))
                .hasCount(0);
        button(page, "Next piece").click();
        assertThat(field(page, "Amps")).hasValue("125"); // the one change is in it
    }

    @Test
    void theInstructorSeesTheClassAndHandsOutADrill() {
        Page page = as("igor");
        assertThat(part(page, "Class")).containsText("Otto Venn");
        assertThat(part(page, "Class")).containsText("looks good, broke badly");
        assertFits(page);
        Floor.choose(page, "Drill", "Cap of a groove");
        Floor.day(field(page, "By"), "Dec 24, 2026");
        page.getByLabel("Mira Solane").check();
        button(page, "Hand it out").click();
        assertThat(part(page, "Handed out")).containsText("Cap of a groove");
        Page mira = as("mira");
        assertThat(mira.getByText("Cap of a groove: due")).isVisible();
    }

    @Test
    void aQualificationPieceIsSetUpAtTheBenchAndGetsItsCuttingPlan() {
        Page page = as("ines");
        Floor.goTo(page, "Learn", "Test pieces");
        page.getByText("New test piece").click();
        Floor.choose(page, "Kind", "Groove plate");
        Floor.choose(page, "For", "qualification");
        field(page, "Welder or learner").fill("K7");
        field(page, "Number").fill("QP-1");
        field(page, "Position").fill("3G");
        field(page, "Length").fill("7");
        button(page, "Begin the piece").click();
        button(page, "Set it up at the bench").click();
        assertThat(page.getByText("the bench wants the thickness").first()).isVisible();
        field(page, "Thickness").fill("3/8");
        button(page, "Store").click();
        button(page, "Set it up at the bench").click();
        page.getByText("cutting plan, specimens, what it qualifies").click();
        assertThat(part(page, "Cutting plan").getByRole(AriaRole.IMG)).isVisible();
        assertThat(part(page, "What it comes to")).containsText("root bend: 0 of 1 tested");
    }
}
