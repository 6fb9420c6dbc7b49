package mensor.server.study;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import mensor.rejectrate.Interval;
import mensor.server.study.AgreementView.CriterionAgreementView;
import mensor.server.study.AgreementView.KappaView;
import mensor.server.study.AgreementView.LeanView;
import mensor.server.study.AgreementView.PairView;
import mensor.server.study.AgreementView.WithSelfView;
import mensor.study.AgreementAnswers;
import mensor.study.Kappa;

/** What the answers of an agreement study come to. */
final class Agreements {
    private static final int MOST_SHOWN = 3;

    private Agreements() {}

    static AgreementView view(AgreementAnswers a) {
        List<CriterionAgreementView> questions = IntStream.range(
                        0, a.questions().size())
                .mapToObj(q -> question(a, q))
                .toList();
        return new AgreementView(
                a.people(),
                a.welds(),
                a.passes(),
                true,
                a.people().stream().map(p -> a.welds() * a.passes()).toList(),
                questions,
                first(questions));
    }

    /** In one sentence. */
    static String said(AgreementAnswers a) {
        Kappa k = a.among(0);
        return Double.isNaN(k.value())
                ? "All said the same of every weld: the agreement cannot be told from chance."
                : String.format(
                        Locale.ROOT,
                        "On the verdict %d people agree beyond chance by %.2f: %s.",
                        a.people().size(),
                        k.value(),
                        k.words());
    }

    private static CriterionAgreementView question(AgreementAnswers a, int q) {
        List<WithSelfView> withSelf = new ArrayList<>();
        List<PairView> pairs = new ArrayList<>();
        List<LeanView> leans = new ArrayList<>();
        for (int p = 0; p < a.people().size(); p++) {
            String person = a.people().get(p);
            a.withSelf(q, p).ifPresent(k -> withSelf.add(new WithSelfView(person, kappa(k))));
            for (int other = p + 1; other < a.people().size(); other++) {
                pairs.add(new PairView(person, a.people().get(other), kappa(a.between(q, p, other))));
            }
            a.lean(q, p).ifPresent(l -> leans.add(lean(person, l)));
        }
        return new CriterionAgreementView(
                a.questions().get(q),
                kappa(a.among(q)),
                withSelf,
                pairs,
                leans,
                a.divided(q).stream().map(w -> w + 1).toList());
    }

    private static KappaView kappa(Kappa k) {
        boolean told = !Double.isNaN(k.value());
        return new KappaView(
                told ? k.value() : null, told ? k.low() : null, told ? k.high() : null, k.observed(), k.words());
    }

    private static LeanView lean(String person, AgreementAnswers.Lean l) {
        Optional<Interval> accepts = interval(l.falseAccepts(), l.ofBad());
        Optional<Interval> rejects = interval(l.falseRejects(), l.ofGood());
        return new LeanView(
                person,
                l.falseAccepts(),
                l.ofBad(),
                accepts.map(Interval::low).orElse(0.0),
                accepts.map(Interval::high).orElse(1.0),
                l.falseRejects(),
                l.ofGood(),
                rejects.map(Interval::low).orElse(0.0),
                rejects.map(Interval::high).orElse(1.0));
    }

    private static Optional<Interval> interval(int k, int n) {
        return n == 0 ? Optional.empty() : Optional.of(Interval.wilson(k, n));
    }

    /** The criteria on which people agree least, and the welds that divide them most. */
    private static List<String> first(List<CriterionAgreementView> questions) {
        List<String> first = new ArrayList<>();
        questions.stream()
                .skip(1)
                .filter(q -> q.among().value() != null && !q.divided().isEmpty())
                .sorted(Comparator.comparingDouble(q -> q.among().value()))
                .limit(MOST_SHOWN)
                .forEach(q -> first.add(String.format(
                        Locale.ROOT,
                        "%s: agreement %.2f (%s); inspect weld %s together",
                        q.question(),
                        q.among().value(),
                        q.among().words(),
                        q.divided().get(0))));
        if (first.isEmpty() && !questions.get(0).divided().isEmpty()) {
            first.add("The verdict: inspect weld " + questions.get(0).divided().get(0) + " together");
        }
        return first;
    }
}
