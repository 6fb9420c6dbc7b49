package mensor.server.procedure;

import java.util.Map;
import java.util.UUID;

/** How many joints were set up with procedures; answered by the joints' room. */
public interface ProcedureUse {
    Map<UUID, Long> byProcedure();

    long of(UUID procedure);
}
