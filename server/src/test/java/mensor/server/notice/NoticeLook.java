package mensor.server.notice;

/** Looks for what must be told at once, as the clock does now and then. */
public final class NoticeLook {
    private NoticeLook() {}

    /** @param sweep the application's */
    public static void now(Object sweep) {
        ((NoticeSweep) sweep).often();
        ((NoticeSweep) sweep).hourly();
    }

    public static Class<?> sweep() {
        return NoticeSweep.class;
    }
}
