package mensor.cause;

import mensor.inspection.ArcStrike;
import mensor.inspection.BaseMetalDamage;
import mensor.inspection.BurnThrough;
import mensor.inspection.Crack;
import mensor.inspection.CrackPlace;
import mensor.inspection.Crater;
import mensor.inspection.DamageKind;
import mensor.inspection.DrawingFault;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.MeltThrough;
import mensor.inspection.Misalignment;
import mensor.inspection.NotAsDrawn;
import mensor.inspection.Overlap;
import mensor.inspection.PoorRestart;
import mensor.inspection.Porosity;
import mensor.inspection.RootConcavity;
import mensor.inspection.ShortWeld;
import mensor.inspection.Slag;
import mensor.inspection.Spatter;
import mensor.inspection.Undercut;
import mensor.inspection.Underfill;
import mensor.inspection.Undersize;
import mensor.weld.Toe;

/** The trouble that an indication is, in the shop's terms; of some kinds it depends on where they lie. */
final class SituationOf implements Indication.Cases<Situation> {
    private final FactCollection gathering;

    SituationOf(FactCollection gathering) {
        this.gathering = gathering;
    }

    private boolean isAtARestart(Indication i) {
        return gathering.atTheEnd(i.span()) || gathering.atAStartOrStop(i.span());
    }

    /** How it runs is said, or not known: the place it was recorded at does not tell. */
    @Override
    public Situation crack(Crack c) {
        return switch (c.where().orElse(CrackPlace.WELD)) {
            case CRATER -> Situation.CRACK_CRATER;
            case TOE, BASE -> Situation.CRACK_TOE;
            case WELD ->
                c.orientation()
                        .map(o -> switch (o) {
                            case ALONG -> Situation.CRACK_ALONG;
                            case ACROSS -> Situation.CRACK_ACROSS;
                            case STAR -> Situation.CRACK_CRATER;
                        })
                        .orElse(Situation.CRACK_UNSAID);
        };
    }

    @Override
    public Situation incompleteFusion(IncompleteFusion i) {
        return Situation.FUSION;
    }

    @Override
    public Situation overlap(Overlap i) {
        return Situation.OVERLAP;
    }

    @Override
    public Situation undercut(Undercut u) {
        if (gathering.bothToesUndercut() || gathering.vertical()) {
            return Situation.UNDERCUT_BOTH;
        }
        boolean lower = gathering.upperToe().filter(upper -> upper != u.toe()).isPresent() && u.toe() != Toe.ROOT;
        return lower ? Situation.UNDERCUT_LOWER : Situation.UNDERCUT_UPPER;
    }

    @Override
    public Situation undersize(Undersize i) {
        return Situation.UNDERSIZE;
    }

    @Override
    public Situation porosity(Porosity i) {
        return isAtARestart(i) ? Situation.POROSITY_AT_START : Situation.POROSITY;
    }

    @Override
    public Situation crater(Crater i) {
        return Situation.CRATER;
    }

    @Override
    public Situation arcStrike(ArcStrike i) {
        return Situation.ARC_STRIKE;
    }

    @Override
    public Situation slag(Slag i) {
        return Situation.SLAG;
    }

    @Override
    public Situation spatter(Spatter i) {
        return Situation.SPATTER;
    }

    @Override
    public Situation underfill(Underfill i) {
        return Situation.UNDERFILL;
    }

    @Override
    public Situation incompletePenetration(IncompletePenetration i) {
        return Situation.PENETRATION;
    }

    @Override
    public Situation meltThrough(MeltThrough i) {
        return Situation.BURN_THROUGH;
    }

    @Override
    public Situation rootConcavity(RootConcavity i) {
        return gathering.atAStartOrStop(i.span()) ? Situation.RESTART_HOLE : Situation.ROOT_CONCAVE;
    }

    @Override
    public Situation burnThrough(BurnThrough i) {
        return gathering.atAStartOrStop(i.span()) ? Situation.RESTART_HOLE : Situation.BURN_THROUGH;
    }

    @Override
    public Situation misalignment(Misalignment i) {
        return Situation.MISALIGNED;
    }

    @Override
    public Situation poorRestart(PoorRestart i) {
        return Situation.TIE_IN;
    }

    @Override
    public Situation shortWeld(ShortWeld i) {
        return Situation.SHORT;
    }

    @Override
    public Situation notAsDrawn(NotAsDrawn i) {
        return i.what() == DrawingFault.MISSING_RETURN ? Situation.NOT_WRAPPED : Situation.NOT_AS_DRAWN;
    }

    @Override
    public Situation baseMetalDamage(BaseMetalDamage i) {
        return i.what() == DamageKind.OVER_GRINDING ? Situation.OVER_GROUND : Situation.BASE_METAL;
    }
}
