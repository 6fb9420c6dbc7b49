package mensor.inspection;

/** What cannot be seen, and how it is covered: "root", by "UT report 114". */
public record Cover(Criterion criterion, String by) {}
