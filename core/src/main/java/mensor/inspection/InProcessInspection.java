package mensor.inspection;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.weld.Joint;
import mensor.weld.LoggedPass;
import mensor.weld.RodClock;
import mensor.weld.Stagger;

/**
 * The looks while the passes go in: what was answered, the fill's depth below flush, starts and stops that lie over each
 * other, and rods out of the oven too long. A point that rejects is put right before the next pass covers it.
 */
public final class InProcessInspection {
    private static final String PRACTICE = "common practice, no source";

    /** What was answered to one question: as wanted or not, with the depth read, where, and a word about it. */
    public record Answer(
            ProcessQuestion question, boolean asWanted, Optional<Length> depth, Optional<Span> where, String note) {}

    private InProcessInspection() {}

    /**
     * @param apart how far apart starts and stops of neighbouring passes are wanted
     * @param now the moment until which the rods' clocks run
     */
    public static List<InspectionItem> items(
            Joint joint,
            List<Answer> answers,
            List<LoggedPass> passes,
            Length apart,
            List<RodClock> clocks,
            Instant now) {
        List<InspectionItem> items = new ArrayList<>();
        for (ProcessQuestion q : ProcessQuestion.values()) {
            if (!q.isGrooveOnly() || !joint.isFillet()) {
                List<Answer> given =
                        answers.stream().filter(a -> a.question() == q).toList();
                items.add(item(q, given));
            }
        }
        staggering(items, joint.ruler(), passes, apart);
        clocks.forEach(c -> clock(items, c, now));
        return List.copyOf(items);
    }

    private static InspectionItem item(ProcessQuestion q, List<Answer> given) {
        String allowed = q == ProcessQuestion.FILL_BELOW ? "1/32 to 3/32 in below flush" : "yes";
        if (given.isEmpty()) {
            return InspectionItem.of(
                    q.id(),
                    q.title(),
                    Verdict.INCOMPLETE,
                    "not inspected",
                    allowed,
                    "inspect before the next pass",
                    PRACTICE);
        }
        Optional<Answer> bad = given.stream().filter(a -> !isGood(a)).findFirst();
        Answer notified = bad.orElse(given.get(given.size() - 1));
        String measured = notified.depth()
                .map(d -> d.shownWithUnit() + " below flush")
                .orElse(notified.asWanted() ? "yes" : "no");
        String reason = (bad.isPresent() ? q.remedy() : "as required")
                + (notified.note().isBlank() ? "" : " (" + notified.note() + ")");
        InspectionItem item = InspectionItem.of(
                q.id(),
                q.title(),
                bad.isPresent() ? Verdict.REJECT : Verdict.ACCEPT,
                measured,
                allowed,
                reason,
                PRACTICE);
        return notified.where().map(item::at).orElse(item);
    }

    /** "About 1/16": half of it either way. */
    private static boolean isGood(Answer a) {
        boolean depthGood = a.depth()
                .map(d -> !d.isUnder(Length.inches(1, 32)) && !d.isOver(Length.inches(3, 32)))
                .orElse(true);
        return a.asWanted() && depthGood;
    }

    private static void staggering(List<InspectionItem> items, Ruler ruler, List<LoggedPass> passes, Length apart) {
        List<Stagger.StackedStarts> stacked = Stagger.stacked(passes, ruler, apart);
        boolean known = passes.stream()
                        .filter(p -> !p.starts().isEmpty() || !p.stops().isEmpty())
                        .count()
                > 1;
        String allowed =
                "neighbours at least " + apart.in(ruler.length().unit()).shownWithUnit() + " apart";
        if (stacked.isEmpty()) {
            if (known) {
                items.add(InspectionItem.of(
                        "stagger",
                        "Starts and stops staggered",
                        Verdict.ACCEPT,
                        "staggered",
                        allowed,
                        "rule of thumb",
                        PRACTICE));
            }
            return;
        }
        for (Stagger.StackedStarts s : stacked) {
            items.add(InspectionItem.of(
                            "stagger",
                            "Starts and stops staggered",
                            Verdict.REJECT,
                            s.apart().shownWithUnit() + " apart",
                            allowed,
                            s.line(apart) + ": inspect there for a crater, slag or a cold lap",
                            PRACTICE)
                    .at(s.at().isOver(s.belowAt()) ? new Span(s.belowAt(), s.at()) : new Span(s.at(), s.belowAt())));
        }
    }

    private static void clock(List<InspectionItem> items, RodClock clock, Instant now) {
        if (RodClock.limit(clock.electrode()).isEmpty()) {
            return;
        }
        boolean over = clock.isOver(now);
        items.add(InspectionItem.of(
                "rods",
                clock.electrode() + " rods out of the oven",
                over ? Verdict.REJECT : Verdict.ACCEPT,
                clock.shown(now),
                "at most "
                        + mensor.weld.Range.plain(
                                RodClock.limit(clock.electrode()).orElseThrow().toMinutes() / 60.0) + " h",
                over
                        ? "out too long: redried once only, else scrap; wet rods are scrap"
                        : clock.isOut() ? "the clock runs" : "back in the oven",
                "D1.1 7.1 (5.1), from memory"));
    }
}
