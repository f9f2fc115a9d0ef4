import { Box, TextField, Typography } from '@mui/material';
import type { Bag } from '../../store/index.ts';

/** How many fruits of one bowl came from each of several bags; all empty: it is shared evenly. */
export function SplitFields({
  bags,
  texts,
  onChange,
  problem,
}: {
  readonly bags: readonly Bag[];
  readonly texts: readonly string[];
  onChange(texts: readonly string[]): void;
  readonly problem: string | undefined;
}) {
  return (
    <Box role="group" aria-label="How many from each">
      <Typography variant="body2" sx={{ marginBlockEnd: 1 }}>
        How many from each, if you know
      </Typography>
      <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: 'repeat(auto-fill, minmax(88px, 1fr))' }}>
        {bags.map((bag, i) => (
          <TextField
            key={bag.container.id}
            label={bag.container.label}
            value={texts[i] ?? ''}
            error={problem !== undefined}
            onChange={(e) => onChange(bags.map((_, at) => (at === i ? e.target.value : (texts[at] ?? ''))))}
            slotProps={{ htmlInput: { inputMode: 'numeric', 'aria-label': `From ${bag.container.label}` } }}
          />
        ))}
      </Box>
      {problem && (
        <Typography role="alert" variant="body2" sx={{ color: 'error.main', marginBlockStart: 0.5 }}>
          {problem}
        </Typography>
      )}
    </Box>
  );
}

/**
 * What was said of how a bowl is split; undefined where nothing was.
 *
 * @example
 * splitFruits(['3', ''], 2, {})
 * // => { fruits: [3, 0] }
 * @example
 * splitFruits(['3', 'x'], 2, {})
 * // => { problem: 'Whole numbers of fruits, please; empty is none.' }
 */
export function splitFruits(
  texts: readonly string[],
  bags: number,
  { count }: { readonly count?: number },
): { readonly fruits: readonly number[] } | { readonly problem: string } | undefined {
  const given = Array.from({ length: bags }, (_, i) => (texts[i] ?? '').trim());
  if (given.every((text) => text === '')) return undefined;
  if (!given.every((text) => /^\d{0,4}$/.test(text)))
    return { problem: 'Whole numbers of fruits, please; empty is none.' };
  const fruits = given.map(Number);
  const all = fruits.reduce((sum, each) => sum + each, 0);
  if (all === 0) return { problem: 'At least one came from one of them.' };
  if (count !== undefined && count !== all)
    return { problem: `These are ${all} fruits, and above it says ${count}. Which is right?` };
  return { fruits };
}
