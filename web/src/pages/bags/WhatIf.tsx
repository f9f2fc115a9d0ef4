import { Box, Typography } from '@mui/material';
import type { BagChange } from '@rundel/core/garden-state';
import { anotherRound } from '@rundel/core/round';
import { clockOf, exactHoursWords } from '../../text/text.ts';
import { useGarden, useUnitFormat, useWhatIf, type Bag, type UnitFormat } from '../../store/index.ts';

/** A change to a bag, as a thing that was done. */
function changeWords(change: BagChange, unitFormat: UnitFormat): string {
  switch (change.kind) {
    case 'mulch':
      return `Mulched ${unitFormat.show(change.mulchMillimetres, 'depth')} deep, which takes room from the mix`;
    case 'bigger':
      return 'In a bag half as big again';
    case 'shade':
      return 'In half shade';
    case 'saucer':
      return `Over a saucer of ${unitFormat.show(change.litres, 'water')}`;
  }
}

/** Rounds are looked at a month ahead, or a fortnight where there are four a day. */
const keptWords = (hours: number | undefined) =>
  hours === undefined ? 'more than two weeks' : exactHoursWords(hours);

/** How long the bag would keep once it is watered through, worked out anew for each change. */
export function WhatIf({ bag }: { readonly bag: Bag }) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const found = useWhatIf(bag.container.id);
  const today = clock.now().slice(0, 10);
  const { roundHours, latitudeDegrees } = garden.settings;
  const toCome = (bag.water?.usePerDay ?? [])
    .filter(({ day }) => day > today)
    .map(({ day, litres, dripLitres }) => ({ day, litres: litres - dripLitres }));
  const round = anotherRound(toCome, roundHours, latitudeDegrees, bag.properties.assumed);
  if (!found) return <Typography variant="body2">Working it out.</Typography>;
  return (
    <Box>
      <Typography variant="body2">
        {found.asItIs === undefined
          ? 'Watered through now, it would keep for more than two weeks as it is: nothing needs to change for that.'
          : `Watered through now, it would want water again in ${keptWords(found.asItIs)}. Likewise:`}
      </Typography>
      <Box component="ul" sx={{ marginBlock: 1, paddingInlineStart: 2.5 }}>
        {(found.asItIs === undefined ? [] : found.changes).map(({ change, hours }) => (
          <li key={change.kind}>
            <strong>{changeWords(change, unitFormat)}</strong>: in {keptWords(hours)}
          </li>
        ))}
        {round && (
          <li>
            <strong>With a round at {clockOf(round.atHour)} too</strong>: at most{' '}
            {unitFormat.show(round.litresThen, 'water')} goes between two rounds on the thirstiest day to
            come, and not {unitFormat.show(round.litresNow, 'water')}
          </li>
        )}
      </Box>
      {found.asItIs !== undefined && found.changes.some(({ change }) => change.kind === 'saucer') && (
        <Typography variant="body2">A saucer helps as far as it has caught what ran through.</Typography>
      )}
    </Box>
  );
}
