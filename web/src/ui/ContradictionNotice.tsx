import { Box } from '@mui/material';
import type { Entry, EntryOf } from '@rundel/core/records';
import { OnceButton } from './OnceButton.tsx';
import { useGarden, useUnitFormat, type Bag } from '../store/index.ts';
import { checkWords } from '../text/check-text.ts';
import { Remark } from './Remark.tsx';

/** Says that the last two checks do not agree; one that was a slip of the thumb is taken back with one tap. */
export function ContradictionNotice({ bag }: { readonly bag: Bag }) {
  const { live, remove } = useGarden();
  const unitFormat = useUnitFormat();
  const estimate = bag.water?.estimate;
  const lastMove = estimate?.moves.at(-1);
  // only while nothing has been seen or poured since
  const pair = estimate?.contradictions.find(([, later]) => later === lastMove?.entryId);
  if (!pair) return null;
  const isOfPair = (e: Entry): e is EntryOf<'check'> => e.kind === 'check' && pair.includes(e.id);
  const checks = live.filter(isOfPair).map(({ id, check }) => ({ id, label: checkWords(check, unitFormat) }));
  return (
    <Remark>
      Two checks within an hour do not agree ({checks.map(({ label }) => label).join(', then ')}). Both are
      kept, and I trust either less; another check would settle it.
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockStart: 1 }}>
        {checks.map(({ id, label }) => (
          <OnceButton
            key={id}
            variant="outlined"
            onPress={() => remove([id], `check of ${bag.container.label} taken back`)}
          >
            “{label}” was a slip
          </OnceButton>
        ))}
      </Box>
    </Remark>
  );
}
