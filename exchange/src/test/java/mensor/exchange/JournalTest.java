package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class JournalTest {
    private static final Instant AT = Instant.parse("2026-11-29T06:00:00Z");

    private KeyPair key;
    private List<String> lines;

    /** Two seals, a job that was brought in, and a third seal. */
    @BeforeEach
    void write() throws NoSuchAlgorithmException {
        key = KeyPairGenerator.getInstance(Seal.ALGORITHM).generateKeyPair();
        lines = new ArrayList<>();
        seal(1);
        seal(2);
        lines.add(Journal.note(
                "{\"format\":\"mensor-brought/1\",\"job\":\"Yard\"}", journal().head()));
        seal(3);
    }

    private void seal(int place) {
        lines.add(Seal.following(
                        journal().head(),
                        "Lock footbridge",
                        place,
                        ChainFile.sha256("record " + place),
                        AT,
                        key.getPublic(),
                        key.getPrivate())
                .write());
    }

    private Journal journal() {
        return new Journal(lines);
    }

    /** The sum by {@code printf '\n{}' | sha256sum}. */
    @Test
    void itsHeadIsTheSumOverAllLines() {
        assertThat(new Journal(List.of("{}")).head())
                .isEqualTo(new Journal.Head(1, "a062dd4952b935e430d409c4a5e5cd760e8781e3200d5c7e12a232dddba8a528"));
        assertThat(new Journal(List.of("{}")).head().shown()).isEqualTo("1:A062DD4952B935E4");
        assertThat(new Journal(List.of()).head().shown()).isEqualTo("0:");
    }

    @Test
    void asItWasWrittenItHolds() {
        assertThat(journal().fault()).isEmpty();
        assertThat(journal().seals()).hasSize(3).allMatch(Seal::isGenuine);
        assertThat(journal().seals().get(0).after()).isEmpty();
    }

    @Test
    void aLineChangedTakenOutOrPutInIsFound() {
        List<String> whole = List.copyOf(lines);
        for (int i = 0; i < whole.size() - 1; i++) {
            lines = new ArrayList<>(whole);
            lines.remove(i);
            assertThat(journal().fault()).as("line " + i + " taken out").isPresent();
            lines = new ArrayList<>(whole);
            lines.set(i, lines.get(i).replace("Lock", "Rock").replace("Yard", "Ward"));
            assertThat(journal().fault()).as("line " + i + " changed").isPresent();
            lines = new ArrayList<>(whole);
            lines.add(i + 1, lines.get(i));
            assertThat(journal().fault()).as("line " + i + " twice").isPresent();
        }
        assertThat(new Journal(whole).fault()).isEmpty();
    }

    /** What a line follows is part of what is signed: it cannot be written anew without the key. */
    @Test
    void whatALineFollowsIsSigned() {
        Seal last = journal().seals().get(2);
        Seal forged = new Seal(
                last.job(),
                last.place(),
                last.sha256(),
                last.at(),
                ChainFile.sha256("another past"),
                last.key(),
                last.signature());
        assertThat(forged.isGenuine()).isFalse();
    }

    @Test
    void itsEndCutOffIsToldByAHeadKeptElsewhere() {
        String printed = journal().head().shown();
        assertThat(journal().fault(printed)).isEmpty();
        seal(4);
        assertThat(journal().fault(printed)).as("it went on").isEmpty();
        lines = new ArrayList<>(lines.subList(0, 3));
        assertThat(journal().fault()).as("by itself it looks whole").isEmpty();
        assertThat(journal().fault(printed))
                .hasValueSatisfying(f -> assertThat(f).contains("3 lines", printed));
        seal(3);
        assertThat(journal().fault(printed)).as("the same line anew").isEmpty();
        lines.set(3, lines.get(3).replace("\"place\":3", "\"place\":4"));
        assertThat(journal().fault(printed)).isPresent();
    }

    /** A journal that was begun before lines named what they follow. */
    @Test
    void linesOfBeforeAreCoveredByTheFirstThatNamesWhatItFollows() {
        lines = new ArrayList<>();
        for (int place = 1; place < 3; place++) {
            lines.add(Seal.of("Stairs", place, ChainFile.sha256("x"), AT, key.getPublic(), key.getPrivate())
                    .write());
        }
        assertThat(journal().isChained()).isFalse();
        seal(1);
        assertThat(journal().fault()).isEmpty();
        lines.remove(0);
        assertThat(journal().fault()).isPresent();
    }

    /** A power cut in the midst of writing is no forgery; a line of before put in later is. */
    @Test
    void aLineCutOffByAPowerCutStaysWhereItIs() {
        lines.add(lines.get(3).substring(0, 40));
        seal(4);
        assertThat(journal().fault()).isEmpty();
        assertThat(journal().seals()).hasSize(4);
        lines.add(Seal.of("Lock footbridge", 5, ChainFile.sha256("x"), AT, key.getPublic(), key.getPrivate())
                .write());
        assertThat(journal().fault()).isPresent();
    }

    @Test
    void theCommandComparesAJournalWithAPrintedHead(@TempDir Path folder) throws Exception {
        String printed = journal().head().shown();
        Path whole = Files.write(folder.resolve("seals.jsonl"), lines);
        Path cut = Files.write(folder.resolve("cut.jsonl"), lines.subList(0, 3));
        StringWriter out = new StringWriter();
        VerifyCommand command = new VerifyCommand(
                new ByteArrayInputStream(new byte[0]), new PrintWriter(out, true), new PrintWriter(out, true));
        assertThat(command.run(List.of("--seal", whole.toString(), "--head", printed)))
                .isZero();
        assertThat(out.toString()).contains("the journal's head is " + printed);
        assertThat(command.run(List.of("--seal", cut.toString(), "--head", printed)))
                .isEqualTo(1);
        assertThat(out.toString()).contains("or its end was cut off");
        assertThat(command.run(List.of("--seal", cut.toString()))).isZero();
        assertThat(out.toString()).contains("a head kept elsewhere tells");
        assertThat(command.run(List.of("--head", printed))).isEqualTo(3);
        lines.remove(1);
        Files.write(whole, lines);
        assertThat(command.run(List.of("--seal", whole.toString()))).isEqualTo(1);
        assertThat(out.toString()).contains("line 2 of the journal of seals does not follow");
    }
}
