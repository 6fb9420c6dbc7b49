package mensor.server.weldlist;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mensor.exchange.UnreadableInput;
import mensor.exchange.WeldList;
import mensor.exchange.WeldList.Column;
import mensor.server.background.BackgroundQueue;
import mensor.server.background.BackgroundQueue.BackgroundWork;
import mensor.server.background.BackgroundWorker;
import mensor.server.background.Turn;
import mensor.server.inspection.NewInspections;
import mensor.server.job.Jobs;
import mensor.server.job.StoredJob;
import mensor.server.joint.JointForm;
import mensor.server.joint.Joints;
import mensor.server.joint.NewJoint;
import mensor.server.joint.SetUp;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
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
 * wants it. Checking and storing go on in the background, show how far they are, can be cancelled and outlast a restart; what
 * was cancelled or broken off stored nothing.
 */
@Service
class WeldLists implements BackgroundWorker {
    private static final String CHECK = "weld-list-check";
    private static final String STORE = "weld-list-store";
    private static final Set<String> KINDS = Set.of(CHECK, STORE);
    private static final int MOST_WAITING = 20;
    private static final int AT_ONCE = 500;
    private static final int MOST_SHOWN = 200;

    private final Jobs jobs;
    private final Procedures procedures;
    private final People people;
    private final SetUp setUp;
    private final NewInspections beginnings;
    private final Joints joints;
    private final EntityManager entities;
    private final TransactionTemplate transactions;
    private final BackgroundQueue queue;
    private final JsonMapper json;

    WeldLists(
            Jobs jobs,
            Procedures procedures,
            People people,
            SetUp setUp,
            NewInspections beginnings,
            Joints joints,
            EntityManager entities,
            TransactionTemplate transactions,
            BackgroundQueue queue,
            JsonMapper json) {
        this.jobs = jobs;
        this.procedures = procedures;
        this.people = people;
        this.setUp = setUp;
        this.beginnings = beginnings;
        this.joints = joints;
        this.entities = entities;
        this.transactions = transactions;
        this.queue = queue;
        this.json = json;
    }

    @Override
    public Set<String> kinds() {
        return KINDS;
    }

    enum State {
        CHECKING,
        CHECKED,
        STORING,
        STORED,
        CANCELLED,
        FAILED
    }

    /** Of which job. */
    private record Wanted(UUID job) {}

    /** A row of the preview: those with a problem, and the first of the good ones. */
    record RowView(
            int line,
            String mark,
            @Nullable String weldNo,
            String inWords,
            @Nullable FieldProblem problem) {}

    /** What the rows came to, so far or in all. */
    private record Outcome(int good, int bad, List<String> ignored, List<RowView> shown) {
        static final Outcome NONE = new Outcome(0, 0, List.of(), List.of());
    }

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
        int rows = read(text).rows().size();
        if (queue.waiting(KINDS) >= MOST_WAITING) {
            throw Refusal.conflict("many lists are being read already; wait until some are done");
        }
        return see(
                actor,
                queue.add(
                        CHECK,
                        actor.id(),
                        job.name(),
                        json.writeValueAsString(new Wanted(job.id())),
                        text.getBytes(StandardCharsets.UTF_8),
                        rows));
    }

    private static WeldList.Sheet read(String text) {
        try {
            return WeldList.read(text);
        } catch (UnreadableInput e) {
            throw Refusal.invalid("list", e.problem());
        }
    }

    ImportView see(Actor actor, UUID id) {
        SetUp.requireRole(actor);
        return view(find(actor, id));
    }

    private BackgroundWork find(Actor actor, UUID id) {
        return queue.find(actor.id(), id)
                .filter(w -> KINDS.contains(w.kind()))
                .orElseThrow(() ->
                        Refusal.notFound("this import is no longer there; begin it again, nothing of it was stored"));
    }

    ImportView cancel(Actor actor, UUID id) {
        ImportView before = see(actor, id);
        if (before.state() == State.CHECKED) {
            queue.giveUp(actor.id(), id);
        } else {
            queue.stop(actor.id(), id);
        }
        return see(actor, id);
    }

    /** Stores the good rows; the bad ones are left out, as the preview showed. */
    ImportView store(Actor actor, UUID id) {
        ImportView checked = see(actor, id);
        if (checked.state() != State.CHECKED) {
            throw Refusal.conflict("this list is not ready to be stored: "
                    + checked.state().name().toLowerCase(Locale.ROOT));
        }
        if (checked.good() == 0) {
            throw Refusal.conflict("no row of the list can be stored");
        }
        if (!queue.goOnAs(actor.id(), id, CHECK, STORE, checked.good())) {
            throw Refusal.conflict("somebody is storing this list already");
        }
        return see(actor, id);
    }

    private ImportView view(BackgroundWork work) {
        Outcome outcome = work.answer() == null ? Outcome.NONE : json.readValue(work.answer(), Outcome.class);
        boolean storing = work.kind().equals(STORE);
        State state = switch (work.state()) {
            case "done" -> storing ? State.STORED : State.CHECKED;
            case "stopped" -> State.CANCELLED;
            case "failed" -> State.FAILED;
            default -> storing ? State.STORING : State.CHECKING;
        };
        String failure = state != State.FAILED
                ? null
                : work.failure() == null ? "the list could not be stored; nothing of it was" : work.failure();
        return new ImportView(
                work.id(),
                state,
                work.ofAll(),
                work.done(),
                outcome.good(),
                outcome.bad(),
                outcome.ignored(),
                outcome.shown(),
                failure);
    }

    @Override
    public void work(Turn turn) {
        WeldList.Sheet sheet = read(new String(turn.given().orElseThrow(), StandardCharsets.UTF_8));
        StoredJob job = jobs.get(json.readValue(turn.wanted(), Wanted.class).job());
        RowCheck check = new RowCheck(job);
        if (turn.kind().equals(CHECK)) {
            check(turn, sheet, check);
        } else {
            Actor actor = people.get(turn.person());
            transactions.executeWithoutResult(t -> {
                if (!store(turn, sheet, check, job, actor)) {
                    t.setRollbackOnly();
                }
            });
        }
    }

    private void check(Turn turn, WeldList.Sheet sheet, RowCheck check) {
        int all = sheet.rows().size();
        int good = 0;
        int bad = 0;
        List<RowView> shown = new ArrayList<>();
        for (WeldList.Row row : sheet.rows()) {
            int goodNow = good;
            int badNow = bad;
            if (!turn.goesOn(good + bad, all, () -> outcome(goodNow, badNow, sheet, shown))) {
                return;
            }
            CheckedRow checked = check.of(row);
            boolean isGood = checked.problem() == null;
            if ((isGood ? ++good : ++bad) <= MOST_SHOWN) {
                shown.add(checked.view(row));
            }
        }
        turn.finish(outcome(good, bad, sheet, shown));
    }

    private String outcome(int good, int bad, WeldList.Sheet sheet, List<RowView> shown) {
        return json.writeValueAsString(new Outcome(good, bad, sheet.ignored(), List.copyOf(shown)));
    }

    /**
     * Checks the rows once more, since the job, its welds or the procedures may have changed, and stores the good ones.
     *
     * @return whether all of it counts
     */
    private boolean store(Turn turn, WeldList.Sheet sheet, RowCheck check, StoredJob job, Actor actor) {
        NewInspections.InspectionStarts beginning = beginnings.beginning();
        String answer = turn.answer().orElseThrow();
        int good = json.readValue(answer, Outcome.class).good();
        int done = 0;
        for (WeldList.Row row : sheet.rows()) {
            if (!turn.goesOn(done, good)) {
                return false;
            }
            CheckedRow checked = check.of(row);
            if (checked.problem() != null) {
                continue;
            }
            StoredJoint joint = setUp.entity(actor, checked.joint(), job);
            entities.persist(joint);
            entities.persist(beginning.of(joint));
            if (++done % AT_ONCE == 0) {
                entities.flush();
                entities.clear();
            }
        }
        if (done != good) {
            throw Refusal.conflict("when this list was checked, " + good + " of its rows could be stored, now it is "
                    + done + ": somebody changed the job meanwhile; check the list again");
        }
        entities.flush();
        return turn.finish(answer);
    }

    /** A row that was checked; with a problem, nothing can be stored of it. */
    private record CheckedRow(
            SetUp.@Nullable Checked joint, @Nullable FieldProblem problem) {
        RowView view(WeldList.Row row) {
            return new RowView(
                    row.line(),
                    row.cell(Column.MARK),
                    row.cells().get(Column.WELD_NO),
                    problem == null ? joint.joint().inWords() : "",
                    problem);
        }
    }

    /** Checks row after row against the job as it is, and against the rows before. */
    private final class RowCheck {
        private final StoredJob job;
        private final Set<String> names = new HashSet<>();
        private final Map<String, Optional<StoredProcedure>> known = new HashMap<>();

        RowCheck(StoredJob job) {
            this.job = job;
            joints.namesOfJob(job.id()).forEach(n -> names.add(name(n.mark(), n.weldNo(), n.side())));
        }

        private static String name(String mark, @Nullable String weldNo, @Nullable String side) {
            return mark + '\u0000' + (weldNo == null ? "" : weldNo) + '\u0000' + (side == null ? "" : side);
        }

        CheckedRow of(WeldList.Row row) {
            try {
                SetUp.Checked checked = checked(row);
                FieldProblem problem = checked.problems().isEmpty()
                        ? null
                        : inColumn(checked.problems().get(0));
                if (problem == null
                        && !names.add(name(
                                checked.form().joint().mark(),
                                checked.joint().weldNo().orElse(null),
                                checked.form().joint().side()))) {
                    problem = new FieldProblem("mark", "this weld is in the job, or in the list, already");
                }
                return new CheckedRow(checked, problem);
            } catch (JacksonException e) {
                return new CheckedRow(
                        null,
                        new FieldProblem(
                                "closed",
                                "yes or no is required in the columns closed, delayed, primary and transverse tension"));
            }
        }

        private SetUp.Checked checked(WeldList.Row row) {
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
                    json.readValue(WeldList.joint(row), JointForm.class));
            Optional<StoredProcedure> procedure = known.computeIfAbsent(
                    row.cell(Column.WPS), w -> w.isBlank() ? Optional.empty() : procedures.named(w));
            return setUp.check(form, Optional.of(job), procedure);
        }
    }

    private static FieldProblem inColumn(FieldProblem p) {
        UnreadableInput e = WeldList.inColumn(new UnreadableInput(p.field(), p.problem()));
        return new FieldProblem(e.field(), e.problem());
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
