package mensor.criteria.iso;

import java.math.BigDecimal;
import java.util.Optional;
import mensor.criteria.Bound;
import mensor.criteria.Confidence;
import mensor.criteria.Rule;
import mensor.criteria.ShortRun;
import mensor.length.Length;
import mensor.length.RealLength;

/**
 * The numbers of ISO 5817:2014, Table 1, for the surface: a row each, its three quality levels side by side. Lengths in
 * millimetres; t the thinner member (for undercut the toe's), s the thickness of a butt or the throat of a partial
 * penetration, a the nominal throat of a fillet, b the width of the face. From memory; the changes of 2023 are not known.
 */
final class Iso5817Tables {
    private Iso5817Tables() {}

    /** The column: moderate, intermediate, stringent. */
    enum Level {
        D,
        C,
        B;

        <T> T pick(T d, T c, T b) {
            return switch (this) {
                case D -> d;
                case C -> c;
                case B -> b;
            };
        }
    }

    static final String SHORT_TOTAL = "25";
    static final ShortRun SHORT = new ShortRun(mm(SHORT_TOTAL), mm("100"), 4);

    static Length mm(String value) {
        return Length.millimetres(value);
    }

    private static final RealLength NOTHING = RealLength.of(mm("0"));

    /** Not permitted. */
    static final Bound NP = new Bound(NOTHING, BigDecimal.ZERO, Optional.empty(), false, "");

    static boolean isThick(Length t) {
        return t.isOver(mm("3"));
    }

    /** plus + share·of, at most cap (empty: no cap). */
    private static Bound bound(String plus, String share, String name, RealLength of, String cap) {
        RealLength grown = RealLength.of(mm(plus)).plus(of.times(new BigDecimal(share)));
        String formula = (plus.equals("0") ? "" : plus + " + ") + share + " " + name;
        if (cap.isEmpty()) {
            return new Bound(grown, BigDecimal.ZERO, Optional.empty(), false, formula + " mm");
        }
        return new Bound(
                grown.min(RealLength.of(mm(cap))),
                BigDecimal.ZERO,
                Optional.empty(),
                false,
                formula + " mm, at most " + cap + " mm");
    }

    private static Bound ofThickness(String plus, String share, Length t, String cap) {
        return bound(plus, share, "t", RealLength.of(t), cap);
    }

    /** plus + share·b by the width that was read. */
    private static Bound ofWidth(String plus, String share, String cap) {
        String formula = (plus.equals("0") ? "" : plus + " + ") + share + " b mm";
        return new Bound(
                RealLength.of(mm(plus)),
                new BigDecimal(share),
                cap.isEmpty() ? Optional.empty() : Optional.of(mm(cap)),
                false,
                formula + (cap.isEmpty() ? "" : ", at most " + cap + " mm"));
    }

    private static Bound onlyShort(Bound b) {
        return b.isNone() ? b : new Bound(b.base(), b.ofWidth(), b.cap(), true, b.reckoned());
    }

    /** 1.3: by the thickness s of a butt or the throat a of a fillet. */
    static Bound pore(Level l, Length t, String name, RealLength of) {
        return isThick(t)
                ? l.pick(bound("0", "0.3", name, of, "3"), bound("0", "0.2", name, of, "2"), NP)
                : l.pick(bound("0", "0.3", name, of, ""), NP, NP);
    }

    /** 1.4 */
    static Bound craterPipe(Level l, Length t) {
        return isThick(t)
                ? l.pick(ofThickness("0", "0.2", t, "2"), ofThickness("0", "0.1", t, "1"), NP)
                : l.pick(ofThickness("0", "0.2", t, ""), NP, NP);
    }

    /** 1.6, of a butt welded from one side. */
    static Bound incompletePenetration(Level l, Length t) {
        return onlyShort(l.pick(ofThickness("0", "0.2", t, "2"), NP, NP));
    }

    /** 1.7 */
    static Bound undercut(Level l, Length t) {
        return isThick(t)
                ? l.pick(
                        ofThickness("0", "0.2", t, "1"),
                        ofThickness("0", "0.1", t, "0.5"),
                        ofThickness("0", "0.05", t, "0.5"))
                : onlyShort(l.pick(ofThickness("0", "0.2", t, ""), ofThickness("0", "0.1", t, ""), NP));
    }

    /** 1.8 and 1.17 */
    static Bound rootUndercut(Level l, Length t) {
        return onlyShort(
                isThick(t)
                        ? l.pick(
                                ofThickness("0", "0.2", t, "2"),
                                ofThickness("0", "0.1", t, "1"),
                                ofThickness("0", "0.05", t, "0.5"))
                        : l.pick(ofThickness("0.2", "0.1", t, ""), ofThickness("0", "0.1", t, ""), NP));
    }

    static Confidence rootUndercutConfidence(Length t) {
        return isThick(t) ? Confidence.HIGH : Confidence.MEDIUM;
    }

    /** 1.9 */
    static Bound excessWeldMetal(Level l) {
        return l.pick(ofWidth("1", "0.25", "10"), ofWidth("1", "0.15", "7"), ofWidth("1", "0.1", "5"));
    }

    /** 1.10 */
    static Bound convexity(Level l) {
        return l.pick(ofWidth("1", "0.25", "5"), ofWidth("1", "0.15", "4"), ofWidth("1", "0.1", "3"));
    }

    /** 1.11, b the width of the root */
    static Bound excessPenetration(Level l, Length t) {
        return isThick(t)
                ? l.pick(ofWidth("1", "1.0", "5"), ofWidth("1", "0.6", "4"), ofWidth("1", "0.2", "3"))
                : l.pick(ofWidth("1", "0.6", ""), ofWidth("1", "0.3", ""), ofWidth("1", "0.1", ""));
    }

    /** 1.12, at least */
    static Rule.ToeAngle toeAngle(Level l, boolean fillet) {
        return fillet
                ? new Rule.ToeAngle(l.pick(90, 100, 110), l == Level.C ? Confidence.MEDIUM : Confidence.HIGH)
                : new Rule.ToeAngle(l.pick(90, 110, 150), Confidence.HIGH);
    }

    /** 1.13 */
    static Bound overlap(Level l) {
        return l.pick(ofWidth("0", "0.2", ""), NP, NP);
    }

    /** 1.14 */
    static Bound underfill(Level l, Length t) {
        return onlyShort(
                isThick(t)
                        ? l.pick(
                                ofThickness("0", "0.25", t, "2"),
                                ofThickness("0", "0.1", t, "1"),
                                ofThickness("0", "0.05", t, "0.5"))
                        : l.pick(ofThickness("0", "0.25", t, ""), ofThickness("0", "0.1", t, ""), NP));
    }

    /** 1.16 */
    static Bound unequalLegs(Level l, RealLength a) {
        return l.pick(bound("2", "0.2", "a", a, ""), bound("2", "0.15", "a", a, ""), bound("1.5", "0.15", "a", a, ""));
    }

    /** 1.20 */
    static Bound throatUnder(Level l, Length t, RealLength a) {
        return onlyShort(
                isThick(t)
                        ? l.pick(bound("0.3", "0.1", "a", a, "2"), bound("0.3", "0.1", "a", a, "1"), NP)
                        : l.pick(bound("0.2", "0.1", "a", a, ""), Bound.fixed(mm("0.2"), "0.2 mm"), NP));
    }

    /** 1.21; D permits any */
    static Optional<Bound> throatOver(Level l, RealLength a) {
        return l.pick(
                Optional.empty(),
                Optional.of(bound("1", "0.2", "a", a, "4")),
                Optional.of(bound("1", "0.15", "a", a, "3")));
    }

    /** 3.1 of plates, and of a butt around a pipe */
    static Bound misalignment(Level l, Length t, boolean pipe) {
        if (pipe) {
            return ofThickness("0", "0.5", t, l.pick("4", "3", "2"));
        }
        return isThick(t)
                ? l.pick(
                        ofThickness("0", "0.25", t, "5"),
                        ofThickness("0", "0.15", t, "4"),
                        ofThickness("0", "0.1", t, "3"))
                : ofThickness("0.2", l.pick("0.25", "0.15", "0.1"), t, "");
    }

    /** 3.2 */
    static Bound rootGap(Level l, Length t, RealLength a) {
        return isThick(t)
                ? l.pick(
                        bound("1", "0.3", "a", a, "4"),
                        bound("0.5", "0.2", "a", a, "3"),
                        bound("0.5", "0.1", "a", a, "2"))
                : bound(l.pick("0.5", "0.3", "0.2"), "0.1", "a", a, "");
    }
}
