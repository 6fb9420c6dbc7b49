package mensor.server.record;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import mensor.exchange.Journal;
import mensor.exchange.Seal;
import mensor.server.db.SealFiles;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Beside the database a file that is only ever written at its end: the seal of each signature, one a line, each after the sum of
 * all before it. What is changed in the database or in the file afterwards no longer fits. Kept where there is a data folder; a copy elsewhere is worth more.
 */
@Component
public class SealJournal {
    private static final Logger LOG = LoggerFactory.getLogger(SealJournal.class);
    private static final Set<PosixFilePermission> OWNERS_ALONE = PosixFilePermissions.fromString("rw-------");

    private final Path data;
    private final Clock clock;
    private KeyPair key;
    /** Of what was written so far; null before it was first asked for. */
    private Journal.Head head;
    /** The sum of the first line, by which this journal is known; empty before it. */
    private String begin = "";

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

    /** A receipt over the record that now ends a job's chain, to be kept elsewhere. */
    public synchronized Seal receipt(String job, int place, String sha256) {
        KeyPair pair = key();
        return Seal.of(job, place, sha256, now(), pair.getPublic(), pair.getPrivate());
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.SECONDS);
    }

    /** Seals a record at the journal's end, and has the disk write it. */
    public synchronized void append(String job, int place, String sha256) {
        KeyPair pair = key();
        try {
            writeAtTheEnd(Seal.following(head(), job, place, sha256, now(), pair.getPublic(), pair.getPrivate())
                    .write());
        } catch (IOException | UncheckedIOException e) {
            LOG.error("the seal of record {} of {} was not written; the next start writes it", place, job, e);
        }
    }

    /** That a job was brought in: a line of JSON, which is no seal. */
    public synchronized void note(String line) {
        try {
            writeAtTheEnd(Journal.note(line, head()));
        } catch (IOException | UncheckedIOException e) {
            LOG.error("not written in the journal of seals: {}", line, e);
        }
    }

    private void writeAtTheEnd(String line) throws IOException {
        if (!Files.isDirectory(data)) {
            return;
        }
        Journal.Head before = head();
        head = null; // where the disk fills up meanwhile, the file says what stands in it
        try (FileChannel end = FileChannel.open(
                data.resolve(SealFiles.JOURNAL),
                StandardOpenOption.CREATE,
                StandardOpenOption.WRITE,
                StandardOpenOption.READ)) {
            end.position(end.size());
            String rest = isCutOff(end) ? "\n" : ""; // what a power cut left half written stays a line of its own
            end.write(ByteBuffer.wrap((rest + line + "\n").getBytes(StandardCharsets.UTF_8)));
            end.force(true);
        }
        head = before.with(line);
        begin = before.lines() == 0 ? head.sha256() : begin;
    }

    private static boolean isCutOff(FileChannel end) throws IOException {
        if (end.size() == 0) {
            return false;
        }
        ByteBuffer last = ByteBuffer.allocate(1);
        end.read(last, end.size() - 1);
        return last.get(0) != '\n';
    }

    /** How far it goes, to be kept elsewhere: what is cut off its end afterwards is told by it. */
    public synchronized Journal.Head head() {
        if (head == null) {
            Journal whole = whole();
            head = whole.head();
            begin = whole.lines().isEmpty()
                    ? ""
                    : Journal.Head.NONE.with(whole.lines().get(0)).sha256();
        }
        return head;
    }

    /** The sum of its first line, by which it is known among those of other nodes. */
    synchronized String begin() {
        head();
        return begin;
    }

    /** As it stands in the file; one that cannot be read is never taken for an empty one. */
    public synchronized Journal whole() {
        Path journal = data.resolve(SealFiles.JOURNAL);
        try {
            return Files.exists(journal) ? Journal.of(Files.readAllBytes(journal)) : new Journal(List.of());
        } catch (IOException e) {
            throw new UncheckedIOException("the journal of seals cannot be read: " + journal, e);
        }
    }

    /** Whether this is the first start from a copy that was made in use, and its journal is the one that was copied. */
    synchronized boolean isOfACopy(Journal.Head head) {
        Path copied = data.resolve(SealFiles.COPIED);
        try {
            boolean is = Files.exists(copied) && Files.readString(copied).equals(head.shown());
            Files.deleteIfExists(copied);
            return is;
        } catch (IOException e) {
            LOG.error("{} cannot be read", copied, e);
            return false;
        }
    }

    /** All seals so far. */
    public List<Seal> all() {
        return whole().seals();
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

    /** At the start, so that a second node can be given the key before it seals anything. */
    public synchronized void open() {
        key();
    }

    /** This installation's own pair, made at its first start. */
    private KeyPair key() {
        try {
            if (key == null) {
                Path file = data.resolve(SealFiles.KEY);
                if (Files.exists(file)) {
                    checkOwnersAlone(file);
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
        } catch (ReadByOthers e) {
            throw e;
        } catch (GeneralSecurityException | IOException | RuntimeException e) {
            throw new IllegalStateException(
                    "the key that seals signatures cannot be read: " + data.resolve(SealFiles.KEY), e);
        }
    }

    /** Who else can read the key can sign as this installation. */
    public static final class ReadByOthers extends IllegalStateException {
        private static final long serialVersionUID = 1L;

        ReadByOthers(Path file) {
            super("the key that seals signatures can be read by others than its owner: chmod 600 " + file);
        }
    }

    private static void checkOwnersAlone(Path file) throws IOException {
        if (isPosix(file) && !OWNERS_ALONE.containsAll(Files.getPosixFilePermissions(file))) {
            throw new ReadByOthers(file);
        }
    }

    private static boolean isPosix(Path file) throws IOException {
        return Files.getFileStore(file).supportsFileAttributeView("posix");
    }

    private void keep(Path file) throws IOException {
        if (!Files.isDirectory(data)) {
            return;
        }
        Files.createFile(file);
        if (isPosix(file)) { // before anything stands in it
            Files.setPosixFilePermissions(file, OWNERS_ALONE);
        }
        Files.writeString(
                file,
                Base64.getEncoder().encodeToString(key.getPrivate().getEncoded()) + "\n"
                        + Base64.getEncoder().encodeToString(key.getPublic().getEncoded()) + "\n");
    }
}
