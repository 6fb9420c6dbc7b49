package mensor.server.inspection;

import java.util.Optional;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.length.Unit;
import mensor.look.Indication;
import mensor.server.inspection.EntryEntity.Kind;
import mensor.server.web.Refused;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** "Looked, none seen" and an indication of the same criterion do not stand together in one look. */
@Component
class NoneSeen {
    private final EntryRepository entries;
    private final JsonMapper json;

    NoneSeen(EntryRepository entries, JsonMapper json) {
        this.entries = entries;
        this.json = json;
    }

    /** A new indication takes back the "none seen" of its own criterion. */
    void takeBack(InspectionEntity inspection, String content) {
        Indication seen = indication(content);
        for (EntryEntity e : entries.findByInspectionIdAndKindOrderBySequence(inspection.id(), Kind.CLEAR)) {
            if (!e.isWithdrawn()
                    && e.said(json).criterion().equals(seen.criterion().id())) {
                e.withdraw("taken back: " + words(seen) + " was seen");
            }
        }
    }

    /** Nobody says that none was seen over what is recorded. */
    void refuseOverIndication(InspectionEntity inspection, String criterion) {
        for (EntryEntity e : entries.findByInspectionIdAndKindOrderBySequence(inspection.id(), Kind.INDICATION)) {
            if (!e.isWithdrawn()) {
                Indication seen = indication(e.content());
                if (seen.criterion().id().equals(criterion)) {
                    throw Refused.invalid(
                            "criterion", words(seen) + " is recorded; take it off before saying that none was seen");
                }
            }
        }
    }

    private static String words(Indication seen) {
        return seen.kind().words();
    }

    private static Indication indication(String content) {
        try {
            String inFormat = InspectionParts.measured(content, false, Optional.empty());
            return InspectionParts.readIndication(inFormat, Unit.INCH); // the unit decides no criterion
        } catch (UnreadableInput e) {
            throw JudgedLook.refusal(e);
        }
    }
}
