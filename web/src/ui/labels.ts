/**
 * Labels for a number of new bags: the first as typed, then the next that are free ("7" → 8, 9; "7b" → 8, 9; "A" → B, C; "A1" → A2;
 * "Pot" → Pot 1, Pot 2).
 */
export function labelsFor(first: string, count: number, taken: readonly string[]): readonly string[] {
  const letters = lettersFrom(first).filter((letter) => letter === first || !taken.includes(letter));
  if (letters.length >= count) return letters.slice(0, count);
  // "7" and "7b" count on as 8, 9; a name keeps itself and gets a number: "Pot", "Pot 3"
  const named = /^(\D.*?)(\s*)(\d*)$/.exec(first);
  const name = named?.[1] ?? '';
  const isBare = named !== null && named[3] === '';
  const between = isBare ? ' ' : (named?.[2] ?? '');
  const labels = isBare && count > 1 ? [] : [first];
  const used = new Set([...taken, ...labels]);
  let number = isBare ? 0 : Number.parseInt(named?.[3] ?? first, 10);
  if (!Number.isFinite(number)) number = 0;
  while (labels.length < count) {
    number += 1;
    const label =
      name === '' ? String(number) : `${name.slice(0, 12 - String(number).length - 1)}${between}${number}`;
    if (used.has(label)) continue;
    used.add(label);
    labels.push(label);
  }
  return labels;
}

/** A letter that stands alone and those behind it in the alphabet. */
function lettersFrom(first: string): readonly string[] {
  if (!/^[a-z]$/i.test(first)) return [];
  const at = first.charCodeAt(0);
  const last = (/[a-z]/.test(first) ? 'z' : 'Z').charCodeAt(0);
  return Array.from({ length: last - at + 1 }, (_, i) => String.fromCharCode(at + i));
}

/** A smallest free whole number for the next bag. */
export function nextLabel(labels: readonly string[]): string {
  const taken = new Set(labels);
  let number = 1;
  while (taken.has(String(number))) number++;
  return String(number);
}
