package mensor.exchange;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import mensor.length.Span;
import mensor.weld.ClockDirection;
import mensor.weld.ClockFace;
import mensor.weld.Connection;
import mensor.weld.Corner;
import mensor.weld.Dihedral;
import mensor.weld.FilletTestPiece;
import mensor.weld.Gap;
import mensor.weld.GirderEnds;
import mensor.weld.Groove;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.LegMeaning;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Position;
import mensor.weld.Side;
import mensor.weld.Toe;
import mensor.weld.Use;
import mensor.weld.WeldType;

/** Reads the joint of a document: what was to be made. */
final class JointReader {
    private JointReader() {}

    /** Gaps and welded stretches may be given by the joint's own clock. */
    static Joint joint(Fields given) {
        return read(clockFace(given.with(given.unit())).map(given::with).orElse(given));
    }

    private static Optional<ClockFace> clockFace(Fields f) {
        return f.object("clock")
                .map(JointReader::clock)
                .flatMap(c -> ClockFace.minutes(c.datum())
                        .flatMap(minutes -> f.positive("length")
                                .map(l -> new ClockFace(l, minutes, c.clockwise(), c.diameter(), c.turned()))));
    }

    private static Joint read(Fields f) {
        JointBuilder b = new JointBuilder(
                f.requiredText("mark"),
                f.requiredWord("weld", WeldType.class),
                f.requiredWord("connection", Connection.class),
                f.requiredPositive("length"));
        f.text("weldNo").ifPresent(b::weldNo);
        f.word("side", Side.class).ifPresent(b::side);
        f.text("datum").ifPresent(b::datum);
        f.word("corner", Corner.class).ifPresent(b::corner);
        f.bool("closed").ifPresent(b::closed);
        f.object("clock").ifPresent(c -> b.clock(clock(c)));
        if (f.has("segments")) {
            List<Span> segments = f.objects("segments", (at, s) -> {
                Span span = s.stretch();
                s.end();
                return span;
            });
            if (segments.isEmpty()) {
                throw f.error("segments", "is empty; leave it out for a continuous weld");
            }
            b.segments(segments);
        }
        b.members(f.requiredObjects("members", (at, m) -> {
                    var member = new Member(m.text("name").orElse(""), m.requiredPositive("thickness"));
                    m.end();
                    return member;
                })
                .toArray(Member[]::new));
        f.length("size").ifPresent(b::size);
        f.length("throat").ifPresent(b::throat);
        f.word("sizeMeans", LegMeaning.class).ifPresent(b::sizeMeans);
        f.number("dihedral").ifPresent(d -> b.dihedral(dihedral(f, d)));
        f.word("legs", LegMeaning.class).ifPresent(b::legs);
        f.word("penetration", Penetration.class).ifPresent(b::penetration);
        f.object("groove").ifPresent(g -> b.groove(groove(g)));
        f.bool("backing").ifPresent(b::backing);
        f.length("rootOpening").ifPresent(b::rootOpening);
        if (f.has("gaps")) {
            b.gaps(f.objects("gaps", (at, g) -> {
                var gap = new Gap(g.stretch(), g.requiredLength("opening"));
                g.end();
                return gap;
            }));
        }
        f.bool("primary").ifPresent(b::primary);
        f.bool("transverseTension").ifPresent(b::transverseTension);
        f.word("use", Use.class).ifPresent(b::use);
        f.length("flangeWidth").ifPresent(b::flangeWidth);
        f.word("girderEnds", GirderEnds.class).ifPresent(b::girderEnds);
        f.text("grade").ifPresent(b::grade);
        f.bool("delayed").ifPresent(b::delayed);
        f.bool("flush").ifPresent(b::flush);
        f.bool("faying").ifPresent(b::faying);
        f.bool("oneSided").ifPresent(b::oneSided);
        f.length("offsetMax").ifPresent(b::offsetMax);
        f.word("position", Position.class).ifPresent(b::position);
        f.word("testPiece", FilletTestPiece.class).ifPresent(b::testPiece);
        f.word("upper", Toe.class).ifPresent(b::upper);
        f.end();
        try {
            return b.build();
        } catch (InvalidField e) {
            throw f.error(e.field(), e.problem());
        }
    }

    private static JointBuilder.Clock clock(Fields c) {
        JointBuilder.Clock clock = new JointBuilder.Clock(
                c.positive("diameter"),
                c.text("datum").orElse("12:00"),
                c.word("direction", ClockDirection.class)
                        .map(d -> d == ClockDirection.CLOCKWISE)
                        .orElse(true),
                c.bool("turned").orElse(false));
        c.end();
        return clock;
    }

    private static Dihedral dihedral(Fields f, BigDecimal degrees) {
        try {
            return new Dihedral(degrees);
        } catch (InvalidField e) {
            throw f.error(e.field(), e.problem());
        }
    }

    private static Groove groove(Fields g) {
        var groove = new Groove(
                g.text("prep"),
                g.number("includedAngle").map(BigDecimal::doubleValue),
                g.depth("rootFace"),
                g.depth("rootOpening"));
        groove.includedAngle().filter(a -> a < 0 || a >= 180).ifPresent(a -> {
            throw g.error("includedAngle", "0 to under 180 degrees are required, got " + a);
        });
        g.end();
        return groove;
    }
}
