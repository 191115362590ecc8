/**
 * Raised when lines are written otherwise for a source: a run names the version that wrote its text, and what another one wrote
 * is run again as it was sent.
 */
export const PRINTER_VERSION = 3
