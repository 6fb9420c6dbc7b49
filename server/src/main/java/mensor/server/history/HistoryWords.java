package mensor.server.history;

import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.weld.Day;
import tools.jackson.databind.JsonNode;

/** Says the fields and values that are kept in the trade's words: never a stored name, a key or a piece of a document. */
final class HistoryWords {
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("MMM d, uuuu h:mm a", Locale.US);

    /** Where the field's name alone is not how the trade says it. */
    private static final Map<String, String> FIELDS = Map.ofEntries(
            Map.entry("legA", "leg A"),
            Map.entry("legB", "leg B"),
            Map.entry("toeAngleA", "toe angle A"),
            Map.entry("toeAngleB", "toe angle B"),
            Map.entry("at", "place"),
            Map.entry("from", "from"),
            Map.entry("to", "to"),
            Map.entry("atLeast", "blade goes, at least"),
            Map.entry("least", "least size"),
            Map.entry("division", "read to"),
            Map.entry("by", "covered by"),
            Map.entry("weldNo", "weld number"),
            Map.entry("inWords", "what it is"),
            Map.entry("wps", "procedure (WPS)"),
            Map.entry("drawingRev", "drawing revision"),
            Map.entry("weldedAt", "welding finished"),
            Map.entry("waitEndsAt", "wait after welding ends"),
            Map.entry("delayHours", "hours to wait after welding"),
            Map.entry("delayed", "delayed cracking possible"),
            Map.entry("dihedral", "angle between the members"),
            Map.entry("oneSided", "welded from one side"),
            Map.entry("upper", "member that stands or lies above"),
            Map.entry("primary", "primary member"),
            Map.entry("transverseTension", "transverse to tension"),
            Map.entry("sizeMeans", "size means"),
            Map.entry("gaps", "fit-up gaps"),
            Map.entry("fittedGaps", "fit-up gaps"),
            Map.entry("members", "members"),
            Map.entry("segments", "welded segments"),
            Map.entry("girderEnds", "girder ends"),
            Map.entry("rejects", "criteria that reject"),
            Map.entry("todos", "still to do"),
            Map.entry("entryCount", "entries"),
            Map.entry("holder", "with"),
            Map.entry("showed", "outcome"),
            Map.entry("showedBy", "outcome recorded by"),
            Map.entry("showedAt", "outcome recorded"),
            Map.entry("placeFrom", "from"),
            Map.entry("placeTo", "to"),
            Map.entry("fromPlace", "inspected from"),
            Map.entry("toPlace", "inspected to"),
            Map.entry("fromPerson", "from"),
            Map.entry("toPerson", "to"),
            Map.entry("documentNo", "the Engineer's document"),
            Map.entry("documentBy", "the Engineer"),
            Map.entry("documentDate", "dated"),
            Map.entry("deniedWhy", "not so, because"),
            Map.entry("withdrawnWhy", "taken back, because"),
            Map.entry("closedWhy", "closed, because"),
            Map.entry("asWanted", "as wanted"),
            Map.entry("temperatureF", "temperature, °F"),
            Map.entry("temperatureLastF", "temperature, °F"),
            Map.entry("preheatF", "preheat, °F"),
            Map.entry("labelAmps", "amps on the label"),
            Map.entry("outings", "rods taken out"),
            Map.entry("electrode", "rod"),
            Map.entry("signs", "seen on the bead"),
            Map.entry("signsAbsent", "not seen on the bead"),
            Map.entry("electrodeExposureHours", "hours the rods were out"),
            Map.entry("reverseBy", "reverse face covered by"),
            Map.entry("near", "within arm's length"),
            Map.entry("light", "light enough"),
            Map.entry("lightLevel", "light"),
            Map.entry("ambient", "at ambient temperature"),
            Map.entry("gauges", "gauges"),
            Map.entry("inCalibration", "gauges in calibration"),
            Map.entry("hoursSinceWelding", "hours since welding"),
            Map.entry("conditions", "ready to inspect"),
            Map.entry("bentFlat", "bent flat"),
            Map.entry("cutsApart", "a member is cut apart"),
            Map.entry("seenBy", "seen by"),
            Map.entry("foundBy", "found by"),
            Map.entry("rods", "how many rods"),
            Map.entry("nextMark", "weld it is tried on"),
            Map.entry("endsOn", "holds until"),
            Map.entry("personId", "of"),
            Map.entry("apart", "starts and stops apart"),
            Map.entry("words", "what"),
            Map.entry("archiveSha256", "SHA-256 of the archive"),
            Map.entry("records", "signed records"),
            Map.entry("origins", "of which sealed elsewhere"),
            Map.entry("fingerprint", "fingerprint of its key"),
            Map.entry("units", "units"));

    /** What stays out: keys of the store, sums, and what the heading says already. */
    private static final Set<String> UNSAID = Set.of(
            "rev",
            "revtype",
            "revtstmp",
            "person",
            "id",
            "kind",
            "sequence",
            "design",
            "placeIndex",
            "jointId",
            "inspectionId",
            "defectId",
            "jobId",
            "entryId",
            "enteredBy",
            "enteredAt",
            "recordedBy",
            "recordedAt",
            "createdBy",
            "createdAt",
            "startedAt",
            "entries",
            "firstInspectionId",
            "follows",
            "amends",
            "procedureId",
            "sha256",
            "fileSha256",
            "job",
            "broughtBy",
            "broughtAt",
            "trustedBy",
            "trustedAt",
            "version",
            "changes",
            "plannedFields",
            "contract",
            "repaired",
            "finding",
            "forget",
            "scale");

    private final Map<UUID, String> names;

    /** @param names of people and gauges */
    HistoryWords(Map<UUID, String> names) {
        this.names = names;
    }

    static boolean isSaid(String field) {
        return !UNSAID.contains(field);
    }

    /** A column's name as the formats write it: {@code WELD_NO} is {@code weldNo}. */
    static String camel(String column) {
        StringBuilder camel = new StringBuilder();
        for (char c : column.toLowerCase(Locale.ROOT).toCharArray()) {
            boolean after = !camel.isEmpty() && camel.charAt(camel.length() - 1) == '_';
            if (after) {
                camel.setLength(camel.length() - 1);
            }
            camel.append(after ? Character.toUpperCase(c) : c);
        }
        return camel.toString();
    }

    static String field(String name) {
        String said = FIELDS.get(name);
        return said != null ? said : apart(name);
    }

    private static String apart(String name) {
        return name.replaceAll("(?<=[a-z])(?=[A-Z])", " ")
                .toLowerCase(Locale.ROOT)
                .replace('_', ' ')
                .replace('-', ' ');
    }

    /** A value of the store; empty where nothing can be said of it. */
    Optional<String> value(Object value) {
        if (value instanceof UUID id) {
            return Optional.ofNullable(names.get(id));
        }
        if (value instanceof Boolean yes) {
            return Optional.of(yes ? "yes" : "no");
        }
        if (value instanceof OffsetDateTime at) {
            return Optional.of(minute(at.toInstant()));
        }
        if (value instanceof java.sql.Timestamp at) {
            return Optional.of(minute(at.toInstant()));
        }
        if (value instanceof java.sql.Date day) {
            return Optional.of(Day.shown(day.toLocalDate()));
        }
        return Optional.of(text(String.valueOf(value)));
    }

    /** A value of a document, all of it in one line of words. */
    Optional<String> value(JsonNode value) {
        if (value.isBoolean()) {
            return Optional.of(value.asBoolean() ? "yes" : "no");
        }
        if (value.isArray()) {
            List<String> each = new ArrayList<>();
            value.forEach(v -> value(v).ifPresent(each::add));
            return each.isEmpty() ? Optional.empty() : Optional.of(String.join("; ", each));
        }
        if (value.isObject()) {
            String said = value.properties().stream()
                    .filter(p -> isSaid(p.getKey()))
                    .flatMap(p -> value(p.getValue()).stream().map(v -> field(p.getKey()) + " " + v))
                    .collect(Collectors.joining(", "));
            return said.isEmpty() ? Optional.empty() : Optional.of(said);
        }
        return value.isNull() ? Optional.empty() : Optional.of(text(value.asString()));
    }

    private String text(String text) {
        try {
            if (text.length() == 36) {
                return names.getOrDefault(UUID.fromString(text), "no longer known");
            }
        } catch (IllegalArgumentException e) {
            // a text of that length that is no key
        }
        try {
            if (text.matches("\\d{4}-\\d\\d-\\d\\dT.*Z")) {
                return minute(Instant.parse(text));
            }
            if (text.matches("\\d{4}-\\d\\d-\\d\\d")) {
                return Day.shown(LocalDate.parse(text));
            }
        } catch (DateTimeParseException e) {
            return text;
        }
        Optional<CriteriaBook> criteria = CriteriaBooks.find(text);
        if (criteria.isPresent()) {
            return criteria.get().title();
        }
        // a word of the format: in-progress, remove-and-reweld, SIGNED
        return text.matches("[a-z]+(-[a-z]+)+|[A-Z]{4,}(_[A-Z]+)*") ? apart(text) : text;
    }

    private static String minute(Instant at) {
        return MINUTE.format(at.atZone(ZoneId.systemDefault()));
    }

    /** Which one of its sort it is: "undercut", "NC-12", "final (QC), revision 2". */
    String name(String table, Map<String, Object> row, Optional<JsonNode> content) {
        Object name = switch (table) {
            case "inspection" -> row.get("STAGE") + " (" + row.get("CAPACITY") + "), revision " + row.get("REVISION");
            case "entry" ->
                content.map(c -> c.path("kind").asString(c.path("criterion").asString("")))
                        .filter(k -> !k.isEmpty())
                        .map(HistoryWords::apart)
                        .orElse(apart(String.valueOf(row.get("KIND"))));
            case "welding_entry" -> apart(String.valueOf(row.get("KIND")));
            case "defect" -> "NC-" + row.get("NUMBER");
            case "repair_step" -> apart(String.valueOf(row.get("STATE")));
            case "repair_hold" -> apart(String.valueOf(row.get("KIND")));
            case "joint" -> row.get("MARK");
            case "gauge_waiver" -> row.get("GAUGE");
            case "specimen" -> row.get("SPECIMEN");
            case "piece" -> row.get("WELDER") + " " + row.get("NUMBER");
            case "drill" -> row.get("ID");
            case "handout" -> row.get("DRILL") + " to " + row.get("WELDER");
            case "photo" -> row.get("PLACE");
            case "job",
                    "shop_setting",
                    "gauge",
                    "machine",
                    "person",
                    "access_token",
                    "brought_job",
                    "trusted_installation" -> row.get("NAME");
            case "welder" -> row.get("STAMP") + " " + row.get("NAME");
            case "wps" -> row.get("NUMBER") + " rev " + row.get("REVISION");
            case "criteria_check" ->
                CriteriaBooks.find(String.valueOf(row.get("BOOK")))
                        .map(CriteriaBook::title)
                        .orElse("");
            case "kit" -> value(row.get("PERSON_ID")).map(n -> "of " + n).orElse("");
            default -> "";
        };
        return name == null ? "" : String.valueOf(name);
    }
}
