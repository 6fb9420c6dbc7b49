package mensor.server.rejectrate;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.rejectrate.PlotsView.PlotPointView;
import mensor.server.rejectrate.PlotsView.PlotView;
import mensor.server.testpiece.PieceView.EyeAgainstTest;
import mensor.server.testpiece.Pieces;
import mensor.server.web.Refusal;
import mensor.weld.Named;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plots that show where to act: each asks a question, answers it as far as the numbers bear, and opens to its welds. */
@Service
public class Plots {
    private final RatePlots rates;
    private final RepairPlots repairs;
    private final WeldsBehind welds;
    private final Pieces pieces;
    private final Jobs jobs;

    Plots(RatePlots rates, RepairPlots repairs, WeldsBehind welds, Pieces pieces, Jobs jobs) {
        this.rates = rates;
        this.repairs = repairs;
        this.welds = welds;
        this.pieces = pieces;
        this.jobs = jobs;
    }

    @Transactional(readOnly = true)
    public PlotsView of(Actor actor, PlotScope scope) {
        checkMay(actor);
        List<PlotView> plots = new ArrayList<>(List.of(
                rates.rate(scope),
                rates.kinds(scope),
                rates.causes(scope),
                rates.positions(scope),
                rates.firstLook(scope),
                repairs.days(scope),
                repairs.metal(scope),
                repairs.hours(scope)));
        if (scope.isAll()) { // test pieces stand in no job
            plots.add(eye(pieces.eye(actor)));
        }
        return new PlotsView(words(scope), plots);
    }

    @Transactional(readOnly = true)
    public PlotsView.PlotWelds welds(Actor actor, PlotScope scope, String plot, String key) {
        checkMay(actor);
        Question q = Named.find(Question.class, plot)
                .orElseThrow(() -> Refusal.notFound("there is no such plot; there are " + Named.list(Question.class)));
        return welds.behind(actor, scope, q, key);
    }

    static void checkMay(Actor actor) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer sees signed records, not the shop's reject rates");
        }
    }

    private String words(PlotScope scope) {
        List<String> words = new ArrayList<>();
        if (scope.job() != null) {
            words.add(jobs.get(scope.job()).name());
        }
        if (scope.welder() != null) {
            words.add("welder " + scope.welder());
        }
        if (scope.procedure() != null) {
            words.add("procedure " + scope.procedure());
        }
        if (scope.from() != null) {
            words.add("from " + scope.from());
        }
        if (scope.to() != null) {
            words.add("to " + scope.to());
        }
        return words.isEmpty() ? "the whole shop" : String.join(", ", words);
    }

    private static PlotView eye(EyeAgainstTest e) {
        String share = PlotNumbers.percents(e.low(), e.high());
        return new PlotView(
                Question.EYE.id(),
                Question.EYE.words(),
                e.enough()
                        ? String.format(
                                Locale.US,
                                "%d of %d: %s (%s).",
                                e.broke(),
                                e.looked(),
                                PlotNumbers.percent(e.share()),
                                share)
                        : "Too few to say: " + PlotNumbers.count(e.looked(), "piece") + " that looked good "
                                + (e.looked() == 1 ? "was" : "were") + " tested, " + e.broke() + " failed; "
                                + RejectRates.ENOUGH + " are asked.",
                e.enough(),
                Question.EYE.shape(),
                "share rejected by their specimens, %",
                null,
                List.of("", "Looked good", "Broke badly", "Share", "95 % interval"),
                e.looked() == 0
                        ? List.of()
                        : List.of(new PlotPointView(
                                "",
                                "test pieces",
                                List.of(
                                        "test pieces",
                                        String.valueOf(e.looked()),
                                        String.valueOf(e.broke()),
                                        PlotNumbers.percent(e.share()),
                                        share),
                                100 * e.share(),
                                100 * e.low(),
                                100 * e.high(),
                                null,
                                null,
                                e.enough() ? null : PlotsView.Mark.FEW)),
                "Pieces that the eye accepted and that were then bent, broken, etched or tested. Wilson's interval.");
    }
}
