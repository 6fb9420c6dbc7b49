package mensor.server.job;

import java.util.UUID;

/** What holds beside the code changed in a job: its open inspections come to something else. */
public record TermsChange(UUID jobId) {}
