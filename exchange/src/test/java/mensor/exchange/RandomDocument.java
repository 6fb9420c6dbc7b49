package mensor.exchange;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.UnaryOperator;
import mensor.criteria.CriteriaBooks;
import mensor.judge.Evaluation;
import mensor.judge.Judge;
import tools.jackson.databind.json.JsonMapper;

/**
 * A made-up inspection file out of one seed: any code, joint, kind of entry and unit, mostly sound, with a fault here and
 * there. Places are eighths of the drawing's unit, so that they can be mirrored, turned and cut exactly.
 */
final class RandomDocument {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final List<String> CONNECTIONS =
            List.of("tee", "lap", "corner", "butt", "tube-to-plate", "pipe-butt");
    private static final List<String> KINDS = List.of(
            "undercut",
            "undercut",
            "undersize",
            "porosity",
            "porosity",
            "underfill",
            "overlap",
            "crater",
            "incomplete-penetration",
            "melt-through",
            "root-concavity",
            "misalignment",
            "spatter",
            "arc-strike",
            "slag",
            "crack",
            "short-weld");

    final Map<String, Object> fields;
    private final int length; // in eighths

    private RandomDocument(Map<String, Object> fields, int length) {
        this.fields = fields;
        this.length = length;
    }

    static RandomDocument of(Random r) {
        String book =
                CriteriaBooks.all().get(r.nextInt(CriteriaBooks.all().size())).id();
        boolean mm = book.startsWith("iso") || r.nextInt(4) == 0;
        int length = 8 * (mm ? 40 + r.nextInt(900) : 2 + r.nextInt(40));
        Writer w = new Writer(r, mm, length);
        Map<String, Object> doc = new LinkedHashMap<>();
        doc.put("format", "mensor-inspection/1");
        doc.put("criteria", book);
        doc.put("units", mm ? "mm" : "in");
        doc.put("joint", w.joint());
        doc.put("conditions", Map.of("cleaned", true, "ambient", true));
        doc.put("clear", List.of("all-else"));
        List<Object> readings = new ArrayList<>();
        if (r.nextInt(3) > 0 && w.fillet) {
            readings.add(w.blade());
        }
        if (w.fillet && r.nextInt(3) == 0) {
            readings.addAll(w.guide());
        }
        for (int n = r.nextInt(6); n > 0; n--) {
            readings.add(w.station());
        }
        doc.put("readings", readings);
        List<Object> indications = new ArrayList<>();
        for (int n = r.nextInt(5); n > 0; n--) {
            indications.add(w.indication(KINDS.get(r.nextInt(KINDS.size()))));
        }
        doc.put("indications", indications);
        if (r.nextInt(5) == 0) {
            doc.put("readingChoices", Map.of("undercut", "per-toe"));
        }
        return new RandomDocument(doc, length);
    }

    /** Writes the parts of one document. */
    private static final class Writer {
        private final Random r;
        private final boolean mm;
        private final int length;
        private boolean fillet;
        private boolean closed;
        private int drawn;

        Writer(Random r, boolean mm, int length) {
            this.r = r;
            this.mm = mm;
            this.length = length;
        }

        private Map<String, Object> joint() {
            Map<String, Object> j = new LinkedHashMap<>();
            String connection = CONNECTIONS.get(r.nextInt(CONNECTIONS.size()));
            fillet = !connection.equals("butt") && !connection.equals("pipe-butt") && r.nextInt(3) > 0;
            closed = r.nextInt(4) == 0;
            j.put("mark", "R1");
            j.put("weld", fillet ? "fillet" : "groove");
            j.put("connection", connection);
            if (connection.equals("corner")) {
                j.put("corner", r.nextBoolean() ? "inside" : "outside");
            }
            j.put("length", place(length));
            if (closed) {
                j.put("closed", true);
            }
            j.put(
                    "members",
                    List.of(
                            Map.of("name", "web", "thickness", small(4, 40)),
                            Map.of("name", "flange", "thickness", small(4, 80))));
            if (fillet) {
                drawn = 6 + r.nextInt(8);
                j.put(r.nextInt(5) == 0 ? "throat" : "size", mm ? drawn + "/4" : 2 * drawn + "/64");
                if (r.nextInt(4) == 0) {
                    j.put("gaps", List.of(stretch("opening", small(1, 6))));
                }
                if (r.nextInt(5) == 0) {
                    j.put("use", "web-to-flange");
                    j.put("flangeWidth", mm ? "40" : "3");
                    j.put("girderEnds", List.of("start", "end", "both", "none").get(r.nextInt(4)));
                }
            } else {
                boolean partial = r.nextInt(3) == 0;
                j.put("penetration", partial ? "pjp" : "cjp");
                if (partial && r.nextInt(4) > 0) {
                    j.put("throat", small(4, 12));
                }
                if (r.nextInt(4) == 0) {
                    j.put("flush", true);
                }
            }
            if (r.nextInt(5) == 0) {
                j.put("segments", List.of(stretch(null, null)));
            }
            maybe(j, "primary");
            maybe(j, "transverseTension");
            if (r.nextInt(3) == 0) {
                j.put("oneSided", true);
            }
            if (r.nextInt(3) == 0) {
                j.put("offsetMax", small(1, 4));
            }
            return j;
        }

        private void maybe(Map<String, Object> j, String fact) {
            if (r.nextInt(3) > 0) {
                j.put(fact, r.nextBoolean());
            }
        }

        private String place(int eighths) {
            return eighths + "/8";
        }

        /** A depth or size: sixty-fourths of an inch, or quarters of a millimetre. */
        private String small(int from, int to) {
            int n = from + r.nextInt(to - from);
            return mm ? n + "/4" : 2 * n + "/64";
        }

        /** A depth near the limits of the codes. */
        private String depth() {
            return r.nextInt(8) == 0 ? "0" : mm ? r.nextInt(14) + "/4" : r.nextInt(12) + "/64";
        }

        private Map<String, Object> stretch(String field, Object value) {
            Map<String, Object> s = new LinkedHashMap<>();
            int from = r.nextInt(length);
            int extent = 1 + r.nextInt(r.nextBoolean() ? 24 : length);
            if (closed && from + extent > length) {
                s.put("from", place(from));
                s.put("to", place((from + extent) % length));
            } else {
                s.put("from", place(from));
                s.put("to", place(Math.min(length, from + extent)));
            }
            if (field != null) {
                s.put(field, value);
            }
            return s;
        }

        private Map<String, Object> blade() {
            Map<String, Object> b = new LinkedHashMap<>();
            b.put("from", "0/8");
            b.put("to", place(length));
            b.put("atLeast", small(8, 16));
            return b;
        }

        /** Stations from end to end, most of them of the drawn size, here and there one a little low. */
        private List<Object> guide() {
            List<Object> stations = new ArrayList<>();
            int step = Math.max(1, length / (3 + r.nextInt(20)));
            for (int at = r.nextInt(step); at <= length; at += step) {
                Map<String, Object> s = new LinkedHashMap<>();
                s.put("at", place(at));
                int leg = drawn + (r.nextInt(6) == 0 ? -1 - r.nextInt(2) : 1);
                s.put("legA", mm ? leg + "/4" : 2 * leg + "/64");
                s.put("legB", mm ? drawn + 1 + "/4" : 2 * (drawn + 1) + "/64");
                stations.add(s);
            }
            return stations;
        }

        private Map<String, Object> station() {
            Map<String, Object> s = new LinkedHashMap<>();
            s.put("at", place(r.nextInt(length + 1)));
            if (fillet) {
                s.put("legA", small(5, 16));
                s.put("legB", small(5, 16));
                if (r.nextInt(3) == 0) {
                    s.put(r.nextBoolean() ? "convexity" : "throat", small(2, 10));
                }
            } else {
                s.put("reinforcement", (r.nextInt(6) == 0 ? "-" : "") + depth());
                if (r.nextInt(4) == 0) {
                    s.put("rootReinforcement", (r.nextInt(3) == 0 ? "-" : "") + depth());
                }
                if (r.nextInt(5) == 0) {
                    s.put("throat", small(4, 14));
                }
            }
            if (r.nextInt(4) == 0) {
                s.put("faceWidth", small(8, 60));
            }
            if (r.nextInt(6) == 0) {
                s.put("offset", depth());
            }
            return s;
        }

        private Map<String, Object> indication(String kind) {
            Map<String, Object> i = new LinkedHashMap<>();
            i.put("kind", kind);
            switch (kind) {
                case "undercut" -> {
                    i.put("toe", List.of("A", "B", "root").get(r.nextInt(5) % 3));
                    i.putAll(stretch("depth", depth()));
                }
                case "overlap" -> {
                    i.put("toe", r.nextBoolean() ? "A" : "B");
                    i.putAll(stretch("depth", depth()));
                }
                case "undersize" -> i.putAll(stretch("least", small(5, 14)));
                case "porosity" -> {
                    i.putAll(stretch("diameter", depth()));
                    i.put("count", 1 + r.nextInt(3));
                }
                case "crater" -> {
                    i.put("at", place(r.nextInt(length + 1)));
                    if (r.nextBoolean()) {
                        i.put("depth", depth());
                    }
                }
                case "underfill", "incomplete-penetration" ->
                    i.putAll(r.nextBoolean() ? stretch("depth", depth()) : stretch(null, null));
                case "melt-through", "root-concavity" -> i.putAll(stretch("depth", depth()));
                case "misalignment" -> i.putAll(stretch("offset", depth()));
                case "spatter" -> i.putAll(stretch(null, null));
                case "arc-strike" -> {
                    i.put("at", place(r.nextInt(length + 1)));
                    i.put("ground", true);
                    i.put("checked", "MT");
                }
                case "slag" -> i.putAll(stretch("trapped", r.nextBoolean()));
                case "crack" -> i.put("at", place(r.nextInt(length + 1)));
                default -> i.put("missing", depth());
            }
            return i;
        }
    }

    String text() {
        return JSON.writeValueAsString(fields);
    }

    Evaluation judge() {
        InspectionDocument document = InspectionDocument.read(text());
        return Judge.evaluate(document.inspection(), document.book());
    }

    boolean isClosed() {
        return joint().containsKey("closed");
    }

    boolean has(String jointField) {
        return joint().containsKey(jointField);
    }

    @SuppressWarnings("unchecked")
    private Map<String, Object> joint() {
        return (Map<String, Object>) fields.get("joint");
    }

    List<Map<String, Object>> entries(String list) {
        List<Map<String, Object>> all = new ArrayList<>();
        for (Object o : (List<?>) fields.getOrDefault(list, List.of())) {
            all.add(object(o));
        }
        return all;
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> object(Object o) {
        return (Map<String, Object>) o;
    }

    /** The same with other readings or indications. */
    RandomDocument with(String list, List<? extends Object> entries) {
        Map<String, Object> other = new LinkedHashMap<>(fields);
        other.put(list, entries);
        return new RandomDocument(other, length);
    }

    /** The same with every object changed that has a place in it. */
    private RandomDocument placed(
            UnaryOperator<Map<String, Object>> change, UnaryOperator<Map<String, Object>> ofJoint) {
        Map<String, Object> other = new LinkedHashMap<>(fields);
        Map<String, Object> joint = new LinkedHashMap<>(joint());
        for (String list : List.of("segments", "gaps")) {
            if (joint.containsKey(list)) {
                joint.put(
                        list,
                        ((List<?>) joint.get(list))
                                .stream().map(o -> change.apply(object(o))).toList());
            }
        }
        other.put("joint", ofJoint.apply(joint));
        for (String list : List.of("readings", "indications")) {
            other.put(list, entries(list).stream().map(change).toList());
        }
        return new RandomDocument(other, length);
    }

    private static int eighths(Object place) {
        return Integer.parseInt(place.toString().replace("/8", ""));
    }

    /** Measured from the other end. */
    RandomDocument mirrored() {
        return placed(
                o -> {
                    Map<String, Object> m = new LinkedHashMap<>(o);
                    if (o.containsKey("at")) {
                        m.put("at", (length - eighths(o.get("at"))) + "/8");
                    } else if (o.containsKey("from")) {
                        m.put("from", (length - eighths(o.get("to"))) + "/8");
                        m.put("to", (length - eighths(o.get("from"))) + "/8");
                    }
                    return m;
                },
                j -> {
                    if (j.get("girderEnds") instanceof String e) {
                        j.put("girderEnds", e.equals("start") ? "end" : e.equals("end") ? "start" : e);
                    }
                    return j;
                });
    }

    /** A closed weld measured from another datum. */
    RandomDocument turned(int by) {
        return placed(
                o -> {
                    Map<String, Object> m = new LinkedHashMap<>(o);
                    boolean whole = o.containsKey("from") && eighths(o.get("to")) - eighths(o.get("from")) == length;
                    for (String f : List.of("at", "from", "to")) {
                        if (o.containsKey(f) && !whole) {
                            m.put(f, Math.floorMod(eighths(o.get(f)) + by, length) + "/8");
                        }
                    }
                    return m;
                },
                j -> j);
    }

    /** Every measure in the other system's unit, to the last digit. */
    RandomDocument inTheOtherUnit() {
        boolean mm = fields.get("units").equals("mm");
        UnaryOperator<Map<String, Object>> change = o -> {
            Map<String, Object> m = new LinkedHashMap<>(o);
            o.forEach((field, value) -> {
                if (value instanceof String s && s.matches("-?[0-9]+(/[0-9]+)?")) {
                    m.put(field, otherUnit(s, mm));
                }
            });
            return m;
        };
        return placed(change, j -> j)
                .with("readings", entries("readings").stream().map(change).toList());
    }

    private static String otherUnit(String written, boolean mm) {
        String sign = written.startsWith("-") ? "-" : "";
        String[] parts = written.replace("-", "").split("/");
        long top = Long.parseLong(parts[0]);
        long bottom = parts.length == 1 ? 1 : Long.parseLong(parts[1]);
        if (!mm) {
            // n/d in = n·25.4/d mm, and every d here is a power of two
            return sign
                    + BigDecimal.valueOf(254 * top, 1)
                            .divide(BigDecimal.valueOf(bottom))
                            .toPlainString() + " mm";
        }
        // n/d mm = 5n/127d in, where the format can write it
        long common = BigInteger.valueOf(5 * top)
                .gcd(BigInteger.valueOf(127 * bottom))
                .longValueExact();
        long denominator = 127 * bottom / common;
        return denominator > 1_000 ? written : sign + 5 * top / common + "/" + denominator + " in";
    }
}
