package mensor.server.joint;

import java.time.Instant;
import java.util.UUID;

/** A joint of a delayed steel whose wait after welding has ended. */
public record WaitOver(UUID joint, String mark, Instant ended) {}
