package mensor.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.json.JsonFactory;

/**
 * A JSON value that remembers the text of its numbers, so that {@code 0.1} stays the decimal that was written and an
 * exponent is seen. Duplicate keys are refused while reading.
 */
sealed interface Json {
    /** The value's kind in an error message. */
    String said();

    record Text(String value) implements Json {
        @Override
        public String said() {
            return '"' + (value.length() > 40 ? value.substring(0, 40) + "…" : value) + '"';
        }
    }

    record Number(String text) implements Json {
        @Override
        public String said() {
            return text;
        }
    }

    record Bool(boolean value) implements Json {
        @Override
        public String said() {
            return String.valueOf(value);
        }
    }

    record Null() implements Json {
        @Override
        public String said() {
            return "null";
        }
    }

    record Array(List<Json> items) implements Json {
        @Override
        public String said() {
            return "a list";
        }
    }

    record Object(Map<String, Json> fields) implements Json {
        @Override
        public String said() {
            return "an object";
        }
    }

    JsonFactory FACTORY = JsonFactory.builder().build();

    /** Reads one document; a byte-order mark before it is tolerated. */
    static Json read(String text) {
        String content = text.startsWith("\uFEFF") ? text.substring(1) : text;
        try (JsonParser parser = FACTORY.createParser(tools.jackson.core.ObjectReadContext.empty(), content)) {
            if (parser.nextToken() == null) {
                throw new UnreadableInput("", "the file is empty; one JSON document is required");
            }
            Json value = value(parser, "");
            if (parser.nextToken() != null) {
                throw new UnreadableInput("", "something follows the document; one JSON document is required");
            }
            return value;
        } catch (JacksonException e) {
            var where = e.getLocation();
            String at = where == null ? "" : " at line " + where.getLineNr() + ", column " + where.getColumnNr();
            String why = inPlainWords(e.getOriginalMessage());
            throw new UnreadableInput("", "not valid JSON" + at + why);
        }
    }

    /** What the parser says, without its own names. */
    private static String inPlainWords(String said) {
        if (said == null) {
            return "";
        }
        if (said.contains("nesting depth")) {
            return ": lists or objects within one another go deeper than 500";
        }
        String words = said.lines().findFirst().orElse("").replaceFirst(" \\((start marker|from `|code ).*", "");
        boolean ownNames = words.contains("`") || words.contains("Stream") || words.contains("JsonToken");
        return ownNames || words.isEmpty() ? "" : ": " + words;
    }

    /** The value at which the parser stands. */
    static Json value(JsonParser p, String path) {
        JsonToken token = p.currentToken();
        return switch (token) {
            case VALUE_STRING -> new Text(p.getString());
            case VALUE_NUMBER_INT, VALUE_NUMBER_FLOAT -> new Number(p.getString());
            case VALUE_TRUE -> new Bool(true);
            case VALUE_FALSE -> new Bool(false);
            case VALUE_NULL -> new Null();
            case START_ARRAY -> {
                List<Json> items = new ArrayList<>();
                while (p.nextToken() != JsonToken.END_ARRAY) {
                    items.add(value(p, path + "[" + items.size() + "]"));
                }
                yield new Array(items);
            }
            case START_OBJECT -> {
                Map<String, Json> fields = new LinkedHashMap<>();
                while (p.nextToken() != JsonToken.END_OBJECT) {
                    String name = p.currentName();
                    String field = path.isEmpty() ? name : path + "." + name;
                    p.nextToken();
                    if (fields.containsKey(name)) {
                        throw new UnreadableInput(field, "is given twice");
                    }
                    fields.put(name, value(p, field));
                }
                yield new Object(fields);
            }
            default -> throw new UnreadableInput(path, "cannot be read");
        };
    }

    /** The value as JSON text again, on one line, fields in their order. */
    static String write(Json value) {
        if (value instanceof Text t) {
            return quote(t.value());
        }
        if (value instanceof Array a) {
            return a.items().stream().map(Json::write).collect(Collectors.joining(",", "[", "]"));
        }
        if (value instanceof Object o) {
            return o.fields().entrySet().stream()
                    .map(e -> quote(e.getKey()) + ":" + write(e.getValue()))
                    .collect(Collectors.joining(",", "{", "}"));
        }
        return value.said();
    }

    /** As {@link #write}, every object's fields sorted by name: one text for one content. */
    static String canonical(Json value) {
        if (value instanceof Array a) {
            return a.items().stream().map(Json::canonical).collect(Collectors.joining(",", "[", "]"));
        }
        if (value instanceof Object o) {
            return o.fields().entrySet().stream()
                    .sorted(Map.Entry.comparingByKey())
                    .map(e -> quote(e.getKey()) + ":" + canonical(e.getValue()))
                    .collect(Collectors.joining(",", "{", "}"));
        }
        return write(value);
    }

    private static String quote(String s) {
        StringBuilder out = new StringBuilder(s.length() + 2).append('"');
        for (int i = 0; i < s.length(); i++) {
            char c = s.charAt(i);
            switch (c) {
                case '"' -> out.append("\\\"");
                case '\\' -> out.append("\\\\");
                case '\n' -> out.append("\\n");
                case '\r' -> out.append("\\r");
                case '\t' -> out.append("\\t");
                default -> {
                    if (c < 0x20) {
                        out.append(String.format("\\u%04x", (int) c));
                    } else {
                        out.append(c);
                    }
                }
            }
        }
        return out.append('"').toString();
    }
}
