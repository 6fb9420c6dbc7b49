package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.length.Length;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EntryDocumentTest {
    private static EntryDocument entry(String fields) {
        return EntryDocument.read("{" + fields.replace('\'', '"') + "}");
    }

    @Test
    void whatIsStoredReadsBackAndKeepsLengthsAsTyped() {
        EntryDocument typed = entry("'to':'14','toe':'A','kind':'undercut','from':'12','depth':'1/32','gauge':'G-7'");
        assertThat(typed.canonical())
                .isEqualTo("{\"depth\":\"1/32\",\"from\":\"12\",\"gauge\":\"G-7\",\"kind\":\"undercut\",\"to\":\"14\","
                        + "\"toe\":\"A\"}");
        EntryDocument stored = EntryDocument.stored(typed.canonical());
        assertThat(stored).isEqualTo(typed).hasSameHashCodeAs(typed);
        Entry said = stored.entry(Entry.Sort.INDICATION, Unit.INCH);
        assertThat(said).isEqualTo(typed.entry(Entry.Sort.INDICATION, Unit.INCH));
        assertThat(said.gauge()).contains("G-7");
    }

    @Test
    void aFieldWithoutAValueWasNotGiven() {
        assertThat(entry("'at':'3','legA':'5/16','legB':null")).isEqualTo(entry("'legA':'5/16','at':'3'"));
        assertThat(EntryDocument.of(Map.of("kind", "porosity", "count", 3)))
                .isEqualTo(entry("'count':3,'kind':'porosity'"));
    }

    @Test
    void theGaugeSaysTheDivisionWhereTheEntryDoesNot() {
        Length division = Length.inches(1, 64);
        Entry read = entry("'at':'3','legA':'5/16'").entry(Entry.Sort.READING, Unit.INCH);
        assertThat(read.readTo(division).division()).contains(division);
        Entry own = entry("'at':'3','legA':'5/16','division':'1/32'").entry(Entry.Sort.READING, Unit.INCH);
        assertThat(own.readTo(division).division()).contains(Length.inches(1, 32));
        Entry restart = entry("'kind':'poor-restart','at':'3','height':'1/16'").entry(Entry.Sort.INDICATION, Unit.INCH);
        assertThat(restart.readTo(division).division())
                .as("each measured field counts")
                .contains(division);
        Entry crack = entry("'kind':'crack','at':'3'").entry(Entry.Sort.INDICATION, Unit.INCH);
        assertThat(crack.readTo(division).division())
                .as("nothing of it was measured")
                .isEmpty();
        Entry blade = entry("'from':'0','to':'12','atLeast':'5/16'").entry(Entry.Sort.READING, Unit.INCH);
        assertThat(blade.readTo(division)).isEqualTo(blade);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "INDICATION | 'kind':'undercut','toe':'A','from':'1','to':'2' | depth",
                "INDICATION | 'kind':'undercut','toe':'A','from':'1','to':'2','depth':'deep' | depth",
                "INDICATION | 'kind':'rust','at':'1' | kind",
                "READING | 'at':'1','legs':'5/16' | legs",
                "CLEAR | 'criterion':'readiness' | criterion",
                "CLEAR | 'criterion':'crack','by':'MT' | by",
                "COVER | 'criterion':'root' | by",
            })
    void whatCannotBeIsRefusedAtItsField(Entry.Sort sort, String fields, String field) {
        assertThatThrownBy(() -> entry(fields).entry(sort, Unit.INCH))
                .isInstanceOfSatisfying(
                        UnreadableInput.class, e -> assertThat(e.field()).isEqualTo(field));
    }

    @Test
    void aNoneSeenNamesItsCriterion() {
        assertThat(entry("'criterion':'crack'").entry(Entry.Sort.CLEAR, Unit.INCH))
                .isEqualTo(new Entry.NoneSeen(Criterion.CRACK));
    }
}
