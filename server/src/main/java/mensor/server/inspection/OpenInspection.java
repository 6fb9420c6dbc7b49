package mensor.server.inspection;

import java.util.UUID;

/**
 * An inspection that is not signed.
 *
 * @param design the same for all joints that differ in their mark and place alone
 * @param untouched nothing was recorded yet, so that it is judged as every other of its design
 */
record OpenInspection(UUID id, UUID jointId, String design, boolean untouched) {}
