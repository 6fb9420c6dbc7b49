package mensor.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import mensor.inspection.InProcessInspection;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.weld.LoggedPass;
import mensor.weld.Stagger;

/** What was seen before the last inspection, as quiet marks along the strip: where to look twice. */
public final class QuietMarks {
    /** Positions in mm; {@code kind}: {@code start}, {@code stop}, {@code stacked} or {@code remark}. */
    public record QuietMark(double from, double to, String kind, String label) {}

    private QuietMarks() {}

    /** @param words a stretch as people say it, by the clock too where the weld has one */
    public static List<QuietMark> of(
            Ruler ruler,
            Function<Span, String> words,
            List<LoggedPass> passes,
            List<Stagger.StackedStarts> stacked,
            List<InProcessInspection.Answer> answers) {
        List<QuietMark> marks = new ArrayList<>();
        for (int i = 0; i < passes.size(); i++) {
            String pass = "pass " + (i + 1);
            for (Length at : passes.get(i).starts()) {
                marks.add(mark(Span.at(at), "start", pass + " starts at " + words.apply(Span.at(at))));
            }
            for (Length at : passes.get(i).stops()) {
                marks.add(mark(Span.at(at), "stop", pass + " stops at " + words.apply(Span.at(at))));
            }
        }
        for (Stagger.StackedStarts s : stacked) {
            boolean ahead = s.at().isOver(s.belowAt());
            Span between = ahead ? new Span(s.belowAt(), s.at()) : new Span(s.at(), s.belowAt());
            marks.add(mark(
                    between,
                    "stacked",
                    "passes " + (s.below() + 1) + " and " + (s.pass() + 1) + " stacked at " + words.apply(between)));
        }
        for (InProcessInspection.Answer a : answers) {
            if (!a.asWanted()) {
                a.where()
                        .ifPresent(w -> ruler.straight(w)
                                .forEach(s -> marks.add(mark(
                                        s,
                                        "remark",
                                        words.apply(w) + ": not so: "
                                                + a.question().title()
                                                + (a.note().isBlank() ? "" : ", " + a.note())))));
            }
        }
        return List.copyOf(marks);
    }

    private static QuietMark mark(Span span, String kind, String label) {
        return new QuietMark(StripDrawing.mm(span.from()), StripDrawing.mm(span.to()), kind, label);
    }
}
