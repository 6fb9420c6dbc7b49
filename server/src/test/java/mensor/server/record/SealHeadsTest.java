package mensor.server.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.util.List;
import mensor.exchange.Journal;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;

class SealHeadsTest {
    @TempDir
    Path data;

    private JdbcClient db;
    private SealJournal journal;

    @BeforeEach
    void sign() throws IOException {
        JdbcDataSource memory = new JdbcDataSource();
        memory.setUrl("jdbc:h2:mem:" + data.getFileName() + ";DB_CLOSE_DELAY=-1");
        db = JdbcClient.create(memory);
        try (var table = SealHeadsTest.class.getResourceAsStream("/db/both/V39__seal_heads.sql")) {
            db.sql(new String(table.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8))
                    .update();
        }
        journal = new SealJournal(data.toString(), Clock.systemUTC());
        for (int place = 1; place < 4; place++) {
            journal.append("Lock footbridge", place, "ab" + place);
        }
        heads().keep();
    }

    /** As after a start: nothing is remembered. */
    private SealHeads heads() {
        return heads("embedded");
    }

    private SealHeads heads(String database) {
        return new SealHeads(db, new SealJournal(data.toString(), Clock.systemUTC()), Clock.systemUTC(), database);
    }

    private Path file() {
        return data.resolve("seals.jsonl");
    }

    @Test
    void aJournalThatWentOnHolds() {
        assertThat(heads().check()).isEmpty();
        journal.note("{\"format\":\"mensor-brought/1\"}");
        journal.append("Lock footbridge", 4, "ab4");
        assertThat(heads().check()).isEmpty();
        heads().keep();
        assertThat(heads().check()).isEmpty();
        assertThat(journal.head().lines()).isEqualTo(5);
    }

    @Test
    void aJournalThatWasCutOffIsToldAtEachStartAlsoOnceItGoesOn() throws IOException {
        List<String> lines = Files.readAllLines(file());
        Files.write(file(), lines.subList(0, 2));
        assertThat(heads().check()).hasValueSatisfying(f -> assertThat(f).contains("2 lines"));
        SealJournal again = new SealJournal(data.toString(), Clock.systemUTC());
        again.append("Lock footbridge", 3, "another");
        SealHeads found = heads();
        assertThat(found.check()).isPresent();
        found.keep();
        assertThat(heads().check()).isPresent();
    }

    @Test
    void aJournalThatIsGoneIsTold() throws IOException {
        Files.delete(file());
        assertThat(heads().check()).isPresent();
    }

    /** Its key was copied to it, as the others' journals were not. */
    @Test
    void aNodeThatBeginsIsNotTold() throws IOException {
        Files.delete(file());
        assertThat(heads("jdbc:postgresql://localhost/mensor").check()).isEmpty();
    }

    /** The half of a letter too: the rest of the journal is read all the same. */
    @Test
    void theHalfOfALetterLosesNoOtherLine() throws IOException {
        Files.write(file(), new byte[] {'{', '"', (byte) 0xC3}, StandardOpenOption.APPEND);
        assertThat(heads().check()).isEmpty();
        SealJournal again = new SealJournal(data.toString(), Clock.systemUTC());
        again.append("Lock footbridge", 4, "ab4");
        assertThat(again.all()).hasSize(4);
        assertThat(heads().check()).isEmpty();
    }

    @Test
    void anOldCopyPutBackIsTold() throws IOException {
        Path old = Files.copy(file(), data.resolve("old"));
        journal.append("Lock footbridge", 4, "ab4");
        heads().keep();
        Files.copy(old, file(), StandardCopyOption.REPLACE_EXISTING);
        assertThat(heads().check()).hasValueSatisfying(f -> assertThat(f).contains("3 lines"));
    }

    /** What was sealed while a copy was made stands in its database, and not in its journal. */
    @Test
    void theFirstStartFromACopyGoesOnFromItsJournal() throws IOException {
        List<String> lines = Files.readAllLines(file());
        Files.write(file(), lines.subList(0, 2));
        Files.writeString(
                data.resolve("seals-copied"), new Journal(lines).head().shown());
        assertThat(heads().check()).as("of another journal").isPresent();
        Files.writeString(
                data.resolve("seals-copied"),
                new Journal(lines.subList(0, 2)).head().shown());
        assertThat(heads().check()).isEmpty();
        assertThat(heads().check()).as("from then on").isEmpty();
        Files.write(file(), lines.subList(0, 1));
        assertThat(heads().check()).as("that one alone").isPresent();
    }

    /** A node that was begun without the first one's key. */
    @Test
    void anotherKeyIsTold() throws IOException {
        Files.delete(data.resolve("seal-key"));
        assertThat(heads().check()).hasValueSatisfying(f -> assertThat(f).contains("put the file seal-key"));
    }

    @Test
    void aKeyThatOthersCanReadIsRefused() throws IOException {
        Path key = data.resolve("seal-key");
        assertThat(Files.getPosixFilePermissions(key)).isEqualTo(PosixFilePermissions.fromString("rw-------"));
        Files.setPosixFilePermissions(key, PosixFilePermissions.fromString("rw-r-----"));
        assertThatThrownBy(() -> new SealJournal(data.toString(), Clock.systemUTC()).open())
                .hasMessageContaining("chmod 600 " + key);
    }

    @Test
    void whatAPowerCutLeftHalfWrittenStaysALineOfItsOwn() throws IOException {
        Files.writeString(file(), "{\"format\":\"mensor-seal/1\",\"job\":\"Lo", StandardOpenOption.APPEND);
        SealJournal again = new SealJournal(data.toString(), Clock.systemUTC());
        again.append("Lock footbridge", 4, "ab4");
        assertThat(heads().check()).isEmpty();
        assertThat(again.all()).hasSize(4);
        assertThat(again.head()).isEqualTo(again.whole().head());
    }
}
