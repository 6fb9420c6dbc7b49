package mensor.server.practice;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import mensor.exchange.InspectionParts;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.practice.PracticeSetting;
import mensor.server.inspection.Bench;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.study.AgreementProgress;
import mensor.server.study.AgreementView;
import mensor.server.study.Studies;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.study.AgreementAnswers;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Agreement studies on made-up welds, or on real ones that were scanned or photographed: each person sees the same ones, shuffled,
 * twice; the answers are joined when all have handed in.
 */
@Service
public class AgreementStudies implements AgreementProgress {
    private static final int PASSES = 2;
    private static final int MOST_WELDS = 30;
    private static final int MOST_PEOPLE = 12;

    private final ExerciseRepository exercises;
    private final Studies studies;
    private final People people;
    private final PracticeBenches benches;
    private final Evidence evidence;
    private final Bench inspections;
    private final JsonMapper json;
    private final Clock clock;
    private final SecureRandom chance = new SecureRandom();

    AgreementStudies(
            ExerciseRepository exercises,
            Studies studies,
            People people,
            PracticeBenches benches,
            Evidence evidence,
            Bench inspections,
            JsonMapper json,
            Clock clock) {
        this.exercises = exercises;
        this.studies = studies;
        this.people = people;
        this.benches = benches;
        this.evidence = evidence;
        this.inspections = inspections;
        this.json = json;
        this.clock = clock;
    }

    /**
     * @param welds how many made-up ones; each person sees each twice
     * @param inspections real welds instead, by their inspections
     */
    @AllOptional
    public record AgreementForm(
            String title, List<UUID> people, Integer welds, SettingForm setting, List<UUID> inspections) {}

    /**
     * A weld of the shop that can be judged from its pictures or its scan.
     *
     * @param words the joint in words
     */
    public record JudgeableWeldView(UUID inspection, String mark, String words, int pictures, boolean scan) {}

    @Transactional(readOnly = true)
    public List<JudgeableWeldView> judgeable(Actor actor) {
        return evidence.inspections().entrySet().stream()
                .map(e -> {
                    StoredJoint joint = inspections.joint(actor, e.getKey());
                    return new JudgeableWeldView(
                            e.getKey(), joint.mark(), joint.inWords(), e.getValue(), evidence.hasSurface(e.getKey()));
                })
                .sorted(Comparator.comparing(JudgeableWeldView::mark))
                .toList();
    }

    @Transactional
    public void begin(Actor actor, UUID id, AgreementForm form) {
        begin(actor, id, form, chance);
    }

    /** @param seeds the welds and their orders come from it; one that can be guessed is for made-up studies alone */
    @Transactional
    public void begin(Actor actor, UUID id, AgreementForm form, Random seeds) {
        if (!actor.is(Role.QUALITY_MANAGER, Role.INSTRUCTOR)) {
            throw Refusal.forbidden("an agreement study is begun by the quality manager or an instructor");
        }
        Set<UUID> who = new LinkedHashSet<>(form.people() == null ? List.of() : form.people());
        if (who.size() < 2 || who.size() > MOST_PEOPLE) {
            throw Refusal.invalid("people", "2 to " + MOST_PEOPLE + " people are required");
        }
        List<RealWeld> real = real(actor, form);
        int welds = !real.isEmpty() ? real.size() : form.welds() == null ? 0 : form.welds();
        if (welds < 2 || welds > MOST_WELDS) {
            throw Refusal.invalid("welds", "2 to " + MOST_WELDS + " welds are required");
        }
        for (UUID p : who) {
            Actor person = people.get(p);
            if (!person.is(Role.INSPECTOR, Role.INSTRUCTOR, Role.LEARNER, Role.QUALITY_MANAGER)) {
                throw Refusal.invalid("people", person.name() + " does not inspect, train or learn");
            }
        }
        PracticeSetting setting = (form.setting() == null
                        ? new SettingForm(3, null, null, null, null, null, null)
                        : form.setting())
                .read();
        studies.begin(actor, id, form.title());
        long[] made = seeds.longs(welds).toArray();
        String said = json.writeValueAsString(SettingForm.of(setting));
        for (UUID p : who) {
            int place = 0;
            for (int pass = 1; pass <= PASSES; pass++) {
                for (int subject : shuffled(welds, seeds)) {
                    ExerciseEntity e = new ExerciseEntity(
                            UUID.randomUUID(),
                            p,
                            made[subject],
                            said,
                            benches.written(ExerciseContent.NONE),
                            clock.instant());
                    e.setStudy(id, subject, pass, place++);
                    if (!real.isEmpty()) {
                        e.setWeld(json.writeValueAsString(real.get(subject)));
                    }
                    exercises.save(e);
                }
            }
        }
        exercises.flush();
    }

    /** The welds of the shop as they are now; each must have something to judge it by. */
    private List<RealWeld> real(Actor actor, AgreementForm form) {
        List<RealWeld> welds = new ArrayList<>();
        for (UUID id : form.inspections() == null ? List.<UUID>of() : new LinkedHashSet<>(form.inspections())) {
            StoredJoint joint = inspections.joint(actor, id);
            RealWeld weld = new RealWeld(
                    id,
                    joint.criteria(),
                    joint.units(),
                    InspectionParts.nameless(joint.asFitted(), "weld"),
                    inspections.open(actor, id).judged().contract().ofTheWeld());
            if (!evidence.isSeen(weld)) {
                throw Refusal.invalid(
                        "inspections",
                        joint.mark() + " has neither a scan nor a picture: nobody could judge it from here");
            }
            welds.add(weld);
        }
        return welds;
    }

    private static List<Integer> shuffled(int n, Random seeds) {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            order.add(i);
        }
        Collections.shuffle(order, seeds);
        return order;
    }

    @Override
    @Transactional(readOnly = true)
    public AgreementView of(UUID study) {
        List<ExerciseEntity> all = exercises.findByStudyId(study);
        List<UUID> who = who(all);
        return new AgreementView(
                who.stream().map(people::nameOf).toList(),
                welds(all),
                PASSES,
                false,
                who.stream()
                        .map(p -> (int) all.stream()
                                .filter(e -> e.personId().equals(p) && e.isHandedIn())
                                .count())
                        .toList(),
                List.of(),
                List.of());
    }

    private List<UUID> who(List<ExerciseEntity> all) {
        return all.stream()
                .map(ExerciseEntity::personId)
                .distinct()
                .sorted(Comparator.comparing(people::nameOf))
                .toList();
    }

    private static int welds(List<ExerciseEntity> all) {
        return all.stream().mapToInt(ExerciseEntity::subject).max().orElse(-1) + 1;
    }

    /** Before an exercise of a study is handed in, and before any other of it is read. */
    void lock(UUID exercise) {
        exercises.studyOf(exercise).ifPresent(studies::lock);
    }

    /** Where the last one of a study is handed in, its answers are joined. */
    void handedIn(ExerciseEntity last) {
        if (last.studyId() == null) {
            return;
        }
        List<ExerciseEntity> all = exercises.findByStudyId(last.studyId());
        if (!all.stream().allMatch(ExerciseEntity::isHandedIn)) {
            return;
        }
        all.sort(Comparator.comparingInt(ExerciseEntity::place));
        List<UUID> who = who(all);
        int welds = welds(all);
        // of real welds nobody knows the truth; what each of their codes asks may differ
        boolean known = all.stream().allMatch(e -> e.weld() == null);
        Map<UUID, Evaluation> said = new HashMap<>();
        all.forEach(e -> said.put(e.id(), benches.of(e).evaluation()));
        Map<String, String> asked = new LinkedHashMap<>();
        all.stream()
                .sorted(Comparator.comparingInt(ExerciseEntity::subject))
                .flatMap(e -> said.get(e.id()).findings().stream())
                .forEach(f -> asked.putIfAbsent(
                        f.id(),
                        f.id().equals(f.criterion().id()) ? f.criterion().title() : f.id()));
        List<String> ids = List.copyOf(asked.keySet());
        List<String> questions = new ArrayList<>(List.of("Verdict"));
        questions.addAll(asked.values());
        int[][][][] answers = new int[questions.size()][who.size()][PASSES][welds];
        int[][] truth = new int[questions.size()][welds];
        for (ExerciseEntity e : all) {
            for (int q = 0; q < questions.size(); q++) {
                answers[q][who.indexOf(e.personId())][e.pass() - 1][e.subject()] = answer(said.get(e.id()), q, ids);
            }
        }
        for (int w = 0; known && w < welds; w++) {
            int subject = w;
            Evaluation e = benches.of(all.stream()
                            .filter(x -> x.subject() == subject)
                            .findFirst()
                            .orElseThrow())
                    .truth();
            for (int q = 0; q < questions.size(); q++) {
                truth[q][w] = answer(e, q, ids);
            }
        }
        studies.conclude(
                last.studyId(),
                new AgreementAnswers(
                        studies.titleOf(last.studyId()),
                        who.stream().map(people::nameOf).toList(),
                        questions,
                        answers,
                        known ? Optional.of(truth) : Optional.empty()));
    }

    /** The first question is the verdict, then each finding. */
    private static int answer(Evaluation e, int question, List<String> ids) {
        return question == 0
                ? number(e.verdict())
                : e.findings().stream()
                        .filter(f -> f.id().equals(ids.get(question - 1)))
                        .findFirst()
                        .map(f -> number(f.verdict()))
                        .orElse(AgreementAnswers.OPEN);
    }

    private static int number(Verdict v) {
        return switch (v) {
            case ACCEPT, NOT_APPLICABLE -> AgreementAnswers.ACCEPT;
            case REJECT -> AgreementAnswers.REJECT;
            case INCOMPLETE -> AgreementAnswers.OPEN;
        };
    }
}
