package mensor.server.web;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** How long each text may be that is sent: said in the description of the interface, and refused at its field beyond it. */
@RestControllerAdvice
class TextLimits extends RequestBodyAdviceAdapter {
    private static final int LONGEST = 1_000;
    /** A file that is sent as it is; see {@link BodyLimits}. */
    private static final int WHOLE_BODY = 1 << 20;

    /** As wide as their columns; what is kept within a document has the general limit. */
    private static final Map<String, Integer> SHORTER = Map.ofEntries(
            Map.entry("login", 60),
            Map.entry("name", 120),
            Map.entry("certificate", 60),
            Map.entry("job", 120),
            Map.entry("lot", 120),
            Map.entry("welder", 60),
            Map.entry("wps", 60),
            Map.entry("drawing", 60),
            Map.entry("drawingRev", 20),
            Map.entry("mark", 60),
            Map.entry("weldNo", 20),
            Map.entry("reason", 500));

    static int of(String field) {
        return SHORTER.getOrDefault(field, LONGEST);
    }

    @Override
    public boolean supports(MethodParameter p, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter p,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter) {
        List<Refusal.FieldProblem> tooLong = new ArrayList<>();
        if (!(body instanceof String)) { // a file as it is, whose size is limited
            check(body, "", "", tooLong);
        }
        if (!tooLong.isEmpty()) {
            throw Refusal.invalid(tooLong);
        }
        return body;
    }

    private static void check(Object value, String path, String field, List<Refusal.FieldProblem> tooLong) {
        if (value instanceof String text) {
            if (text.length() > of(field)) {
                tooLong.add(new Refusal.FieldProblem(path, "at most " + of(field) + " letters"));
            }
        } else if (value instanceof Collection<?> list) {
            int n = 0;
            for (Object each : list) {
                check(each, path + "[" + n++ + "]", field, tooLong);
            }
        } else if (value instanceof Record record) {
            for (RecordComponent c : record.getClass().getRecordComponents()) {
                check(of(record, c), path.isEmpty() ? c.getName() : path + "." + c.getName(), c.getName(), tooLong);
            }
        }
    }

    private static Object of(Record record, RecordComponent component) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(record);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Of everything that may be sent. */
    @Bean
    OpenApiCustomizer limitsInTheDescription() {
        return api -> {
            Set<String> sent = new HashSet<>();
            api.getPaths().values().stream()
                    .flatMap(path -> path.readOperations().stream())
                    .filter(o -> o.getRequestBody() != null)
                    .flatMap(o -> o.getRequestBody().getContent().entrySet().stream())
                    .filter(content -> content.getKey().equals(MediaType.APPLICATION_JSON_VALUE))
                    .forEach(content -> describe(api, "", content.getValue().getSchema(), sent));
        };
    }

    @SuppressWarnings("rawtypes")
    private static void describe(OpenAPI api, String field, Schema<?> schema, Set<String> seen) {
        if (schema == null) {
            return;
        }
        if (schema.get$ref() != null) {
            String name = schema.get$ref().substring(schema.get$ref().lastIndexOf('/') + 1);
            if (seen.add(name)) {
                describe(api, field, api.getComponents().getSchemas().get(name), seen);
            }
            return;
        }
        boolean text = "string".equals(schema.getType())
                || schema.getTypes() != null && schema.getTypes().contains("string");
        if (text && schema.getFormat() == null && schema.getEnum() == null) {
            schema.setMaxLength(field.isEmpty() ? WHOLE_BODY : of(field));
        }
        describe(api, field, schema.getItems(), seen);
        if (schema.getProperties() != null) {
            for (Map.Entry<String, Schema> p : schema.getProperties().entrySet()) {
                describe(api, p.getKey(), p.getValue(), seen);
            }
        }
    }
}
