package mensor.server.inspection;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.BooleanSchema;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import mensor.exchange.EntryDocument;
import mensor.inspection.IndicationField;
import mensor.inspection.IndicationKind;
import mensor.inspection.Reading;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The fields of an entry in the description of the interface: those of the readings and of the kinds of indication. */
@Configuration
class EntrySchema {
    private static final String NAME = "EntryContent";

    @Bean
    ModelConverter entryContent() {
        return new ModelConverter() {
            @Override
            @SuppressWarnings("rawtypes")
            public Schema resolve(AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
                JavaType java = type.getType() == null ? null : Json.mapper().constructType(type.getType());
                if (java != null && java.getRawClass() == EntryDocument.class) {
                    context.defineModel(NAME, schema());
                    return new Schema<>().$ref("#/components/schemas/" + NAME);
                }
                return chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            }
        };
    }

    @SuppressWarnings("rawtypes")
    private static Schema schema() {
        Map<String, Schema> fields = new TreeMap<>();
        for (Class<?> measures : List.of(Reading.FilletMeasures.class, Reading.GrooveMeasures.class)) {
            for (RecordComponent c : measures.getRecordComponents()) {
                fields.put(c.getName(), new StringSchema());
            }
        }
        Stream.of("toeAngleA", "toeAngleB").forEach(f -> fields.put(f, new NumberSchema()));
        Stream.of("at", "face", "division", "gauge", "kind", "from", "to", "atLeast", "criterion", "by")
                .forEach(f -> fields.put(f, new StringSchema()));
        for (IndicationKind k : IndicationKind.values()) {
            k.fields().forEach(f -> fields.put(f.name(), of(f)));
        }
        Schema<?> schema = new ObjectSchema();
        schema.setProperties(new LinkedHashMap<>(fields));
        schema.setDescription("An entry in the fields of the inspection format, lengths as typed.");
        schema.setRequired(List.of());
        return schema;
    }

    private static Schema<?> of(IndicationField field) {
        return switch (field.shape()) {
            case COUNT -> new IntegerSchema();
            case FLAG -> new BooleanSchema();
            default -> new StringSchema();
        };
    }
}
