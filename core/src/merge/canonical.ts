/**
 * A value as one text, whatever order its fields stand in and without those that are undefined: two values are the same where
 * their texts are, and of two that differ the greater text is the same one on every device.
 *
 * @example
 * canonical({ b: [1, 2], a: 'x', c: undefined })
 * // => '{"a":"x","b":[1,2]}'
 */
export function canonical(value: unknown): string {
  return (
    JSON.stringify(value, (_, inside: unknown) =>
      inside !== null && typeof inside === 'object' && !Array.isArray(inside)
        ? Object.fromEntries(Object.entries(inside).sort(([a], [b]) => (a < b ? -1 : 1)))
        : inside,
    ) ?? ''
  );
}
