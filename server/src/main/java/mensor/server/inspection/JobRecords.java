package mensor.server.inspection;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import mensor.exchange.ChainFile;
import mensor.exchange.Seal;
import mensor.server.job.Jobs;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.record.SealJournal;
import mensor.server.record.Signatures;
import mensor.server.record.SignedElsewhere;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** A job's signed records and whether they fit together; and what is kept beside the tables, for a job whose rows came from elsewhere. */
@Component
public class JobRecords {
    /** What reject rates are made of. */
    private static final List<String> COUNTED = List.of("place_tally", "inspection_tally");

    private final Jobs jobs;
    private final Joints joints;
    private final Signatures signatures;
    private final InspectionRepository inspections;
    private final ChainSeals seals;
    private final SealJournal journal;
    private final SignedRows rows;
    private final WorklistRows worklist;
    private final JdbcClient jdbc;

    JobRecords(
            Jobs jobs,
            Joints joints,
            Signatures signatures,
            InspectionRepository inspections,
            ChainSeals seals,
            SealJournal journal,
            SignedRows rows,
            WorklistRows worklist,
            JdbcClient jdbc) {
        this.jobs = jobs;
        this.joints = joints;
        this.signatures = signatures;
        this.inspections = inspections;
        this.seals = seals;
        this.journal = journal;
        this.rows = rows;
        this.worklist = worklist;
        this.jdbc = jdbc;
    }

    /** The signed records as a file, to be checked elsewhere. */
    @Transactional(readOnly = true)
    public ChainFile chain(UUID job) {
        List<Signatures.ChainPlace> placed = signatures.ofJob(job);
        Map<UUID, UUID> jointOf = new HashMap<>();
        inspections
                .findAllById(
                        placed.stream().map(Signatures.ChainPlace::inspectionId).toList())
                .forEach(i -> jointOf.put(i.id(), i.jointId()));
        Map<UUID, String> marks = new HashMap<>();
        joints.all(jointOf.values()).forEach((StoredJoint j) -> marks.put(j.id(), j.mark()));
        return new ChainFile(
                jobs.get(job).name(),
                placed.stream()
                        .map(p -> new ChainFile.Link(
                                p.place(), marks.get(jointOf.get(p.inspectionId())), p.sha256(), p.record()))
                        .toList());
    }

    /** The first thing that does not fit: the records one after another, what was sealed, the rows they were signed from. */
    @Transactional(readOnly = true)
    public Optional<String> fault(UUID job, ChainFile chain) {
        return chain.check()
                .map(f -> "record " + f.place() + ", " + f.mark() + ": " + f.problem())
                .or(() -> seals.fault(job))
                .or(() -> rows.fault(job));
    }

    /** The inspections of a job, by mark and revision; what is in each as a file. */
    @Transactional(readOnly = true)
    public Map<UUID, String> inspections(UUID job) {
        Map<UUID, String> names = new HashMap<>();
        jdbc.sql(
                        "select i.id, j.mark, i.capacity, i.cycle, i.revision from inspection i join joint j on j.id = i.joint_id"
                                + " where j.job_id = :job")
                .param("job", job)
                .query(r -> {
                    String name = r.getString(2) + "-" + r.getString(3) + "-" + r.getInt(4) + "-" + r.getInt(5);
                    names.put(
                            r.getObject(1, UUID.class),
                            name.replaceAll("[^A-Za-z0-9._-]", "_") + "-"
                                    + r.getObject(1, UUID.class).toString().substring(0, 8));
                });
        return names;
    }

    /** In the transaction that stored the rows: the worklist's own table is made of them. */
    public void listed(UUID job) {
        worklist.remake(jdbc.sql("select id from joint where job_id = :job")
                .param("job", job)
                .query(UUID.class)
                .list());
    }

    /** The seals that go with a job's records, a line each. */
    @Transactional(readOnly = true)
    public List<String> seals(UUID job) {
        return seals.seals(job).stream().map(Seal::write).toList();
    }

    /**
     * In the transaction that stored the rows: a record that this installation's key sealed is its own; all others are marked by the key that sealed them.
     *
     * @param came the seals that came with the job, a line each
     * @return the fingerprints of the other keys, and how many records are each one's
     */
    public Map<String, Integer> marked(UUID job, List<String> came) {
        Map<Signatures.Head, Seal> known = new HashMap<>();
        for (String line : came) {
            Seal seal = Seal.read(line);
            if (seal.isGenuine()) {
                known.put(new Signatures.Head(seal.place(), seal.sha256()), seal);
            }
        }
        Map<String, Integer> origins = new TreeMap<>();
        for (Signatures.ChainPlace record : signatures.ofJob(job)) {
            Seal seal = known.get(new Signatures.Head(record.place(), record.sha256()));
            if (seal != null && seal.key().equals(journal.publicKey())) {
                continue;
            }
            String origin = seal == null ? SignedElsewhere.UNSEALED : seal.fingerprint();
            origins.merge(origin, 1, Integer::sum);
            jdbc.sql("update signature set origin = :origin, origin_seal = :seal where inspection_id = :inspection")
                    .param("origin", origin)
                    .param("seal", seal == null ? null : seal.write(), java.sql.Types.VARCHAR)
                    .param("inspection", record.inspectionId())
                    .update();
            for (String counted : COUNTED) { // no inspection of this shop's
                jdbc.sql("delete from " + counted + " where inspection_id = :inspection")
                        .param("inspection", record.inspectionId())
                        .update();
            }
            jdbc.sql("update inspection set signed_elsewhere = :origin where id = :inspection")
                    .param("origin", origin)
                    .param("inspection", record.inspectionId())
                    .update();
        }
        return origins;
    }
}
