package mensor.server.db;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.server.db.OpenFiles.CannotMove;
import mensor.server.db.StoredTables.Kind;
import mensor.server.db.StoredTables.Table;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * All that belongs to one job, as the files of an archive: the rows that hang on the job, table by table, and those that they name
 * (procedures, gauges, pictures, and of people no more than who they were). Which they are is told by the database's own references, so
 * that a table of tomorrow comes along.
 */
public final class JobFiles {
    public static final String FORMAT = "mensor-job/1";
    private static final String LIST = "mensor-job.json";
    private static final String JOB = "job";
    private static final String HISTORY = "_aud";
    private static final String TWICE = "23505";
    private static final int AT_ONCE = 500;
    /** What is kept of a person who is only named: no password, no address, and nobody signs in so. */
    private static final Map<String, String> NOBODY = Map.of("password_hash", "-", "roles", "VIEWER");

    /** What an installation alone says of its rows: where a record was signed is told by its seals, not by the archive. */
    private static final Map<String, List<String>> OF_THIS_INSTALLATION = Map.of(
            "signature", List.of("origin", "origin_seal", "before_sums"), "inspection", List.of("signed_elsewhere"));

    private static final Set<String> OF_A_PERSON = Set.of("id", "login", "name");

    private final JsonMapper json = JsonMapper.builder().build();
    private final Path folder;
    private final TableRows rows;

    public JobFiles(Path folder) {
        this.folder = folder;
        this.rows = new TableRows(folder.resolve("files"));
    }

    /** What the list of an archive says. */
    public record Listed(UUID job, String name, String lastSum, int records) {}

    /** Writes the job as it stands in the transaction of the connection. */
    public void write(Connection db, Listed job) throws SQLException, IOException {
        Files.createDirectories(folder.resolve("tables"));
        Files.createDirectories(folder.resolve("files"));
        List<Table> all = StoredTables.of(db);
        Map<String, String> conditions = conditions(all);
        Map<String, Set<String>> named = new TreeMap<>();
        Map<String, Long> written = new LinkedHashMap<>();
        List<Table> backwards = new ArrayList<>(all);
        Collections.reverse(backwards); // what a row names is written after it
        for (Table t : backwards) {
            String condition = conditions.get(t.name());
            Set<String> wanted = named.getOrDefault(t.name(), Set.of());
            if (condition != null) {
                written.put(t.name(), writeOwn(db, t, condition, job.job(), conditions, named));
            } else if (!wanted.isEmpty()) {
                written.put(t.name(), writeNamed(db, t, wanted, named));
            }
        }
        ObjectNode list = json.createObjectNode();
        list.put("format", FORMAT);
        list.put("version", OpenFiles.version(db));
        list.put("at", OffsetDateTime.now(ZoneOffset.UTC).toString());
        list.put("job", job.job().toString());
        list.put("name", job.name());
        list.put("records", job.records());
        if (job.lastSum() != null) {
            list.put("lastSha256", job.lastSum());
        }
        ArrayNode tables = list.putArray("tables");
        for (Table t : all) {
            if (written.containsKey(t.name())) {
                tables.addObject()
                        .put("name", t.name())
                        .put("rows", written.get(t.name()))
                        .put("sha256", FileSum.sha256(file(t.name())));
            }
        }
        Files.writeString(
                folder.resolve(LIST), json.writerWithDefaultPrettyPrinter().writeValueAsString(list) + "\n");
    }

    private Path file(String table) {
        return folder.resolve("tables").resolve(table + ".jsonl");
    }

    /** A column by which the rows of a table hang on a job, and the table whose row it names. */
    private record Way(String column, String other) {}

    /** Of each table that hangs on a job, by what; what it hangs on comes before it. */
    private static Map<String, List<Way>> ways(List<Table> all) {
        Map<String, List<Way>> found = new LinkedHashMap<>();
        Map<String, Integer> steps = new TreeMap<>();
        found.put(JOB, List.of());
        steps.put(JOB, 0);
        for (Table t : all) {
            if (t.name().equals(JOB) || t.name().endsWith(HISTORY)) {
                continue;
            }
            List<Way> ways = t.others().entrySet().stream()
                    .filter(o -> found.containsKey(o.getValue()))
                    .sorted(Comparator.comparing((Map.Entry<String, String> o) ->
                                    !t.required().contains(o.getKey()))
                            .thenComparing(o -> steps.get(o.getValue())))
                    .map(o -> new Way(o.getKey(), o.getValue()))
                    .toList();
            // one way that every row has is enough: what hangs on a weld of the job hangs on the job
            List<Way> taken =
                    !ways.isEmpty() && t.required().contains(ways.get(0).column()) ? ways.subList(0, 1) : ways;
            if (!taken.isEmpty()) {
                found.put(t.name(), taken);
                steps.put(t.name(), 1 + steps.get(taken.get(0).other()));
            }
        }
        return found;
    }

    /** Of each table that hangs on a job, how its rows are found; each ? is the job's id. */
    private static Map<String, String> conditions(List<Table> all) {
        Map<String, Table> byName = new TreeMap<>();
        all.forEach(t -> byName.put(t.name(), t));
        Map<String, String> conditions = new LinkedHashMap<>();
        ways(all)
                .forEach((table, ways) -> conditions.put(
                        table,
                        table.equals(JOB)
                                ? "id = ?"
                                : ways.stream()
                                        .map(w -> w.column() + " in (select "
                                                + byName.get(w.other()).key().get(0) + " from " + w.other() + " where "
                                                + conditions.get(w.other()) + ")")
                                        .collect(Collectors.joining(" or "))));
        return conditions;
    }

    private static List<UUID> times(String condition, UUID job) {
        return Collections.nCopies((int) condition.chars().filter(c -> c == '?').count(), job);
    }

    private long writeOwn(
            Connection db,
            Table t,
            String condition,
            UUID job,
            Map<String, String> conditions,
            Map<String, Set<String>> named)
            throws SQLException, IOException {
        Set<String> there = t.own().isEmpty() ? Set.of() : keys(db, t, condition, job);
        return rows.write(db, t, condition, times(condition, job), file(t.name()), row -> {
            t.own().forEach(c -> {
                if (row.has(c) && !there.contains(row.get(c).asString())) {
                    row.remove(c); // of another job
                }
            });
            OF_THIS_INSTALLATION.getOrDefault(t.name(), List.of()).forEach(row::remove);
            names(t, row, conditions, named);
            return row;
        });
    }

    private static Set<String> keys(Connection db, Table t, String condition, UUID job) throws SQLException {
        Set<String> keys = new HashSet<>();
        try (PreparedStatement s =
                db.prepareStatement("select " + t.key().get(0) + " from " + t.name() + " where " + condition)) {
            List<UUID> values = times(condition, job);
            for (int i = 0; i < values.size(); i++) {
                s.setObject(i + 1, values.get(i));
            }
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    keys.add(r.getString(1));
                }
            }
        }
        return keys;
    }

    /** What a row names of other tables; a sum may be a picture's or a document's. */
    private static void names(Table t, ObjectNode row, Map<String, String> conditions, Map<String, Set<String>> named) {
        t.others().forEach((column, other) -> {
            if (row.has(column) && !conditions.containsKey(other)) {
                named.computeIfAbsent(other, k -> new TreeSet<>())
                        .add(row.get(column).asString());
            }
        });
        for (String column : t.columns().keySet()) {
            if (column.endsWith("sha256") && row.has(column)) {
                for (String other : new String[] {"photo_file", "document_file"}) {
                    named.computeIfAbsent(other, k -> new TreeSet<>())
                            .add(row.get(column).asString());
                }
            }
        }
    }

    private long writeNamed(Connection db, Table t, Set<String> wanted, Map<String, Set<String>> named)
            throws SQLException, IOException {
        boolean ids = t.columns().get(t.key().get(0)) == Kind.ID;
        List<Object> keys = new ArrayList<>();
        wanted.forEach(k -> keys.add(ids ? UUID.fromString(k) : k));
        long written = 0;
        Path whole = file(t.name());
        Files.writeString(whole, "");
        for (int i = 0; i < keys.size(); i += AT_ONCE) {
            List<Object> part = keys.subList(i, Math.min(keys.size(), i + AT_ONCE));
            Path some = folder.resolve("some.part");
            written += rows.write(
                    db, t, t.key().get(0) + " in (" + "?, ".repeat(part.size() - 1) + "?)", part, some, row -> {
                        if (t.name().equals("person")) {
                            nobody(t, row);
                        }
                        names(t, row, Map.of(), named);
                        return row;
                    });
            Files.writeString(whole, Files.readString(some), java.nio.file.StandardOpenOption.APPEND);
            Files.delete(some);
        }
        return written;
    }

    private static void nobody(Table t, ObjectNode row) {
        t.columns().forEach((column, kind) -> {
            if (OF_A_PERSON.contains(column)) {
                return;
            }
            switch (kind) {
                case YES_NO -> row.put(column, false);
                case NUMBER -> row.put(column, 0);
                default -> row.remove(column);
            }
        });
        NOBODY.forEach(row::put);
    }

    /** What the archive says it is; nothing is stored. */
    public Listed list(Connection db) throws SQLException, IOException {
        JsonNode list = list();
        if (!list.path("version").asString("").equals(OpenFiles.version(db))) {
            throw new CannotMove(
                    "the archive is of another version of Mensor: make it anew with the version that reads it");
        }
        for (JsonNode t : list.path("tables")) {
            Path file = file(t.path("name").asString(""));
            if (!file.normalize().startsWith(folder)
                    || !Files.exists(file)
                    || !t.path("sha256").asString("").equals(FileSum.sha256(file))) {
                throw new CannotMove("the archive is not as it was written: " + folder.relativize(file));
            }
        }
        try {
            return new Listed(
                    UUID.fromString(list.path("job").asString("")),
                    list.path("name").asString(""),
                    list.path("lastSha256").asString(null),
                    list.path("records").asInt(0));
        } catch (IllegalArgumentException e) {
            throw new CannotMove("the archive names no job");
        }
    }

    private JsonNode list() throws IOException {
        Path file = folder.resolve(LIST);
        JsonNode list = Files.exists(file) ? json.readTree(Files.readString(file)) : json.createObjectNode();
        if (!list.path("format").asString("").equals(FORMAT)) {
            throw new CannotMove("this is no archive of a job (" + LIST + ", " + FORMAT + ")");
        }
        return list;
    }

    /**
     * Stores the job in the transaction of the connection; what it names and is here already stays as it is here. An archive may come from
     * anybody: it brings rows of the job and what they name, no row of another job, and nobody who signs in.
     */
    public void read(Connection db, UUID job) throws SQLException, IOException {
        Set<String> listed = new HashSet<>();
        list().path("tables").forEach(t -> listed.add(t.path("name").asString("")));
        List<Table> all = StoredTables.of(db);
        Map<String, String> conditions = conditions(all);
        Set<String> named = named(all, conditions);
        for (String t : listed) {
            if (!conditions.containsKey(t) && !named.contains(t)) {
                throw new CannotMove("a job's archive holds no " + t);
            }
        }
        Map<String, List<Way>> ways = ways(all);
        Map<String, Set<String>> keys = new TreeMap<>();
        for (Table t : all) {
            if (!listed.contains(t.name())) {
                continue;
            }
            if (conditions.containsKey(t.name())) {
                List<String> own = OF_THIS_INSTALLATION.getOrDefault(t.name(), List.of());
                Set<String> its = keys.computeIfAbsent(t.name(), k -> new HashSet<>());
                taken(
                        t,
                        () -> rows.read(db, t, file(t.name()), row -> {
                            ((ObjectNode) row).remove(own);
                            String key = row.path(t.key().get(0)).asString("");
                            boolean isOfTheJob = t.name().equals(JOB)
                                    ? key.equals(job.toString())
                                    : ways.get(t.name()).stream()
                                            .anyMatch(w -> keys.getOrDefault(w.other(), Set.of())
                                                    .contains(
                                                            row.path(w.column()).asString("")));
                            if (!isOfTheJob) {
                                throw new CannotMove("rows of " + t.name() + " are of another job");
                            }
                            its.add(key);
                            return Optional.of(row);
                        }));
            } else {
                List<String> unique = uniqueTexts(db, t);
                taken(t, () -> rows.read(db, t, file(t.name()), row -> brought(db, t, unique, row)));
            }
        }
    }

    /** Reads a table's rows. */
    private interface Reading {
        long rows() throws SQLException, IOException;
    }

    /** What does not fit is named by its table: an id or a time that is none, a row without its key, one that is here already. */
    private static long taken(Table t, Reading reading) throws IOException {
        try {
            return reading.rows();
        } catch (SQLException e) {
            String state = String.valueOf(e.getSQLState());
            throw new CannotMove(
                    state.startsWith(TWICE)
                            ? "a row of " + t.name() + " is here already"
                            : "a row of " + t.name() + " does not fit");
        } catch (CannotMove e) {
            throw e;
        } catch (RuntimeException e) {
            throw new CannotMove("a row of " + t.name() + " cannot be read");
        }
    }

    /** What the rows of a job may name, and what those name. */
    private static Set<String> named(List<Table> all, Map<String, String> conditions) {
        Set<String> named = new TreeSet<>(List.of("photo_file", "document_file"));
        List<Table> backwards = new ArrayList<>(all);
        Collections.reverse(backwards);
        for (Table t : backwards) {
            if (conditions.containsKey(t.name()) || named.contains(t.name())) {
                t.others().values().stream()
                        .filter(o -> !conditions.containsKey(o))
                        .forEach(named::add);
            }
        }
        return named;
    }

    /** Empty where it is here already; a name that another has here gets a mark of its own. */
    private static Optional<JsonNode> brought(Connection db, Table t, List<String> unique, JsonNode row)
            throws SQLException {
        String key = t.key().get(0);
        if (stands(db, t, List.of(key), row)) {
            return Optional.empty();
        }
        if (t.name().equals("person")) {
            nobody(t, (ObjectNode) row);
        }
        if (key.equals("sha256") && row.has("bytes") && !row.get("bytes").equals(row.get(key))) {
            throw new CannotMove("a file of " + t.name() + " is not the one that its sum names");
        }
        if (!unique.isEmpty() && stands(db, t, unique, row)) {
            String first = unique.get(0);
            ((ObjectNode) row)
                    .put(
                            first,
                            row.get(first).asString() + "~"
                                    + row.get(key).asString().substring(0, 4));
        }
        return Optional.of(row);
    }

    private static boolean stands(Connection db, Table t, List<String> columns, JsonNode row) throws SQLException {
        try (PreparedStatement s = db.prepareStatement(
                "select 1 from " + t.name() + " where " + String.join(" = ? and ", columns) + " = ?")) {
            for (int i = 0; i < columns.size(); i++) {
                String value = row.get(columns.get(i)).asString();
                s.setObject(i + 1, t.columns().get(columns.get(i)) == Kind.ID ? UUID.fromString(value) : value);
            }
            try (ResultSet r = s.executeQuery()) {
                return r.next();
            }
        }
    }

    /** The text columns of the first unique index beside the key: a login, a gauge's name, a procedure's number. */
    private static List<String> uniqueTexts(Connection db, Table t) throws SQLException {
        DatabaseMetaData meta = db.getMetaData();
        boolean upper = meta.storesUpperCaseIdentifiers();
        Map<String, List<String>> indexes = new TreeMap<>();
        try (ResultSet r = meta.getIndexInfo(
                null, upper ? "PUBLIC" : "public", upper ? t.name().toUpperCase(Locale.ROOT) : t.name(), true, false)) {
            while (r.next()) {
                if (r.getString("COLUMN_NAME") != null) {
                    indexes.computeIfAbsent(r.getString("INDEX_NAME"), k -> new ArrayList<>())
                            .add(r.getString("COLUMN_NAME").toLowerCase(Locale.ROOT));
                }
            }
        }
        return indexes.values().stream()
                .filter(columns -> !columns.equals(t.key()))
                .filter(columns -> columns.stream().allMatch(c -> t.columns().get(c) == Kind.TEXT))
                .findFirst()
                .orElse(List.of());
    }
}
