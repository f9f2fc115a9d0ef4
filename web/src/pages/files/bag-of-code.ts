/**
 * The bag that the code on a label names: its address, wherever Rundel was served from when it was printed.
 *
 * @example
 * bagOfCode('http://shed.local:4617/bags/con_96m4x0re9jv3?garden=demo')
 * // => 'con_96m4x0re9jv3'
 */
export function bagOfCode(text: string): string | undefined {
  return /(?:^|\/)bags\/(con_[0-9A-Za-z]{6,30})(?![0-9A-Za-z])/.exec(text)?.[1];
}

/** The address that a bag's label carries. */
export function codeOfBag(
  containerId: string,
  { origin, base, search }: { readonly origin: string; readonly base: string; readonly search: string },
): string {
  return `${origin}${base}bags/${containerId}${search}`;
}
