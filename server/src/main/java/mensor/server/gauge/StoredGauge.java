package mensor.server.gauge;

import java.util.UUID;

/** A gauge of the register as it is stored. */
public interface StoredGauge {
    UUID id();

    String name();

    Long version();

    GaugeForm form();
}
