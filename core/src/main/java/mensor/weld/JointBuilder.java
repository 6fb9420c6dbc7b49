package mensor.weld;

import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;

/** Gathers a joint's fields, then refuses what cannot be. Lengths along the weld are checked against its length. */
public final class JointBuilder {
    final String mark;
    final WeldType weld;
    final Connection connection;
    final Length length;
    String weldNo;
    Side side;
    String datum;
    Corner corner;
    boolean closed;
    Clock clock;
    List<Span> segments = List.of();
    List<Member> members = List.of();
    Length size;
    Length throat;
    LegMeaning sizeMeans;
    Dihedral dihedral = Dihedral.SQUARE;
    LegMeaning legs = LegMeaning.CONTACT;
    Penetration penetration;
    Groove groove;
    Boolean backing;
    Length rootOpening;
    List<Gap> gaps = List.of();
    boolean gapsGiven;
    Boolean primary;
    Boolean transverseTension;
    Use use = Use.OTHER;
    Length flangeWidth;
    GirderEnds girderEnds;
    String grade;
    Boolean delayed;
    boolean flush;
    boolean faying;
    Boolean oneSided;
    Length offsetMax;
    Position position;
    FilletTestPiece testPiece;
    Toe upper;

    /**
     * How the clock lies on a weld around a round member.
     *
     * @param diameter of the member
     * @param datum the time at which the weld's datum lies
     * @param clockwise whether places are measured as the hours go
     * @param turned the member is turned under the rod
     */
    public record Clock(Optional<Length> diameter, String datum, boolean clockwise, boolean turned) {
        /** Of a member that stands still. */
        public Clock(Optional<Length> diameter, String datum, boolean clockwise) {
            this(diameter, datum, clockwise, false);
        }
    }

    public JointBuilder(String mark, WeldType weld, Connection connection, Length length) {
        this.mark = mark;
        this.weld = weld;
        this.connection = connection;
        this.length = length;
    }

    public JointBuilder weldNo(String value) {
        weldNo = value;
        return this;
    }

    public JointBuilder side(Side value) {
        side = value;
        return this;
    }

    public JointBuilder datum(String value) {
        datum = value;
        return this;
    }

    public JointBuilder corner(Corner value) {
        corner = value;
        return this;
    }

    public JointBuilder closed(boolean value) {
        closed = value;
        return this;
    }

    /** The weld runs around a round member, and its places are told by the clock as well. */
    public JointBuilder clock(Clock value) {
        clock = value;
        return this;
    }

    public JointBuilder segments(List<Span> value) {
        segments = List.copyOf(value);
        return this;
    }

    public JointBuilder members(Member... value) {
        members = List.of(value);
        return this;
    }

    public JointBuilder size(Length value) {
        size = value;
        return this;
    }

    public JointBuilder throat(Length value) {
        throat = value;
        return this;
    }

    public JointBuilder sizeMeans(LegMeaning value) {
        sizeMeans = value;
        return this;
    }

    public JointBuilder dihedral(Dihedral value) {
        dihedral = value;
        return this;
    }

    public JointBuilder legs(LegMeaning value) {
        legs = value;
        return this;
    }

    public JointBuilder penetration(Penetration value) {
        penetration = value;
        return this;
    }

    public JointBuilder groove(Groove value) {
        groove = value;
        return this;
    }

    public JointBuilder backing(Boolean value) {
        backing = value;
        return this;
    }

    public JointBuilder rootOpening(Length value) {
        rootOpening = value;
        return this;
    }

    public JointBuilder gaps(List<Gap> value) {
        gaps = List.copyOf(value);
        gapsGiven = true;
        return this;
    }

    public JointBuilder primary(Boolean value) {
        primary = value;
        return this;
    }

    public JointBuilder transverseTension(Boolean value) {
        transverseTension = value;
        return this;
    }

    public JointBuilder use(Use value) {
        use = value;
        return this;
    }

    public JointBuilder flangeWidth(Length value) {
        flangeWidth = value;
        return this;
    }

    public JointBuilder girderEnds(GirderEnds value) {
        girderEnds = value;
        return this;
    }

    public JointBuilder grade(String value) {
        grade = value;
        return this;
    }

    public JointBuilder delayed(Boolean value) {
        delayed = value;
        return this;
    }

    public JointBuilder flush(boolean value) {
        flush = value;
        return this;
    }

    public JointBuilder faying(boolean value) {
        faying = value;
        return this;
    }

    public JointBuilder oneSided(Boolean value) {
        oneSided = value;
        return this;
    }

    public JointBuilder offsetMax(Length value) {
        offsetMax = value;
        return this;
    }

    public JointBuilder position(Position value) {
        position = value;
        return this;
    }

    public JointBuilder testPiece(FilletTestPiece value) {
        testPiece = value;
        return this;
    }

    /** The toe whose member stands upright (2F, 3F) or lies above (4F, laps, 2G). */
    public JointBuilder upper(Toe value) {
        upper = value;
        return this;
    }

    /** @throws InvalidField where the joint cannot be, naming the field */
    public Joint build() {
        if (mark.isBlank()) {
            throw new InvalidField("mark", "a joint needs its mark");
        }
        positive("length", length);
        if (members.isEmpty() || members.size() > 2) {
            throw new InvalidField("members", "one or two members are required, got " + members.size());
        }
        together("corner", corner != null, connection == Connection.CORNER, "connection corner");
        if (legs == LegMeaning.EQUIVALENT) {
            throw new InvalidField("legs", "a gauge reads contact or perpendicular legs, got equivalent");
        }
        if (weld == WeldType.FILLET) {
            checkFillet();
        } else {
            checkGroove();
        }
        if (upper == Toe.ROOT) {
            throw new InvalidField("upper", "A or B is required: the member that stands upright or lies above");
        }
        checkUse();
        checkClock();
        checkStretches();
        notNegative("offsetMax", offsetMax);
        return new Joint(this);
    }

    void checkFillet() {
        if (size == null && throat == null) {
            throw new InvalidField("size", "a fillet needs its size or its throat, as drawn");
        }
        if (size != null && throat != null) {
            throw new InvalidField("throat", "a fillet is drawn by its size or by its throat, not both");
        }
        positive("size", size);
        positive("throat", throat);
        if (size != null && !dihedral.isSquare() && sizeMeans == null) {
            throw new InvalidField(
                    "sizeMeans",
                    "members that meet at " + dihedral + " need what the size means: " + Named.list(LegMeaning.class));
        }
        if (throat != null && sizeMeans != null) {
            throw new InvalidField("sizeMeans", "goes with a size; this fillet is drawn by its throat");
        }
        forbid("penetration", penetration != null, "a fillet");
        forbid("groove", groove != null, "a fillet");
        forbid("backing", backing != null, "a fillet");
    }

    void checkGroove() {
        if (penetration == null) {
            throw new InvalidField("penetration", "a groove needs its penetration: cjp or pjp");
        }
        forbid("size", size != null, "a groove");
        forbid("sizeMeans", sizeMeans != null, "a groove");
        forbid("testPiece", testPiece != null, "a groove");
        forbid("throat", throat != null && penetration == Penetration.COMPLETE, "a groove of complete penetration");
        positive("throat", throat);
    }

    private void checkClock() {
        if (clock == null) {
            return;
        }
        if (!closed) {
            throw new InvalidField("clock", "goes with a weld that runs all around: closed");
        }
        if (ClockFace.minutes(clock.datum()).isEmpty()) {
            throw new InvalidField(
                    "clock.datum", "a time of the clock is required, as 12:00, got \"" + clock.datum() + "\"");
        }
        clock.diameter().ifPresent(d -> positive("clock.diameter", d));
        if (clock.turned() && position != null && position.isFixedPipe()) {
            throw new InvalidField(
                    "clock.turned", "a pipe in " + position.id() + " stands still; turned it is 1G, 2F or 4F");
        }
    }

    void checkUse() {
        boolean girder = use == Use.WEB_TO_FLANGE;
        together("flangeWidth", flangeWidth != null, girder, "use web-to-flange");
        together("girderEnds", girderEnds != null, girder, "use web-to-flange");
        positive("flangeWidth", flangeWidth);
    }

    void checkStretches() {
        TreeMap<Length, Span> straight = new TreeMap<>(); // by where each begins
        for (int i = 0; i < segments.size(); i++) {
            Span s = segments.get(i);
            String path = "segments[" + i + "]";
            checkStretch(path, s, "a welded segment");
            for (Span part : new Ruler(length, closed).straight(s)) {
                var before = straight.floorEntry(part.from());
                var after = straight.ceilingEntry(part.from());
                boolean overlaps = before != null && before.getValue().to().isOver(part.from())
                        || after != null && after.getKey().isUnder(part.to());
                if (overlaps) {
                    throw new InvalidField(path, s.shown() + " overlaps another segment");
                }
                straight.put(part.from(), part);
            }
        }
        notNegative("rootOpening", rootOpening);
        if (rootOpening != null && gapsGiven) {
            throw new InvalidField("gaps", "give one rootOpening for the whole weld, or gaps, not both");
        }
        for (int i = 0; i < gaps.size(); i++) {
            checkStretch("gaps[" + i + "]", gaps.get(i).span(), "a gap");
            notNegative("gaps[" + i + "].opening", gaps.get(i).opening());
        }
    }

    void checkStretch(String path, Span span, String what) {
        Joint.checkWithin(path, span, length, closed);
        if (span.from().compareTo(span.to()) == 0) {
            throw new InvalidField(path, what + " has a length, got " + span.shown());
        }
    }

    static void positive(String field, Length value) {
        if (value != null && !value.isPositive()) {
            throw new InvalidField(field, "must be over zero, got " + value);
        }
    }

    static void notNegative(String field, Length value) {
        if (value != null && value.isNegative()) {
            throw new InvalidField(field, "cannot be below zero, got " + value);
        }
    }

    static void forbid(String field, boolean given, String kind) {
        if (given) {
            throw new InvalidField(field, kind + " has no such field");
        }
    }

    static void together(String field, boolean given, boolean wanted, String with) {
        if (given != wanted) {
            throw new InvalidField(field, wanted ? "is needed with " + with : "goes only with " + with);
        }
    }
}
