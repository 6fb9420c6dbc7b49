package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

class ChainFileTest {
    private static String sum(String text) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (java.security.NoSuchAlgorithmException e) {
            throw new AssertionError(e);
        }
    }

    private static ChainFile.Link link(int place, String before, boolean chained) {
        String record = "{\"signature\":{"
                + (chained
                        ? "\"chainPlace\":\"" + place + "\""
                                + (before == null ? "" : ",\"previousSha256\":\"" + before + "\"")
                        : "")
                + "},\"weld\":\"ST2-" + place + "\"}";
        return new ChainFile.Link(place, "ST2-" + place, sum(record), record);
    }

    /** The first {@code old} of them signed before records were chained. */
    private static List<ChainFile.Link> chain(int length, int old) {
        List<ChainFile.Link> links = new ArrayList<>();
        for (int i = 1; i <= length; i++) {
            links.add(link(i, links.isEmpty() ? null : links.get(i - 2).sha256(), i > old));
        }
        return links;
    }

    private static ChainFile.Fault broken(Consumer<List<ChainFile.Link>> how) {
        List<ChainFile.Link> links = chain(6, 2);
        how.accept(links);
        return new ChainFile("Lock", links).check().orElseThrow();
    }

    @Test
    void aWholeChainHoldsAlsoAfterAWayThroughAFile() {
        for (int old = 0; old <= 6; old++) {
            ChainFile file = new ChainFile("Lock", chain(6, old));
            assertThat(file.check()).isEmpty();
            assertThat(ChainFile.read(file.write())).isEqualTo(file);
        }
        assertThat(new ChainFile("Lock", List.of()).check()).isEmpty();
    }

    @Test
    void aChangedRecordIsFoundEvenWithANewSum() {
        assertThat(broken(l -> l.set(
                                3,
                                new ChainFile.Link(
                                        4,
                                        "ST2-4",
                                        l.get(3).sha256(),
                                        l.get(3).record().replace("ST2-4", "ST2-9"))))
                        .problem())
                .contains("was changed");
        ChainFile.Fault next = broken(l -> {
            String record = l.get(3).record().replace("ST2-4", "ST2-9");
            l.set(3, new ChainFile.Link(4, "ST2-4", sum(record), record));
        });
        assertThat(next.place()).as("the one after it names the old sum").isEqualTo(5);
        assertThat(next.problem()).contains("does not name the record before it");
    }

    @Test
    void aRecordTakenOutSwappedOrPutInIsFound() {
        assertThat(broken(l -> l.remove(3)).place()).isEqualTo(5);
        assertThat(broken(l -> l.remove(0)).problem()).contains("missing");
        assertThat(broken(l -> java.util.Collections.swap(l, 3, 4)).place()).isEqualTo(5);
        assertThat(broken(l -> l.set(4, link(5, null, false))).problem()).contains("those before do");
        assertThat(broken(l -> l.set(4, link(5, "0".repeat(64), true))).problem())
                .contains("does not name");
        assertThat(broken(l -> {
                            ChainFile.Link moved = link(9, l.get(3).sha256(), true);
                            l.set(4, new ChainFile.Link(5, "ST2-9", moved.sha256(), moved.record()));
                        })
                        .problem())
                .contains("was signed at place 9");
    }

    @Test
    void theCommandSaysWhichRecordDoesNotFit() {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        ChainFile good = new ChainFile("Lock footbridge", chain(3, 0));
        assertThat(run(good.write(), out, err)).isZero();
        assertThat(out.toString()).contains("Lock footbridge: 3 signed records, the chain holds");
        assertThat(run(good.write().replace("ST2-2\\\"", "ST2-7\\\""), out, err))
                .isEqualTo(1);
        assertThat(out.toString()).contains("record 2, ST2-2: the record was changed");
        assertThat(run("{}", out, err)).isEqualTo(3);
        assertThat(err.toString()).contains("format");
        assertThatThrownBy(() -> ChainFile.read(good.write().replace("\"mark\"", "\"marks\"")))
                .isInstanceOf(UnreadableInput.class);
    }

    private static int run(String text, StringWriter out, StringWriter err) {
        return new VerifyCommand(
                        new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)),
                        new PrintWriter(out, true),
                        new PrintWriter(err, true))
                .run(List.of("-"));
    }
}
