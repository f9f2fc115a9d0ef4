/**
 * The one error that core throws: a broken precondition, as data.
 *
 * `code` names the rule that was broken, `input` the argument, `given` what came in and `allowed` what would
 * have been taken; the wording for people is made from these in one place (`message` is the plain English one).
 * Expected outcomes ("it does not fit") are never thrown: they are tagged results.
 *
 * @example
 * new RundelError('out-of-range', 'latitudeDegrees', 123, 'from -66 to 66').message
 * // => 'latitudeDegrees: 123 is not allowed; it must be from -66 to 66.'
 */
export class RundelError extends Error {
  override readonly name = 'RundelError';
  readonly code: 'out-of-range' | 'not-a-number' | 'unknown-name' | 'unreadable';
  readonly input: string;
  readonly given: unknown;
  readonly allowed: string;

  constructor(code: RundelError['code'], input: string, given: unknown, allowed: string) {
    super(`${input}: ${String(given)} is not allowed; it must be ${allowed}.`);
    this.code = code;
    this.input = input;
    this.given = given;
    this.allowed = allowed;
  }
}

/**
 * Lets a number through when it is finite and within a range (both ends included), and throws otherwise.
 *
 * @throws RundelError `not-a-number` or `out-of-range`, naming the input
 * @example
 * within('depthMillimetres', 120, 0, 500)
 * // => 120
 */
export function within(input: string, value: number, lowest: number, highest: number): number {
  const allowed = `from ${lowest} to ${highest}`;
  if (!Number.isFinite(value)) throw new RundelError('not-a-number', input, value, `a number ${allowed}`);
  if (value < lowest || value > highest) throw new RundelError('out-of-range', input, value, allowed);
  return value;
}
