package mensor.server.notice;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.exchange.Journal;
import mensor.repair.HoldKind;
import mensor.repair.RepairState;
import mensor.server.gauge.Gauges;
import mensor.server.notice.Notices.News;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.record.SealJournal;
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

    private static final int AT_ONCE = 200;
    private static final Role[] REPAIR = {Role.REPAIR_LEAD, Role.WELDING_ENGINEER};

    private final JdbcClient jdbc;
    private final Notices notices;
    private final Mails mails;
    private final People people;
    private final Gauges gauges;
    private final Welders welders;
    private final SealJournal journal;
    private final Clock clock;
    private boolean broken;

    NoticeSweep(
            JdbcClient jdbc,
            Notices notices,
            Mails mails,
            People people,
            Gauges gauges,
            Welders welders,
            SealJournal journal,
            Clock clock) {
        this.jdbc = jdbc;
        this.notices = notices;
        this.mails = mails;
        this.people = people;
        this.gauges = gauges;
        this.welders = welders;
        this.journal = journal;
        this.clock = clock;
    }

    /** At once. */
    public void look() {
        rejectsAndHolds();
        papersAndGauges();
        seals();
    }

    @Scheduled(fixedDelay = 10_000, initialDelay = 10_000)
    void often() {
        guarded(this::rejectsAndHolds);
    }

    @Scheduled(fixedDelay = 3_600_000, initialDelay = 15_000)
    void hourly() {
        guarded(this::papersAndGauges);
        guarded(this::seals);
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

    void rejectsAndHolds() {
        for (Actor a : people.all()) {
            if (!a.is(REPAIR) && !a.recordsEngineer()) {
                continue;
            }
            if (a.is(REPAIR)) {
                untold(
                                a,
                                "reject:",
                                "d.inspection_id",
                                "",
                                " where d.state <> '" + RepairState.CLOSED.id() + "' and d.raised_at > :since"
                                        + " and d.raised_by <> :person" // who signed it knows
                                        + " and not exists (select 1 from defect e where e.inspection_id = d.inspection_id and e.number < d.number)")
                        .forEach(f -> tell(
                                a,
                                f.about(),
                                NoticeKind.REJECT,
                                f.weld() + ": rejected, from NC-" + f.number() + " on",
                                "/defects/" + f.defect()));
            }
            if (a.recordsEngineer()) {
                untold(
                                a,
                                "hold:",
                                "h.id",
                                " join repair_hold h on h.defect_id = d.id",
                                " where h.released_at is null and h.dropped = false and h.raised_at > :since")
                        .forEach(f -> tell(
                                a,
                                f.about(),
                                NoticeKind.HOLD,
                                "NC-" + f.number() + ", " + f.weld() + " waits: "
                                        + Named.find(HoldKind.class, f.hold())
                                                .map(HoldKind::words)
                                                .orElse(f.hold()),
                                "/defects/" + f.defect()));
            }
        }
    }

    private record Untold(String about, UUID defect, int number, String weld, String hold) {}

    /** What this person was not told of: where all is told, one question finds nothing. */
    private List<Untold> untold(Actor a, String sort, String id, String joined, String where) {
        String about = "'" + sort + "' || cast(" + id + " as varchar(36))";
        return jdbc.sql("select " + about + ", d.id, d.number, j.mark, b.name, " + (joined.isEmpty() ? "''" : "h.kind")
                        + " from defect d join joint j on j.id = d.joint_id join job b on b.id = d.job_id" + joined
                        + where
                        + " and not exists (select 1 from notice n where n.person_id = :person and n.about = " + about
                        + ")"
                        + " order by d.raised_at, d.number fetch first " + AT_ONCE + " rows only")
                .param("person", a.id())
                .param("since", clock.instant().minus(NEWS).atOffset(ZoneOffset.UTC))
                .query((r, n) -> new Untold(
                        r.getString(1),
                        r.getObject(2, UUID.class),
                        r.getInt(3),
                        r.getString(4) + ", " + r.getString(5),
                        r.getString(6)))
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

    /** Once a day, where records were signed since: kept with the mail, out of reach of who could cut the journal off. */
    void seals() {
        Journal.Head head = journal.head();
        String day = "seals:" + LocalDate.now(clock);
        boolean told = head.lines() == 0
                || jdbc.sql("select count(*) from notice where about = :day or kind = 'seals' and words like :head")
                                .param("day", day)
                                .param("head", "%" + head.shown() + "%")
                                .query(Long.class)
                                .single()
                        > 0;
        if (!told) {
            people.all().stream()
                    .filter(a -> a.is(Role.QUALITY_MANAGER))
                    .forEach(a -> tell(
                            a, day, NoticeKind.SEALS, "The journal of seals is at " + head.shown() + ".", "/jobs"));
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
