package mensor.server.cause;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.inspection.Criterion;
import mensor.inspection.Verdict;
import mensor.judge.Finding;
import mensor.length.Span;
import mensor.server.inspection.Bench;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.testpiece.Ratings;
import mensor.server.testpiece.Rubrics;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The page that goes to the welder. */
@Service
public class CoachingNotes {
    private final DefectCauses tracing;
    private final Ratings ratings;
    private final Rubrics rubrics;
    private final Jobs jobs;
    private final Bench bench;

    CoachingNotes(DefectCauses tracing, Ratings ratings, Rubrics rubrics, Jobs jobs, Bench bench) {
        this.tracing = tracing;
        this.ratings = ratings;
        this.rubrics = rubrics;
        this.jobs = jobs;
        this.bench = bench;
    }

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
                ratings.of(actor, o.inspection().id()),
                rubrics.ofShop().parts().stream()
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

    @Transactional
    public NoteView rate(Actor actor, UUID inspectionId, Ratings.RatingForm form) {
        Bench.State o = bench.open(actor, inspectionId);
        ratings.rate(actor, inspectionId, form);
        return note(actor, o);
    }
}
