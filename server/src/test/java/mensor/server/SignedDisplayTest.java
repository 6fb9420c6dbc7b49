package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.Field;
import java.lang.reflect.Proxy;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.criteria.Rule;
import mensor.criteria.SizeEvidence;
import mensor.criteria.ToeDepth;
import mensor.inspection.Criterion;
import mensor.length.Length;
import mensor.weld.Toe;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A limit changes after the signature: every page, file and sum of what was signed stays as it was. */
@ExtendWith(RunningMensor.class)
class SignedDisplayTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    /** The code as it stands, but for undercut and profile, which allow another number. */
    private static CriteriaBook otherwise(CriteriaBook book) {
        Map<Toe, ToeDepth> depths = new EnumMap<>(Toe.class);
        for (Toe toe : List.of(Toe.A, Toe.B)) {
            depths.put(toe, new ToeDepth(Length.inches(1, 2), Optional.empty()));
        }
        return (CriteriaBook) Proxy.newProxyInstance(
                CriteriaBook.class.getClassLoader(), new Class<?>[] {CriteriaBook.class}, (proxy, method, args) -> {
                    if (method.getName().equals("rule") && args[0] == Criterion.UNDERCUT) {
                        return new Rule.Undercut(depths, Length.inches(2), Length.inches(12));
                    }
                    if (method.getName().equals("rule") && args[0] == Criterion.SIZE) {
                        return Rule.FilletSize.legsAlone(Length.inches(0), SizeEvidence.inches());
                    }
                    return switch (method.getName()) {
                        case "title" -> "A later edition";
                        case "edition" -> "later";
                        default -> method.invoke(book, args);
                    };
                });
    }

    @SuppressWarnings("unchecked")
    private static void withOtherLimits(Runnable then) throws ReflectiveOperationException {
        Field field = CriteriaBooks.class.getDeclaredField("BY_ID");
        field.setAccessible(true);
        Map<String, CriteriaBook> books = (Map<String, CriteriaBook>) field.get(null);
        CriteriaBook now = books.get("d1.1-static");
        books.put("d1.1-static", otherwise(now));
        try {
            then.run();
        } finally {
            books.put("d1.1-static", now);
        }
    }

    /** All that shows a signed weld, without what tells when it was printed. */
    private String shown(String inspection, String joint) {
        StringBuilder all = new StringBuilder();
        JsonNode bench = ines.get(inspection).expect(200).json();
        for (String part :
                List.of("evaluation", "strip", "sections", "signature", "joint", "conditions", "next", "repairs")) {
            all.append(part).append(' ').append(bench.path(part)).append('\n');
        }
        all.append(ines.get(inspection + "/record").expect(200).text()).append('\n');
        all.append(ines.get(inspection + "/defects").expect(200).json().get("defects"))
                .append('\n');
        all.append(ines.get(inspection + "/causes").expect(200).text()).append('\n');
        for (String as : List.of("csv", "json")) {
            all.append(ines.get("/api/joints/" + joint + "/report?as=" + as)
                            .expect(200)
                            .text()
                            .replaceAll("\"made\" ?: ?\"[^\"]*\"", ""))
                    .append('\n');
        }
        try (PDDocument document = Loader.loadPDF(ines.bytes("/api/joints/" + joint + "/report"))) {
            all.append(new PDFTextStripper().getText(document).replaceAll("\\d\\d:\\d\\d(:\\d\\d)?", ""));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return all.toString();
    }

    @Test
    void aLimitThatChangesLaterChangesNothingThatIsSigned() throws ReflectiveOperationException {
        String inspection = ines.inspection("AS1");
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", "'kind':'undercut','toe':'A','from':'3','to':'6','depth':'1/16'")
                .expect(200);
        ines.add(inspection, "READING", "'at':'9','legA':'9/32','legB':'5/16','convexity':'1/64'")
                .expect(200);
        ines.sign(inspection, "reject").expect(200);
        String open = ines.inspection("AS2");
        ines.sound(open);
        ines.add(open, "INDICATION", "'kind':'undercut','toe':'A','from':'3','to':'6','depth':'1/16'")
                .expect(200);
        String joint = ines.jointOf(inspection);
        String before = shown(inspection, joint);
        assertThat(before).contains("1/16 in").contains("\"id\":\"undercut\"");
        withOtherLimits(() -> {
            assertThat(shown(inspection, joint)).isEqualTo(before);
            JsonNode openNow = ines.get(open).expect(200).json();
            assertThat(openNow.at("/evaluation/verdict").asString())
                    .as("an open one is judged by what stands now")
                    .isEqualTo("accept");
            JsonNode today = ines.get(inspection + "/comparison?codes=d1.1-static")
                    .expect(200)
                    .json()
                    .get(0);
            String undercut = today.get("findings")
                    .valueStream()
                    .filter(f -> f.get("id").asString().equals("undercut"))
                    .findFirst()
                    .orElseThrow()
                    .get("verdict")
                    .asString();
            assertThat(undercut)
                    .as("what today's criteria say, where that is asked")
                    .isEqualTo("accept");
            assertThat(today.get("asOfToday").asBoolean()).isTrue();
        });
        assertThat(shown(inspection, joint)).isEqualTo(before);
    }
}
