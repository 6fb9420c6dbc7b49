package mensor.server.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import mensor.repair.RemovalMethod;
import mensor.weld.Named;

/** What a recorded step of a repair says, a line for each answer. */
final class StepWords {
    private StepWords() {}

    /** What was recorded, in the words of the trade. */
    static List<String> said(StepForm f) {
        List<String> said = new ArrayList<>();
        if (f.from() != null) {
            said.add(f.from() + "–" + f.to() + " from the datum");
        }
        add(said, f.foundBy(), v -> "ends found by " + v);
        add(
                said,
                f.method(),
                v -> Named.find(RemovalMethod.class, v)
                        .map(RemovalMethod::title)
                        .orElse(v));
        add(said, f.depth(), v -> v + " deep");
        if (Boolean.TRUE.equals(f.clean())) {
            said.add("clean and sound");
        }
        add(said, f.seenBy(), v -> "inspected by " + v);
        if (f.proof() != null) {
            said.add("proven gone by " + f.proof() + ", report " + f.proofReport());
        }
        add(said, f.left(), v -> v + " left");
        add(said, f.welder(), v -> "welder " + v);
        if (f.rod() != null) {
            said.add((f.rods() == null ? "" : f.rods() + " × ") + f.rod() + " " + f.diameter());
        }
        if (f.minutes() != null) {
            said.add(f.minutes() + " min of work");
        }
        if (f.preheat() != null) {
            said.add("preheat read " + f.preheat().toPlainString() + ("C".equals(f.scale()) ? " °C" : " °F"));
        }
        if (f.weldedAt() != null) {
            said.add("welded " + f.weldedAt().toString().replace('T', ' ').substring(0, 16) + " UTC");
        }
        if (Boolean.TRUE.equals(f.cleaned())) {
            said.add("cleaned");
        }
        if (Boolean.TRUE.equals(f.cooled())) {
            said.add("cooled to ambient");
        }
        add(said, f.note(), v -> v);
        return said;
    }

    private static void add(List<String> said, String value, Function<String, String> words) {
        if (value != null && !value.isBlank()) {
            said.add(words.apply(value));
        }
    }
}
