package mensor.server.job;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.criteria.CriteriaBooks;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.plan.SchoolTopic;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.InvalidField;
import mensor.weld.Stagger;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Jobs and what holds for all their welds. */
@Service
public class Jobs {
    private static final List<String> METHODS = List.of("MT", "PT", "UT", "RT");
    private static final List<String> STATES = List.of("due", "asked", "done");

    private final JobRepository jobs;
    private final JsonMapper json;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Jobs(JobRepository jobs, JsonMapper json, Clock clock, ApplicationEventPublisher events) {
        this.events = events;
        this.jobs = jobs;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<StoredJob> all() {
        return List.copyOf(jobs.findAllByOrderByName());
    }

    @Transactional(readOnly = true)
    public StoredJob get(UUID id) {
        return entity(id);
    }

    private JobEntity entity(UUID id) {
        return jobs.findById(id).orElseThrow(() -> Refusal.notFound("there is no such job"));
    }

    /** The job, held until the signature stands: its records are chained in one order. */
    @Transactional
    public StoredJob forSigning(UUID id) {
        return jobs.findForSigningById(id).orElseThrow(() -> Refusal.notFound("there is no such job"));
    }

    @Transactional(readOnly = true)
    public Optional<StoredJob> named(String name) {
        return jobs.findByName(name.strip()).map(StoredJob.class::cast);
    }

    @Transactional(readOnly = true)
    public Map<UUID, String> names() {
        return jobs.findAll().stream().collect(Collectors.toMap(JobEntity::id, JobEntity::name));
    }

    public JobForm form(StoredJob job) {
        JobForm rest = json.readValue(job.document(), JobForm.class);
        return new JobForm(
                job.name(),
                job.criteria(),
                job.units(),
                rest.loading(),
                rest.contract(),
                rest.apart(),
                rest.drawings(),
                rest.tests(),
                rest.lots(),
                rest.oneHand(),
                rest.terms(),
                rest.schools());
    }

    /** What the job's contract says beside the code. */
    public ContractTerms terms(StoredJob job) {
        ContractTerms terms = json.readValue(job.document(), JobForm.class).terms();
        return terms == null ? ContractTerms.NONE : terms;
    }

    /** The schools of practice that were picked for the job, by topic. */
    public Map<String, String> schools(StoredJob job) {
        Map<String, String> picked =
                json.readValue(job.document(), JobForm.class).schools();
        return picked == null ? Map.of() : picked;
    }

    /** Whether one person may not both inspect a weld of the job and decide on its repair: so, unless the job says otherwise. */
    public boolean keepsApart(StoredJob job) {
        return !Boolean.TRUE.equals(
                json.readValue(job.document(), JobForm.class).oneHand());
    }

    /** How far apart starts and stops of neighbouring passes are wanted in this job. */
    public Length apart(StoredJob job) {
        String apart = json.readValue(job.document(), JobForm.class).apart();
        return apart == null ? Stagger.USUAL : Length.parse(apart, job.unit());
    }

    /** The further tests of the job that are still due, in words. */
    public List<String> due(StoredJob job) {
        List<JobForm.FurtherTest> tests =
                json.readValue(job.document(), JobForm.class).tests();
        return tests == null
                ? List.of()
                : tests.stream()
                        .filter(JobForm.FurtherTest::isDue)
                        .map(JobForm.FurtherTest::shown)
                        .toList();
    }

    @Transactional
    public StoredJob create(Actor actor, JobForm form) {
        requireRole(actor);
        check(form, null);
        JobEntity job = new JobEntity(UUID.randomUUID(), clock.instant(), actor.id());
        set(job, form);
        return jobs.save(job);
    }

    /** @param hasWelds book and units then stand, for welds were judged by them */
    @Transactional
    public StoredJob change(Actor actor, UUID id, long version, JobForm form, boolean hasWelds) {
        requireRole(actor);
        JobEntity job = entity(id);
        if (job.version() != version) {
            throw Refusal.stale("somebody changed this job meanwhile; check it again", null);
        }
        check(form, job);
        if (hasWelds && !(job.criteria().equals(form.criteria()) && job.units().equals(form.units()))) {
            throw Refusal.invalid(
                    "criteria", "welds of this job are judged by it already; another code or unit is another job");
        }
        ContractTerms before = terms(job);
        set(job, form);
        JobEntity saved = jobs.saveAndFlush(job);
        if (!terms(saved).equals(before)) {
            events.publishEvent(new TermsChange(id));
        }
        return saved;
    }

    private void set(JobEntity job, JobForm form) {
        job.set(form.name().strip(), form.criteria(), form.units(), json.writeValueAsString(form.rest()));
    }

    private static void requireRole(Actor actor) {
        if (!actor.setsUp()) {
            throw Refusal.forbidden("jobs are set up by an inspector, the welding engineer or the quality manager");
        }
    }

    private void check(JobForm form, JobEntity self) {
        List<FieldProblem> problems = new ArrayList<>();
        if (form.name() == null || form.name().isBlank() || form.name().length() > 120) {
            problems.add(new FieldProblem("name", "a name of up to 120 letters is required"));
        } else if (named(form.name())
                .filter(j -> self == null || !j.id().equals(self.id()))
                .isPresent()) {
            problems.add(new FieldProblem("name", "there is a job of this name"));
        }
        if (form.criteria() == null || CriteriaBooks.find(form.criteria()).isEmpty()) {
            problems.add(new FieldProblem("criteria", "choose the acceptance criteria that apply"));
        }
        Unit unit = "mm".equals(form.units()) ? Unit.MILLIMETRE : "in".equals(form.units()) ? Unit.INCH : null;
        if (unit == null) {
            problems.add(new FieldProblem("units", "the drawings are in inches or in millimetres"));
        }
        if (form.loading() != null && !List.of("static", "cyclic").contains(form.loading())) {
            problems.add(new FieldProblem("loading", "static, cyclic, or not known"));
        }
        apart(problems, form.apart(), unit);
        try {
            SchoolTopic.check(form.schools() == null ? Map.of() : form.schools());
        } catch (InvalidField e) {
            problems.add(new FieldProblem(e.field(), e.problem()));
        }
        if (form.terms() != null && unit != null) {
            CriteriaBooks.find(String.valueOf(form.criteria()))
                    .ifPresent(b -> problems.addAll(new TermsCheck(json).of(form.terms(), b, unit)));
        }
        each(form.tests(), (i, t) -> {
            if (t.method() == null || !METHODS.contains(t.method())) {
                problems.add(new FieldProblem("tests[" + i + "].method", "one of " + String.join(", ", METHODS)));
            }
            if (t.percent() != null && (t.percent() < 1 || t.percent() > 100)) {
                problems.add(new FieldProblem("tests[" + i + "].percent", "1 to 100"));
            }
            if (t.status() != null && !STATES.contains(t.status())) {
                problems.add(new FieldProblem("tests[" + i + "].status", "due, asked or done"));
            }
        });
        each(form.drawings(), (i, d) -> {
            if (d.number() == null || d.number().isBlank() || d.number().length() > 60) {
                problems.add(new FieldProblem("drawings[" + i + "].number", "a drawing needs its number"));
            }
        });
        each(form.lots(), (i, l) -> {
            if (l == null || l.isBlank() || l.length() > 120) {
                problems.add(new FieldProblem("lots[" + i + "]", "a lot needs a name of up to 120 letters"));
            }
        });
        if (!problems.isEmpty()) {
            throw Refusal.invalid(problems);
        }
    }

    private static void apart(List<FieldProblem> problems, String apart, Unit unit) {
        if (apart == null || unit == null) {
            return;
        }
        try {
            if (!Length.parse(apart, unit).isPositive()) {
                problems.add(new FieldProblem("apart", "must be over zero"));
            }
        } catch (LengthFormatException e) {
            problems.add(new FieldProblem("apart", e.getMessage()));
        }
    }

    private interface Numbered<T> {
        void accept(int i, T item);
    }

    private static <T> void each(List<T> items, Numbered<T> check) {
        for (int i = 0; items != null && i < items.size(); i++) {
            check.accept(i, items.get(i));
        }
    }
}
