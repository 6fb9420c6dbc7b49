package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import mensor.exchange.GaugeStudyFile.Heading;
import mensor.length.Unit;
import mensor.study.GaugeReadings;
import org.junit.jupiter.api.Test;

/** Readings of a gauge study as a document and as a list. */
class GaugeStudyFileTest {
    private static final Heading LEGS =
            new Heading("Legs with FG-3", "FG-3", "leg", Unit.INCH, OptionalDouble.of(1.0 / 16));

    private static final String LIST = """
            Person,Part,Reading,Reference
            Ines,P1,5/16,.310
            Ines,P1,0.328,.310
            Ines,P2,1 1/8,1.12
            Ines,P2,1.125,1.12
            =Tomas,P1,.3125,.310
            =Tomas,P1,.3125,.310
            =Tomas,P2,1.1,1.12
            =Tomas,P2,-0.5,1.12
            """;

    @Test
    void aListIsReadInAnyOrderAndComesBackTheSame() {
        GaugeReadings g = GaugeStudyFile.readList(LEGS, LIST);
        assertThat(g.people()).containsExactly("Ines", "=Tomas");
        assertThat(g.parts()).containsExactly("P1", "P2");
        assertThat(g.readings()[0][0]).containsExactly(0.3125, 1.125);
        assertThat(g.readings()[1][1]).containsExactly(0.3125, -0.5);
        assertThat(g.references().orElseThrow()).containsExactly(.31, 1.12);
        String list = GaugeStudyFile.writeList(g);
        assertThat(list).as("a spreadsheet runs no name").contains("'=Tomas,P1");
        assertThat(GaugeStudyFile.readList(LEGS, list).readings()).isDeepEqualTo(g.readings());
        GaugeReadings again = GaugeStudyFile.read(GaugeStudyFile.write(g));
        assertThat(again.readings()).isDeepEqualTo(g.readings());
        assertThat(again.people()).isEqualTo(g.people());
        assertThat(again.tolerance().getAsDouble()).isCloseTo(0.0625, within(1e-12));
        assertThat(GaugeStudyFile.write(again)).isEqualTo(GaugeStudyFile.write(g));
    }

    @Test
    void whatIsWrongIsNamedByItsLine() {
        assertThatThrownBy(() -> GaugeStudyFile.readList(LEGS, "")).hasMessageContaining("empty");
        assertThatThrownBy(() -> GaugeStudyFile.readList(LEGS, "who,part\nInes,1"))
                .hasMessageContaining("\"reading\"");
        assertThatThrownBy(() -> GaugeStudyFile.readList(LEGS, LIST.replace("0.328", "deep")))
                .hasMessageContaining("line 3")
                .hasMessageContaining("deep");
        assertThatThrownBy(() -> GaugeStudyFile.readList(LEGS, LIST.replace("=Tomas,P2,-0.5,1.12\n", "")))
                .hasMessageContaining("=Tomas read part P2 1 times")
                .hasMessageContaining("2 times");
        assertThatThrownBy(() -> GaugeStudyFile.readList(LEGS, LIST.replace("-0.5,1.12", "-0.5,1.13")))
                .hasMessageContaining("two references");
        assertThatThrownBy(() -> GaugeStudyFile.readList(LEGS, "person,part,reading\nInes,1,2\nInes,2,2\n"))
                .hasMessageContaining("people");
    }

    @Test
    void aDocumentNamesTheFieldThatIsWrong() {
        String good = GaugeStudyFile.write(GaugeStudyFile.readList(LEGS, LIST));
        assertThatThrownBy(() -> GaugeStudyFile.read(good.replace("mensor-study/1", "mensor-study/2")))
                .hasMessageContaining("format");
        assertThatThrownBy(() -> GaugeStudyFile.read(good.replace("\"in\"", "\"ft\"")))
                .hasMessageContaining("units");
        assertThatThrownBy(() -> GaugeStudyFile.read(good.replace("-0.5", "\"much\"")))
                .hasMessageContaining("readings[1][1][1]");
        assertThatThrownBy(() -> GaugeStudyFile.read(good.replace("-0.5", "1e9")))
                .hasMessageContaining("not a reading");
        assertThatThrownBy(() -> GaugeStudyFile.read("{}")).hasMessageContaining("format");
        assertThatThrownBy(() -> GaugeStudyFile.read(good.replace("\"kind\"", "\"sort\"")))
                .isInstanceOf(UnreadableInput.class);
    }
}
