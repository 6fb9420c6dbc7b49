package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.button;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer.OrderAnnotation;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** An empty Mensor, from its first visitor to a long worklist; each part goes on where the one before ended. */
@TestMethodOrder(OrderAnnotation.class)
class FirstVisitorTest {
    /** As many as asked for by {@code -Dmensor.welds}; twenty thousand are stored in a minute or two. */
    private static final int WELDS = Integer.getInteger("mensor.welds", 600);

    private static StartedMensor mensor;
    private static Chromium chromium;
    private static Page page;

    @BeforeAll
    static void start() {
        mensor = new StartedMensor(false);
        chromium = new Chromium();
        page = chromium.page(1280, 800);
    }

    @AfterAll
    static void stop() {
        chromium.close();
        mensor.close();
    }

    private static Locator step(String words) {
        return page.locator(".ant-steps-item", new Page.LocatorOptions().setHasText(words));
    }

    private static void toTheWorklist() {
        page.getByLabel("Mensor, to the worklist").click();
    }

    @Test
    @Order(1)
    void theFirstVisitorMakesTheQualityManagerWhoInspectsToo() {
        page.navigate(mensor.address());
        assertThat(page.getByText("Make the quality manager")).isVisible();
        page.getByLabel("Your name").fill("Q. Stone");
        page.getByLabel("Login").fill("stone");
        page.getByLabel("Password").fill("short");
        page.getByLabel("inspector", new Page.GetByLabelOptions().setExact(true))
                .check();
        page.getByText("Make and sign in").click();
        assertThat(page.getByText("10 to 72 characters")).isVisible();
        page.getByLabel("Password").fill("long-enough-1");
        page.getByText("Make and sign in").click();
        assertThat(page.getByText("No joint is set up yet.")).isVisible();
        assertThat(step("People and their roles")).hasClass(Pattern.compile("ant-steps-item-finish"));
        assertThat(step("Gauges")).not().hasClass(Pattern.compile("ant-steps-item-finish"));
    }

    @Test
    @Order(2)
    void theListTicksItselfUpToTheFirstJointAndItsTour() {
        step("Acceptance criteria").getByRole(AriaRole.LINK).click();
        page.getByLabel("Acceptance criteria", new Page.GetByLabelOptions().setExact(true))
                .getByText(Pattern.compile("^AWS D1.1 statically loaded"))
                .first()
                .click();
        button(page, "Record a check …").click();
        page.getByLabel("Edition of your copy").fill("2020");
        page.getByLabel("By", new Page.GetByLabelOptions().setExact(true)).fill("Q. Stone");
        Floor.day(page.getByLabel("Checked on"), "2026-01-15");
        Floor.send(page, "Checked against our copy");
        assertThat(page.getByText("✓ against a copy").first()).isVisible();
        toTheWorklist();
        assertThat(step("Acceptance criteria")).hasClass(Pattern.compile("ant-steps-item-finish"));

        step("Gauges").getByRole(AriaRole.LINK).click();
        button(page, "register a gauge").click();
        page.getByLabel("Name on it").fill("Blades F-1");
        page.getByLabel("Kind").fill("fillet blades");
        button(page, "Register it").click();
        assertThat(page.getByText("Blades F-1").first()).isVisible();
        toTheWorklist();
        assertThat(step("Gauges")).hasClass(Pattern.compile("ant-steps-item-finish"));

        step("A job").getByRole(AriaRole.LINK).click();
        page.getByRole(
                        AriaRole.TEXTBOX,
                        new Page.GetByRoleOptions().setName("Job").setExact(true))
                .fill("Mill bridge");
        button(page, "Set up the job").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Mill bridge")))
                .isVisible();
        toTheWorklist();
        assertThat(step("A job")).hasClass(Pattern.compile("ant-steps-item-finish"));

        step("The first joint").getByRole(AriaRole.LINK).click();
        page.getByLabel("Job", new Page.GetByLabelOptions().setExact(true)).fill("Mill bridge");
        page.getByLabel("Mark").fill("MB-1");
        page.getByLabel("Fillet size (leg)").fill("5/16");
        page.getByLabel("Length", new Page.GetByLabelOptions().setExact(true)).fill("24");
        page.locator("[id='members[0].thickness']").fill("3/8");
        page.locator("[id='members[1].thickness']").fill("3/4");
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Cross-section, as drawn")))
                .isVisible();
        button(page, "Store and go to the bench").click();
        assertThat(page.getByText("1 of 7")).isVisible();
        page.keyboard().press("Escape");
        assertThat(page.getByText("1 of 7")).isHidden();
        assertThat(Floor.verdict(page)).isVisible();
    }

    @Test
    @Order(3)
    void anInspectorIsAddedAndSignsInWhereNoPasswordIsShown() {
        toTheWorklist();
        Floor.goTo(page, "Admin", "People and welders");
        assertThat(page.getByText("Add somebody")).isVisible();
        page.locator("#name").fill("I. Vane");
        page.getByLabel("Login").fill("vane");
        page.getByLabel("First password").fill("long-enough-2");
        button(page, "Add").click();
        assertThat(page.getByText("I. Vane").first()).isVisible();
        Floor.signOut(page);
        // the people's page has a login and a password of its own: it must be gone
        assertThat(page.getByLabel("First password")).isHidden();
        assertThat(page.getByText("One touch signs in")).isHidden();
        page.getByLabel("Login").fill("vane");
        page.getByLabel("Password").fill("long-enough-2");
        page.getByLabel("Password").press("Enter");
        assertThat(page.getByText("Set up a joint")).isVisible();
    }

    @Test
    @Order(4)
    void aLongWorklistIsSortedFilteredAndScrolledWithoutGaps() {
        StringBuilder list = new StringBuilder(
                "mark;weld no;lot;size;length;member a;thickness a;member b;thickness b;position;welder\n");
        for (int i = 0; i < WELDS; i++) {
            list.append("LW-%05d;1;Lot %d;5/16;24;web;3/8;flange;3/4;%dF;%s%n"
                    .formatted(i, i % 7, 1 + i % 4, i % 2 == 0 ? "K7" : "B2"));
        }
        Floor.goTo(page, "Prepare", "Jobs");
        page.locator("[aria-label='Weld list'] input[type=file]")
                .setInputFiles(
                        new FilePayload("welds.csv", "text/csv", list.toString().getBytes(StandardCharsets.UTF_8)));
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Store the \\d+ good welds")))
                .click(new Locator.ClickOptions().setTimeout(120_000));
        assertThat(page.locator(".weldlist .framed").getByText("Stored").first())
                .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                        .setTimeout(240_000));
        toTheWorklist();
        Locator first = page.locator("[data-row]").first();
        page.getByLabel("Find a weld").fill("LW- k7");
        assertThat(page.getByText("All " + WELDS / 2)).isVisible();
        page.getByRole(AriaRole.COLUMNHEADER, new Page.GetByRoleOptions().setName(Pattern.compile("^Weld")))
                .first()
                .click();
        assertThat(first).containsText("LW-00000");
        page.getByRole(AriaRole.COLUMNHEADER, new Page.GetByRoleOptions().setName(Pattern.compile("^Weld")))
                .first()
                .click();
        assertThat(first).containsText("LW-%05d".formatted(WELDS - 2));
        // down through several pages: what is in view is always filled
        for (int i = 0; i < 12; i++) {
            page.locator("[data-row]").last().hover();
            page.mouse().wheel(0, 2_500);
            page.waitForTimeout(250);
        }
        List<String> marks = page.locator("[data-row]").allInnerTexts();
        assertThat(marks.size()).isGreaterThan(5);
        assertThat(marks).allMatch(t -> t.contains("LW-"));
        assertThat(marks.get(0)).isNotEqualTo(first.innerText().isEmpty() ? "" : "LW-%05d".formatted(WELDS - 2));
        page.getByLabel("Find a weld").fill("LW-00123");
        assertThat(page.locator("[data-row]")).hasCount(1);
        assertThat(first).containsText("LW-00123");
        page.getByLabel("Find a weld").fill("no such weld");
        assertThat(page.getByText("No weld fits.")).isVisible();
    }
}
