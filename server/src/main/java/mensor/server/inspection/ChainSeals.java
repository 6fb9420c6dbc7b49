package mensor.server.inspection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.exchange.Seal;
import mensor.server.job.Jobs;
import mensor.server.joint.Joints;
import mensor.server.record.SealHeads;
import mensor.server.record.SealJournal;
import mensor.server.record.Signatures;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;

/** Seals each signature once it is stored; a start compares every job's records with what was sealed. */
@Component
@Order(3)
class ChainSeals implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(ChainSeals.class);

    private final SealJournal journal;
    private final SealHeads heads;
    private final Signatures signatures;
    private final InspectionRepository inspections;
    private final Joints joints;
    private final Jobs jobs;
    private final JdbcClient jdbc;
    private final TransactionTemplate transactions;

    ChainSeals(
            SealJournal journal,
            SealHeads heads,
            Signatures signatures,
            InspectionRepository inspections,
            Joints joints,
            Jobs jobs,
            JdbcClient jdbc,
            TransactionTemplate transactions) {
        this.jdbc = jdbc;
        this.journal = journal;
        this.heads = heads;
        this.signatures = signatures;
        this.inspections = inspections;
        this.joints = joints;
        this.jobs = jobs;
        this.transactions = transactions;
    }

    @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
    public void signed(InspectionSigned signed) {
        transactions
                .execute(t -> inspections.findById(signed.inspectionId()).flatMap(i -> {
                    UUID job = joints.get(i.jointId()).jobId();
                    return signatures
                            .placed(i.id())
                            .map(p -> new Ended(jobs.get(job).name(), p.place(), p.sha256()));
                }))
                .ifPresent(e -> journal.append(e.job(), e.place(), e.sha256()));
        heads.keep();
    }

    /** The record that now ends a job's chain. */
    private record Ended(String job, int place, String sha256) {}

    /** Tells what does not fit, and seals what was signed before seals were kept or whose seal a power cut took. */
    @Override
    public void run(ApplicationArguments arguments) {
        journal.open();
        heads.check().ifPresent(f -> tell("all jobs", f));
        List<Seal> all = journal.all();
        Set<String> sealed = all.stream().map(Seal::sha256).collect(Collectors.toSet());
        transactions.executeWithoutResult(t -> {
            Set<String> known = new HashSet<>();
            jobs.all().forEach(job -> {
                known.addAll(names(job.id()));
                fault(job.id()).ifPresent(f -> tell(job.name(), f));
                seal(job.id(), job.name(), sealed);
            });
            all.stream()
                    .map(Seal::job)
                    .filter(name -> !known.contains(name))
                    .distinct()
                    .forEach(name -> tell(name, "the job is gone with the records that were sealed in it"));
        });
        heads.keep();
    }

    private void seal(UUID job, String name, Set<String> sealed) {
        signatures.ownHeadsOf(job).stream()
                .filter(r -> !sealed.contains(r.sha256()))
                .forEach(r -> journal.append(name, r.place(), r.sha256()));
    }

    /** The seals of a job's records, this installation's own and those that came with records from elsewhere, to go with an archive. */
    List<Seal> seals(UUID job) {
        Map<Signatures.Head, Seal> known = new HashMap<>();
        journal.all().forEach(s -> known.put(new Signatures.Head(s.place(), s.sha256()), s));
        List<Seal> seals = new ArrayList<>();
        signatures.ownHeadsOf(job).stream()
                .map(known::get)
                .filter(Objects::nonNull)
                .forEach(seals::add);
        signatures.originSeals(job).stream().map(Seal::read).forEach(seals::add);
        seals.sort(Comparator.comparingInt(Seal::place));
        return seals;
    }

    private static void tell(String job, String fault) {
        LOG.error("{}: {}", job, fault);
        System.out.println("Signed records do not fit what was sealed. " + job + ": " + fault + ".");
    }

    /** All that a job was ever called: a seal names it as it was called then. */
    private Set<String> names(UUID job) {
        Set<String> names =
                new HashSet<>(jdbc.sql("select distinct name from job_aud where id = :job and name is not null")
                        .param("job", job)
                        .query(String.class)
                        .list());
        names.add(jobs.get(job).name());
        return names;
    }

    /** The last record of a job, sealed, to be kept elsewhere. */
    Optional<Seal> receipt(UUID job) {
        return signatures.last(job).map(p -> journal.receipt(jobs.get(job).name(), p.place(), p.sha256()));
    }

    /** Empty where the job's records are those that were sealed, whatever it was called then. */
    Optional<String> fault(UUID job) {
        return journal.fault(
                names(job),
                signatures.headsOf(job),
                s -> signatures.stands(new Signatures.Head(s.place(), s.sha256())));
    }
}
