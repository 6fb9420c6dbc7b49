package mensor.inspection;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.Unit;
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

    /**
     * How the shop does what is done in more than one way: the questions ask for that.
     *
     * @param fillsFlush the fill ends flush with the plate, not below it
     * @param burnsSlagLines the hot pass burns the root's slag lines out, nobody grinds them
     */
    public record Practice(boolean fillsFlush, boolean burnsSlagLines) {
        public static final Practice USUAL = new Practice(false, false);

        public String title(ProcessQuestion q) {
            return switch (q) {
                case FILL_BELOW -> fillsFlush ? "Fill flush with the plate before the cap" : q.title();
                case SLAG_LINES ->
                    burnsSlagLines ? "Slag lines at the toes of the root pass burnt out by the hot pass" : q.title();
                default -> q.title();
            };
        }

        private String remedy(ProcessQuestion q) {
            return switch (q) {
                case FILL_BELOW -> fillsFlush ? "grind it level or fill it, then cap" : q.remedy();
                case SLAG_LINES -> burnsSlagLines ? "grind out the lines that the hot pass left" : q.remedy();
                default -> q.remedy();
            };
        }

        private Length least() {
            return fillsFlush ? Length.inches(0) : Length.inches(1, 32);
        }

        private Length most() {
            return fillsFlush ? Length.inches(1, 32) : Length.inches(3, 32);
        }
    }

    private InProcessInspection() {}

    /**
     * @param practice of the shop
     * @param apart how far apart starts and stops of neighbouring passes are wanted
     * @param now the moment until which the rods' clocks run
     */
    public static List<InspectionItem> items(
            Joint joint,
            List<Answer> answers,
            List<LoggedPass> passes,
            Length apart,
            List<RodClock> clocks,
            Instant now,
            Practice practice) {
        List<InspectionItem> items = new ArrayList<>();
        for (ProcessQuestion q : ProcessQuestion.values()) {
            if (!q.isGrooveOnly() || !joint.isFillet()) {
                List<Answer> given =
                        answers.stream().filter(a -> a.question() == q).toList();
                items.add(item(q, given, practice, joint.length().unit()));
            }
        }
        staggering(items, joint.ruler(), passes, apart);
        clocks.forEach(c -> clock(items, c, now));
        return List.copyOf(items);
    }

    private static InspectionItem item(ProcessQuestion q, List<Answer> given, Practice practice, Unit unit) {
        String allowed = q == ProcessQuestion.FILL_BELOW
                ? practice.least().in(unit).shown() + " to "
                        + practice.most().in(unit).shownWithUnit() + " below flush"
                : "yes";
        String title = practice.title(q);
        if (given.isEmpty()) {
            return InspectionItem.of(
                    q.id(),
                    title,
                    Verdict.INCOMPLETE,
                    "not inspected",
                    allowed,
                    "inspect before the next pass",
                    PRACTICE);
        }
        Optional<Answer> bad = given.stream().filter(a -> !isGood(a, practice)).findFirst();
        Answer notified = bad.orElse(given.get(given.size() - 1));
        String measured = notified.depth()
                .map(d -> d.shownWithUnit() + " below flush")
                .orElse(notified.asWanted() ? "yes" : "no");
        String reason = (bad.isPresent() ? practice.remedy(q) : "as required")
                + (notified.note().isBlank() ? "" : " (" + notified.note() + ")");
        InspectionItem item = InspectionItem.of(
                q.id(), title, bad.isPresent() ? Verdict.REJECT : Verdict.ACCEPT, measured, allowed, reason, PRACTICE);
        return notified.where().map(item::at).orElse(item);
    }

    /** "About 1/16": half of it either way; flush: not over half a sixteenth below. */
    private static boolean isGood(Answer a, Practice practice) {
        boolean depthGood = a.depth()
                .map(d -> !d.isUnder(practice.least()) && !d.isOver(practice.most()))
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
