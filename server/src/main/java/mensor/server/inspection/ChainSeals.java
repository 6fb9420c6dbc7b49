package mensor.server.inspection;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mensor.exchange.Seal;
import mensor.server.job.Jobs;
import mensor.server.joint.Joints;
import mensor.server.record.SealJournal;
import mensor.server.record.Signatures;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
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
    private final Signatures signatures;
    private final InspectionRepository inspections;
    private final Joints joints;
    private final Jobs jobs;
    private final TransactionTemplate transactions;

    ChainSeals(
            SealJournal journal,
            Signatures signatures,
            InspectionRepository inspections,
            Joints joints,
            Jobs jobs,
            TransactionTemplate transactions) {
        this.journal = journal;
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
                            .map(p -> journal.seal(jobs.get(job).name(), p.place(), p.sha256()));
                }))
                .ifPresent(journal::append);
    }

    /** Tells what does not fit, and seals what was signed before seals were kept or whose seal a power cut took. */
    @Override
    public void run(ApplicationArguments arguments) {
        Set<String> sealed = new HashSet<>();
        journal.all().forEach(s -> sealed.add(s.job() + "\n" + s.place()));
        transactions.executeWithoutResult(t -> jobs.all().forEach(job -> {
            List<Signatures.Head> records = signatures.headsOf(job.id());
            Optional<String> fault = journal.fault(job.name(), records);
            fault.ifPresent(f -> {
                LOG.error("{}: {}", job.name(), f);
                System.out.println("Signed records do not fit what was sealed. " + job.name() + ": " + f + ".");
            });
            records.stream()
                    .filter(r -> !sealed.contains(job.name() + "\n" + r.place()))
                    .forEach(r -> journal.append(journal.seal(job.name(), r.place(), r.sha256())));
        }));
    }

    /** The last record of a job, sealed, to be kept elsewhere. */
    Optional<Seal> receipt(UUID job) {
        return signatures.last(job).map(p -> journal.seal(jobs.get(job).name(), p.place(), p.sha256()));
    }

    Optional<String> fault(UUID job) {
        return journal.fault(jobs.get(job).name(), signatures.headsOf(job));
    }
}
