/** Labels for a number of new bags: the first as typed, then the next that are free ("7" → 8, 9; "7b" → 8, 9). */
export function labelsFor(first: string, count: number, taken: readonly string[]): readonly string[] {
  const used = new Set([...taken, first]);
  const labels = [first];
  let number = Number.parseInt(first, 10);
  if (!Number.isFinite(number)) number = 0;
  while (labels.length < count) {
    number += 1;
    const label = String(number);
    if (used.has(label)) continue;
    used.add(label);
    labels.push(label);
  }
  return labels;
}

/** A smallest free whole number for the next bag. */
export function nextLabel(labels: readonly string[]): string {
  const taken = new Set(labels);
  let number = 1;
  while (taken.has(String(number))) number++;
  return String(number);
}
