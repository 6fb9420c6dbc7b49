package mensor.server.cause;

import java.time.Clock;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mensor.inspection.Criterion;
import mensor.inspection.Verdict;
import mensor.judge.Finding;
import mensor.length.Span;
import mensor.server.inspection.Bench;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.testpiece.Rubric;
import mensor.weld.Named;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The page that goes to the welder. */
@Service
public class CoachingNotes {
    private final DefectCauses tracing;
    private final RatingRepository ratings;
    private final Jobs jobs;
    private final People people;
    private final Bench bench;
    private final JsonMapper json;
    private final Clock clock;

    CoachingNotes(
            DefectCauses tracing,
            RatingRepository ratings,
            Jobs jobs,
            People people,
            Bench bench,
            JsonMapper json,
            Clock clock) {
        this.tracing = tracing;
        this.ratings = ratings;
        this.jobs = jobs;
        this.people = people;
        this.bench = bench;
        this.json = json;
        this.clock = clock;
    }

    /** @param points for each line of the rubric */
    @AllOptional
    public record RatingForm(Map<String, Integer> points, String firstReason, String secondReason) {}

    @Transactional(readOnly = true)
    NoteView note(Actor actor, UUID inspectionId) {
        return note(actor, bench.open(actor, inspectionId));
    }

    private NoteView note(Actor actor, Bench.State o) {
        CausesView causes = tracing.view(o, List.of());
        var evaluation = o.judged().evaluation();
        return new NoteView(
                o.inspection().id(),
                o.joint().mark(),
                jobs.get(o.joint().jobId()).name(),
                o.joint().inWords(),
                o.joint().welder(),
                o.joint().wps(),
                o.joint().position(),
                evaluation.verdict().id(),
                o.inspection().isSigned(),
                o.judged().inspection().joint().datum().orElse(""),
                evaluation.rejected().stream().map(f -> seen(f, o, causes)).toList(),
                change(causes).orElse(null),
                evaluation.findings().stream()
                        .filter(f -> f.verdict() == Verdict.ACCEPT && f.criterion() != Criterion.READINESS)
                        .map(f -> f.criterion().title() + ": " + f.reason().words())
                        .toList(),
                causes.doubts(),
                ratings.findByInspectionIdOrderByRatedAt(o.inspection().id()).stream()
                        .map(r -> rating(r, actor))
                        .toList(),
                Arrays.stream(Rubric.values())
                        .map(r -> new NoteView.RubricView(r.id(), r.title(), r.most(), r.full()))
                        .toList());
    }

    private static NoteView.SeenView seen(Finding f, Bench.State o, CausesView causes) {
        List<UUID> entries = java.util.stream.Stream.concat(
                        f.indications().stream().map(n -> o.judged().entryOfIndication(n)),
                        f.readings().stream().map(n -> o.judged().entryOfReading(n)))
                .toList();
        Optional<CausesView.CauseView> leading = causes.defects().stream()
                .filter(d -> d.entry() != null && entries.contains(d.entry()))
                .flatMap(d -> d.causes().stream().limit(1))
                .findFirst();
        return new NoteView.SeenView(
                f.criterion().title(),
                f.measured(),
                f.allowed(),
                f.span().map(Span::shown).orElse(null),
                leading.map(c -> c.name() + " (" + c.standing() + ")").orElse(null));
    }

    /** One thing: what explains most, else what stands strongest. */
    private static Optional<NoteView.ChangeView> change(CausesView causes) {
        Optional<String> shared = causes.common().stream()
                .map(CausesView.CommonView::id)
                .filter(id -> causes.defects().stream()
                        .anyMatch(d ->
                                !d.causes().isEmpty() && d.causes().get(0).id().equals(id)))
                .findFirst();
        List<String> words = List.of("strong", "likely", "possible", "unlikely");
        return causes.defects().stream()
                .flatMap(d -> d.causes().stream().limit(1))
                .min(Comparator.<CausesView.CauseView>comparingInt(
                                c -> shared.filter(c.id()::equals).isPresent() ? 0 : 1)
                        .thenComparingInt(c -> words.indexOf(c.standing())))
                .map(c -> new NoteView.ChangeView(c.name(), c.standing(), c.change(), c.prevent(), c.speaksFor()));
    }

    private NoteView.RatingView rating(RatingEntity r, Actor actor) {
        Map<String, Integer> points = json.readValue(r.points(), new TypeReference<>() {});
        return new NoteView.RatingView(
                points.values().stream().mapToInt(i -> i).sum(),
                Arrays.stream(Rubric.values())
                        .map(p -> new NoteView.PointView(p.id(), points.get(p.id())))
                        .toList(),
                List.of(r.firstReason(), r.secondReason()),
                people.nameOf(r.ratedBy()),
                r.ratedBy().equals(actor.id()),
                r.ratedAt());
    }

    @Transactional
    public NoteView rate(Actor actor, UUID inspectionId, RatingForm form) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer rates nothing");
        }
        Bench.State o = bench.open(actor, inspectionId);
        Map<Rubric, Integer> points = new EnumMap<>(Rubric.class);
        Map<String, Integer> given = form.points() == null ? Map.of() : form.points();
        given.forEach((id, n) -> points.put(
                Named.find(Rubric.class, id)
                        .orElseThrow(() -> Refusal.invalid("points." + id, "is no line of the rubric")),
                n));
        try {
            Rubric.sum(points);
        } catch (IllegalArgumentException e) {
            Rubric missing = Named.find(Rubric.class, e.getMessage()).orElseThrow();
            throw Refusal.invalid(
                    "points." + missing.id(), missing.title() + ": 0 to " + missing.most() + " are required");
        }
        Trials.checkLine("firstReason", form.firstReason(), 200, "why, in a line");
        Trials.checkLine("secondReason", form.secondReason(), 200, "why, in a second line");
        RatingEntity rating = ratings.findByInspectionIdAndRatedBy(inspectionId, actor.id())
                .orElseGet(() -> new RatingEntity(inspectionId, actor.id()));
        rating.set(
                json.writeValueAsString(given),
                form.firstReason().strip(),
                form.secondReason().strip(),
                clock.instant());
        ratings.saveAndFlush(rating);
        return note(actor, o);
    }
}
