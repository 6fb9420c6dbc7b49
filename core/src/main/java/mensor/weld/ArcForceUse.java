package mensor.weld;

import java.util.Optional;

/**
 * How much arc force a rod runs on, in percent of the machine's scale: low-hydrogen rods about 20–30, cellulosic ones 50–70 (common
 * practice, no source).
 *
 * @param little up to here it digs at nothing
 * @param much over this it digs
 */
public record ArcForceUse(String words, double least, double little, double much) {
    private static final ArcForceUse LOW_HYDROGEN = new ArcForceUse("low-hydrogen rods run on 20–30", 0, 30, 40);
    private static final ArcForceUse CELLULOSIC = new ArcForceUse("cellulosic rods run on 50–70", 40, 50, 75);

    /** Of a pass over the root nothing is left to dig through: a cellulosic rod runs on less. */
    private static final ArcForceUse CELLULOSIC_FILLED =
            new ArcForceUse("cellulosic rods run on 50–70 in an open root, on less in a filled pass", 20, 35, 50);

    /** @param kind of the pass, where it is known: an open root is driven harder than what is filled over it */
    public static ArcForceUse of(Optional<String> electrode, Optional<PassKind> kind) {
        ArcForceUse use = of(electrode);
        boolean filled =
                kind.filter(k -> k == PassKind.FILL || k == PassKind.CAP).isPresent();
        return use == CELLULOSIC && filled ? CELLULOSIC_FILLED : use;
    }

    public static ArcForceUse of(Optional<String> electrode) {
        return electrode.flatMap(RodTable::isLowHydrogen).orElse(false) ? LOW_HYDROGEN : CELLULOSIC;
    }

    public boolean isUnusual(double percent) {
        return percent < least || percent > much;
    }
}
