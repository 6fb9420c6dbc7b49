package mensor.server.record;

import java.time.Clock;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import mensor.exchange.Journal;
import mensor.exchange.Seal;
import mensor.server.db.WhichDatabase;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * How far the journal of seals went, kept in the database: a journal that was cut off, changed, or put back from an old copy no
 * longer goes as far. Each node's journal is known by its first line; all
 * seal by one key. Where folder and database are both old, only a head on paper tells.
 */
@Component
public class SealHeads {
    private final JdbcClient jdbc;
    private final SealJournal journal;
    private final Clock clock;
    /** No other node has a journal in this database. */
    private final boolean alone;

    private volatile String found;

    SealHeads(JdbcClient jdbc, SealJournal journal, Clock clock, @Value("${mensor.db}") String db) {
        this.jdbc = jdbc;
        this.journal = journal;
        this.clock = clock;
        this.alone = WhichDatabase.isEmbedded(db);
    }

    /** At the start: what is wrong with the journal itself, or between it and how far it went, in words. */
    @Transactional
    public Optional<String> check() {
        Journal whole = journal.whole();
        if (journal.isOfACopy(whole.head())) {
            set(
                    "update seal_head set fingerprint = :own, lines = :lines, sha256 = :sha, kept_at = :at where journal = :journal",
                    whole.head());
        }
        found = whole.fault().or(() -> shorter(whole)).or(this::anotherKey).orElse(null);
        return fault();
    }

    /** What the start found. */
    public Optional<String> fault() {
        return Optional.ofNullable(found);
    }

    private Optional<String> shorter(Journal whole) {
        if (whole.lines().isEmpty() && !alone) {
            return Optional.empty(); // a node that begins: how far the others' go is not its own
        }
        List<Journal.Head> kept = whole.lines().isEmpty()
                ? jdbc.sql("select lines, sha256 from seal_head")
                        .query((r, n) -> new Journal.Head(r.getInt(1), r.getString(2)))
                        .list()
                : jdbc.sql("select lines, sha256 from seal_head where journal = :journal")
                        .param("journal", journal.begin())
                        .query((r, n) -> new Journal.Head(r.getInt(1), r.getString(2)))
                        .list();
        return kept.stream().flatMap(h -> whole.fault(h).stream()).findFirst();
    }

    private Optional<String> anotherKey() {
        return jdbc
                .sql("select fingerprint from seal_head where fingerprint <> :own")
                .param("own", journal.fingerprint())
                .query(String.class)
                .list()
                .stream()
                .findFirst()
                .map(other -> "what was signed before, or at another node, is sealed by the key " + Seal.inGroups(other)
                        + ", and this start by " + Seal.inGroups(journal.fingerprint())
                        + ": put the file seal-key of that one into this data folder");
    }

    /** Keeps how far it goes now; what is wrong stays as it was found, so that the next start tells it again. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void keep() {
        Journal.Head head = journal.head();
        if (head.lines() == 0 || fault().isPresent()) {
            return;
        }
        int changed = set(
                "update seal_head set fingerprint = :own, lines = :lines, sha256 = :sha, kept_at = :at where journal = :journal",
                head);
        if (changed == 0) {
            set(
                    "insert into seal_head (journal, fingerprint, lines, sha256, kept_at) values (:journal, :own, :lines, :sha, :at)",
                    head);
        }
    }

    private int set(String sql, Journal.Head head) {
        return jdbc.sql(sql)
                .param("journal", journal.begin())
                .param("own", journal.fingerprint())
                .param("lines", head.lines())
                .param("sha", head.sha256())
                .param("at", clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }
}
