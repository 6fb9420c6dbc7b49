package mensor.server.web;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The description of the interface, from which the browser's types are made. */
@Configuration
class OpenApi {
    @Bean
    OpenAPI description() {
        return new OpenAPI().info(new Info().title("Mensor").version("1")).servers(List.of(new Server().url("/")));
    }

    /** A field of a record is always there, unless it is marked as nullable, boxed, or its record is all optional. */
    @Bean
    ModelConverter requiredUnlessNullable() {
        return new ModelConverter() {
            @Override
            @SuppressWarnings("rawtypes")
            public Schema resolve(AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
                if (!chain.hasNext()) {
                    return null;
                }
                Schema schema = chain.next().resolve(type, context, chain);
                JavaType java = type.getType() == null ? null : Json.mapper().constructType(type.getType());
                if (java != null
                        && java.getRawClass().isRecord()
                        && !java.getRawClass().isAnnotationPresent(AllOptional.class)) {
                    Schema defined =
                            context.getDefinedModels().get(java.getRawClass().getSimpleName());
                    if (defined != null && defined.getProperties() != null) {
                        defined.setRequired(required(java.getRawClass(), defined));
                    }
                }
                return schema;
            }
        };
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static List<String> required(Class<?> record, Schema defined) {
        List<String> required = new ArrayList<>(defined.getProperties().keySet());
        for (RecordComponent c : record.getRecordComponents()) {
            boolean boxed = Number.class.isAssignableFrom(c.getType()) || c.getType() == Boolean.class;
            if (boxed || c.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                required.remove(c.getName());
            }
        }
        return required;
    }
}
