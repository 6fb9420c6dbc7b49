package mensor.server.job;

import java.util.UUID;

/** What holds beside the book changed in a job: its open looks come to something else. */
public record TermsChange(UUID jobId) {}
