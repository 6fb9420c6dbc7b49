package mensor.server.inspection;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import mensor.length.Unit;
import mensor.server.joint.StoredJoint;
import mensor.weld.Joint;
import mensor.weld.Named;

/** The joint of a weld that stands in no job: what a job would say of it is absent. */
record MadeUpJoint(MadeUpWeld weld, Joint joint) implements StoredJoint {
    private static final String NOTHING = "{}";

    @Override
    public UUID id() {
        return weld.id();
    }

    @Override
    public UUID jobId() {
        throw new IllegalStateException("it stands in no job");
    }

    @Override
    public String lot() {
        return "";
    }

    @Override
    public String criteria() {
        return weld.criteria();
    }

    @Override
    public String units() {
        return weld.unit().symbol();
    }

    @Override
    public Unit unit() {
        return weld.unit();
    }

    @Override
    public String mark() {
        return weld.mark();
    }

    @Override
    public String weldNo() {
        return null;
    }

    @Override
    public String side() {
        return null;
    }

    @Override
    public String welder() {
        return null;
    }

    @Override
    public Optional<Instant> readyAt() {
        return Optional.empty();
    }

    @Override
    public UUID procedureId() {
        return null;
    }

    @Override
    public String drawing() {
        return null;
    }

    @Override
    public String drawingRev() {
        return null;
    }

    @Override
    public Instant weldedAt() {
        return null;
    }

    @Override
    public String design() {
        return "";
    }

    @Override
    public String asFitted() {
        return weld.joint();
    }

    @Override
    public String wps() {
        return null;
    }

    @Override
    public String inWords() {
        return joint.inWords();
    }

    @Override
    public String position() {
        return joint.position().map(Named::id).orElse(null);
    }

    @Override
    public String document() {
        return weld.joint();
    }

    @Override
    public String welding() {
        return NOTHING;
    }

    @Override
    public long version() {
        return weld.version();
    }
}
