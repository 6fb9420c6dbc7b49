package mensor.server.jobarchive;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import mensor.exchange.ChainFile;
import mensor.exchange.Seal;
import mensor.exchange.UnreadableInput;
import mensor.server.db.JobFiles;
import mensor.server.db.OpenFiles;
import mensor.server.inspection.Bench;
import mensor.server.inspection.JobRecords;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.record.SealJournal;
import mensor.server.record.SignedElsewhere;
import mensor.server.scan.ScanStore;
import mensor.server.web.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** A whole job as one archive, and such an archive as a job here, to the same sums. */
@Service
public class JobArchives {
    private static final Logger LOG = LoggerFactory.getLogger(JobArchives.class);
    private static final String CHAIN = "signed-records.json";
    private static final String INSPECTIONS = "inspections";
    private static final String SCANS = "scans";
    private static final String SEALS = "seals.jsonl";
    /** What unpacks to more than this is no job. */
    private static final long MOST_BYTES = 20L << 30;

    private static final int MOST_FILES = 200_000;

    private final Jobs jobs;
    private final JobRecords records;
    private final Bench bench;
    private final ScanStore scans;
    private final SealJournal journal;
    private final BroughtJobRepository broughtJobs;
    private final JsonMapper json;
    private final Clock clock;
    private final JdbcClient jdbc;
    private final DataSource database;
    private final TransactionTemplate asOfOneMoment;
    private final TransactionTemplate transactions;

    JobArchives(
            Jobs jobs,
            JobRecords records,
            Bench bench,
            ScanStore scans,
            SealJournal journal,
            BroughtJobRepository broughtJobs,
            JsonMapper json,
            Clock clock,
            JdbcClient jdbc,
            DataSource database,
            PlatformTransactionManager manager) {
        this.jobs = jobs;
        this.records = records;
        this.bench = bench;
        this.scans = scans;
        this.journal = journal;
        this.broughtJobs = broughtJobs;
        this.json = json;
        this.clock = clock;
        this.jdbc = jdbc;
        this.database = database;
        this.transactions = new TransactionTemplate(manager);
        this.asOfOneMoment = new TransactionTemplate(manager);
        asOfOneMoment.setReadOnly(true);
        asOfOneMoment.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    }

    /**
     * A job that came from an archive.
     *
     * @param signedElsewhere how many of its records other installations sealed; empty where all were signed here
     */
    public record BroughtIn(UUID job, String name, int records, String signedElsewhere) {}

    private static void checkMay(Actor actor) {
        if (!actor.is(Role.QUALITY_MANAGER, Role.WELDING_ENGINEER)) {
            throw Refusal.forbidden("a job's archive is made and read by the quality manager or the welding engineer");
        }
    }

    /** Makes the archive; whoever reads it closes it, which takes it away. */
    public Path archive(Actor actor, UUID job) {
        checkMay(actor);
        jobs.get(job);
        try {
            Path folder = Files.createTempDirectory("mensor-job");
            Path zip = Files.createTempFile("mensor-job", ".zip");
            try {
                asOfOneMoment.executeWithoutResult(t -> written(job, folder));
                zip(folder, zip);
                return zip;
            } catch (IOException | RuntimeException e) {
                Files.deleteIfExists(zip);
                throw e;
            } finally {
                delete(folder);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void written(UUID job, Path folder) {
        Connection db = DataSourceUtils.getConnection(database);
        try {
            ChainFile chain = records.chain(job);
            List<ChainFile.Link> links = chain.links();
            String last = links.isEmpty() ? null : links.get(links.size() - 1).sha256();
            new JobFiles(folder)
                    .write(db, new JobFiles.Listed(job, jobs.get(job).name(), last, links.size()));
            Files.writeString(folder.resolve(CHAIN), chain.write());
            Files.write(folder.resolve(SEALS), records.seals(job));
            Path inspections = Files.createDirectories(folder.resolve(INSPECTIONS));
            for (Map.Entry<UUID, String> i : records.inspections(job).entrySet()) {
                Files.writeString(
                        inspections.resolve(i.getValue() + ".json"),
                        bench.openAsItStands(i.getKey()).judged().document().write());
            }
            Files.createDirectories(folder.resolve(SCANS));
            for (String sha : scanSums(job)) {
                Optional<Path> kept = scans.kept(sha);
                if (kept.isPresent()) {
                    Files.copy(kept.get(), folder.resolve(SCANS).resolve(sha));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        } finally {
            DataSourceUtils.releaseConnection(db, database);
        }
    }

    private List<String> scanSums(UUID job) {
        return jdbc.sql("select distinct s.sha256 from scan s join inspection i on i.id = s.inspection_id"
                        + " join joint j on j.id = i.joint_id where j.job_id = :job")
                .param("job", job)
                .query(String.class)
                .list();
    }

    /** Reads an archive: the whole job, to the same sums, or nothing of it. */
    public BroughtIn bring(Actor actor, InputStream archive) {
        checkMay(actor);
        List<Path> scansBrought = new ArrayList<>();
        try {
            Path folder = Files.createTempDirectory("mensor-job");
            try {
                String sha256 = unzip(archive, folder);
                BroughtJob[] brought = new BroughtJob[1];
                BroughtIn in = transactions.execute(t -> stored(actor, folder, sha256, scansBrought, brought));
                journal.note(json.writeValueAsString(brought[0].line()));
                return in;
            } catch (RuntimeException e) {
                for (Path scan : scansBrought) { // only what came with it: another job's stays
                    Files.deleteIfExists(scan);
                }
                throw e;
            } finally {
                delete(folder);
            }
        } catch (OpenFiles.CannotMove e) {
            throw Refusal.invalid("archive", said(e.getMessage()));
        } catch (IOException e) {
            throw Refusal.invalid("archive", "the archive cannot be read; nothing was stored");
        }
    }

    private static String said(String why) {
        return why.endsWith("nothing was stored") ? why : why + "; nothing was stored";
    }

    private BroughtIn stored(Actor actor, Path folder, String sha256, List<Path> scansBrought, BroughtJob[] brought) {
        Connection db = DataSourceUtils.getConnection(database);
        try {
            JobFiles files = new JobFiles(folder);
            JobFiles.Listed listed = files.list(db);
            if (jdbc.sql("select count(*) from job where id = :id or name = :name")
                            .param("id", listed.job())
                            .param("name", listed.name())
                            .query(Integer.class)
                            .single()
                    > 0) {
                throw Refusal.conflict("the job \"" + listed.name() + "\" is here already; nothing was stored");
            }
            files.read(db, listed.job());
            ChainFile chain = records.chain(listed.job());
            List<ChainFile.Link> links = chain.links();
            if (!links.isEmpty() && !actor.is(Role.QUALITY_MANAGER)) {
                throw Refusal.forbidden("an archive with signed records is brought in by the quality manager alone");
            }
            Map<String, Integer> origins = records.marked(listed.job(), seals(folder));
            String last = links.isEmpty() ? null : links.get(links.size() - 1).sha256();
            Optional<String> fault = records.fault(listed.job(), chain);
            if (fault.isPresent() || links.size() != listed.records() || !Objects.equals(last, listed.lastSum())) {
                throw new OpenFiles.CannotMove("the signed records do not come to the sums that the archive names"
                        + fault.map(f -> ": " + f).orElse(""));
            }
            fits(listed.job());
            for (String sha : scanSums(listed.job())) {
                Path scan = folder.resolve(SCANS).resolve(sha);
                if (Files.exists(scan)) {
                    scans.bring(scan, sha).ifPresent(scansBrought::add);
                }
            }
            records.listed(listed.job());
            brought[0] = new BroughtJob(
                    listed.job(), listed.name(), sha256, links.size(), words(origins), actor.id(), clock.instant());
            broughtJobs.saveAndFlush(brought[0]);
            return new BroughtIn(listed.job(), listed.name(), links.size(), words(origins));
        } catch (IOException e) {
            throw new OpenFiles.CannotMove("the archive cannot be read");
        } catch (SQLException | DataAccessException e) {
            LOG.info("an archive was refused", e);
            throw new OpenFiles.CannotMove("its rows do not fit together");
        } catch (UnreadableInput e) {
            throw new OpenFiles.CannotMove("the seals that came with it cannot be read");
        } finally {
            DataSourceUtils.releaseConnection(db, database);
        }
    }

    private static List<String> seals(Path folder) throws IOException {
        Path file = folder.resolve(SEALS);
        return Files.exists(file)
                ? Files.readAllLines(file).stream().filter(l -> !l.isBlank()).toList()
                : List.of();
    }

    /** {@code 2 of 7F3A 92C1 …, 1 sealed by no installation}; empty where all were signed here. */
    private static String words(Map<String, Integer> origins) {
        return origins.entrySet().stream()
                .map(o -> o.getValue()
                        + (o.getKey().equals(SignedElsewhere.UNSEALED)
                                ? " sealed by no installation"
                                : " of " + Seal.inGroups(o.getKey())))
                .collect(Collectors.joining(", "));
    }

    /** Every document of the job is read once: what cannot be read later is not let in now. */
    private void fits(UUID job) {
        records.inspections(job).forEach((inspection, name) -> {
            try {
                bench.openAsItStands(inspection).judged().document().write();
            } catch (RuntimeException e) {
                LOG.info("an archive was refused", e);
                throw new OpenFiles.CannotMove("what the inspection " + name + " holds cannot be read");
            }
        });
    }

    private static void zip(Path folder, Path zip) throws IOException {
        try (ZipOutputStream out = new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(zip)));
                Stream<Path> files = Files.walk(folder)) {
            for (Path p : files.filter(Files::isRegularFile).sorted().toList()) {
                out.putNextEntry(
                        new ZipEntry(folder.relativize(p).toString().replace(java.io.File.separatorChar, '/')));
                Files.copy(p, out);
                out.closeEntry();
            }
        }
    }

    /** Nothing of an archive lies outside its folder, whatever its names say. */
    private static String unzip(InputStream archive, Path folder) throws IOException {
        long bytes = 0;
        int files = 0;
        boolean any = false;
        MessageDigest sum = sha256();
        DigestInputStream summed = new DigestInputStream(archive, sum);
        try (ZipInputStream in = new ZipInputStream(summed)) {
            byte[] buffer = new byte[1 << 16];
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                any = true;
                Path to = folder.resolve(e.getName()).normalize();
                if (!to.startsWith(folder)) {
                    throw new OpenFiles.CannotMove("this is no archive of a job: a name leads out of it");
                }
                if (e.isDirectory()) {
                    continue;
                }
                if (++files > MOST_FILES) {
                    throw new OpenFiles.CannotMove("the archive holds more files than a job can");
                }
                Files.createDirectories(to.getParent());
                try (OutputStream out = Files.newOutputStream(to)) {
                    for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
                        bytes += n;
                        if (bytes > MOST_BYTES) {
                            throw new OpenFiles.CannotMove("the archive unpacks to more than a job can hold");
                        }
                        out.write(buffer, 0, n);
                    }
                }
            }
            summed.transferTo(OutputStream.nullOutputStream()); // to the file's end, for its sum
        }
        if (!any) {
            throw new OpenFiles.CannotMove("this is no archive of a job: not a zip file, or an empty one");
        }
        return HexFormat.of().formatHex(sum.digest());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    private static void delete(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path p : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        }
    }
}
