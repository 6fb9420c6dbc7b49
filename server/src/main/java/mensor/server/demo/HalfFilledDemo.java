package mensor.server.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import mensor.server.db.SealFiles;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Tells whether the demo was filled to its end: one that was stopped meanwhile is begun anew. Never touches data of one's own. */
@Component
public class HalfFilledDemo {
    private static final String MARK = "demo-is-being-filled";
    static final List<String> FILES = List.of("mensor.mv.db", "mensor.trace.db", SealFiles.JOURNAL, SealFiles.KEY);

    private final Path data;

    private final TransactionTemplate transactions;

    HalfFilledDemo(@Value("${mensor.data}") String data, TransactionTemplate transactions) {
        this.transactions = transactions;
        this.data = Path.of(data);
    }

    /**
     * @param whole all of it is stored, or nothing, and written once
     * @param steps each by itself and by whoever took it, so that its history can be read
     */
    void fill(Runnable whole, Runnable steps) {
        try {
            begin(data);
            transactions.executeWithoutResult(t -> whole.run());
            steps.run();
            end(data);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            SecurityContextHolder.clearContext();
        }
    }

    static void begin(Path data) throws IOException {
        if (Files.isDirectory(data)) {
            Files.writeString(data.resolve(MARK), "While this file is here, the demo data is not complete.");
        }
    }

    static void end(Path data) throws IOException {
        Files.deleteIfExists(data.resolve(MARK));
    }

    /** Before the database is opened: what an earlier start of the demo left half filled goes. */
    public static void clear(String data) {
        Path folder = Path.of(data);
        if (!Files.exists(folder.resolve(MARK))) {
            return;
        }
        try {
            for (String file : FILES) {
                Files.deleteIfExists(folder.resolve(file));
            }
            Files.delete(folder.resolve(MARK));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
