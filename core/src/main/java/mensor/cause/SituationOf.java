package mensor.cause;

import mensor.inspection.CrackPlace;
import mensor.inspection.Indication;
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

    /** A crack recorded at one place lies across the weld, one with a stretch along it. */
    @Override
    public Situation crack(Indication.Crack c) {
        return switch (c.where().orElse(CrackPlace.WELD)) {
            case CRATER -> Situation.CRACK_CRATER;
            case TOE, BASE -> Situation.CRACK_TOE;
            case WELD ->
                c.span().extent().isPositive() || c.span().wraps() ? Situation.CRACK_ALONG : Situation.CRACK_ACROSS;
        };
    }

    @Override
    public Situation incompleteFusion(Indication.IncompleteFusion i) {
        return Situation.FUSION;
    }

    @Override
    public Situation overlap(Indication.Overlap i) {
        return Situation.OVERLAP;
    }

    @Override
    public Situation undercut(Indication.Undercut u) {
        if (gathering.bothToesUndercut() || gathering.vertical()) {
            return Situation.UNDERCUT_BOTH;
        }
        boolean lower = gathering.upperToe().filter(upper -> upper != u.toe()).isPresent() && u.toe() != Toe.ROOT;
        return lower ? Situation.UNDERCUT_LOWER : Situation.UNDERCUT_UPPER;
    }

    @Override
    public Situation undersize(Indication.Undersize i) {
        return Situation.UNDERSIZE;
    }

    @Override
    public Situation porosity(Indication.Porosity i) {
        return isAtARestart(i) ? Situation.POROSITY_AT_START : Situation.POROSITY;
    }

    @Override
    public Situation crater(Indication.Crater i) {
        return Situation.CRATER;
    }

    @Override
    public Situation arcStrike(Indication.ArcStrike i) {
        return Situation.ARC_STRIKE;
    }

    @Override
    public Situation slag(Indication.Slag i) {
        return Situation.SLAG;
    }

    @Override
    public Situation spatter(Indication.Spatter i) {
        return Situation.SPATTER;
    }

    @Override
    public Situation underfill(Indication.Underfill i) {
        return Situation.UNDERFILL;
    }

    @Override
    public Situation incompletePenetration(Indication.IncompletePenetration i) {
        return Situation.PENETRATION;
    }

    @Override
    public Situation meltThrough(Indication.MeltThrough i) {
        return Situation.BURN_THROUGH;
    }

    @Override
    public Situation rootConcavity(Indication.RootConcavity i) {
        return isAtARestart(i) ? Situation.RESTART_HOLE : Situation.UNDERFILL;
    }

    @Override
    public Situation burnThrough(Indication.BurnThrough i) {
        return gathering.atAStartOrStop(i.span()) ? Situation.RESTART_HOLE : Situation.BURN_THROUGH;
    }

    @Override
    public Situation misalignment(Indication.Misalignment i) {
        return Situation.MISALIGNED;
    }

    @Override
    public Situation poorRestart(Indication.PoorRestart i) {
        return Situation.TIE_IN;
    }

    @Override
    public Situation shortWeld(Indication.ShortWeld i) {
        return Situation.SHORT;
    }

    @Override
    public Situation notAsDrawn(Indication.NotAsDrawn i) {
        return Situation.NOT_AS_DRAWN;
    }
}
