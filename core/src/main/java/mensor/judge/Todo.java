package mensor.judge;

import mensor.inspection.Criterion;

/** Something still to be inspected. A clearable one is answered by "looked, none seen". */
public record Todo(String id, Criterion criterion, String ask, boolean clearable) {}
