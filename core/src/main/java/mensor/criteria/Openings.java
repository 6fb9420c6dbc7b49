package mensor.criteria;

import mensor.length.Length;

/**
 * What a fit-up opening does.
 *
 * @param free an opening up to this asks no more leg
 * @param most a greater opening rejects, but for thick parts
 * @param thickParts parts at least this thick may have
 * @param thick an opening up to this, by referral
 */
public record Openings(Length free, Length most, Length thickParts, Length thick) {}
