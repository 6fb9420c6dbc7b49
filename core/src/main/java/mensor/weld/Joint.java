package mensor.weld;

import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.Unit;

/**
 * One weld that was to be made: what the drawing asks and what fit-up left. Built and checked by {@link Builder}; an
 * absent fact ({@code primary}, {@code transverseTension}, {@code delayed}) is unknown, not false.
 */
public final class Joint {
    private final Builder b;
    private final Ruler ruler;
    private Optional<RealLength> nominalThroat;

    private Joint(Builder b) {
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

    public Optional<Boolean> delayed() {
        return Optional.ofNullable(b.delayed);
    }

    public boolean flush() {
        return b.flush;
    }

    public boolean faying() {
        return b.faying;
    }

    public boolean oneSided() {
        return b.oneSided;
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

    /** Gathers a joint's fields, then refuses what cannot be. Lengths along the weld are checked against its length. */
    public static final class Builder {
        private final String mark;
        private final WeldType weld;
        private final Connection connection;
        private final Length length;
        private String weldNo;
        private Side side;
        private String datum;
        private Corner corner;
        private boolean closed;
        private List<Span> segments = List.of();
        private List<Member> members = List.of();
        private Length size;
        private Length throat;
        private LegMeaning sizeMeans;
        private Dihedral dihedral = Dihedral.SQUARE;
        private LegMeaning legs = LegMeaning.CONTACT;
        private Penetration penetration;
        private Groove groove;
        private Boolean backing;
        private Length rootOpening;
        private List<Gap> gaps = List.of();
        private boolean gapsGiven;
        private Boolean primary;
        private Boolean transverseTension;
        private Use use = Use.OTHER;
        private Length flangeWidth;
        private GirderEnds girderEnds;
        private String grade;
        private Boolean delayed;
        private boolean flush;
        private boolean faying;
        private boolean oneSided;
        private Length offsetMax;
        private Position position;
        private FilletTestPiece testPiece;

        public Builder(String mark, WeldType weld, Connection connection, Length length) {
            this.mark = mark;
            this.weld = weld;
            this.connection = connection;
            this.length = length;
        }

        public Builder weldNo(String value) {
            weldNo = value;
            return this;
        }

        public Builder side(Side value) {
            side = value;
            return this;
        }

        public Builder datum(String value) {
            datum = value;
            return this;
        }

        public Builder corner(Corner value) {
            corner = value;
            return this;
        }

        public Builder closed(boolean value) {
            closed = value;
            return this;
        }

        public Builder segments(List<Span> value) {
            segments = List.copyOf(value);
            return this;
        }

        public Builder members(Member... value) {
            members = List.of(value);
            return this;
        }

        public Builder size(Length value) {
            size = value;
            return this;
        }

        public Builder throat(Length value) {
            throat = value;
            return this;
        }

        public Builder sizeMeans(LegMeaning value) {
            sizeMeans = value;
            return this;
        }

        public Builder dihedral(Dihedral value) {
            dihedral = value;
            return this;
        }

        public Builder legs(LegMeaning value) {
            legs = value;
            return this;
        }

        public Builder penetration(Penetration value) {
            penetration = value;
            return this;
        }

        public Builder groove(Groove value) {
            groove = value;
            return this;
        }

        public Builder backing(Boolean value) {
            backing = value;
            return this;
        }

        public Builder rootOpening(Length value) {
            rootOpening = value;
            return this;
        }

        public Builder gaps(List<Gap> value) {
            gaps = List.copyOf(value);
            gapsGiven = true;
            return this;
        }

        public Builder primary(Boolean value) {
            primary = value;
            return this;
        }

        public Builder transverseTension(Boolean value) {
            transverseTension = value;
            return this;
        }

        public Builder use(Use value) {
            use = value;
            return this;
        }

        public Builder flangeWidth(Length value) {
            flangeWidth = value;
            return this;
        }

        public Builder girderEnds(GirderEnds value) {
            girderEnds = value;
            return this;
        }

        public Builder grade(String value) {
            grade = value;
            return this;
        }

        public Builder delayed(Boolean value) {
            delayed = value;
            return this;
        }

        public Builder flush(boolean value) {
            flush = value;
            return this;
        }

        public Builder faying(boolean value) {
            faying = value;
            return this;
        }

        public Builder oneSided(boolean value) {
            oneSided = value;
            return this;
        }

        public Builder offsetMax(Length value) {
            offsetMax = value;
            return this;
        }

        public Builder position(Position value) {
            position = value;
            return this;
        }

        public Builder testPiece(FilletTestPiece value) {
            testPiece = value;
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
            checkUse();
            checkStretches();
            notNegative("offsetMax", offsetMax);
            return new Joint(this);
        }

        private void checkFillet() {
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
                        "members that meet at " + dihedral + " need what the size means: "
                                + Named.list(LegMeaning.class));
            }
            if (throat != null && sizeMeans != null) {
                throw new InvalidField("sizeMeans", "goes with a size; this fillet is drawn by its throat");
            }
            forbid("penetration", penetration != null, "a fillet");
            forbid("groove", groove != null, "a fillet");
            forbid("backing", backing != null, "a fillet");
        }

        private void checkGroove() {
            if (penetration == null) {
                throw new InvalidField("penetration", "a groove needs its penetration: cjp or pjp");
            }
            forbid("size", size != null, "a groove");
            forbid("sizeMeans", sizeMeans != null, "a groove");
            forbid("testPiece", testPiece != null, "a groove");
            forbid("throat", throat != null && penetration == Penetration.COMPLETE, "a groove of complete penetration");
            positive("throat", throat);
        }

        private void checkUse() {
            boolean girder = use == Use.WEB_TO_FLANGE;
            together("flangeWidth", flangeWidth != null, girder, "use web-to-flange");
            together("girderEnds", girderEnds != null, girder, "use web-to-flange");
            positive("flangeWidth", flangeWidth);
        }

        private void checkStretches() {
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

        private void checkStretch(String path, Span span, String what) {
            Joint.checkWithin(path, span, length, closed);
            if (span.from().compareTo(span.to()) == 0) {
                throw new InvalidField(path, what + " has a length, got " + span.shown());
            }
        }

        private static void positive(String field, Length value) {
            if (value != null && !value.isPositive()) {
                throw new InvalidField(field, "must be over zero, got " + value);
            }
        }

        private static void notNegative(String field, Length value) {
            if (value != null && value.isNegative()) {
                throw new InvalidField(field, "cannot be below zero, got " + value);
            }
        }

        private static void forbid(String field, boolean given, String kind) {
            if (given) {
                throw new InvalidField(field, kind + " has no such field");
            }
        }

        private static void together(String field, boolean given, boolean wanted, String with) {
            if (given != wanted) {
                throw new InvalidField(field, wanted ? "is needed with " + with : "goes only with " + with);
            }
        }
    }

    /** Refuses a stretch that does not lie on the weld; only a closed weld may have {@code from} beyond {@code to}. */
    public void checkWithin(String path, Span span) {
        checkWithin(path, span, b.length, b.closed);
    }

    private static void checkWithin(String path, Span span, Length length, boolean closed) {
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
        return made + ", " + b.connection.id() + ", " + b.length.shownWithUnit();
    }
}
