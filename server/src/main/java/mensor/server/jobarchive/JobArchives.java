package mensor.server.jobarchive;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import mensor.exchange.ChainFile;
import mensor.server.db.JobFiles;
import mensor.server.db.OpenFiles;
import mensor.server.inspection.Bench;
import mensor.server.inspection.JobRecords;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.scan.ScanStore;
import mensor.server.web.Refusal;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** A whole job as one archive, and such an archive as a job here, to the same sums. */
@Service
public class JobArchives {
    private static final String CHAIN = "signed-records.json";
    private static final String INSPECTIONS = "inspections";
    private static final String SCANS = "scans";
    /** What unpacks to more than this is no job. */
    private static final long MOST_BYTES = 20L << 30;

    private final Jobs jobs;
    private final JobRecords records;
    private final Bench bench;
    private final ScanStore scans;
    private final JdbcClient jdbc;
    private final DataSource database;
    private final TransactionTemplate asOfOneMoment;
    private final TransactionTemplate transactions;

    JobArchives(
            Jobs jobs,
            JobRecords records,
            Bench bench,
            ScanStore scans,
            JdbcClient jdbc,
            DataSource database,
            PlatformTransactionManager manager) {
        this.jobs = jobs;
        this.records = records;
        this.bench = bench;
        this.scans = scans;
        this.jdbc = jdbc;
        this.database = database;
        this.transactions = new TransactionTemplate(manager);
        this.asOfOneMoment = new TransactionTemplate(manager);
        asOfOneMoment.setReadOnly(true);
        asOfOneMoment.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    }

    /** A job that came from an archive. */
    public record BroughtIn(UUID job, String name, int records) {}

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
        try {
            Path folder = Files.createTempDirectory("mensor-job");
            try {
                unzip(archive, folder);
                BroughtIn brought = transactions.execute(t -> stored(folder));
                records.sealed(brought.job());
                return brought;
            } finally {
                delete(folder);
            }
        } catch (OpenFiles.CannotMove e) {
            throw Refusal.invalid("archive", e.getMessage());
        } catch (IOException e) {
            throw Refusal.invalid("archive", "the archive cannot be read: " + e.getMessage());
        }
    }

    private BroughtIn stored(Path folder) {
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
            String last = links.isEmpty() ? null : links.get(links.size() - 1).sha256();
            Optional<String> fault = records.fault(listed.job(), chain);
            if (fault.isPresent() || links.size() != listed.records() || !Objects.equals(last, listed.lastSum())) {
                throw new OpenFiles.CannotMove("the signed records do not come to the sums that the archive names"
                        + fault.map(f -> ": " + f).orElse("") + "; nothing was stored");
            }
            for (String sha : scanSums(listed.job())) {
                Path scan = folder.resolve(SCANS).resolve(sha);
                if (Files.exists(scan)) {
                    scans.bring(scan, sha);
                }
            }
            records.listed(listed.job());
            return new BroughtIn(listed.job(), listed.name(), links.size());
        } catch (IOException e) {
            throw new OpenFiles.CannotMove("the archive cannot be read: " + e.getMessage());
        } catch (SQLException | DataAccessException e) {
            throw new OpenFiles.CannotMove(
                    "something of this job is here already, or does not fit; nothing was stored");
        } finally {
            DataSourceUtils.releaseConnection(db, database);
        }
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
    private static void unzip(InputStream archive, Path folder) throws IOException {
        long bytes = 0;
        boolean any = false;
        try (ZipInputStream in = new ZipInputStream(archive)) {
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
        }
        if (!any) {
            throw new OpenFiles.CannotMove("this is no archive of a job: not a zip file, or an empty one");
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
