package mensor.server.record;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import mensor.exchange.Seal;
import mensor.exchange.UnreadableInput;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Beside the database a file that is only ever written at its end: the seal of each signature, one a line. What is changed in
 * the database afterwards no longer fits it. Kept where there is a data folder; a copy elsewhere is worth more.
 */
@Component
public class SealJournal {
    private static final Logger LOG = LoggerFactory.getLogger(SealJournal.class);
    private static final String JOURNAL = "seals.jsonl";
    private static final String KEY = "seal-key";

    private final Path data;
    private final Clock clock;
    private KeyPair key;

    SealJournal(@Value("${mensor.data}") String data, Clock clock) {
        this.data = Path.of(data).toAbsolutePath();
        this.clock = clock;
    }

    /** Of this installation's own key. */
    public synchronized String fingerprint() {
        return Seal.fingerprint(publicKey());
    }

    /** This installation's own key, X.509 in Base64. */
    public synchronized String publicKey() {
        return Base64.getEncoder().encodeToString(key().getPublic().getEncoded());
    }

    /** Seals the record that now ends a job's chain. */
    public synchronized Seal seal(String job, int place, String sha256) {
        KeyPair pair = key();
        return Seal.of(
                job,
                place,
                sha256,
                clock.instant().truncatedTo(ChronoUnit.SECONDS),
                pair.getPublic(),
                pair.getPrivate());
    }

    /** Writes a seal at the journal's end, and has the disk write it. */
    public synchronized void append(Seal seal) {
        try {
            writeAtTheEnd(seal.write());
        } catch (IOException e) {
            LOG.error(
                    "the seal of record {} of {} was not written; the next start writes it",
                    seal.place(),
                    seal.job(),
                    e);
        }
    }

    /** That a job was brought in: a line of JSON, which is no seal. */
    public synchronized void note(String line) {
        try {
            writeAtTheEnd(line);
        } catch (IOException e) {
            LOG.error("not written in the journal of seals: {}", line, e);
        }
    }

    private void writeAtTheEnd(String line) throws IOException {
        if (!Files.isDirectory(data)) {
            return;
        }
        try (FileChannel end =
                FileChannel.open(data.resolve(JOURNAL), StandardOpenOption.CREATE, StandardOpenOption.APPEND)) {
            end.write(ByteBuffer.wrap((line + "\n").getBytes(StandardCharsets.UTF_8)));
            end.force(true);
        }
    }

    /** All seals so far; a line that a power cut left half written is left out. */
    public synchronized List<Seal> all() {
        List<Seal> seals = new ArrayList<>();
        Path journal = data.resolve(JOURNAL);
        if (!Files.exists(journal)) {
            return seals;
        }
        try {
            for (String line : Files.readAllLines(journal)) {
                try {
                    if (line.contains(Seal.FORMAT)) { // beside them stand the jobs that were brought in
                        seals.add(Seal.read(line));
                    }
                } catch (UnreadableInput e) {
                    LOG.error("a line of the journal of seals cannot be read: {}", e.getMessage());
                }
            }
        } catch (IOException e) {
            LOG.error("the journal of seals cannot be read", e);
        }
        return seals;
    }

    /**
     * The first seal of a job that its records no longer fit, in words.
     *
     * @param names all that the job was ever called
     * @param elsewhere whether a sealed record stands in another job that was once called so
     */
    public Optional<String> fault(Set<String> names, List<Signatures.Head> records, Predicate<Seal> elsewhere) {
        return all().stream()
                .filter(s -> names.contains(s.job()))
                .flatMap(s -> fault(s, records).filter(f -> !s.isGenuine() || !elsewhere.test(s)).stream())
                .findFirst();
    }

    private static Optional<String> fault(Seal seal, List<Signatures.Head> records) {
        return seal.isGenuine()
                ? seal.fault(records.stream()
                        .filter(r -> r.place() == seal.place())
                        .map(Signatures.Head::sha256)
                        .findFirst())
                : Optional.of("a line of the journal of seals was changed: its signature is not that of its key");
    }

    /** This installation's own pair, made at its first signature. */
    private KeyPair key() {
        try {
            if (key == null) {
                Path file = data.resolve(KEY);
                if (Files.exists(file)) {
                    List<String> lines = Files.readAllLines(file);
                    KeyFactory factory = KeyFactory.getInstance(Seal.ALGORITHM);
                    key = new KeyPair(
                            factory.generatePublic(
                                    new X509EncodedKeySpec(Base64.getDecoder().decode(lines.get(1)))),
                            factory.generatePrivate(
                                    new PKCS8EncodedKeySpec(Base64.getDecoder().decode(lines.get(0)))));
                } else {
                    key = KeyPairGenerator.getInstance(Seal.ALGORITHM).generateKeyPair();
                    keep(file);
                }
            }
            return key;
        } catch (GeneralSecurityException | IOException | RuntimeException e) {
            throw new IllegalStateException("the key that seals signatures cannot be read: " + data.resolve(KEY), e);
        }
    }

    private void keep(Path file) throws IOException {
        if (!Files.isDirectory(data)) {
            return;
        }
        Files.writeString(
                file,
                Base64.getEncoder().encodeToString(key.getPrivate().getEncoded()) + "\n"
                        + Base64.getEncoder().encodeToString(key.getPublic().getEncoded()) + "\n");
        if (Files.getFileStore(file).supportsFileAttributeView("posix")) {
            Files.setPosixFilePermissions(file, java.nio.file.attribute.PosixFilePermissions.fromString("rw-------"));
        }
    }
}
