import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { Container, Entry } from '@rundel/core/records';
import { anotherRound } from '@rundel/core/round';
import { clockOf, exactHoursWords } from '../../text/text.ts';
import { useGarden, useUnitFormat, waterIf, type Bag } from '../../store/index.ts';

interface Change {
  readonly label: string;
  readonly container: Container;
  /** of the sun taken by shade, when that is the change */
  readonly shade?: number;
}

/** Mulch that does most of what mulch can, mm. */
const THICK_MULCH = 75;
const BIGGER = 1.5;
const HALF_SHADE = 0.5;
const SAUCER_SHARE = 0.25;

/** What could be done to a bag that dries too fast. */
function changesFor(bag: Bag, thick: string, saucer: string): readonly Change[] {
  const { container, properties } = bag;
  const litres = Math.min(1000, (properties.real.litres.likely / properties.assumed.labelTruth) * BIGGER);
  return [
    ...(container.mulchMillimetres < THICK_MULCH - 10 && !properties.kind.isClosed
      ? [
          {
            label: `Mulched ${thick} deep, which takes room from the mix`,
            container: { ...container, mulchMillimetres: THICK_MULCH },
          },
        ]
      : []),
    { label: 'In a bag half as big again', container: { ...container, size: { by: 'label', litres } } },
    ...((bag.place?.shade ?? 0) < HALF_SHADE
      ? [{ label: 'In half shade', container, shade: HALF_SHADE }]
      : []),
    ...((bag.water?.estimate.stores.length ?? 0) === 0
      ? [
          {
            label: `Over a saucer of ${saucer}`,
            container: {
              ...container,
              stores: [{ kind: 'saucer' as const, litres: SAUCER_SHARE * properties.availableLitres }],
            },
          },
        ]
      : []),
  ];
}

/** A watering in parts until it runs through, which nobody has given: it is tried and never stored. */
function soaking(bag: Bag, now: string): Entry {
  return {
    id: 'ent_soakingtried',
    kind: 'watering',
    at: now,
    recordedAt: now,
    containerId: bag.container.id,
    litres: Math.min(200, 2 * bag.properties.availableLitres),
    isMeasured: true,
    ranThrough: true,
  };
}

/** How long the bag would keep once it is watered through, worked out anew for each change. */
export function WhatIf({ bag }: { readonly bag: Bag }) {
  const open = useGarden();
  const unitFormat = useUnitFormat();
  const changes = changesFor(
    bag,
    unitFormat.show(THICK_MULCH, 'depth'),
    unitFormat.show(SAUCER_SHARE * bag.properties.availableLitres, 'water'),
  );
  const { data } = useQuery({
    queryKey: ['what-if', open.gardenId, bag.container.id, bag.water?.now, bag.container.changedAt] as const,
    // each is watered through now: what the diary says of the bag as it is says little of another
    queryFn: () =>
      Promise.all(
        [{ label: '', container: bag.container, shade: undefined }, ...changes].map(({ container, shade }) =>
          waterIf(container, open, shade, [soaking(bag, open.clock.now())]),
        ),
      ),
    staleTime: 60_000,
  });
  const [asItIs, ...tried] = data ?? [];
  const today = open.clock.now().slice(0, 10);
  const { roundHours, latitudeDegrees } = open.garden.settings;
  const toCome = (bag.water?.usePerDay ?? [])
    .filter(({ day }) => day > today)
    .map(({ day, litres, dripLitres }) => ({ day, litres: litres - dripLitres }));
  const round = anotherRound(toCome, roundHours, latitudeDegrees, bag.properties.assumed);
  return (
    <Box>
      <Typography variant="body2">
        Watered through now, it would want water again in{' '}
        {asItIs ? exactHoursWords(asItIs.ahead.hoursToRefill.likely) : '…'}. Likewise:
      </Typography>
      <Box component="ul" sx={{ marginBlock: 1, paddingInlineStart: 2.5 }}>
        {changes.map(({ label }, i) => {
          const water = tried[i];
          return (
            <li key={label}>
              <strong>{label}</strong>:{' '}
              {water ? `in ${exactHoursWords(water.ahead.hoursToRefill.likely)}` : '…'}
            </li>
          );
        })}
        {round && (
          <li>
            <strong>With a round at {clockOf(round.atHour)} too</strong>: at most{' '}
            {unitFormat.show(round.litresThen, 'water')} goes between two rounds on the thirstiest day to
            come, and not {unitFormat.show(round.litresNow, 'water')}
          </li>
        )}
      </Box>
      <Typography variant="body2">A saucer helps as far as it has caught what ran through.</Typography>
    </Box>
  );
}
