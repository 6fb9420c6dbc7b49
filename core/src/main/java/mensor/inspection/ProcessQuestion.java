package mensor.inspection;

import mensor.weld.Named;

/** What is inspected while the passes go in (common practice, no source). */
public enum ProcessQuestion implements Named {
    ROOT("root", "Root pass: sound, no cracks, no holes", "repair the root before the next pass goes over it", false),
    ROOT_BACK(
            "root-back",
            "Back side of the root: fused, no holes",
            "repair the root from the side that can be reached",
            true),
    SLAG_LINES("slag-lines", "Slag lines at the toes of the root pass off", "wire-wheel or grind the lines out", false),
    LAYERS_CLEAN(
            "layers-clean", "Each layer clean before the next", "clean to bright metal before the next pass", false),
    HIGH_SPOTS(
            "high-spots", "No high spots, humps or deep valleys left", "grind humps level and open the valleys", false),
    OLD_WELD(
            "old-weld",
            "Old weld, where there is one, taken down to clean metal",
            "take it down to clean metal: a weld over an old one can look sound and have no root fusion",
            false),
    FILL_BELOW(
            "fill-below",
            "Fill left about 1/16 in below flush before the cap",
            "grind it down or fill it, then cap",
            true);

    private final String id;
    private final String title;
    private final String remedy;
    private final boolean grooveOnly;

    ProcessQuestion(String id, String title, String remedy, boolean grooveOnly) {
        this.id = id;
        this.title = title;
        this.remedy = remedy;
        this.grooveOnly = grooveOnly;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    public String remedy() {
        return remedy;
    }

    public boolean isGrooveOnly() {
        return grooveOnly;
    }
}
