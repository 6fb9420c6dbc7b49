package mensor.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static mensor.e2e.Floor.assertFits;
import static mensor.e2e.Floor.button;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Where to act, what one is told of, a label read, a picture measured in. */
class OnTheFloorTest extends InTheBrowser {
    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void aQuestionOpensToTheWeldsBehindIt() {
        Page page = as("quinn");
        page.navigate(mensor.address() + "/where-to-act");
        page.getByText("Which kinds make most of the rejects?").first().click();
        Locator opened = region(page, "Which kinds make most of the rejects?");
        assertThat(opened.locator(".recharts-surface")).isVisible();
        assertFits(page);
        opened.getByText("Table", new Locator.GetByTextOptions().setExact(true)).click();
        opened.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("slag", Pattern.CASE_INSENSITIVE)))
                .first()
                .click();
        Locator weld =
                region(page, "The welds behind it").getByRole(AriaRole.LINK).first();
        String mark = weld.textContent();
        weld.click();
        assertThat(page.locator(".mark").first()).containsText(mark);
    }

    @Test
    void whatWaitsIsToldAndLeadsThere() {
        Page page = as("wanda");
        // how many there are depends on what other tests had rejected by then
        Locator bell = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^\\d+ notices?$")));
        bell.click();
        Locator told = page.getByRole(AriaRole.DIALOG);
        Locator hold = told.getByRole(AriaRole.LINK)
                .filter(new Locator.FilterOptions().setHasText("Hold"))
                .first();
        String words = hold.locator(".picked").textContent();
        hold.click();
        page.waitForURL(Pattern.compile("/defects/"));
        bell.click();
        assertThat(told.getByRole(AriaRole.LINK).first()).isVisible();
        assertThat(told.getByRole(AriaRole.LINK).filter(new Locator.FilterOptions().setHasText(words)))
                .hasCount(0);
    }

    @Test
    void aLabelReadFromAPictureOpensItsWeld() throws Exception {
        Page page = as("ines");
        String joint = (String)
                page.evaluate("async () => (await (await fetch('/api/joints?find=ST2-16')).json()).rows[0].jointId");
        BitMatrix code =
                new QRCodeWriter().encode("https://elsewhere.example/welds/" + joint, BarcodeFormat.QR_CODE, 400, 400);
        BufferedImage picture = new BufferedImage(400, 400, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < 400; x++) {
            for (int y = 0; y < 400; y++) {
                picture.setRGB(x, y, code.get(x, y) ? 0x202020 : 0xe8e8e0);
            }
        }
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", png);
        page.navigate(mensor.address() + "/worklist");
        button(page, "Scan a label").click();
        assertThat(page.getByText("The camera cannot be used here")).isVisible(); // this machine has none
        page.locator("input[type=file]")
                .first()
                .setInputFiles(new FilePayload("label.png", "image/png", png.toByteArray()));
        assertThat(page.locator(".mark").first()).containsText("ST2-16");
    }

    /** The drawn picture has a pore of 2.4 mm beside a card of 80 by 50 mm: 0.094 in. */
    @Test
    void aPoreIsMeasuredBesideACard() {
        Page page = as("ines");
        page.navigate(mensor.address() + "/worklist");
        Floor.openFromWorklist(page, "ST2-16");
        Locator value = measured(page);
        assertThat(Double.parseDouble(value.textContent().split(" ")[0])).isBetween(.08, .11);
        assertFits(page);
        page.locator("#take").click();
        page.locator(".ant-select-item-option")
                .filter(new Locator.FilterOptions().setHasText("a pore’s diameter"))
                .click();
        assertThat(page.locator("#dock-diameter")).hasValue(Pattern.compile("^0\\.\\d+in$"));
        assertThat(page.locator("#dock-at")).hasValue("4");
        button(page, "Leave it").click();
    }

    /** At the bench of ST2-16: the card's corners, then the pore's rim. */
    static Locator measured(Page page) {
        page.locator("[data-photo]").first().click();
        button(page, "Measure and mark").click();
        page.locator("#by").click();
        page.locator(".ant-select-item-option")
                .filter(new Locator.FilterOptions().setHasText("a card in the plane"))
                .click();
        Locator picture = page.locator("svg[aria-label$='to point in']");
        assertThat(picture.locator("image")).isVisible();
        for (double[] corner : new double[][] {{20, 27}, {100, 27}, {100, 77}, {20, 77}}) {
            touch(page, picture, corner[0], corner[1]);
        }
        assertThat(page.getByText("The scale is set: measure.")).isVisible();
        page.locator(".ant-segmented-item")
                .filter(new Locator.FilterOptions().setHasText("measure"))
                .click();
        page.locator("#quantity").click();
        page.locator(".ant-select-item-option")
                .filter(new Locator.FilterOptions().setHasText("Diameter"))
                .click();
        for (int i = 0; i < 5; i++) {
            double turn = 2 * Math.PI * i / 5;
            touch(page, picture, 40 + 1.2 * Math.cos(turn), 12.5 + 1.2 * Math.sin(turn));
        }
        Locator value = page.locator("p.big");
        assertThat(value).containsText("from a picture");
        return value;
    }

    /** Where the camera that drew the picture, leaning .0045 a millimeter, shows a place of the plate. */
    private static void touch(Page page, Locator picture, double x, double y) {
        BoundingBox box = picture.locator("image").boundingBox();
        double far = 1 + .0045 * y;
        page.mouse()
                .click(
                        box.x + (640 + 10.4 * (x - 60) / far) / 1280 * box.width,
                        box.y + (60 + 11.5 * y / far) / 860 * box.height);
    }
}
