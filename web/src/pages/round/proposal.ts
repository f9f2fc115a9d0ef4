/** The clothes of what is proposed at a stop: the one strong frame on the screen. */
export const PROPOSAL = {
  backgroundColor: 'var(--raised)',
  border: '2.5px solid var(--action)',
  borderRadius: '12px',
  padding: 1.75,
} as const;
