package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;

/** An indication or a reading together with its index in the inspection. */
record Occurrence<T>(int index, T what) {

    static <T extends Indication> List<Occurrence<T>> indications(Inspection inspection, Class<T> kind) {
        List<Occurrence<T>> found = new ArrayList<>();
        for (int i = 0; i < inspection.indications().size(); i++) {
            Indication indication = inspection.indications().get(i);
            if (kind.isInstance(indication)) {
                found.add(new Occurrence<>(i, kind.cast(indication)));
            }
        }
        return found;
    }

    static <T extends Reading> List<Occurrence<T>> readings(Inspection inspection, Class<T> kind) {
        List<Occurrence<T>> found = new ArrayList<>();
        for (int i = 0; i < inspection.readings().size(); i++) {
            Reading reading = inspection.readings().get(i);
            if (kind.isInstance(reading)) {
                found.add(new Occurrence<>(i, kind.cast(reading)));
            }
        }
        return found;
    }

    static <T> List<Integer> indices(List<Occurrence<T>> found) {
        return found.stream().map(Occurrence::index).toList();
    }
}
