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

/** A welder's test piece: where it is cut, what its specimens showed, what it qualifies. */
class TestPieceTest extends InTheBrowser {
    private static Page open(String login, String mark) {
        Page page = as(login);
        Floor.goTo(page, "Learn", "Test pieces");
        page.getByText("Welds judged as a welder’s test").click();
        assertThat(page.getByLabel("Find a piece")).hasCount(0); // the other list, which names the same marks, is gone
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

    /** One plate by all its stages: prepared, set up, welded, looked at and signed, cut and bent, confirmed. */
    @Test
    void aPlateBecomesARange() {
        Page page = as("ines");
        Floor.goTo(page, "Learn", "Test pieces");
        page.getByText("New test piece").click();
        Floor.choose(page, "Kind", "Groove plate");
        Floor.choose(page, "For", "qualification");
        field(page, "Welder or learner").fill("K7");
        field(page, "Number").fill("QP-7");
        field(page, "Position").fill("3G");
        field(page, "Length").fill("7");
        field(page, "Thickness").fill("3/8");
        button(page, "all settings").click();
        field(page, "Included angle, °").fill("45");
        field(page, "Land").fill("0");
        field(page, "Gap").fill("1/4");
        field(page, "Backing").fill("yes");
        button(page, "Begin the piece").click();
        button(page, "Set it up at the bench").click();
        page.getByText("cutting plan, specimens, what it qualifies").click();
        assertThat(part(page, "What it qualifies")).containsText("Position and rods are not known");
        String cutting = page.url();

        page.getByText("how it was welded").click();
        Floor.choose(page, page.locator("#pass-kind"), "root");
        Floor.choose(page, page.locator("#pass-electrode"), "E7018");
        Floor.choose(page, page.locator("#pass-diameter"), "1/8");
        Floor.choose(page, page.locator("#pass-progression"), "up");
        page.locator("#pass-amps").fill("115");
        button(page, "Record the pass").click();
        assertThat(page.getByText("115 A").first()).isVisible();

        page.getByText("to the bench").click();
        for (String question : new String[] {"Cleaned", "At ambient", "Enough light", "Eye within 24 in, 30° up"}) {
            Floor.answer(page, question, "yes");
        }
        button(page, "today’s kit (5)").click();
        for (String at : new String[] {"2", "5"}) {
            page.keyboard().press("w");
            page.locator("#dock-at").fill(at);
            page.locator("#dock-reinforcement").fill("1/16");
            page.locator("#dock-offset").fill("0");
            button(page, "Record").click();
            assertThat(page.getByRole(AriaRole.STATUS)).containsText("crown 1/16");
        }
        button(page, "Full length inspected: none seen …").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByText(Pattern.compile("^None seen of all")).click();
        dialog.getByText(Pattern.compile("^Inspected, none seen of")).click();
        assertThat(Floor.verdict(page)).hasText("Accept");
        button(page, "Sign accept …").click();
        button(page, "Sign as accept, Ines Marl").click();
        assertThat(page.getByText("Signed accept by Ines Marl (QC)")).isVisible();

        page.navigate(cutting);
        assertThat(part(page, "What it comes to")).containsText("root bend: 0 of 1 tested");
        for (String kind : new String[] {"Root bend", "Face bend"}) {
            button(page, "Record a specimen …").click();
            Floor.choose(page, "Test", kind);
            field(page, "Specimen").fill(kind.toLowerCase(java.util.Locale.ROOT) + " 1");
            field(page, "Openings, each at its longest").fill(kind.startsWith("Root") ? "1/16" : "");
            Floor.answer(page, "Nothing else opened on the bent face or its corners", "yes");
            button(page, "Record it").click();
            assertThat(button(page, "Record a specimen …")).isVisible();
        }
        assertThat(part(page, "What it qualifies")).containsText("grooves up to 3/4 in");

        Page quality = as("quinn");
        quality.navigate(cutting);
        button(quality, "Write it into K7’s tests").click();
        assertThat(quality.getByText("It stands in K7’s tests")).isVisible();
    }
}
