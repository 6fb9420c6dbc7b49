package mensor.server.report;

import java.util.UUID;
import mensor.server.web.AllOptional;

/**
 * Which report is wanted.
 *
 * @param lot absent for the whole job
 * @param as pdf, csv or json
 * @param paper of a PDF
 */
@AllOptional
record ReportForm(UUID job, String lot, String as, Paper paper) {}
