package mensor.server.inspection;

import java.util.UUID;

/** An inspection was signed: from now on it counts in the rates. */
public record InspectionSigned(UUID inspectionId) {}
