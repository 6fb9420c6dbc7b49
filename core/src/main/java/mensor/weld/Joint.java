package mensor.weld;

import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.Unit;

/**
 * One weld that was to be made: what the drawing asks and what fit-up left. Built and checked by {@link JointBuilder}; an
 * absent fact ({@code primary}, {@code transverseTension}, {@code delayed}) is unknown, not false.
 */
public final class Joint {
    private final JointBuilder b;
    private final Ruler ruler;
    private Optional<RealLength> nominalThroat;

    Joint(JointBuilder b) {
        this.b = b;
        this.ruler = new Ruler(b.length, b.closed);
    }

    public String mark() {
        return b.mark;
    }

    public Optional<String> weldNo() {
        return Optional.ofNullable(b.weldNo);
    }

    public Optional<Side> side() {
        return Optional.ofNullable(b.side);
    }

    /** The datum in words: "north end, punch mark, measured east". */
    public Optional<String> datum() {
        return Optional.ofNullable(b.datum);
    }

    public WeldType weld() {
        return b.weld;
    }

    public boolean isFillet() {
        return b.weld == WeldType.FILLET;
    }

    public Connection connection() {
        return b.connection;
    }

    public Optional<Corner> corner() {
        return Optional.ofNullable(b.corner);
    }

    public Length length() {
        return b.length;
    }

    public boolean closed() {
        return b.closed;
    }

    /** The places of a weld around a round member as a clock has them; empty where nobody said how it lies. */
    public Optional<ClockFace> clock() {
        return Optional.ofNullable(b.clock)
                .map(c -> new ClockFace(
                        b.length, ClockFace.minutes(c.datum()).orElseThrow(), c.clockwise(), c.diameter(), c.turned()));
    }

    /** A stretch for people: from the datum, and by the clock where there is one. */
    public String shown(Span span) {
        return clock().map(c -> span.shown() + " (" + c.shown(span) + ")").orElseGet(span::shown);
    }

    /** The weld's axis, from the datum. */
    public Ruler ruler() {
        return ruler;
    }

    /** The welded stretches of an intermittent weld; empty for a continuous one. */
    public List<Span> segments() {
        return b.segments;
    }

    /** The length that percentages are taken of: the segments' total, else the specified length. */
    public Length weldedLength() {
        if (b.segments.isEmpty()) {
            return b.length;
        }
        return ruler.straight(b.segments).total(b.length.unit());
    }

    public List<Member> members() {
        return b.members;
    }

    /** The member that a toe lies on; with one member both toes lie on it. For the root: the thinner. */
    public Member member(Toe toe) {
        return switch (toe) {
            case A -> b.members.get(0);
            case B -> b.members.get(b.members.size() - 1);
            case ROOT -> thinner();
        };
    }

    public Member thinner() {
        Member first = b.members.get(0);
        Member last = b.members.get(b.members.size() - 1);
        return last.thickness().isUnder(first.thickness()) ? last : first;
    }

    public Member thicker() {
        Member first = b.members.get(0);
        Member last = b.members.get(b.members.size() - 1);
        return last.thickness().isOver(first.thickness()) ? last : first;
    }

    /** A toe in the words of the floor: its member's name, else "toe A". */
    public String toeName(Toe toe) {
        if (toe == Toe.ROOT) {
            return "root";
        }
        String name = member(toe).name();
        return name.isBlank() || b.members.size() == 1 ? "toe " + toe.id() : name + " toe";
    }

    /** The drawing's leg of a fillet, absent where the drawing gives a throat. */
    public Optional<Length> size() {
        return Optional.ofNullable(b.size);
    }

    /** The drawing's throat of a fillet or a partial penetration groove. */
    public Optional<Length> throat() {
        return Optional.ofNullable(b.throat);
    }

    /** What the drawing's leg means; contact where the members meet at 90° or a throat is drawn. */
    public LegMeaning sizeMeans() {
        return b.sizeMeans == null ? LegMeaning.CONTACT : b.sizeMeans;
    }

    public Dihedral dihedral() {
        return b.dihedral;
    }

    /** What the leg readings are where the members do not meet at 90°. */
    public LegMeaning legs() {
        return b.legs;
    }

    /** The throat that a fillet is to have: the drawing's, or that of its leg with a flat face. */
    public Optional<RealLength> nominalThroat() {
        if (nominalThroat == null) { // a root is drawn; two threads that draw it come to the same
            nominalThroat = throat().map(RealLength::of)
                    .or(() -> size().map(s -> b.dihedral.throatOf(RealLength.of(s), sizeMeans())));
        }
        return nominalThroat;
    }

    public Optional<Penetration> penetration() {
        return Optional.ofNullable(b.penetration);
    }

    public Optional<Groove> groove() {
        return Optional.ofNullable(b.groove);
    }

    public Optional<Boolean> backing() {
        return Optional.ofNullable(b.backing);
    }

    /** The fit-up openings as stretches; one over the whole weld where a single opening was recorded. */
    public List<Gap> gaps() {
        if (b.rootOpening != null) {
            return List.of(new Gap(ruler.whole(), b.rootOpening));
        }
        return b.gaps;
    }

    public Optional<Length> rootOpening() {
        return Optional.ofNullable(b.rootOpening);
    }

    public Optional<Boolean> primary() {
        return Optional.ofNullable(b.primary);
    }

    public Optional<Boolean> transverseTension() {
        return Optional.ofNullable(b.transverseTension);
    }

    public Use use() {
        return b.use;
    }

    public Optional<Length> flangeWidth() {
        return Optional.ofNullable(b.flangeWidth);
    }

    public GirderEnds girderEnds() {
        return b.girderEnds == null ? GirderEnds.NONE : b.girderEnds;
    }

    public Optional<String> grade() {
        return Optional.ofNullable(b.grade);
    }

    /** What was said of the wait; {@link #isDelayed} is what holds. */
    public Optional<Boolean> delayed() {
        return Optional.ofNullable(b.delayed);
    }

    /** Whether it waits 48 h after welding: said so, or a grade that the code names where nothing else was said. */
    public boolean isDelayed() {
        return delayed().orElseGet(() -> grade().filter(Steel::canCrackLate).isPresent());
    }

    public Steel steel() {
        return grade().map(Steel::ofGrade).orElse(Steel.UNKNOWN);
    }

    /** The toe on the member that stands upright or lies above; empty where nobody said. */
    public Optional<Toe> upper() {
        return Optional.ofNullable(b.upper);
    }

    public boolean flush() {
        return b.flush;
    }

    public boolean faying() {
        return b.faying;
    }

    public boolean oneSided() {
        return Boolean.TRUE.equals(b.oneSided);
    }

    /** What was said of it; empty where nobody did. */
    public Optional<Boolean> oneSidedSaid() {
        return Optional.ofNullable(b.oneSided);
    }

    /** Whether somebody gets at its root side: the inside of a pipe that is welded from outside is closed. */
    public boolean isRootReached() {
        return !(oneSided() && connection() == Connection.PIPE_BUTT);
    }

    /** Whether it is welded from both sides: said so, and no backing; empty where nobody said. */
    public Optional<Boolean> isWeldedFromBothSides() {
        return backing().filter(x -> x).isPresent()
                ? Optional.of(false)
                : oneSidedSaid().map(one -> !one);
    }

    public Optional<Length> offsetMax() {
        return Optional.ofNullable(b.offsetMax);
    }

    public Optional<Position> position() {
        return Optional.ofNullable(b.position);
    }

    /** Whether a welder's fillet test piece is broken or cut for a macro. */
    public Optional<FilletTestPiece> testPiece() {
        return Optional.ofNullable(b.testPiece);
    }

    /** Refuses a stretch that does not lie on the weld; only a closed weld may have {@code from} beyond {@code to}. */
    public void checkWithin(String path, Span span) {
        checkWithin(path, span, b.length, b.closed);
    }

    static void checkWithin(String path, Span span, Length length, boolean closed) {
        checkPlace(path + ".from", span.from(), length);
        checkPlace(path + ".to", span.to(), length);
        if (span.wraps() && !closed) {
            throw new InvalidField(path + ".to", "lies before from (" + span.from() + "), got " + span.to());
        }
    }

    /** Refuses a place before the datum or past the weld's end. */
    public void checkPlace(String path, Length place) {
        checkPlace(path, place, b.length);
    }

    private static void checkPlace(String path, Length place, Length length) {
        if (place.isNegative()) {
            throw new InvalidField(path, "lies before the datum, got " + place);
        }
        if (place.isOver(length)) {
            throw new InvalidField(path, place + " lies past the weld's end at " + length);
        }
    }

    /** The weld in a few words: {@code 5/16 fillet, tee, 24 in}. */
    public String inWords() {
        Unit unit = b.length.unit();
        String made = isFillet()
                ? size().map(s -> s.in(unit).shown() + " fillet")
                        .orElseGet(() -> "fillet, throat " + b.throat.in(unit).shown())
                : b.penetration == Penetration.COMPLETE
                        ? "CJP groove"
                        : "PJP groove"
                                + throat().map(t -> ", throat " + t.in(unit).shown())
                                        .orElse("");
        return made + ", " + b.connection.id() + ", " + b.length.shownWithUnit()
                + (clock().filter(ClockFace::turned).isPresent() ? ", pipe turned" : "");
    }
}
