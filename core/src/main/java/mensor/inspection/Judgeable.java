package mensor.inspection;

/** Something that a reading or an indication says of a weld, and that a code judges, leaves free, or is silent about. */
public sealed interface Judgeable permits IndicationKind, ReadValue {
    /** For people: "melt through", "reinforcement". */
    String words();
}
