package mensor.server.web;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** A list that is sent holds no null: it is refused where it is read, not where somebody trips over it. */
@Configuration
class NoNullInLists {
    @Bean
    JsonMapperBuilderCustomizer refuseNullInLists() {
        return builder ->
                builder.changeDefaultNullHandling(h -> h.withOverrides(JsonSetter.Value.forContentNulls(Nulls.FAIL)));
    }
}
