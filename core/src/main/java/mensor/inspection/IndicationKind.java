package mensor.inspection;

import static mensor.inspection.IndicationField.Shape.COUNT;
import static mensor.inspection.IndicationField.Shape.DEPTH;
import static mensor.inspection.IndicationField.Shape.EXTENT;
import static mensor.inspection.IndicationField.Shape.SIZE;
import static mensor.inspection.IndicationField.Shape.TOE;
import static mensor.inspection.IndicationField.Shape.TOE_OR_ROOT;
import static mensor.inspection.IndicationField.flag;
import static mensor.inspection.IndicationField.may;
import static mensor.inspection.IndicationField.need;
import static mensor.inspection.IndicationField.no;
import static mensor.inspection.IndicationField.word;
import static mensor.inspection.IndicationField.yes;

import java.util.List;
import java.util.function.Function;
import mensor.weld.Named;

/**
 * The kinds of indication, one description each: the file's reader and writer, the entry line, the strip and the browser's
 * form are made from it. Listed in the order in which forms and handbooks show them.
 */
public enum IndicationKind implements Named, Judgeable {
    UNDERCUT(
            "undercut",
            "Undercut",
            Placement.STRETCH,
            new Drawing(Lane.TOE, Shape.NOTCH),
            "undercut uc",
            "uc a 12-14 1/32",
            v -> new Undercut(v.toe(), v.place(), v.length("depth"), v.division()),
            need(TOE_OR_ROOT, "toe", "Toe"),
            need(DEPTH, "depth", "Depth")),
    POROSITY(
            "porosity",
            "Pore",
            Placement.AT_OR_STRETCH,
            new Drawing(Lane.FACE, Shape.PORES),
            "pore po porosity",
            "pore 7.5 1/16 x3",
            v -> new Porosity(v.place(), v.length("diameter"), v.count("count"), v.division()),
            need(DEPTH, "diameter", "Diameter"),
            may(COUNT, "count", "How many")),
    CRACK(
            "crack",
            "Crack",
            Placement.AT_OR_STRETCH,
            new Drawing(Lane.FACE, Shape.CRACK),
            "crack ck",
            "crack 18 crater",
            v -> new Crack(v.place(), v.word("where", CrackPlace.class), v.word("orientation", CrackOrientation.class)),
            word("where", "Where", false, CrackPlace.class),
            word("orientation", "Runs", false, CrackOrientation.class)),
    INCOMPLETE_FUSION(
            "incomplete-fusion",
            "Incomplete fusion",
            Placement.STRETCH,
            new Drawing(Lane.FACE, Shape.BOX),
            "fusion if",
            "fusion 10-11",
            v -> new IncompleteFusion(v.place())),
    OVERLAP(
            "overlap",
            "Overlap",
            Placement.STRETCH,
            new Drawing(Lane.TOE, Shape.ROLL),
            "overlap ol",
            "ol b 4-6",
            v -> new Overlap(v.toe(), v.place(), v.optionalLength("depth"), v.division()),
            need(TOE, "toe", "Toe"),
            may(DEPTH, "depth", "Laps by")),
    UNDERSIZE(
            "undersize",
            "Undersize",
            Placement.STRETCH,
            new Drawing(Lane.SIZE, Shape.BOX),
            "undersize us",
            "us 12-14 9/32",
            v -> new Undersize(v.place(), v.length("least")),
            need(SIZE, "least", "Least size")),
    UNDERFILL(
            "underfill",
            "Underfill",
            Placement.STRETCH,
            new Drawing(Lane.FACE, Shape.BOX),
            "underfill uf",
            "underfill 4-5 1/32",
            v -> new Underfill(v.place(), v.optionalLength("depth"), v.division()),
            may(DEPTH, "depth", "Depth")),
    CRATER(
            "crater",
            "Crater",
            Placement.AT,
            new Drawing(Lane.FACE, Shape.RING),
            "crater cr",
            "crater 24 1/32",
            v -> new Crater(v.place().from(), v.optionalLength("depth"), v.division()),
            may(DEPTH, "depth", "Depth below the section")),
    SLAG(
            "slag",
            "Slag",
            Placement.STRETCH,
            new Drawing(Lane.FACE, Shape.HATCH),
            "slag sl",
            "slag 20-21 trapped",
            v -> new Slag(v.place(), v.flag("trapped")),
            flag("trapped", "Slag is", yes("trapped"), no("covering"))),
    SPATTER(
            "spatter",
            "Spatter",
            Placement.STRETCH,
            new Drawing(Lane.FACE, Shape.DOTS),
            "spatter sp",
            "spatter 0-36 tight",
            v -> new Spatter(v.place(), v.flag("loose")),
            flag("loose", "Spatter is", no("tight"), yes("loose"))),
    ARC_STRIKE(
            "arc-strike",
            "Arc strike",
            Placement.AT,
            new Drawing(Lane.BESIDE, Shape.STAR),
            "arc as",
            "arc 3 ground mt",
            v -> new ArcStrike(v.place().from(), v.truth("ground"), v.word("checked", CheckMethod.class)),
            flag("ground", "Ground smooth", no("not ground"), yes("ground")),
            word("checked", "Checked by", false, CheckMethod.class)),
    INCOMPLETE_PENETRATION(
            "incomplete-penetration",
            "Incomplete penetration",
            Placement.STRETCH,
            new Drawing(Lane.ROOT, Shape.BOX),
            "penetration ip",
            "ip 4-5 1/32",
            v -> new IncompletePenetration(v.place(), v.optionalLength("depth"), v.division()),
            may(DEPTH, "depth", "Depth")),
    MELT_THROUGH(
            "melt-through",
            "Melt-through",
            Placement.STRETCH,
            new Drawing(Lane.ROOT, Shape.BOX),
            "melt mt",
            "melt 4-5 1/16",
            v -> new MeltThrough(v.place(), v.length("depth"), v.division()),
            need(DEPTH, "depth", "Height")),
    ROOT_CONCAVITY(
            "root-concavity",
            "Root concavity",
            Placement.STRETCH,
            new Drawing(Lane.ROOT, Shape.BOX),
            "concave-root hollow ho",
            "concave-root 4-5 1/32",
            v -> new RootConcavity(v.place(), v.length("depth"), v.division()),
            need(DEPTH, "depth", "Depth")),
    BURN_THROUGH(
            "burn-through",
            "Burn-through",
            Placement.AT,
            new Drawing(Lane.ROOT, Shape.BOX),
            "burn bt",
            "burn 7",
            v -> new BurnThrough(v.place().from())),
    MISALIGNMENT(
            "misalignment",
            "Offset",
            Placement.STRETCH,
            new Drawing(Lane.FACE, Shape.BOX),
            "offset of misalignment",
            "offset 0-12 1/16",
            v -> new Misalignment(v.place(), v.length("offset"), v.division()),
            need(DEPTH, "offset", "Offset")),
    POOR_RESTART(
            "poor-restart",
            "Poor restart",
            Placement.AT_OR_STRETCH,
            new Drawing(Lane.FACE, Shape.BOX),
            "restart rs",
            "restart 12 high 1/16",
            v -> new PoorRestart(v.place(), v.optionalLength("height"), v.optionalLength("depth"), v.division()),
            may(DEPTH, "height", "High"),
            may(DEPTH, "depth", "Deep")),
    SHORT_WELD(
            "short-weld",
            "Weld too short",
            Placement.NONE,
            new Drawing(Lane.FACE, Shape.BOX),
            "short",
            "short 1-1/2",
            v -> new ShortWeld(v.length("missing")),
            need(EXTENT, "missing", "Missing")),
    NOT_AS_DRAWN(
            "not-as-drawn",
            "Not as drawn",
            Placement.AT_OR_NONE,
            new Drawing(Lane.BESIDE, Shape.STAR),
            "drawing nd",
            "drawing 24 tab-left",
            v -> new NotAsDrawn(
                    v.word("what", DrawingFault.class).orElseThrow(), v.span().map(s -> s.from())),
            word("what", "What", true, DrawingFault.class)),
    BASE_METAL_DAMAGE(
            "base-metal-damage",
            "Base metal damage",
            Placement.STRETCH_BESIDE,
            new Drawing(Lane.BESIDE, Shape.BOX),
            "base gouge nick",
            "base a 4-5 tear depth 1/16",
            v -> new BaseMetalDamage(
                    v.place(),
                    v.word("what", DamageKind.class).orElseThrow(),
                    v.optionalLength("depth"),
                    v.optionalLength("thickness"),
                    v.optionalToe("member"),
                    v.division()),
            word("what", "What", true, DamageKind.class),
            may(DEPTH, "depth", "Depth"),
            may(DEPTH, "thickness", "Thickness left"),
            may(TOE, "member", "Member"));

    /** How a kind says where it lies. */
    public enum Placement {
        AT,
        AT_OR_NONE,
        STRETCH,
        AT_OR_STRETCH,
        /** Beside the weld, also before its datum and past its end. */
        STRETCH_BESIDE,
        NONE
    }

    /** The lane of the strip; of a toe, that toe's. */
    public enum Lane {
        TOE(""),
        FACE("face"),
        ROOT("root"),
        SIZE("size"),
        BESIDE("base");

        private final String id;

        Lane(String id) {
            this.id = id;
        }

        public String id() {
            return id;
        }
    }

    /** How it is drawn on its lane, on the screen and on paper. */
    public enum Shape {
        /** Cut in from the lane's edge, as deep as it is. */
        NOTCH,
        /** Circles, as large as the pores. */
        PORES,
        /** A jagged line. */
        CRACK,
        /** A jagged line from one side of the lane to the other. */
        CRACK_ACROSS,
        /** Jagged lines out from one point. */
        CRACK_STAR,
        /** Metal lapped over the lane's edge. */
        ROLL,
        HATCH,
        DOTS,
        /** A crossed circle. */
        RING,
        STAR,
        /** A dashed box. */
        BOX
    }

    /** Where and how it is drawn on the strip. */
    private record Drawing(Lane lane, Shape shape) {}

    private final String id;
    private final String title;
    private final Placement placement;
    private final Drawing drawing;
    private final List<String> lineWords;
    private final String example;
    private final Function<IndicationValues, Indication> made;
    private final List<IndicationField> fields;

    IndicationKind(
            String id,
            String title,
            Placement placement,
            Drawing drawing,
            String lineWords,
            String example,
            Function<IndicationValues, Indication> made,
            IndicationField... fields) {
        this.id = id;
        this.title = title;
        this.placement = placement;
        this.drawing = drawing;
        this.lineWords = List.of(lineWords.split(" "));
        this.example = example;
        this.made = made;
        this.fields = List.of(fields);
    }

    @Override
    public String id() {
        return id;
    }

    /** For people, in running text: "incomplete fusion". */
    @Override
    public String words() {
        return id.replace('-', ' ');
    }

    /** For people, in forms. */
    public String title() {
        return title;
    }

    public Placement placement() {
        return placement;
    }

    public Lane lane() {
        return drawing.lane();
    }

    public Shape shape() {
        return drawing.shape();
    }

    /** What it is called in the entry line, the word that is shown first. */
    public List<String> lineWords() {
        return lineWords;
    }

    /** A line that records one. */
    public String example() {
        return example;
    }

    /** In the order in which they are asked and written. */
    public List<IndicationField> fields() {
        return fields;
    }

    /** The fields that a gauge reads: with one of them its smallest division may go. */
    public List<IndicationField> measured() {
        return fields.stream().filter(IndicationField::isMeasured).toList();
    }

    /** An indication of this kind out of its values; what is required must be there. */
    public Indication of(IndicationValues values) {
        return made.apply(values);
    }
}
