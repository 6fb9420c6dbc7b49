package mensor.server.gauge;

import java.time.LocalDate;
import mensor.server.web.AllOptional;

/** A gauge as it is registered; division and range are lengths, inches where no unit is said. */
@AllOptional
public record GaugeForm(
        String name, String kind, String division, String range, String serial, LocalDate due, LocalDate foundOut) {}
