/** The version of the format that this Rundel writes; each before it has a migration. */
export const LATEST_VERSION = 10;

/** Grows with what older apps of the same version may leave unread without harm: a new kind of entry, a new field. */
export const LATEST_MINOR = 1;
