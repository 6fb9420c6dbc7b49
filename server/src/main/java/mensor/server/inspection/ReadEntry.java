package mensor.server.inspection;

import java.util.function.Supplier;
import mensor.exchange.EntryDocument;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Entry;
import mensor.length.Unit;
import mensor.server.web.Refusal;
import mensor.weld.Joint;

/** A new entry read by the format, and its content as it is kept. */
record ReadEntry(Entry said, String content) {
    private static final int LONGEST_GAUGE = 60;

    /**
     * What was given by the clock is kept as lengths from the datum, so that no later change of the set-up moves it.
     *
     * @param joint as fitted; asked only where something was given by the clock
     */
    static ReadEntry of(Bench.NewEntry entry, Supplier<Joint> joint, Unit unit) {
        if (entry.id() == null || entry.kind() == null || entry.content() == null) {
            throw Refusal.invalid("content", "an entry needs its id, its kind and what it says");
        }
        EntryDocument typed = entry.content().hasTimes() ? entry.content().inLengths(joint.get()) : entry.content();
        try {
            Entry said = typed.entry(entry.kind(), unit);
            said.gauge().filter(g -> g.length() > LONGEST_GAUGE).ifPresent(g -> {
                throw Refusal.invalid("gauge", "a gauge's name has up to " + LONGEST_GAUGE + " letters");
            });
            return new ReadEntry(said, typed.canonical());
        } catch (UnreadableInput e) {
            throw InspectionResult.refusal(e);
        }
    }
}
