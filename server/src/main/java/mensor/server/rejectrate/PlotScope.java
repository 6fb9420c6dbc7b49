package mensor.server.rejectrate;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import mensor.server.web.Refusal;
import org.jspecify.annotations.Nullable;

/** Which welds the plots tell of; what is absent does not narrow them. Days are those of UTC, the last one is in it. */
public record PlotScope(
        @Nullable UUID job,
        @Nullable String welder,
        @Nullable String procedure,
        @Nullable LocalDate from,
        @Nullable LocalDate to) {

    public PlotScope {
        welder = blank(welder);
        procedure = blank(procedure);
        if (from != null && to != null && to.isBefore(from)) {
            throw Refusal.invalid("to", "the last day lies before the first");
        }
    }

    private static String blank(String s) {
        return s == null || s.isBlank() ? null : s.strip();
    }

    /** Of a table {@code t} with welder and procedure, beside its joint {@code j}. */
    String where(String t, String procedureColumn, String at) {
        return (job == null ? "" : " and j.job_id = :job")
                + (welder == null ? "" : " and " + t + ".welder = :welder")
                + (procedure == null ? "" : " and " + t + "." + procedureColumn + " = :procedure")
                + (from == null ? "" : " and " + at + " >= :from")
                + (to == null ? "" : " and " + at + " < :to");
    }

    /** A new map each time: what a query asks besides is put to it. */
    Map<String, Object> values() {
        Map<String, Object> values = new HashMap<>();
        put(values, "job", job);
        put(values, "welder", welder);
        put(values, "procedure", procedure);
        put(values, "from", from == null ? null : start(from));
        put(values, "to", to == null ? null : start(to.plusDays(1)));
        return values;
    }

    private static void put(Map<String, Object> values, String name, Object value) {
        if (value != null) {
            values.put(name, value);
        }
    }

    private static OffsetDateTime start(LocalDate day) {
        return day.atStartOfDay().atOffset(ZoneOffset.UTC);
    }

    /** Whether nothing narrows it: what stands in no job counts too. */
    boolean isAll() {
        return job == null && welder == null && procedure == null && from == null && to == null;
    }
}
