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

/**
 * The address that a bag's label carries.
 *
 * @param href of the bag's page, as the router writes it
 * @param here the address of this page
 * @example
 * codeOfBag('/bags/con_96m4x0re9jv3', 'http://shed.local:4617/files/paper?garden=demo')
 * // => 'http://shed.local:4617/bags/con_96m4x0re9jv3?garden=demo'
 */
export function codeOfBag(href: string, here: string): string {
  const url = new URL(href, here);
  const garden = new URL(here).searchParams.get('garden');
  if (garden !== null) url.searchParams.set('garden', garden);
  return url.href;
}
