/** The evening on which the demo opens, a Thursday in July, British summer time. */
export const DEMO_EVENING = '2026-07-16T18:00:00.000+01:00';
