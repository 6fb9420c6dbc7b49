package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;
import static mensor.e2e.Floor.field;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A welder's test piece: where it is cut, what its specimens showed, what it qualifies. */
class TestPieceTest extends InTheBrowser {
    private static Page open(String login, String mark) {
        Page page = as(login);
        Floor.goTo(page, "Learn", "Test pieces");
        page.getByText("Welds judged as a welder’s test").click();
        page.getByText(mark, new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator(".mark")).hasText(mark);
        return page;
    }

    private static Locator part(Page page, String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void anAcceptedPieceIsWrittenIntoTheWeldersTests() {
        Page page = open("quinn", "CP-3");
        assertFits(page);
        assertThat(part(page, "What it qualifies")).containsText("grooves up to 3/4 in");
        button(page, "Write it into D5’s tests").click();
        assertThat(page.getByText("It stands in D5’s tests")).isVisible();
    }

    @Test
    void aSpecimenThatIsLeftBlankStaysOpenAndOneThatBreaksIsTraced() {
        Page page = open("ines", "CP-1");
        button(page, "Record a specimen …").click();
        Floor.choose(page, "Test", "Root bend");
        field(page, "Specimen").fill("root bend 1");
        button(page, "Record it").click();
        assertThat(page.getByText("was all of the bent face looked over")).isVisible();

        Page pipe = open("ines", "CP-4");
        assertThat(pipe.getByText("looks good and broke badly")).isVisible();
        pipe.getByText("to the bench").click();
        Floor.tab(pipe, "Causes").click();
        assertThat(pipe.getByText("root bend 1 showed").first()).isVisible();
    }
}
