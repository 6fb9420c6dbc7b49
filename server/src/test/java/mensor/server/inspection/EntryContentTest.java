package mensor.server.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.util.stream.Stream;
import mensor.look.IndicationField;
import mensor.look.IndicationKind;
import org.junit.jupiter.api.Test;

/** An entry that the browser sends can say all that a kind's description asks. */
class EntryContentTest {
    @Test
    void everyDescribedFieldCanBeSaid() {
        assertThat(Stream.of(EntryContent.class.getRecordComponents()).map(RecordComponent::getName))
                .containsAll(Stream.of(IndicationKind.values())
                        .flatMap(k -> k.fields().stream())
                        .map(IndicationField::name)
                        .toList());
    }
}
