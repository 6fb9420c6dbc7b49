package mensor.inspection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Gap;
import mensor.weld.Groove;
import mensor.weld.Joint;
import mensor.weld.Procedure;

/**
 * A joint as fitted up against its design and the tolerances of AWS D1.1 7.21 (5.21), from memory: what it must be before
 * the first pass is laid, and the leg that an opening under a fillet now asks for. Comparisons are exact; exactly at a
 * limit accepts.
 */
public final class FitUpCheck {
    private static final String FIT_UP = "D1.1 7.21 (5.21), from memory";
    private static final String PRACTICE = "common practice, no source";

    /** A stretch where the opening is added to the leg, with its reason in words. */
    public record Raised(Gap gap, Optional<RealLength> leg, String reason) {}

    /** @param gaps the openings under a fillet that ask more leg; empty for a groove */
    public record Result(Verdict verdict, List<InspectionItem> items, List<Raised> raised) {
        public boolean stops() {
            return verdict == Verdict.REJECT;
        }

        public List<Gap> gaps() {
            return raised.stream().map(Raised::gap).toList();
        }
    }

    private final Joint joint;
    private final FitUp fitUp;
    private final Unit unit;
    private final Optional<Procedure> procedure;
    private final Length sixteenth;
    private final List<InspectionItem> items = new ArrayList<>();
    private final List<Raised> raised = new ArrayList<>();

    private FitUpCheck(Joint joint, FitUp fitUp, Unit unit, Optional<Procedure> procedure) {
        this.joint = joint;
        this.fitUp = fitUp;
        this.unit = unit;
        this.procedure = procedure;
        this.sixteenth = unit.pick(Length.inches(1, 16), Length.millimetres("2"));
    }

    /** @param unit the drawing's, the column of the tolerances */
    public static Result of(Joint joint, FitUp fitUp, Unit unit, Optional<Procedure> procedure) {
        FitUpCheck check = new FitUpCheck(joint, fitUp, unit, procedure);
        if (joint.isFillet()) {
            check.filletOpening();
        } else {
            check.grooveOpening();
            check.rootFace();
            check.angle();
            check.backingGap();
        }
        check.offset();
        check.answer(
                FitUpQuestion.SCALE_OFF,
                "tight mill scale may stay after vigorous wire brushing, unless the procedure requires bright metal");
        check.brightMetal();
        check.answer(FitUpQuestion.TACKS, "cracked or poor tacks come out before the root pass");
        check.answer(FitUpQuestion.SQUARE, "pull it square, or pre-set it against the shrinkage");
        Verdict verdict =
                Verdict.of(check.items.stream().map(InspectionItem::verdict).toList());
        return new Result(verdict, List.copyOf(check.items), List.copyOf(check.raised));
    }

    private void item(
            String id, String title, Verdict verdict, String measured, String allowed, String reason, Span where) {
        InspectionItem item = InspectionItem.of(id, title, verdict, measured, allowed, reason, FIT_UP);
        items.add(where == null ? item : item.at(where));
    }

    private void filletOpening() {
        String title = "Gap under the fillet";
        FitUpOpenings openings = new FitUpOpenings(joint.ruler(), fitUp.readings());
        List<Gap> gaps = openings.over(sixteenth);
        gaps.forEach(g -> raised.add(raise(g)));
        String allowed = sixteenth.shownWithUnit() + " free; over it the leg grows by the gap, to "
                + mostOpening().shownWithUnit();
        Optional<Gap> worst = gaps.stream().max(Comparator.comparing(Gap::opening));
        if (worst.filter(g -> g.opening().isOver(mostOpening())).isPresent()) {
            tooWide(title, allowed, worst.get());
            return;
        }
        boolean tight = fitUp.answers().getOrDefault(FitUpQuestion.TIGHT_ELSEWHERE, false);
        if (!openings.hasStations() && !tight) {
            item(
                    "opening",
                    title,
                    Verdict.INCOMPLETE,
                    worst.map(g -> g.opening().shownWithUnit()).orElse("not read"),
                    allowed,
                    "read the gap at stations, or mark where it runs and say that it is tight elsewhere",
                    null);
        } else if (worst.isEmpty()) {
            item(
                    "opening",
                    title,
                    Verdict.ACCEPT,
                    "at most " + sixteenth.shownWithUnit(),
                    allowed,
                    "no gap asks more leg",
                    null);
        } else {
            item(
                    "opening",
                    title,
                    Verdict.ACCEPT,
                    worst.get().opening().shownWithUnit(),
                    allowed,
                    raised.get(gaps.indexOf(worst.get())).reason(),
                    worst.get().span());
        }
    }

    private Length mostOpening() {
        return unit.pick(Length.inches(3, 16), Length.millimetres("5"));
    }

    private Raised raise(Gap gap) {
        Optional<RealLength> leg = joint.size().map(s -> RealLength.of(s).plus(RealLength.of(gap.opening())));
        String reason = leg.map(l -> joint.size().orElseThrow().shown() + " + gap "
                        + gap.opening().shown() + " = leg " + l.shown() + " " + unit.symbol() + " along "
                        + gap.span().shown())
                .orElse("the leg of the drawn throat grows by " + gap.opening().shownWithUnit() + " along "
                        + gap.span().shown());
        return new Raised(gap, leg, reason);
    }

    /** Thick parts that cannot be closed may be open to 5/16 [8] with a backing: for the Engineer to say. */
    private void tooWide(String title, String allowed, Gap worst) {
        Length thick = unit.pick(Length.inches(3), Length.millimetres("75"));
        Length mostThick = unit.pick(Length.inches(5, 16), Length.millimetres("8"));
        boolean refer =
                !joint.thinner().thickness().isUnder(thick) && !worst.opening().isOver(mostThick);
        String over = worst.opening().shownWithUnit() + " − " + mostOpening().shownWithUnit() + " = "
                + worst.opening().minus(mostOpening()).shownWithUnit() + " over";
        item(
                "opening",
                title,
                refer ? Verdict.INCOMPLETE : Verdict.REJECT,
                worst.opening().shownWithUnit(),
                allowed,
                over
                        + (refer
                                ? ": parts of " + thick.shownWithUnit() + " and over may be open to "
                                        + mostThick.shownWithUnit() + " with a backing; refer it"
                                : ": the joint stops here. Close it, build it up under an approved procedure, or refer it to the Engineer"),
                worst.span());
    }

    private Optional<Groove> groove() {
        return joint.groove();
    }

    /** A reading of its greatest departure by the given measure; the places are the readings' own. */
    private Optional<FitUp.Reading> worst(Function<FitUp.Reading, Optional<Length>> what, boolean greatest) {
        Comparator<FitUp.Reading> order =
                Comparator.comparing(r -> what.apply(r).orElseThrow());
        var all = fitUp.readings().stream().filter(r -> what.apply(r).isPresent());
        return greatest ? all.max(order) : all.min(order);
    }

    private void grooveOpening() {
        String title = "Root opening";
        Optional<Length> drawn = groove().flatMap(Groove::rootOpening);
        boolean backing = joint.backing().orElse(false);
        Length plus = backing ? unit.pick(Length.inches(1, 4), Length.millimetres("6")) : sixteenth;
        Optional<FitUp.Reading> wide = worst(FitUp.Reading::opening, true);
        if (drawn.isEmpty() || wide.isEmpty()) {
            unread("opening", title, drawn.isPresent(), "the root opening");
            return;
        }
        Length most = drawn.get().plus(plus);
        Length least = drawn.get().minus(sixteenth).max(Length.zero(unit));
        String allowed = least.shown() + "–" + most.shownWithUnit();
        Length widest = wide.get().opening().orElseThrow();
        FitUp.Reading narrow = worst(FitUp.Reading::opening, false).orElseThrow();
        Length narrowest = narrow.opening().orElseThrow();
        if (widest.isOver(most)) {
            Length t = joint.thinner().thickness();
            Length buildUp = t.times(2).min(unit.pick(Length.inches(3, 4), Length.millimetres("20")));
            boolean contractor = !widest.isOver(buildUp);
            item(
                    "opening",
                    title,
                    Verdict.REJECT,
                    widest.shownWithUnit(),
                    allowed,
                    widest.shown() + " − " + most.shown() + " = "
                            + widest.minus(most).shownWithUnit() + " too wide: the joint stops. "
                            + (contractor
                                    ? "Up to " + buildUp.shownWithUnit()
                                            + " (the lesser of twice the thinner part and the limit) the contractor may build it up under an approved procedure"
                                    : "Over " + buildUp.shownWithUnit()
                                            + " building it up is for the Engineer to allow"),
                    wide.get().span());
        } else if (narrowest.isUnder(least)) {
            item(
                    "opening",
                    title,
                    Verdict.REJECT,
                    narrowest.shownWithUnit(),
                    allowed,
                    least.shown() + " − " + narrowest.shown() + " = "
                            + least.minus(narrowest).shownWithUnit()
                            + " too tight: the root will not be reached. Open it",
                    narrow.span());
        } else {
            item(
                    "opening",
                    title,
                    Verdict.ACCEPT,
                    narrowest.shown() + "–" + widest.shownWithUnit(),
                    allowed,
                    "within the tolerance",
                    null);
        }
    }

    private void unread(String id, String title, boolean drawn, String what) {
        item(
                id,
                title,
                drawn ? Verdict.INCOMPLETE : Verdict.NOT_APPLICABLE,
                "not read",
                drawn ? "" : "not on the drawing",
                drawn ? "read " + what + " at stations" : what + " is not given for this joint",
                null);
    }

    private void rootFace() {
        Optional<Length> drawn = groove().flatMap(Groove::rootFace);
        Optional<FitUp.Reading> thick = worst(FitUp.Reading::rootFace, true);
        if (drawn.isEmpty() || thick.isEmpty()) {
            if (drawn.isPresent()) {
                unread("root-face", "Root face", true, "the root face");
            }
            return;
        }
        FitUp.Reading thin = worst(FitUp.Reading::rootFace, false).orElseThrow();
        Length above = thick.get().rootFace().orElseThrow().minus(drawn.get());
        Length below = drawn.get().minus(thin.rootFace().orElseThrow());
        FitUp.Reading decides = above.isOver(below) ? thick.get() : thin;
        Length off = above.max(below);
        boolean bad = off.isOver(sixteenth);
        item(
                "root-face",
                "Root face",
                bad ? Verdict.REJECT : Verdict.ACCEPT,
                decides.rootFace().orElseThrow().shownWithUnit(),
                drawn.get().shown() + " ± " + sixteenth.shownWithUnit(),
                off.max(Length.zero(unit)).shownWithUnit() + " from the drawing"
                        + (bad ? ": dress it before welding" : ""),
                decides.span());
    }

    private void angle() {
        Optional<Double> drawn = groove().flatMap(Groove::includedAngle);
        List<FitUp.Reading> read =
                fitUp.readings().stream().filter(r -> r.angle().isPresent()).toList();
        if (drawn.isEmpty()) {
            return;
        }
        if (read.isEmpty()) {
            unread("angle", "Groove angle", true, "the bevel angle");
            return;
        }
        FitUp.Reading decides = read.get(0);
        boolean bad = false;
        for (FitUp.Reading r : read) {
            double off = r.angle().getAsDouble() - drawn.get();
            if (off > 10 || off < -5) {
                bad = true;
                decides = r;
            }
        }
        double measured = decides.angle().getAsDouble();
        item(
                "angle",
                "Groove angle",
                bad ? Verdict.REJECT : Verdict.ACCEPT,
                plain(measured) + "°",
                plain(drawn.get() - 5) + "–" + plain(drawn.get() + 10) + "°",
                plain(Math.abs(measured - drawn.get())) + "° from the drawing (+10 −5)"
                        + (bad ? ": dress the bevel before welding" : ""),
                decides.span());
    }

    private static String plain(double d) {
        return mensor.weld.Range.plain(Math.round(d * 1000) / 1000.0);
    }

    private void backingGap() {
        if (!joint.backing().orElse(false)) {
            return;
        }
        Optional<FitUp.Reading> wide = worst(FitUp.Reading::backingGap, true);
        if (wide.isEmpty()) {
            unread("backing-gap", "Backing gap", true, "the gap at the backing");
            return;
        }
        limit(
                "backing-gap",
                "Backing gap",
                wide.get(),
                wide.get().backingGap().orElseThrow(),
                sixteenth,
                "draw the backing up before welding");
    }

    private void limit(String id, String title, FitUp.Reading at, Length measured, Length most, String remedy) {
        boolean bad = measured.isOver(most);
        item(
                id,
                title,
                bad ? Verdict.REJECT : Verdict.ACCEPT,
                measured.shownWithUnit(),
                "at most " + most.in(unit).shownWithUnit(),
                bad ? measured.minus(most).in(unit).shownWithUnit() + " over: " + remedy : "within the tolerance",
                at.span());
    }

    /** The step between the parts of a butt, by the lesser of a tenth of the thinner part and 1/8 [3], or the procedure's own. */
    private void offset() {
        Optional<FitUp.Reading> worst = worst(FitUp.Reading::offset, true);
        if (worst.isEmpty()) {
            return;
        }
        Length eighth = unit.pick(Length.inches(1, 8), Length.millimetres("3"));
        Length most = joint.offsetMax()
                .orElse(joint.thinner().thickness().dividedBy(10).min(eighth));
        limit(
                "offset",
                "Offset",
                worst.get(),
                worst.get().offset().orElseThrow(),
                most,
                "line the parts up before welding");
    }

    private void answer(FitUpQuestion question, String remedy) {
        Boolean answer = fitUp.answers().get(question);
        Verdict verdict = answer == null ? Verdict.INCOMPLETE : answer ? Verdict.ACCEPT : Verdict.REJECT;
        items.add(InspectionItem.of(
                question.id(),
                question.title(),
                verdict,
                answer == null ? "not inspected" : answer ? "yes" : "no",
                "yes",
                answer == null ? "say whether it is so" : answer ? "as required" : remedy,
                question == FitUpQuestion.SQUARE ? PRACTICE : FIT_UP));
    }

    /** Only where the procedure (or the coupon's) asks it. */
    private void brightMetal() {
        Optional<Length> wanted = procedure.flatMap(Procedure::brightMetal);
        if (wanted.isEmpty()) {
            return;
        }
        String allowed = "at least " + wanted.get().in(unit).shownWithUnit() + " back, front, back and bevel";
        String by = procedure.orElseThrow().name();
        if (fitUp.brightMetal().isEmpty()) {
            items.add(InspectionItem.of(
                    "bright-metal",
                    "Bright metal",
                    Verdict.INCOMPLETE,
                    "not read",
                    allowed,
                    "read how far back the metal is bright",
                    by));
            return;
        }
        Length measured = fitUp.brightMetal().get();
        boolean bad = measured.isUnder(wanted.get());
        items.add(InspectionItem.of(
                "bright-metal",
                "Bright metal",
                bad ? Verdict.REJECT : Verdict.ACCEPT,
                measured.shownWithUnit(),
                allowed,
                bad
                        ? wanted.get().minus(measured).in(unit).shownWithUnit() + " short: grind further back"
                        : "as the procedure requires",
                by));
    }
}
