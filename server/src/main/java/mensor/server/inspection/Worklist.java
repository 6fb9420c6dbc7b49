package mensor.server.inspection;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mensor.inspection.Verdict;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.weld.Named;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The joints with where each stands and what comes next. */
@Service
public class Worklist {
    /** Seconds. */
    private static final int VIEWERS_WAIT = 20;

    private final WorklistQuery query;
    private final RepairStanding repairs;
    private final Jobs jobs;
    private final People people;
    private final WorklistWatch watch;
    private final Clock clock;

    Worklist(WorklistQuery query, RepairStanding repairs, Jobs jobs, People people, WorklistWatch watch, Clock clock) {
        this.query = query;
        this.watch = watch;
        this.repairs = repairs;
        this.jobs = jobs;
        this.people = people;
        this.clock = clock;
    }

    /** An inspection with its joint, as the database gives it. */
    public record Line(
            UUID jointId,
            UUID inspectionId,
            UUID jobId,
            String lot,
            String mark,
            String weldNo,
            String side,
            String inWords,
            String position,
            String welder,
            String wps,
            String design,
            Instant weldedAt,
            Integer delayHours,
            String stage,
            String capacity,
            int cycle,
            int revision,
            StoredInspection.State state,
            String verdict,
            int rejects,
            int todos,
            int entryCount,
            UUID holder) {
        Optional<Instant> readyAt() {
            return weldedAt == null || delayHours == null
                    ? Optional.empty()
                    : Optional.of(weldedAt.plus(Duration.ofHours(delayHours)));
        }

        /** The same for all welds of one design in one job and for one side of the contract. */
        String alike() {
            return jobId + design + capacity;
        }

        boolean isSigned() {
            return state == StoredInspection.State.SIGNED;
        }
    }

    /** One joint on the list; {@code group} groups the rows by who has to act. */
    public record Row(
            UUID jointId,
            UUID inspectionId,
            UUID jobId,
            String job,
            String lot,
            String mark,
            @Nullable String weldNo,
            @Nullable String side,
            String inWords,
            @Nullable String position,
            @Nullable String welder,
            @Nullable String wps,
            String stage,
            String capacity,
            int revision,
            String verdict,
            boolean signed,
            int rejects,
            int todos,
            boolean begun,
            @Nullable String holder,
            String next,
            String group,
            int alike) {}

    /** A page of the rows that fit, how many fit in all, how many there are in each group, and the list's version before it was read. */
    public record WorklistPage(List<Row> rows, int fitting, Map<String, Integer> counts, String version) {}

    /** The rows of a page, how many fit in all, and how many there are in each group. */
    @Transactional(readOnly = true)
    public WorklistPage page(Actor actor, String find, String group, UUID job, String sort, int from, int size) {
        String version = version(actor);
        String jobName = job == null ? "" : jobs.get(job).name();
        WorklistQuery.Found found =
                query.find(new WorklistQuery.Wanted(actor.seesSignedOnly(), find, group, jobName, sort, from, size));
        Map<UUID, String> jobNames = jobs.names();
        Map<UUID, String> names = people.names();
        Map<String, Integer> alike = query.alike(found.rows());
        // only of signed rejects does anybody ask what their repair waits for
        Map<UUID, RepairStanding.Standing> standing = repairs.of(found.rows().stream()
                .filter(l -> l.isSigned() && result(l) == Verdict.REJECT)
                .map(Line::inspectionId)
                .toList());
        Instant now = clock.instant();
        List<Row> rows = new ArrayList<>();
        for (Line line : found.rows()) {
            rows.add(row(line, found.groups().get(line.inspectionId()), now, standing, names, jobNames, alike));
        }
        return new WorklistPage(rows, found.counts().getOrDefault(group, 0), found.counts(), version);
    }

    /**
     * Another one whenever something that the list shows was stored: who shows it asks for this, and reads only then. A viewer's
     * changes by the clock, so that it tells nothing of what others are at.
     */
    public String version(Actor actor) {
        return actor.seesSignedOnly()
                ? Long.toString(clock.instant().getEpochSecond() / VIEWERS_WAIT)
                : watch.version();
    }

    private static Row row(
            Line l,
            String group,
            Instant now,
            Map<UUID, RepairStanding.Standing> standing,
            Map<UUID, String> names,
            Map<UUID, String> jobNames,
            Map<String, Integer> alike) {
        return new Row(
                l.jointId(),
                l.inspectionId(),
                l.jobId(),
                jobNames.get(l.jobId()),
                l.lot(),
                l.mark(),
                l.weldNo(),
                l.side(),
                l.inWords(),
                l.position(),
                l.welder(),
                l.wps(),
                l.stage(),
                l.capacity(),
                l.revision(),
                l.verdict(),
                l.isSigned(),
                l.rejects(),
                l.todos(),
                l.entryCount() > 0,
                l.holder() == null ? null : names.get(l.holder()),
                group.equals("elsewhere")
                        ? NextStep.ELSEWHERE
                        : NextStep.words(
                                l.isSigned(),
                                result(l),
                                l.entryCount(),
                                l.todos(),
                                standing.getOrDefault(l.inspectionId(), RepairStanding.Standing.NONE),
                                NextStep.wait(l.readyAt(), now)),
                group,
                alike.getOrDefault(l.alike(), 0));
    }

    private static Verdict result(Line l) {
        return Named.find(Verdict.class, l.verdict()).orElseThrow();
    }
}
