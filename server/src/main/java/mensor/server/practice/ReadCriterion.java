package mensor.server.practice;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import mensor.inspection.AddendumKind;
import mensor.practice.FlawKind;

/** What a gauge reads against a limit in numbers, and what the eye must find before it is read. */
enum ReadCriterion {
    UNDERCUT(AddendumKind.UNDERCUT_DEPTH, "Undercut, depth", "undercut", "undercut", FlawKind.UNDERCUT),
    PORE(AddendumKind.POROSITY_DIAMETER, "Porosity, diameter", "pores", "pore|porosity", FlawKind.PORE),
    LEG(AddendumKind.SIZE_UNDERRUN, "Size, leg", "legs", "\\bleg", FlawKind.SHORT_LEG),
    CONVEXITY(AddendumKind.CONVEXITY_MAX, "Profile, convexity", "convexity", "convex", null),
    REINFORCEMENT(
            AddendumKind.REINFORCEMENT_MAX, "Profile, reinforcement", "reinforcement", "crown|reinforcement", null);

    private final AddendumKind kind;
    private final String title;
    private final String word;
    private final Pattern names;
    private final FlawKind eye;

    ReadCriterion(AddendumKind kind, String title, String word, String names, FlawKind eye) {
        this.kind = kind;
        this.title = title;
        this.word = word;
        this.names = Pattern.compile(names);
        this.eye = eye;
    }

    AddendumKind kind() {
        return kind;
    }

    String title() {
        return title;
    }

    String word() {
        return word;
    }

    /** Seen before it is read; empty for what is read at each station. */
    Optional<FlawKind> eye() {
        return Optional.ofNullable(eye);
    }

    /** A leg must have its size less what the code lets it be under. */
    boolean isLeast() {
        return this == LEG;
    }

    /** Whether a study's quantity, in words, is this. */
    boolean reads(String quantity) {
        return names.matcher(quantity.toLowerCase(Locale.ROOT)).find();
    }
}
