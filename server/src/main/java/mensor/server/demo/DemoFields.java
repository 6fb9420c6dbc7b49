package mensor.server.demo;

import tools.jackson.databind.json.JsonMapper;

/** Forms of the demo, written with single quotes and without the outer braces. */
final class DemoFields {
    private static final JsonMapper JSON = JsonMapper.shared();

    private DemoFields() {}

    static <T> T read(Class<T> form, String fields) {
        return JSON.readValue(text(fields), form);
    }

    static String text(String fields) {
        return "{" + fields.replace('\'', '"') + "}";
    }
}
