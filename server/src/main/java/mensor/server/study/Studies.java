package mensor.server.study;

import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.function.Supplier;
import mensor.exchange.AgreementFile;
import mensor.exchange.GaugeStudyFile;
import mensor.exchange.StudyKind;
import mensor.exchange.UnreadableInput;
import mensor.server.gauge.Gauges;
import mensor.server.gauge.StoredGauge;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.study.StudyView.StudyRowView;
import mensor.server.web.Refusal;
import mensor.study.AgreementAnswers;
import mensor.study.GaugeReadings;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Studies of gauges and people: kept as their files, computed whenever they are opened. */
@Service
public class Studies {
    static final int LONGEST = 1_000_000;
    private static final int LONGEST_TITLE = 120;
    private static final String UNDER_WAY = "Under way: answers are shown when everybody has handed in.";

    private final StudyRepository studies;
    private final GaugeStudies computed;
    private final Gauges gauges;
    private final AgreementProgress progress;
    private final People people;
    private final Clock clock;

    Studies(
            StudyRepository studies,
            GaugeStudies computed,
            Gauges gauges,
            @Lazy AgreementProgress progress,
            People people,
            Clock clock) {
        this.studies = studies;
        this.computed = computed;
        this.gauges = gauges;
        this.progress = progress;
        this.people = people;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<StudyRowView> all() {
        return studies.findAllByOrderByRecordedAtDesc().stream().map(this::row).toList();
    }

    private StudyRowView row(StudyEntity s) {
        return new StudyRowView(
                s.id(), s.kind(), s.title(), said(s), people.nameOf(s.recordedBy()), s.recordedAt(), s.isWithdrawn());
    }

    private static boolean isGauge(StudyEntity s) {
        return GaugeStudyFile.KIND.equals(s.kind());
    }

    private static String said(StudyEntity s) {
        if (isGauge(s)) {
            GaugeReadings g = GaugeStudyFile.read(s.content());
            return GaugeStudies.said(g, g.study());
        }
        return s.content().isEmpty() ? UNDER_WAY : Agreements.said(AgreementFile.read(s.content()));
    }

    @Transactional(readOnly = true)
    public StudyView open(UUID id) {
        return view(find(id));
    }

    /** The newest gauge study of a quantity, those that the register takes first. */
    @Transactional(readOnly = true)
    public Optional<StudyView> newestOf(Predicate<String> quantity) {
        return studies.findAllByOrderByRecordedAtDesc().stream()
                .filter(s -> isGauge(s) && !s.isWithdrawn())
                .filter(s -> quantity.test(GaugeStudyFile.read(s.content()).quantity()))
                .map(this::view)
                .sorted(Comparator.comparing(v -> !v.gauge().inUse()))
                .findFirst();
    }

    public String titleOf(UUID id) {
        return find(id).title();
    }

    private StudyEntity find(UUID id) {
        return studies.findById(id).orElseThrow(() -> Refusal.notFound("there is no such study"));
    }

    private StudyView view(StudyEntity s) {
        return new StudyView(
                s.id(),
                s.kind(),
                s.title(),
                said(s),
                people.nameOf(s.recordedBy()),
                s.recordedAt(),
                s.isWithdrawn(),
                s.version(),
                isGauge(s) ? computed.view(s, GaugeStudyFile.read(s.content())) : null,
                isGauge(s)
                        ? null
                        : s.content().isEmpty()
                                ? progress.of(s.id())
                                : Agreements.view(AgreementFile.read(s.content())));
    }

    /** An agreement study that people work on: what they answer comes at its end. */
    @Transactional
    public void begin(Actor actor, UUID id, String title) {
        check(actor);
        if (title == null || title.isBlank() || title.strip().length() > LONGEST_TITLE) {
            throw Refusal.invalid("title", "a name of up to " + LONGEST_TITLE + " letters is required");
        }
        if (studies.existsById(id)) {
            throw Refusal.conflict("this study is there already");
        }
        StudyEntity study = new StudyEntity(id, actor.id(), clock.instant());
        study.set(AgreementFile.KIND, title.strip(), "");
        studies.saveAndFlush(study);
    }

    /** One hand-in after another: of two at once neither would see the other's, and the study would never end. */
    @Transactional
    public void lock(UUID id) {
        studies.findForChangeById(id).orElseThrow(() -> Refusal.notFound("there is no such study"));
    }

    /** Everybody handed in: these are the answers. */
    @Transactional
    public void conclude(UUID id, AgreementAnswers answers) {
        StudyEntity study = find(id);
        study.set(AgreementFile.KIND, study.title(), AgreementFile.write(answers));
        studies.saveAndFlush(study);
    }

    /** The study as a {@code mensor-study/1} file. */
    @Transactional(readOnly = true)
    public String file(UUID id) {
        return finished(id).content();
    }

    private StudyEntity finished(UUID id) {
        StudyEntity study = find(id);
        if (study.content().isEmpty()) {
            throw Refusal.conflict("this study is under way: not everybody has handed in");
        }
        return study;
    }

    /** Its readings as a list. */
    @Transactional(readOnly = true)
    public String list(UUID id) {
        StudyEntity study = finished(id);
        return isGauge(study)
                ? GaugeStudyFile.writeList(GaugeStudyFile.read(study.content()))
                : AgreementFile.writeList(AgreementFile.read(study.content()));
    }

    /** Keeps a study as its file says it. */
    @Transactional
    public StudyView put(Actor actor, UUID id, String file) {
        if (reading(() -> StudyKind.of(file)).equals(AgreementFile.KIND)) {
            AgreementAnswers a = reading(() -> AgreementFile.read(file));
            return keep(actor, id, AgreementFile.KIND, a.title(), AgreementFile.write(a));
        }
        return keep(actor, id, reading(() -> GaugeStudyFile.read(file)));
    }

    /** Keeps a study whose readings come as a list. */
    @Transactional
    public StudyView putList(Actor actor, UUID id, GaugeStudyFile.Heading heading, String list) {
        return keep(actor, id, reading(() -> GaugeStudyFile.readList(heading, list)));
    }

    private static <T> T reading(Supplier<T> reading) {
        try {
            return reading.get();
        } catch (UnreadableInput e) {
            throw Refusal.invalid(e.field().isEmpty() ? "readings" : e.field(), e.problem());
        }
    }

    private StudyView keep(Actor actor, UUID id, GaugeReadings g) {
        return keep(actor, id, GaugeStudyFile.KIND, g.title(), GaugeStudyFile.write(g));
    }

    private StudyView keep(Actor actor, UUID id, String kind, String title, String content) {
        check(actor);
        if (studies.existsById(id)) {
            throw Refusal.conflict(
                    "this study is there already; what was read is not changed: take it off and enter another");
        }
        if (content.length() > LONGEST) {
            throw Refusal.invalid("readings", "a study has up to " + LONGEST + " letters");
        }
        StudyEntity study = new StudyEntity(id, actor.id(), clock.instant());
        study.set(kind, title, content);
        return view(studies.saveAndFlush(study));
    }

    private static void check(Actor actor) {
        if (!actor.is(Role.INSPECTOR, Role.INSTRUCTOR, Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("studies are recorded by an inspector, an instructor or the quality manager");
        }
    }

    @Transactional
    public StudyView setWithdrawn(Actor actor, UUID id, boolean off) {
        check(actor);
        StudyEntity study = find(id);
        if (off && isGauge(study) && view(study).gauge().inUse()) {
            throw Refusal.conflict("the register takes its uncertainty from this study; give that up first");
        }
        study.setWithdrawn(off);
        return view(studies.saveAndFlush(study));
    }

    /** From now on the register takes the gauge's uncertainty from this study, or no longer does. */
    @Transactional
    public StudyView use(Actor actor, UUID id, boolean inUse) {
        StudyEntity study = find(id);
        if (!isGauge(study)) {
            throw Refusal.conflict("the register takes an uncertainty from gauge studies alone");
        }
        GaugeReadings g = GaugeStudyFile.read(study.content());
        StoredGauge gauge = gauges.byName(g.gauge())
                .orElseThrow(
                        () -> Refusal.conflict("no gauge " + g.gauge() + " is in the register; register it first"));
        if (study.isWithdrawn() && inUse) {
            throw Refusal.conflict("this study was taken off");
        }
        if (inUse) {
            double u = computed.uncertainty(g, java.util.Optional.of(gauge.form()));
            gauges.measured(actor, gauge.id(), GaugeStudies.length(u, g), GaugeStudies.words(study));
        } else if (GaugeStudies.words(study).equals(gauge.form().measuredBy())) {
            gauges.measured(actor, gauge.id(), null, null);
        }
        return view(study);
    }
}
