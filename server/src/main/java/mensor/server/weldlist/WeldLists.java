package mensor.server.weldlist;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import mensor.exchange.UnreadableInput;
import mensor.exchange.WeldList;
import mensor.exchange.WeldList.Column;
import mensor.server.inspection.NewInspections;
import mensor.server.job.Jobs;
import mensor.server.job.StoredJob;
import mensor.server.joint.JointForm;
import mensor.server.joint.Joints;
import mensor.server.joint.NewJoint;
import mensor.server.joint.SetUp;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.procedure.Procedures;
import mensor.server.procedure.StoredProcedure;
import mensor.server.web.Refusal;
import mensor.server.web.Refusal.FieldProblem;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Importing a list of welds: it is read and checked first, each row with its problem, and nothing is stored until somebody
 * wants it. Checking and storing go on in the background, show how far they are, and can be cancelled; what was cancelled
 * stored nothing.
 */
@Service
class WeldLists {
    private static final int KEPT = 8;
    private static final int AT_ONCE = 500;
    private static final int MOST_SHOWN = 200;

    private final Jobs jobs;
    private final Procedures procedures;
    private final SetUp setUp;
    private final NewInspections beginnings;
    private final Joints joints;
    private final EntityManager entities;
    private final TransactionTemplate transactions;
    private final JsonMapper json;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "weld-list");
        t.setDaemon(true);
        return t;
    });
    private final Map<UUID, Import> imports = new ConcurrentHashMap<>();

    WeldLists(
            Jobs jobs,
            Procedures procedures,
            SetUp setUp,
            NewInspections beginnings,
            Joints joints,
            EntityManager entities,
            TransactionTemplate transactions,
            JsonMapper json) {
        this.jobs = jobs;
        this.procedures = procedures;
        this.setUp = setUp;
        this.beginnings = beginnings;
        this.joints = joints;
        this.entities = entities;
        this.transactions = transactions;
        this.json = json;
    }

    @PreDestroy
    void stop() {
        imports.values().forEach(i -> i.cancelled = true);
        worker.shutdownNow();
    }

    enum State {
        CHECKING,
        CHECKED,
        STORING,
        STORED,
        CANCELLED,
        FAILED
    }

    private static final class Import {
        final UUID id = UUID.randomUUID();
        final Actor actor;
        final UUID job;
        final List<WeldList.Row> rows;
        final List<String> ignored;
        final long at = System.nanoTime();
        final List<SetUp.Checked> good = new ArrayList<>();
        final List<RowView> shown = new ArrayList<>();
        volatile int bad;
        volatile int done;
        volatile State state = State.CHECKING;
        volatile boolean cancelled;
        volatile String failure;

        Import(Actor actor, UUID job, WeldList.Sheet sheet) {
            this.actor = actor;
            this.job = job;
            this.rows = sheet.rows();
            this.ignored = sheet.ignored();
        }
    }

    /** A row of the preview: those with a problem, and the first of the good ones. */
    record RowView(
            int line,
            String mark,
            @Nullable String weldNo,
            String inWords,
            @Nullable FieldProblem problem) {}

    /** How far an import is, and what its rows came to. */
    record ImportView(
            UUID id,
            State state,
            int rows,
            int done,
            int good,
            int bad,
            List<String> ignored,
            List<RowView> shown,
            @Nullable String failure) {}

    ImportView begin(Actor actor, UUID jobId, String text) {
        SetUp.requireRole(actor);
        StoredJob job = jobs.get(jobId);
        WeldList.Sheet sheet;
        try {
            sheet = WeldList.read(text);
        } catch (UnreadableInput e) {
            throw Refusal.invalid("list", e.problem());
        }
        Import running = new Import(actor, job.id(), sheet);
        forgetOld();
        imports.put(running.id, running);
        worker.submit(() -> guarded(running, () -> check(running, job)));
        return view(running);
    }

    private void forgetOld() {
        while (imports.size() >= KEPT) {
            imports.values().stream()
                    .filter(i -> i.state != State.STORING)
                    .min((a, b) -> Long.compare(a.at, b.at))
                    .ifPresent(i -> {
                        i.cancelled = true;
                        imports.remove(i.id);
                    });
        }
    }

    private Import find(Actor actor, UUID id) {
        SetUp.requireRole(actor);
        Import found = imports.get(id);
        if (found == null || !found.actor.id().equals(actor.id())) {
            throw Refusal.notFound("this import is no longer there; begin it again, nothing of it was stored");
        }
        return found;
    }

    ImportView see(Actor actor, UUID id) {
        return view(find(actor, id));
    }

    ImportView cancel(Actor actor, UUID id) {
        Import running = find(actor, id);
        running.cancelled = true;
        if (running.state == State.CHECKED) {
            running.state = State.CANCELLED;
        }
        return view(running);
    }

    /** Stores the good rows; the bad ones are left out, as the preview showed. */
    ImportView store(Actor actor, UUID id) {
        Import checked = find(actor, id);
        synchronized (checked) {
            if (checked.state != State.CHECKED) {
                throw Refusal.conflict("this list is not ready to be stored: "
                        + checked.state.name().toLowerCase(Locale.ROOT));
            }
            if (checked.good.isEmpty()) {
                throw Refusal.conflict("no row of the list can be stored");
            }
            checked.state = State.STORING;
            checked.done = 0;
        }
        worker.submit(() -> guarded(
                checked,
                () -> transactions.executeWithoutResult(t -> {
                    store(checked);
                    if (checked.cancelled) {
                        t.setRollbackOnly();
                    }
                })));
        return view(checked);
    }

    private static void guarded(Import i, Runnable work) {
        try {
            work.run();
            if (i.cancelled) {
                i.state = State.CANCELLED;
            } else {
                i.state = i.state == State.CHECKING ? State.CHECKED : State.STORED;
            }
        } catch (RuntimeException e) {
            i.failure = e instanceof Refusal ? e.getMessage() : "the list could not be stored; nothing of it was";
            i.state = State.FAILED;
        }
    }

    private void check(Import i, StoredJob job) {
        Set<String> names = new HashSet<>();
        joints.namesOfJob(i.job).forEach(n -> names.add(name(n.mark(), n.weldNo(), n.side())));
        Map<String, Optional<StoredProcedure>> known = new HashMap<>();
        for (WeldList.Row row : i.rows) {
            if (i.cancelled) {
                return;
            }
            check(i, job, row, names, known);
            i.done++;
        }
    }

    private static String name(String mark, String weldNo, String side) {
        return mark + '\u0000' + (weldNo == null ? "" : weldNo) + '\u0000' + (side == null ? "" : side);
    }

    private void check(
            Import i,
            StoredJob job,
            WeldList.Row row,
            Set<String> names,
            Map<String, Optional<StoredProcedure>> known) {
        FieldProblem problem = null;
        SetUp.Checked checked = null;
        try {
            JointForm joint = json.readValue(WeldList.joint(row), JointForm.class);
            NewJoint form = new NewJoint(
                    job.name(),
                    row.cell(Column.LOT),
                    job.criteria(),
                    job.units(),
                    row.cell(Column.WELDER),
                    row.cell(Column.WPS),
                    row.cell(Column.DRAWING),
                    row.cell(Column.REVISION),
                    null,
                    joint);
            Optional<StoredProcedure> procedure = known.computeIfAbsent(
                    row.cell(Column.WPS), w -> w.isBlank() ? Optional.empty() : procedures.named(w));
            checked = setUp.check(form, Optional.of(job), procedure);
            problem = checked.problems().isEmpty()
                    ? null
                    : inColumn(checked.problems().get(0));
            if (problem == null
                    && !names.add(name(joint.mark(), checked.joint().weldNo().orElse(null), joint.side()))) {
                problem = new FieldProblem("mark", "this weld is in the job, or in the list, already");
            }
        } catch (JacksonException e) {
            problem = new FieldProblem(
                    "closed", "yes or no is required in the columns closed, delayed, primary and transverse tension");
        }
        boolean good = problem == null;
        if (good) {
            i.good.add(checked);
        } else {
            i.bad++;
        }
        synchronized (i.shown) {
            if (!good && i.bad <= MOST_SHOWN || good && i.good.size() <= MOST_SHOWN) {
                i.shown.add(new RowView(
                        row.line(),
                        row.cell(Column.MARK),
                        row.cells().get(Column.WELD_NO),
                        good ? checked.joint().inWords() : "",
                        problem));
            }
        }
    }

    private static FieldProblem inColumn(FieldProblem p) {
        UnreadableInput e = WeldList.inColumn(new UnreadableInput(p.field(), p.problem()));
        return new FieldProblem(e.field(), e.problem());
    }

    private void store(Import i) {
        StoredJob job = jobs.get(i.job);
        Set<String> names = new HashSet<>();
        joints.namesOfJob(i.job).forEach(n -> names.add(name(n.mark(), n.weldNo(), n.side())));
        NewInspections.InspectionStarts beginning = beginnings.beginning();
        for (SetUp.Checked checked : i.good) {
            if (i.cancelled) {
                return;
            }
            StoredJoint joint = setUp.entity(i.actor, checked, job);
            if (!names.add(name(joint.mark(), joint.weldNo(), joint.side()))) {
                throw Refusal.conflict(joint.mark() + " was set up by somebody meanwhile; check the list again");
            }
            entities.persist(joint);
            entities.persist(beginning.of(joint));
            if (++i.done % AT_ONCE == 0) {
                entities.flush();
                entities.clear();
            }
        }
    }

    private ImportView view(Import i) {
        List<RowView> shown;
        synchronized (i.shown) {
            shown = List.copyOf(i.shown);
        }
        int rows = i.state == State.STORING || i.state == State.STORED ? i.good.size() : i.rows.size();
        int good = i.state == State.CHECKING ? i.done - i.bad : i.good.size();
        return new ImportView(i.id, i.state, rows, i.done, Math.max(0, good), i.bad, i.ignored, shown, i.failure);
    }

    /** The welds of a job as a list that {@link #begin} reads. */
    String export(UUID jobId) {
        jobs.get(jobId);
        List<Map<Column, String>> rows = new ArrayList<>();
        for (StoredJoint j : joints.ofJob(jobId)) {
            Map<Column, String> cells = WeldList.cells(j.document());
            put(cells, Column.LOT, j.lot());
            put(cells, Column.WELDER, j.welder());
            put(cells, Column.WPS, j.wps());
            put(cells, Column.DRAWING, j.drawing());
            put(cells, Column.REVISION, j.drawingRev());
            rows.add(cells);
        }
        return WeldList.write(rows);
    }

    private static void put(Map<Column, String> cells, Column column, String value) {
        if (value != null) {
            cells.put(column, value);
        }
    }
}
