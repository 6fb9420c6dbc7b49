package mensor.server.scan;

/** Which version of Mensor this is: what was measured says by which. */
final class MensorVersion {
    static final String OF_THIS = "Mensor "
            + (MensorVersion.class.getPackage().getImplementationVersion() == null
                    ? "0.1.0"
                    : MensorVersion.class.getPackage().getImplementationVersion());

    private MensorVersion() {}
}
