package mensor.server.notice;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.repair.HoldKind;
import mensor.repair.RepairState;
import mensor.server.gauge.Gauges;
import mensor.server.notice.Notices.News;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.welder.Welders;
import mensor.weld.Day;
import mensor.weld.Named;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Looks now and then what somebody must be told of and was not yet: from what is stored, so that no stop loses a notice. What is older
 * than a week is not news any more.
 */
@Component
public class NoticeSweep {
    private static final Logger LOG = LoggerFactory.getLogger(NoticeSweep.class);
    private static final Duration NEWS = Duration.ofDays(7);
    /** So long before a paper or a gauge runs out it is told. */
    private static final int DAYS_BEFORE = 30;

    private static final Role[] REPAIR = {Role.REPAIR_LEAD, Role.WELDING_ENGINEER};

    private final JdbcClient jdbc;
    private final Notices notices;
    private final Mails mails;
    private final People people;
    private final Gauges gauges;
    private final Welders welders;
    private final Clock clock;
    private boolean broken;

    NoticeSweep(
            JdbcClient jdbc, Notices notices, Mails mails, People people, Gauges gauges, Welders welders, Clock clock) {
        this.jdbc = jdbc;
        this.notices = notices;
        this.mails = mails;
        this.people = people;
        this.gauges = gauges;
        this.welders = welders;
        this.clock = clock;
    }

    /** At once. */
    public void look() {
        rejectsAndHolds();
        papersAndGauges();
    }

    @Scheduled(fixedDelay = 10_000, initialDelay = 10_000)
    void often() {
        guarded(this::rejectsAndHolds);
    }

    @Scheduled(fixedDelay = 3_600_000, initialDelay = 15_000)
    void hourly() {
        guarded(this::papersAndGauges);
    }

    private void guarded(Runnable look) {
        try {
            look.run();
            mails.sendWaiting();
            broken = false;
        } catch (RuntimeException e) { // the database is away, or the application ends: the next look tells
            if (!broken) {
                LOG.warn("notices could not be looked for: {}", e.getMessage());
            }
            broken = true;
        }
    }

    private record Found(UUID id, UUID inspection, UUID by, int number, String mark, String job, String kind) {}

    void rejectsAndHolds() {
        List<Found> rejects = found(
                "d.id, d.inspection_id, d.raised_by, d.number, j.mark, b.name, '' as kind",
                " where d.state <> '" + RepairState.CLOSED.id() + "' and d.raised_at > :since"
                        + " and not exists (select 1 from defect e where e.inspection_id = d.inspection_id and e.number < d.number)");
        List<Found> holds = found(
                "h.id, d.id as defect, d.raised_by, d.number, j.mark, b.name, h.kind",
                " join repair_hold h on h.defect_id = d.id where h.released_at is null and h.dropped = false and h.raised_at > :since");
        if (rejects.isEmpty() && holds.isEmpty()) {
            return;
        }
        List<Actor> told = people.all().stream().filter(a -> a.is(REPAIR)).toList();
        for (Actor a : told) {
            for (Found f : rejects) {
                if (!a.id().equals(f.by())) { // who signed it knows
                    tell(
                            a,
                            "reject:" + f.inspection(),
                            NoticeKind.REJECT,
                            f.mark() + ", " + f.job() + ": rejected, from NC-" + f.number() + " on",
                            "/defects/" + f.id());
                }
            }
            for (Found f : a.recordsEngineer() ? holds : List.<Found>of()) {
                String why = Named.find(HoldKind.class, f.kind())
                        .map(HoldKind::words)
                        .orElse(f.kind());
                tell(
                        a,
                        "hold:" + f.id(),
                        NoticeKind.HOLD,
                        "NC-" + f.number() + ", " + f.mark() + ", " + f.job() + " waits: " + why,
                        "/defects/" + f.inspection());
            }
        }
    }

    private List<Found> found(String columns, String where) {
        return jdbc.sql("select " + columns
                        + " from defect d join joint j on j.id = d.joint_id join job b on b.id = d.job_id" + where)
                .param("since", clock.instant().minus(NEWS).atOffset(ZoneOffset.UTC))
                .query((r, n) -> new Found(
                        r.getObject(1, UUID.class),
                        r.getObject(2, UUID.class),
                        r.getObject(3, UUID.class),
                        r.getInt(4),
                        r.getString(5),
                        r.getString(6),
                        r.getString(7)))
                .list();
    }

    void papersAndGauges() {
        LocalDate soon = LocalDate.now(clock).plusDays(DAYS_BEFORE);
        List<Actor> everybody = people.all();
        List<Actor> managers =
                everybody.stream().filter(a -> a.is(Role.QUALITY_MANAGER)).toList();
        for (People.WithPapers p : people.withPapers()) {
            if (p.active()) {
                List<Actor> told = new ArrayList<>(managers);
                if (managers.stream().noneMatch(m -> m.id().equals(p.person().id()))) {
                    told.add(p.person());
                }
                paper(told, soon, p.person(), "certificate", p.papers().certificateUntil());
                paper(told, soon, p.person(), "eye test", p.papers().eyeTestUntil());
            }
        }
        List<Actor> ofWelders = everybody.stream()
                .filter(a -> a.is(Role.QUALITY_MANAGER, Role.WELDING_ENGINEER))
                .toList();
        welders.runningOut(soon)
                .forEach(w -> ofWelders.forEach(a -> tell(
                        a,
                        "welder:" + w.stamp() + ":" + w.test() + ":" + w.on(),
                        NoticeKind.PAPER,
                        "Welder " + w.stamp() + ", " + w.name() + ": test in " + w.test()
                                + (w.on().isBefore(LocalDate.now(clock))
                                        ? " lapsed on " + Day.shown(w.on())
                                        : " lapses on " + Day.shown(w.on()) + " unless the process is used"),
                        "/people")));
        List<Actor> ofGauges = everybody.stream()
                .filter(a -> a.is(Role.QUALITY_MANAGER, Role.INSPECTOR))
                .toList();
        for (Gauges.GaugeView g : gauges.all()) {
            if (g.form().due() != null
                    && !g.form().due().isAfter(soon)
                    && g.form().foundOut() == null) {
                ofGauges.forEach(a -> tell(
                        a,
                        "gauge:" + g.id() + ":" + g.form().due(),
                        NoticeKind.GAUGE,
                        "Gauge " + g.form().name() + ", " + g.form().kind() + ": calibration due "
                                + Day.shown(g.form().due()),
                        "/gauges"));
            }
        }
    }

    private void paper(List<Actor> told, LocalDate soon, Actor of, String paper, LocalDate until) {
        if (until != null && !until.isAfter(soon)) {
            told.forEach(a -> tell(
                    a,
                    paper + ":" + of.id() + ":" + until,
                    NoticeKind.PAPER,
                    (a.id().equals(of.id()) ? "Your " : of.name() + ": ") + paper + " holds until " + Day.shown(until),
                    "/people"));
        }
    }

    private void tell(Actor a, String about, NoticeKind kind, String words, String link) {
        Optional<String> mail = mails.isOn() ? people.mailOf(a.id()) : Optional.empty();
        notices.tell(new News(a.id(), about, kind, words, link), mail.isPresent());
    }
}
