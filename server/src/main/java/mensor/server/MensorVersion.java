package mensor.server;

/** Which version of Mensor this is: what was measured or signed says by which. */
public final class MensorVersion {
    public static final String OF_THIS = "Mensor "
            + (MensorVersion.class.getPackage().getImplementationVersion() == null
                    ? "0.1.0"
                    : MensorVersion.class.getPackage().getImplementationVersion());

    private MensorVersion() {}
}
