package mensor.server.inspection;

import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import mensor.server.record.Signatures;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.JdbcUtils;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Holds what the tables keep of a signed inspection against its record: sums over the rows that it was signed from stand in the
 * record itself, so that a row which somebody altered beside Mensor is found.
 */
@Component
class SignedRows {
    /** What is summed, under which name in the record, and how it is called. */
    private enum Part {
        ENTRIES(
                "entriesSha256",
                "an entry was altered, added or taken out",
                "select sequence, id, kind, content, withdrawn, withdrawn_why, entered_by, entered_at from entry"
                        + " where inspection_id = :inspection order by sequence, id"),
        WELD(
                "weldSha256",
                "the weld's set-up was altered",
                "select j.job_id, j.lot, j.mark, j.weld_no, j.side, j.criteria, j.units, j.document from joint j"
                        + " join inspection i on i.joint_id = j.id where i.id = :inspection"),
        PICTURES(
                "picturesSha256",
                "a picture was altered, added or taken out",
                "select p.id, p.entry_id, p.place, p.sha256, p.withdrawn, f.bytes from photo p"
                        + " join photo_file f on f.sha256 = p.sha256 where p.inspection_id = :inspection order by p.added_at, p.id"),
        CONDITIONS(
                "conditionsSha256",
                "what was said of the conditions, or what was repaired, was altered",
                "select conditions, contract, repaired, reason, amends, follows, cycle from inspection where id = :inspection",
                true);

        private final String field;
        private final String altered;
        private final String rows;
        /** Kept later than the others: a record may be without it, and its own sum, the chain and its seal say that it always was. */
        private final boolean isLater;

        Part(String field, String altered, String rows) {
            this(field, altered, rows, false);
        }

        Part(String field, String altered, String rows, boolean isLater) {
            this.field = field;
            this.altered = altered;
            this.rows = rows;
            this.isLater = isLater;
        }
    }

    private static final char END_OF_VALUE = '\u0000';

    private final JdbcClient jdbc;
    private final JsonMapper json;

    SignedRows(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /** The sums over an inspection's rows as they are stored, by their names in the record. */
    Map<String, String> sums(UUID inspection) {
        Map<String, String> sums = new LinkedHashMap<>();
        for (Part part : Part.values()) {
            sums.put(part.field, sum(part, inspection));
        }
        return sums;
    }

    private String sum(Part part, UUID inspection) {
        StringBuilder rows = new StringBuilder();
        jdbc.sql(part.rows)
                .param("inspection", inspection)
                .query((row, n) -> rows.append(inText(row)))
                .list();
        return Signatures.sha256(rows.toString());
    }

    private static String inText(ResultSet row) throws SQLException {
        StringBuilder text = new StringBuilder();
        ResultSetMetaData columns = row.getMetaData();
        for (int i = 1; i <= columns.getColumnCount(); i++) {
            text.append(inText(row, i)).append(END_OF_VALUE);
        }
        return text.append('\n').toString();
    }

    private static String inText(ResultSet row, int column) throws SQLException {
        Object value = JdbcUtils.getResultSetValue(row, column); // a long text as text, a picture as bytes
        if (value instanceof byte[] bytes) {
            return Signatures.sha256(bytes);
        }
        if (value instanceof OffsetDateTime
                || value instanceof Timestamp) { // as one database or the other gives a moment
            return row.getObject(column, OffsetDateTime.class).toInstant().toString();
        }
        return String.valueOf(value);
    }

    /** The first signed inspection of a job whose rows are not what was signed, and what of them; empty where all are. */
    Optional<String> fault(UUID job) {
        List<Map<String, Object>> signed = jdbc.sql(
                        "select s.inspection_id, s.place, s.canonical, s.verdict, s.signed_name, s.certificate, s.capacity,"
                                + " s.signed_at, s.before_sums, s.origin, i.signed_elsewhere, i.verdict as comes_to, i.state,"
                                + " i.revision, i.stage, i.capacity as side, j.mark"
                                + " from signature s join inspection i on i.id = s.inspection_id join joint j on j.id = i.joint_id"
                                + " where s.job_id = :job order by s.place")
                .param("job", job)
                .query()
                .listOfRows();
        for (Map<String, Object> s : signed) {
            Optional<String> fault = fault(s);
            if (fault.isPresent()) {
                return fault.map(
                        f -> "record " + s.get("PLACE") + ", " + s.get("MARK") + ": " + f + " since it was signed");
            }
        }
        return jdbc
                .sql("select distinct a.number from defect_aud a where a.job_id = :job"
                        + " and not exists (select 1 from defect d where d.id = a.id) order by a.number")
                .param("job", job)
                .query(Integer.class)
                .list()
                .stream()
                .findFirst()
                .map(n -> "NC-" + n + " was taken out beside Mensor");
    }

    /** What a record says of itself and the column that says it too. */
    private record Beside(String field, String column, String said) {}

    private static final List<Beside> BESIDE = List.of(
            new Beside("verdict", "VERDICT", "the verdict"),
            new Beside("verdict", "COMES_TO", "the inspection's verdict"),
            new Beside("by", "SIGNED_NAME", "the signer"),
            new Beside("capacity", "CAPACITY", "the side that signed"),
            new Beside("capacity", "SIDE", "the inspection's side"),
            new Beside("certificate", "CERTIFICATE", "the certificate"),
            new Beside("revision", "REVISION", "the revision"),
            new Beside("stage", "STAGE", "the stage"));

    private Optional<String> fault(Map<String, Object> s) {
        JsonNode signature = json.readTree((String) s.get("CANONICAL")).path("signature");
        Optional<String> other = BESIDE.stream()
                .filter(b -> !said(signature, b.field, s.get(b.column)))
                .findFirst()
                .map(b -> b.said);
        if (!Objects.equals(s.get("ORIGIN"), s.get("SIGNED_ELSEWHERE"))) {
            other = Optional.of("where it was signed");
        }
        if (!isAt(s.get("SIGNED_AT"), signature.path("at").asString(""))) {
            other = Optional.of("the time of the signature");
        }
        if (!"SIGNED".equals(s.get("STATE"))) {
            other = Optional.of("its state");
        }
        if (other.isPresent()) {
            return other.map(what -> what + " beside the record was altered");
        }
        UUID inspection = (UUID) s.get("INSPECTION_ID");
        for (Part part : Part.values()) {
            // a record that was signed before this was kept has no such sum, and is marked so
            String then = signature.path(part.field).asString("");
            if (then.isEmpty() && !part.isLater && !Boolean.TRUE.equals(s.get("BEFORE_SUMS"))) {
                return Optional.of(
                        "the sum over its rows is missing from the record: nothing says what it was signed from,");
            }
            if (!then.isEmpty() && !then.equals(sum(part, inspection))) {
                return Optional.of(part.altered);
            }
        }
        return jdbc
                .sql("select name, measured, measured_sha256 from scan where inspection_id = :inspection"
                        + " and measured is not null order by added_at, id")
                .param("inspection", inspection)
                .query()
                .listOfRows()
                .stream()
                .filter(scan ->
                        !Signatures.sha256((String) scan.get("MEASURED")).equals(scan.get("MEASURED_SHA256"))
                                || !isNamed(signature, scan))
                .findFirst()
                .map(scan -> "what was measured of the scan " + scan.get("NAME") + " was altered");
    }

    /** A record that names a scan's values names them by this sum; one that was signed before they were measured does not. */
    private static boolean isNamed(JsonNode signature, Map<String, Object> scan) {
        String scans = signature.path("scans").asString("");
        return !scans.contains("measured by")
                || scans.contains(String.valueOf(scan.get("MEASURED_SHA256")))
                || !scans.contains(scan.get("NAME") + " sha256");
    }

    /** A database keeps millionths of a second, rounded. */
    private static boolean isAt(Object column, String said) {
        Instant stored = column instanceof OffsetDateTime at
                ? at.toInstant()
                : column instanceof Timestamp at ? at.toInstant() : Instant.EPOCH;
        try {
            return Duration.between(stored, Instant.parse(said)).abs().compareTo(Duration.ofMillis(1)) <= 0;
        } catch (DateTimeParseException e) {
            return false;
        }
    }

    private static boolean said(JsonNode signature, String field, Object stored) {
        return signature.path(field).asString("").equals(stored == null ? "" : stored.toString());
    }
}
