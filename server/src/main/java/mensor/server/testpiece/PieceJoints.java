package mensor.server.testpiece;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.server.inspection.NewInspections;
import mensor.server.joint.JointForm;
import mensor.server.joint.Joints;
import mensor.server.joint.NewJoint;
import mensor.server.joint.SetUp;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import mensor.server.welding.WeldingRecords;
import mensor.testpiece.PieceKind;
import mensor.testpiece.PieceSetting;
import mensor.testpiece.Purpose;
import mensor.weld.Joint;
import mensor.weld.Named;
import mensor.weld.Position;
import org.springframework.stereotype.Component;

/** Sets a test piece up as a weld at the bench, in a job of its own that is judged as a welder's test. */
@Component
class PieceJoints {
    static final String BOOK = "d1.1-welder-test";

    private final SetUp setUp;
    private final NewInspections beginnings;
    private final Joints joints;
    private final WeldingRecords bench;

    PieceJoints(SetUp setUp, NewInspections beginnings, Joints joints, WeldingRecords bench) {
        this.setUp = setUp;
        this.beginnings = beginnings;
        this.joints = joints;
        this.bench = bench;
    }

    /** @throws Refusal naming what the piece does not say yet */
    StoredJoint make(Actor actor, PieceForm piece) {
        StoredJoint joint = setUp.create(actor, weld(piece));
        beginnings.begin(joint);
        return joint;
    }

    /** The joint of a piece that stays without a weld at the bench; empty where the piece does not say enough for one. */
    Optional<Joint> asJoint(PieceForm piece) {
        try {
            return Optional.ofNullable(
                    setUp.check(weld(piece), Optional.empty(), Optional.empty()).joint());
        } catch (Refusal e) {
            return Optional.empty();
        }
    }

    private NewJoint weld(PieceForm piece) {
        Map<PieceSetting, String> said = piece.settingsRead();
        PieceKind kind = piece.kindRead();
        if (!kind.joins()) {
            throw Refusal.conflict("a " + kind.title().toLowerCase(java.util.Locale.ROOT)
                    + " joins nothing: no code judges it; a drill's aims do");
        }
        boolean pipe = kind == PieceKind.PIPE || kind == PieceKind.TUBE_TO_PLATE;
        Unit unit = piece.unit();
        String length = pipe
                ? around(Length.parse(wanted(said, PieceSetting.OUTSIDE), unit))
                : wanted(said, PieceSetting.LENGTH);
        boolean groove = kind == PieceKind.GROOVE_PLATE || kind == PieceKind.PIPE;
        String thickness = wanted(said, PieceSetting.THICKNESS);
        return new NewJoint(
                "Test pieces (" + unit.symbol() + ")",
                piece.welder(),
                BOOK,
                unit.symbol(),
                piece.welder(),
                null,
                null,
                null,
                null,
                joint(piece, said, groove, pipe, length, thickness));
    }

    /** What a weld at the bench says of its piece. */
    PieceForm read(UUID jointId, LocalDate today) {
        StoredJoint joint = joints.get(jointId);
        if (joint.welder() == null) {
            throw Refusal.conflict("nobody said who welded it: name the welder at set-up");
        }
        Joint weld = bench.open(joint).asFitted();
        Map<String, String> said = new LinkedHashMap<>();
        weld.position().ifPresent(p -> said.put(PieceSetting.POSITION.id(), p.id()));
        said.put(PieceSetting.THICKNESS.id(), weld.thinner().thickness().shown());
        said.put(PieceSetting.LENGTH.id(), weld.length().shown());
        weld.size().ifPresent(s -> said.put(PieceSetting.SIZE.id(), s.shown()));
        weld.backing().ifPresent(b -> said.put(PieceSetting.BACKING.id(), b ? "yes" : "no"));
        return new PieceForm(
                joint.mark(),
                kind(weld).id(),
                Purpose.QUALIFICATION.id(),
                joint.welder(),
                null,
                today,
                joint.units(),
                said,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
    }

    private static PieceKind kind(Joint weld) {
        return switch (weld.connection()) {
            case BUTT -> PieceKind.GROOVE_PLATE;
            case PIPE_BUTT -> PieceKind.PIPE;
            case TEE -> PieceKind.FILLET_TEE;
            case LAP -> PieceKind.LAP;
            case CORNER -> PieceKind.CORNER;
            case TUBE_TO_PLATE -> PieceKind.TUBE_TO_PLATE;
        };
    }

    private static JointForm joint(
            PieceForm piece,
            Map<PieceSetting, String> said,
            boolean groove,
            boolean pipe,
            String length,
            String thickness) {
        List<JointForm.MemberForm> members = List.of(
                new JointForm.MemberForm(groove ? "A" : "stem", thickness),
                new JointForm.MemberForm(groove ? "B" : "base", thickness));
        boolean tube = piece.kindRead() == PieceKind.TUBE_TO_PLATE;
        boolean backed = said.getOrDefault(PieceSetting.BACKING, "").matches("(?i)yes|with.*|bar|strip|true");
        return new JointForm(
                piece.number(),
                "1",
                null,
                null,
                groove ? "groove" : "fillet",
                connection(piece.kindRead()),
                piece.kindRead() == PieceKind.CORNER ? "outside" : null,
                length,
                pipe ? true : null,
                pipe && !tube
                        ? new JointForm.ClockForm(said.get(PieceSetting.OUTSIDE), "12:00", "clockwise", null)
                        : null,
                null,
                members,
                groove ? null : wanted(said, PieceSetting.SIZE),
                null,
                null,
                groove ? "cjp" : null,
                groove ? prepared(said) : null,
                groove ? backed : null,
                null,
                null,
                null,
                null,
                groove ? null : said.get(PieceSetting.GAP),
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                groove ? !backed : null,
                groove ? null : "A",
                null,
                position(said),
                null);
    }

    private static JointForm.GrooveForm prepared(Map<PieceSetting, String> said) {
        String bevel = said.get(PieceSetting.BEVEL);
        return new JointForm.GrooveForm(
                bevel == null ? "square" : "V",
                bevel == null ? null : new BigDecimal(bevel.strip()),
                said.get(PieceSetting.LAND),
                said.get(PieceSetting.GAP));
    }

    private static String connection(PieceKind kind) {
        return switch (kind) {
            case GROOVE_PLATE -> "butt";
            case PIPE -> "pipe-butt";
            case FILLET_TEE, T_STACK -> "tee";
            case TUBE_TO_PLATE -> "tube-to-plate";
            case LAP -> "lap";
            case CORNER -> "corner";
            case PAD, BEAD -> throw new IllegalArgumentException(kind.id());
        };
    }

    /** A practice position that no code knows stays with the piece. */
    private static String position(Map<PieceSetting, String> said) {
        String p = said.get(PieceSetting.POSITION);
        return p == null
                ? null
                : Named.find(Position.class, p.strip()).map(Position::id).orElse(null);
    }

    private static String around(Length outside) {
        double mm = outside.approximateNanometres() / 1e6 * Math.PI;
        return outside.unit()
                .pick(
                        Length.inches((int) Math.round(mm / 25.4 * 16), 16),
                        Length.millimetres(String.valueOf(Math.round(mm))))
                .shown();
    }

    private static String wanted(Map<PieceSetting, String> said, PieceSetting setting) {
        String value = said.get(setting);
        if (value == null) {
            throw Refusal.invalid("settings." + setting.id(), "the bench wants the " + setting.title());
        }
        return value;
    }
}
