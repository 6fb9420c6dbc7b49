package mensor.server.inspection;

import mensor.exchange.EntryDocument;
import mensor.exchange.UnreadableInput;
import org.springframework.boot.jackson.JacksonComponent;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;

/** An entry's fields in a request and in an answer: read once by the format, sent as they are stored. */
@JacksonComponent
class EntryJson {
    private EntryJson() {}

    static final class In extends ValueDeserializer<EntryDocument> {
        @Override
        public EntryDocument deserialize(JsonParser parser, DeserializationContext context) {
            try {
                return EntryDocument.read(parser);
            } catch (UnreadableInput e) {
                return context.reportInputMismatch(EntryDocument.class, "%s %s", e.field(), e.problem());
            }
        }
    }

    static final class Out extends ValueSerializer<EntryDocument> {
        @Override
        public void serialize(EntryDocument entry, JsonGenerator out, SerializationContext context) {
            out.writeRawValue(entry.canonical());
        }
    }
}
