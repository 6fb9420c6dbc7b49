package mensor.server.inspection;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
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
    private static final int MOST_ROWS = 300;
    private static final Comparator<String> IN_ORDER = Comparator.nullsFirst(Comparator.naturalOrder());

    private final InspectionRepository inspections;
    private final RepairStanding repairs;
    private final Jobs jobs;
    private final People people;
    private final Clock clock;

    Worklist(InspectionRepository inspections, RepairStanding repairs, Jobs jobs, People people, Clock clock) {
        this.inspections = inspections;
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

        boolean isAfter(Line other) {
            return cycle != other.cycle ? cycle > other.cycle : revision > other.revision;
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

    /** The first rows that fit, how many fit in all, and how many there are in each group. */
    public record WorklistPage(List<Row> rows, int fitting, Map<String, Integer> counts) {}

    @Transactional(readOnly = true)
    public WorklistPage page(Actor actor, String find, String group, UUID job) {
        // the welds first: a job that is set up meanwhile has its name when its weld is seen
        Collection<Line> latest = latest(actor, job);
        Map<UUID, RepairStanding.Standing> standing = repairs.all();
        Map<UUID, String> jobNames = jobs.names();
        Map<UUID, String> names = new HashMap<>();
        people.all().forEach(p -> names.put(p.id(), p.name()));
        Map<String, Integer> alike = new HashMap<>();
        latest.forEach(l -> {
            if (!l.isSigned() && l.entryCount() == 0 && l.cycle() == 0) {
                alike.merge(l.jobId() + l.design() + l.capacity(), 1, Integer::sum);
            }
        });
        String wanted = find.strip().toLowerCase(Locale.ROOT);
        Map<String, Integer> counts = new HashMap<>();
        List<Line> fitting = new ArrayList<>();
        for (Line l : latest) {
            if (l.mark().toLowerCase(Locale.ROOT).contains(wanted)) {
                String its = group(l, standing);
                counts.merge(its, 1, Integer::sum);
                counts.merge("all", 1, Integer::sum);
                if (group.equals("all") || group.equals(its)) {
                    fitting.add(l);
                }
            }
        }
        fitting.sort(Comparator.comparing((Line l) -> jobNames.get(l.jobId()))
                .thenComparing(Line::lot)
                .thenComparing(Line::mark)
                .thenComparing(Line::weldNo, IN_ORDER)
                .thenComparing(Line::side, IN_ORDER)
                .thenComparing(Line::capacity));
        Instant now = clock.instant();
        List<Row> rows = fitting.stream()
                .limit(MOST_ROWS)
                .map(l -> row(l, now, standing, names, jobNames, alike))
                .toList();
        return new WorklistPage(rows, fitting.size(), counts);
    }

    /** The newest look of each joint and capacity; a viewer sees the newest signed one. */
    private Collection<Line> latest(Actor actor, UUID job) {
        Map<String, Line> latest = new LinkedHashMap<>();
        for (Line l : inspections.lines(job)) {
            if (!actor.role().seesSignedOnly() || l.isSigned()) {
                latest.merge(l.jointId() + l.capacity(), l, (a, b) -> a.isAfter(b) ? a : b);
            }
        }
        return latest.values();
    }

    private static Row row(
            Line l,
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
                l.stage(),
                l.capacity(),
                l.revision(),
                l.verdict(),
                l.isSigned(),
                l.rejects(),
                l.todos(),
                l.entryCount() > 0,
                l.holder() == null ? null : names.get(l.holder()),
                NextStep.words(
                        l.isSigned(),
                        result(l),
                        l.entryCount(),
                        l.todos(),
                        repairs(l, standing),
                        NextStep.wait(l.readyAt(), now)),
                group(l, standing),
                alike.getOrDefault(l.jobId() + l.design() + l.capacity(), 0));
    }

    private static RepairStanding.Standing repairs(Line l, Map<UUID, RepairStanding.Standing> standing) {
        return standing.getOrDefault(l.inspectionId(), RepairStanding.Standing.NONE);
    }

    private static Verdict result(Line l) {
        return Named.find(Verdict.class, l.verdict()).orElseThrow();
    }

    private static String group(Line l, Map<UUID, RepairStanding.Standing> standing) {
        if (l.isSigned()) {
            return result(l) == Verdict.REJECT ? NextStep.group(repairs(l, standing)) : "done";
        }
        if (l.entryCount() == 0) {
            return "inspect";
        }
        return result(l) == Verdict.INCOMPLETE ? "in-progress" : "sign";
    }
}
