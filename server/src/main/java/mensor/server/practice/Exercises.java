package mensor.server.practice;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import mensor.practice.PracticeGauge;
import mensor.practice.PracticeScore;
import mensor.practice.PracticeSetting;
import mensor.server.inspection.Bench;
import mensor.server.inspection.BenchView;
import mensor.server.inspection.EntryLines;
import mensor.server.inspection.MadeUpBench;
import mensor.server.inspection.MadeUpWeld;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.photo.PictureFile;
import mensor.server.practice.ExerciseContent.Gauged;
import mensor.server.practice.ExerciseView.ExerciseRowView;
import mensor.server.practice.ExerciseView.GaugedView;
import mensor.server.practice.ExerciseView.LookedView;
import mensor.server.practice.ExerciseView.PracticeGaugeView;
import mensor.server.practice.ExerciseView.StudyPlaceView;
import mensor.server.practice.ExerciseView.ToeView;
import mensor.server.web.Refusal;
import mensor.weld.Named;
import mensor.weld.Toe;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Made-up welds to practice on. A person's own are private until they are handed in; then an instructor and the quality manager see them too. */
@Service
public class Exercises {
    private static final int ROWS = 640;
    private static final int ACROSS = 200;
    private static final int MOST_ENTRIES = 400;
    private static final int MOST_GAUGED = 500;
    private static final int MOST_SECONDS = 600;

    private final ExerciseRepository exercises;
    private final People people;
    private final StudyPlaces studies;
    private final AgreementStudies agreements;
    private final PracticeBenches benches;
    private final Evidence evidence;
    private final JsonMapper json;
    private final Clock clock;
    private final SecureRandom seeds = new SecureRandom();

    Exercises(
            ExerciseRepository exercises,
            People people,
            StudyPlaces studies,
            AgreementStudies agreements,
            PracticeBenches benches,
            Evidence evidence,
            JsonMapper json,
            Clock clock) {
        this.exercises = exercises;
        this.people = people;
        this.studies = studies;
        this.agreements = agreements;
        this.benches = benches;
        this.evidence = evidence;
        this.json = json;
        this.clock = clock;
    }

    /** Own ones, and what others handed in where the person trains or manages; the newest first. */
    @Transactional(readOnly = true)
    public List<ExerciseRowView> all(Actor actor, boolean others) {
        List<ExerciseEntity> all = others && seesOthers(actor)
                ? exercises.findByHandedAtIsNotNullOrderByHandedAt()
                : exercises.findByPersonIdOrderByBegunAtDesc(actor.id());
        return all.stream()
                .filter(e -> e.personId().equals(actor.id())
                        ? e.studyId() == null || e.isHandedIn() || studies.isNext(e, actor)
                        : studies.isOver(e))
                .limit(500)
                .map(this::row)
                .toList();
    }

    private static boolean seesOthers(Actor actor) {
        return actor.is(Role.QUALITY_MANAGER, Role.INSTRUCTOR);
    }

    private ExerciseRowView row(ExerciseEntity e) {
        boolean told = e.isHandedIn() && studies.isOver(e);
        PracticeBench b = benches.of(e);
        boolean known = told && b.madeUp().isPresent();
        PracticeScore score = known ? b.score() : null;
        return new ExerciseRowView(
                e.id(),
                setting(b),
                b.title(),
                people.nameOf(e.personId()),
                e.begunAt(),
                e.handedAt(),
                e.isHandedIn() ? b.evaluation().verdict().id() : null,
                known ? b.truth().verdict() == b.evaluation().verdict() : null,
                known ? score.outcomes().size() : 0,
                known ? (int) score.found() : 0,
                known ? score.called().size() : 0,
                place(e));
    }

    private @Nullable StudyPlaceView place(ExerciseEntity e) {
        return e.studyId() == null ? null : studies.place(e);
    }

    /** Begins a weld that nobody has seen. */
    @Transactional
    public ExerciseView begin(Actor actor, UUID id, SettingForm form) {
        PracticeSetting setting = form.read();
        if (exercises.existsById(id)) {
            throw Refusal.conflict("that id belongs to another exercise");
        }
        ExerciseEntity e = new ExerciseEntity(
                id,
                actor.id(),
                seeds.nextLong(),
                json.writeValueAsString(SettingForm.of(setting)),
                benches.written(ExerciseContent.NONE),
                clock.instant());
        check(e);
        return view(exercises.saveAndFlush(e));
    }

    /** A code that cannot judge such a joint is refused before anybody works on it. */
    private void check(ExerciseEntity e) {
        try {
            benches.of(e);
        } catch (mensor.weld.InvalidField x) {
            throw Refusal.invalid("criteria", "this code does not judge such a weld: " + x.problem());
        }
    }

    @Transactional(readOnly = true)
    public ExerciseView open(Actor actor, UUID id) {
        return view(seen(actor, id));
    }

    ExerciseEntity seen(Actor actor, UUID id) {
        ExerciseEntity e = exercises.findById(id).orElseThrow(Exercises::unknown);
        if (!e.personId().equals(actor.id()) && !(e.isHandedIn() && seesOthers(actor))) {
            throw Refusal.forbidden("somebody else's practice is private until it is handed in");
        }
        if (!e.personId().equals(actor.id()) && !studies.isOver(e)) {
            throw Refusal.forbidden("nobody sees the others' record of a study before all have handed in");
        }
        if (e.personId().equals(actor.id()) && !e.isHandedIn() && e.studyId() != null && !studies.isNext(e, actor)) {
            throw Refusal.conflict("the welds of a study come one after another");
        }
        return e;
    }

    private static Refusal unknown() {
        return Refusal.notFound("there is no such exercise");
    }

    private ExerciseEntity forChange(Actor actor, UUID id) {
        ExerciseEntity e = exercises.findForChangeById(id).orElseThrow(Exercises::unknown);
        if (!e.personId().equals(actor.id())) {
            throw Refusal.forbidden("this is somebody else's exercise");
        }
        if (e.isHandedIn()) {
            throw Refusal.conflict("this exercise is handed in");
        }
        return seen(actor, id);
    }

    private ExerciseView change(Actor actor, UUID id, UnaryOperator<ExerciseContent> how) {
        ExerciseEntity e = forChange(actor, id);
        store(e, how.apply(benches.contentOf(e)));
        return view(e);
    }

    private void store(ExerciseEntity e, ExerciseContent changed) {
        String content = benches.written(changed);
        if (content.length() > ExerciseEntity.LONGEST) {
            throw Refusal.conflict("this exercise holds no more");
        }
        e.setContent(content);
        exercises.saveAndFlush(e);
    }

    /** The ordinary bench of the weld. */
    @Transactional(readOnly = true)
    public BenchView bench(Actor actor, UUID id) {
        return bench(seen(actor, id));
    }

    private BenchView bench(ExerciseEntity e) {
        return benches.benches().view(benches.of(e).asHandedOut());
    }

    /** Which version stands. */
    @Transactional(readOnly = true)
    public long version(Actor actor, UUID id) {
        return seen(actor, id).version();
    }

    @Transactional(readOnly = true)
    public List<EntryLines.LineView> read(Actor actor, UUID id, EntryLines.LinesForm form) {
        return MadeUpBench.read(benches.of(seen(actor, id)).asHandedOut(), form);
    }

    /** Records one entry or several, all or none. */
    @Transactional
    public BenchView record(Actor actor, UUID id, List<Bench.NewEntry> several, @Nullable Long version) {
        return recorded(actor, id, w -> benches.benches().with(w, several, version));
    }

    @Transactional
    public BenchView takeOff(Actor actor, UUID id, UUID entry, long version) {
        return recorded(actor, id, w -> benches.benches().without(w, entry, version));
    }

    @Transactional
    public BenchView restore(Actor actor, UUID id, UUID entry) {
        return recorded(actor, id, w -> benches.benches().restored(w, entry));
    }

    private BenchView recorded(Actor actor, UUID id, Function<MadeUpWeld, List<MadeUpWeld.Kept>> how) {
        ExerciseEntity e = forChange(actor, id);
        PracticeBench b = benches.of(e);
        List<MadeUpWeld.Kept> entries = how.apply(b.asHandedOut());
        if (entries.size() > MOST_ENTRIES) {
            throw Refusal.conflict("an exercise has up to " + MOST_ENTRIES + " entries");
        }
        store(e, b.content().with(entries));
        return bench(e);
    }

    /** @param at mm from the datum */
    @Transactional
    public ExerciseView gauge(Actor actor, UUID id, String gauge, @Nullable String toe, double at) {
        PracticeGauge g = Named.find(PracticeGauge.class, gauge == null ? "" : gauge)
                .orElseThrow(() -> Refusal.invalid("gauge", "no gauge of the practice bench is called " + gauge));
        Toe side = "B".equals(toe) ? Toe.B : Toe.A;
        ExerciseEntity e = forChange(actor, id);
        PracticeBench b = benches.of(e);
        if (b.madeUp().isEmpty()) {
            throw Refusal.conflict(
                    "no gauge can be held at a weld that is elsewhere; its scan and pictures can be seen");
        }
        if (!(at >= 0 && at <= b.weld().length())) {
            throw Refusal.invalid("at", "a place on the weld is required");
        }
        int nth = b.content().gauged().size();
        if (nth >= MOST_GAUGED) {
            throw Refusal.conflict("the gauges were held " + MOST_GAUGED + " times: enough");
        }
        String shown =
                b.weld().read(g, side, at, new Random(e.seed() * 7_919 + nth)).orElse("nothing to read there");
        return change(actor, id, c -> c.with(new Gauged(g.id(), held(g) ? side.id() : "", at, shown)));
    }

    private static boolean held(PracticeGauge g) {
        return g == PracticeGauge.LEG || g == PracticeGauge.UNDERCUT;
    }

    /** A stretch was in view. */
    @Transactional
    public void look(Actor actor, UUID id, double from, double to, long seconds) {
        PracticeBench b = benches.of(forChange(actor, id));
        double end = b.length();
        if (!(from <= to) || seconds < 0 || seconds > MOST_SECONDS) {
            throw Refusal.invalid("from", "a stretch of the weld and up to " + MOST_SECONDS + " seconds are required");
        }
        change(actor, id, c -> c.looked(Math.max(0, from), Math.min(end, to), seconds));
    }

    @Transactional
    public ExerciseView handIn(Actor actor, UUID id) {
        agreements.lock(id);
        ExerciseEntity e = forChange(actor, id);
        if (!PracticeBenches.isBegun(benches.contentOf(e))) {
            throw Refusal.conflict("nothing is recorded yet; \"none\" and the criteria says that nothing was seen");
        }
        e.handIn(clock.instant());
        exercises.saveAndFlush(e);
        agreements.handedIn(e);
        return view(e);
    }

    /** The surface, little-endian floats: rows, points across, then as {@code SimulatedPracticeWeld.surface} says. */
    @Transactional(readOnly = true)
    public byte[] surface(Actor actor, UUID id) {
        ExerciseEntity e = seen(actor, id);
        PracticeBench b = benches.of(e);
        if (b.madeUp().isEmpty()) {
            return evidence.surface(benches.realWeld(e));
        }
        float[] values = b.weld().surface(ROWS, ACROSS);
        ByteBuffer out = ByteBuffer.allocate(Float.BYTES * (2 + values.length)).order(ByteOrder.LITTLE_ENDIAN);
        out.putFloat(ROWS).putFloat(ACROSS);
        for (float v : values) {
            out.putFloat(v);
        }
        return out.array();
    }

    /** A picture of a real weld. */
    @Transactional(readOnly = true)
    public PictureFile picture(Actor actor, UUID id, UUID picture) {
        ExerciseEntity e = seen(actor, id);
        if (e.weld() == null) {
            throw Refusal.notFound("a made-up weld has no pictures");
        }
        return evidence.picture(benches.realWeld(e), picture);
    }

    private static @Nullable SettingForm setting(PracticeBench b) {
        return b.madeUp().map(m -> SettingForm.of(m.setting())).orElse(null);
    }

    private ExerciseView view(ExerciseEntity e) {
        PracticeBench b = benches.of(e);
        boolean real = b.madeUp().isEmpty();
        return new ExerciseView(
                e.id(),
                setting(b),
                b.title(),
                b.code(),
                b.asHandedOut().unit().symbol(),
                b.joint().isFillet(),
                b.length(),
                people.nameOf(e.personId()),
                e.begunAt(),
                e.handedAt(),
                b.content().seconds(),
                b.evaluation().verdict().id(),
                (int) b.content().entries().stream()
                        .filter(k -> k.why() == null)
                        .count(),
                !real || evidence.hasSurface(benches.realWeld(e)),
                real ? evidence.pictures(benches.realWeld(e)) : List.of(),
                Arrays.stream(PracticeGauge.values())
                        .filter(g -> !real && isFor(g, b.joint().isFillet()))
                        .map(g -> new PracticeGaugeView(g.id(), g.title(), held(g)))
                        .toList(),
                b.content().gauged().stream()
                        .map(g -> new GaugedView(words(g, b)))
                        .toList(),
                b.content().seen().stream().map(s -> new LookedView(s[0], s[1])).toList(),
                List.of(
                        new ToeView("A", b.joint().toeName(Toe.A)),
                        new ToeView("B", b.joint().toeName(Toe.B))),
                place(e),
                !real && e.isHandedIn() && studies.isOver(e) ? b.solution() : null);
    }

    private static boolean isFor(PracticeGauge g, boolean fillet) {
        return switch (g) {
            case BLADE, LEG, THROAT -> fillet;
            case CROWN -> !fillet;
            case UNDERCUT, RULE -> true;
        };
    }

    private static String words(Gauged g, PracticeBench b) {
        String gauge = Named.find(PracticeGauge.class, g.gauge())
                .map(PracticeGauge::title)
                .orElse(g.gauge());
        String toe = g.toe().isEmpty() ? "" : ", " + b.joint().toeName(g.toe().equals("B") ? Toe.B : Toe.A);
        return gauge + toe + " at " + b.shown(g.at(), 2) + ": " + g.shown();
    }
}
