package mensor.server.inspection;

import jakarta.annotation.PostConstruct;
import jakarta.persistence.EntityManagerFactory;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import mensor.server.db.WhichDatabase;
import mensor.server.job.StoredJob;
import mensor.server.joint.StoredJoint;
import org.hibernate.engine.spi.SessionFactoryImplementor;
import org.hibernate.engine.spi.SharedSessionContractImplementor;
import org.hibernate.engine.spi.TransactionCompletionCallbacks.BeforeCompletionCallback;
import org.hibernate.event.service.spi.EventListenerRegistry;
import org.hibernate.event.spi.EventType;
import org.hibernate.event.spi.PostInsertEvent;
import org.hibernate.event.spi.PostInsertEventListener;
import org.hibernate.event.spi.PostUpdateEvent;
import org.hibernate.event.spi.PostUpdateEventListener;
import org.hibernate.persister.entity.EntityPersister;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sees every weld, inspection, defect, hold and job that is stored and makes the worklist's rows of those welds anew in the same
 * transaction, so that no way of storing can forget it.
 */
@Component
class WorklistWatch implements PostInsertEventListener, PostUpdateEventListener {
    private final transient WorklistRows rows;
    private final transient StoreCounts counts;
    private final transient JdbcClient jdbc;
    private final transient TransactionTemplate transactions;
    private final transient EntityManagerFactory factory;

    WorklistWatch(
            WorklistRows rows,
            JdbcClient jdbc,
            TransactionTemplate transactions,
            EntityManagerFactory factory,
            @Value("${mensor.db}") String db) {
        this.rows = rows;
        this.counts = WhichDatabase.isEmbedded(db) ? StoreCounts.inThisProcess() : StoreCounts.inDatabase(jdbc);
        this.jdbc = jdbc;
        this.transactions = transactions;
        this.factory = factory;
    }

    @PostConstruct
    void watch() {
        EventListenerRegistry listeners = factory.unwrap(SessionFactoryImplementor.class)
                .getServiceRegistry()
                .requireService(EventListenerRegistry.class);
        listeners.appendListeners(EventType.POST_INSERT, this);
        listeners.appendListeners(EventType.POST_UPDATE, this);
        transactions.executeWithoutResult(t -> rows.makeAllWhereNone());
    }

    /** Another one whenever something that the worklist shows was stored since: cheap to ask. */
    String version() {
        return counts.shown();
    }

    /** Another one whenever a weld came, went to another group or is found by other words. */
    String places() {
        return counts.moved();
    }

    /** What one transaction stored. */
    private final class Touched implements TransactionSynchronization, BeforeCompletionCallback {
        private final Set<UUID> joints = new HashSet<>();
        private final Set<UUID> defects = new HashSet<>();
        private final Set<UUID> jobs = new HashSet<>();
        private Set<UUID> held = Set.of();
        private WorklistRows.Change change = WorklistRows.Change.NONE;

        @Override
        public void doBeforeTransactionCompletion(SharedSessionContractImplementor session) {
            if (!defects.isEmpty()) {
                joints.addAll(jdbc.sql("select joint_id from defect where id in (:ids)")
                        .param("ids", defects)
                        .query(UUID.class)
                        .list());
            }
            if (!jobs.isEmpty()) {
                joints.addAll(jdbc.sql("select id from joint where job_id in (:ids)")
                        .param("ids", jobs)
                        .query(UUID.class)
                        .list());
            }
            // two who store of one weld make its row one after the other, the second from what the first stored
            counts.take(joints);
            held = joints;
            change = rows.remake(joints);
        }

        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResourceIfPossible(WorklistWatch.this);
            counts.done(held);
            if (status != STATUS_ROLLED_BACK) {
                counts.countShown();
                if (change == WorklistRows.Change.MOVED) {
                    counts.countMoved();
                }
            }
        }

        @Override
        public void suspend() {
            TransactionSynchronizationManager.unbindResourceIfPossible(WorklistWatch.this);
        }

        @Override
        public void resume() {
            TransactionSynchronizationManager.bindResource(WorklistWatch.this, this);
        }
    }

    private Touched touched(SharedSessionContractImplementor session) {
        Touched touched = (Touched) TransactionSynchronizationManager.getResource(this);
        if (touched == null) {
            touched = new Touched();
            TransactionSynchronizationManager.bindResource(this, touched);
            TransactionSynchronizationManager.registerSynchronization(touched);
            session.getTransactionCompletionCallbacks().registerCallback(touched);
        }
        return touched;
    }

    private void see(Object stored, boolean isNew, SharedSessionContractImplementor session) {
        if (stored instanceof StoredInspection i) {
            touched(session).joints.add(i.jointId());
        } else if (stored instanceof StoredJoint j) {
            touched(session).joints.add(j.id());
        } else if (stored instanceof ShownInWorklist d) {
            touched(session).defects.add(d.defectId());
        } else if (stored instanceof StoredJob j && !isNew) {
            touched(session).jobs.add(j.id());
        }
    }

    @Override
    public void onPostInsert(PostInsertEvent event) {
        see(event.getEntity(), true, event.getSession());
    }

    @Override
    public void onPostUpdate(PostUpdateEvent event) {
        see(event.getEntity(), false, event.getSession());
    }

    @Override
    public boolean requiresPostCommitHandling(EntityPersister persister) {
        return false;
    }
}
