package mensor.server.study;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import mensor.exchange.GaugeStudyFile;
import mensor.exchange.UnreadableInput;
import mensor.server.gauge.Gauges;
import mensor.server.gauge.StoredGauge;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.study.StudyView.StudyRowView;
import mensor.server.web.Refusal;
import mensor.study.GaugeReadings;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Studies of gauges: kept as their files, computed whenever they are opened. */
@Service
public class Studies {
    static final int LONGEST = 1_000_000;

    private final StudyRepository studies;
    private final GaugeStudies computed;
    private final Gauges gauges;
    private final People people;
    private final Clock clock;

    Studies(StudyRepository studies, GaugeStudies computed, Gauges gauges, People people, Clock clock) {
        this.studies = studies;
        this.computed = computed;
        this.gauges = gauges;
        this.people = people;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<StudyRowView> all() {
        return studies.findAllByOrderByRecordedAtDesc().stream().map(this::row).toList();
    }

    private StudyRowView row(StudyEntity s) {
        GaugeReadings g = GaugeStudyFile.read(s.content());
        return new StudyRowView(
                s.id(),
                s.kind(),
                s.title(),
                GaugeStudies.said(g, g.study()),
                people.nameOf(s.recordedBy()),
                s.recordedAt(),
                s.isWithdrawn());
    }

    @Transactional(readOnly = true)
    public StudyView open(UUID id) {
        return view(find(id));
    }

    public String titleOf(UUID id) {
        return find(id).title();
    }

    private StudyEntity find(UUID id) {
        return studies.findById(id).orElseThrow(() -> Refusal.notFound("there is no such study"));
    }

    private StudyView view(StudyEntity s) {
        GaugeStudyView gauge = computed.view(s, GaugeStudyFile.read(s.content()));
        return new StudyView(
                s.id(),
                s.kind(),
                s.title(),
                gauge.said(),
                people.nameOf(s.recordedBy()),
                s.recordedAt(),
                s.isWithdrawn(),
                s.version(),
                gauge);
    }

    /** The study as a {@code mensor-study/1} file. */
    @Transactional(readOnly = true)
    public String file(UUID id) {
        return find(id).content();
    }

    /** Its readings as a list. */
    @Transactional(readOnly = true)
    public String list(UUID id) {
        return GaugeStudyFile.writeList(GaugeStudyFile.read(find(id).content()));
    }

    /** Keeps a study as its file says it. */
    @Transactional
    public StudyView put(Actor actor, UUID id, String file) {
        return keep(actor, id, reading(() -> GaugeStudyFile.read(file)));
    }

    /** Keeps a study whose readings come as a list. */
    @Transactional
    public StudyView putList(Actor actor, UUID id, GaugeStudyFile.Heading heading, String list) {
        return keep(actor, id, reading(() -> GaugeStudyFile.readList(heading, list)));
    }

    private interface Reading {
        GaugeReadings read();
    }

    private static GaugeReadings reading(Reading reading) {
        try {
            return reading.read();
        } catch (UnreadableInput e) {
            throw Refusal.invalid(e.field().isEmpty() ? "readings" : e.field(), e.problem());
        }
    }

    private StudyView keep(Actor actor, UUID id, GaugeReadings g) {
        check(actor);
        StudyEntity study = studies.findById(id).orElse(null);
        if (study != null) {
            throw Refusal.conflict(
                    "this study is there already; what was read is not changed: take it off and enter another");
        }
        String content = GaugeStudyFile.write(g);
        if (content.length() > LONGEST) {
            throw Refusal.invalid("readings", "a study has up to " + LONGEST + " letters");
        }
        study = new StudyEntity(id, actor.id(), clock.instant());
        study.set(GaugeStudyFile.KIND, g.title(), content);
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
        if (off && view(study).gauge().inUse()) {
            throw Refusal.conflict("the register takes its uncertainty from this study; give that up first");
        }
        study.setWithdrawn(off);
        return view(studies.saveAndFlush(study));
    }

    /** From now on the register takes the gauge's uncertainty from this study, or no longer does. */
    @Transactional
    public StudyView use(Actor actor, UUID id, boolean inUse) {
        StudyEntity study = find(id);
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
