import { Box, ToggleButton, ToggleButtonGroup } from '@mui/material';
import type { EntryOf } from '@rundel/core/records';
import type { Bag } from '../../store/index.ts';

const WHOLE = 'whole';

/** Where a bag of several plants is felt: the whole of it, or one plant after another. What was felt already is marked. */
export default function PlantChoice({
  bag,
  stationId,
  checks,
  onChoose,
}: {
  readonly bag: Bag;
  readonly stationId: string | undefined;
  readonly checks: readonly EntryOf<'check'>[];
  onChoose(stationId: string | undefined): void;
}) {
  const places = [
    { place: undefined, label: 'Whole bag' },
    ...bag.occupants.map((o) => ({ place: o.stationId, label: `Plant ${o.position + 1}` })),
  ];
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label="Where you feel it"
      value={stationId ?? WHOLE}
      onChange={(_, place: string | null) => {
        if (place !== null) onChoose(place === WHOLE ? undefined : place);
      }}
      sx={{
        display: 'flex',
        '& .MuiToggleButton-root': { flex: 1, minHeight: 48, lineHeight: 1.15, paddingInline: 0.5 },
      }}
    >
      {places.map(({ place, label }) => {
        const felt = checks.find((l) => l.stationId === place)?.check;
        return (
          <ToggleButton key={place ?? WHOLE} value={place ?? WHOLE}>
            {label}
            {felt?.method === 'finger' && (
              <Box
                aria-hidden
                sx={{
                  width: 14,
                  height: 14,
                  marginInlineStart: 0.75,
                  flexShrink: 0,
                  borderRadius: '50%',
                  backgroundColor: `var(--water-${felt.grade})`,
                }}
              />
            )}
          </ToggleButton>
        );
      })}
    </ToggleButtonGroup>
  );
}
