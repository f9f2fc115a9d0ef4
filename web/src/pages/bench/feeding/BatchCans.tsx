import { Box } from '@mui/material';
import type { FeedCan } from '@rundel/core/feeding';
import type { FeedUnit } from '@rundel/core/records';
import { feedAmountWords } from '../../../text/feed-amount-text.ts';
import { useUnitFormat } from '../../../store/index.ts';

/** Pixels of a full can. */
const CAN_HEIGHT = 150;
/** Pixels that a pour needs for its words. */
const LINE_HEIGHT = 12;

/** The cans of a batch in the order of the walk: what goes into each, and which bags it waters, drawn to scale. */
export function BatchCans({
  cans,
  unit,
  labelOf,
  hasTwoParts,
}: {
  readonly cans: readonly FeedCan[];
  readonly unit: FeedUnit;
  labelOf(containerId: string): string;
  readonly hasTwoParts: boolean;
}) {
  const unitFormat = useUnitFormat();
  const largest = Math.max(...cans.map((can) => can.litres), 0.1);
  return (
    <Box
      component="ol"
      aria-label="Cans, in the order of the walk"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, listStyle: 'none', padding: 0, margin: 0 }}
    >
      {cans.map((can, i) => {
        const left = can.litres - can.pours.reduce((sum, pour) => sum + pour.litres, 0);
        // what is poured from a drum is a thin band of it, and is said below
        const isFine = can.pours.some(({ litres }) => (litres / largest) * CAN_HEIGHT < LINE_HEIGHT);
        return (
          <Box component="li" key={i} sx={{ width: 132 }}>
            <Box sx={{ fontWeight: 'fontWeightMedium' }}>Can {i + 1}</Box>
            <Box
              sx={{
                height: CAN_HEIGHT,
                display: 'flex',
                flexDirection: 'column',
                justifyContent: 'flex-end',
              }}
            >
              <Box
                sx={{
                  height: (can.litres / largest) * CAN_HEIGHT,
                  border: '2.5px solid var(--ink)',
                  borderBlockStart: 'none',
                  borderRadius: '0 0 12px 12px',
                  overflow: 'hidden',
                  display: 'flex',
                  flexDirection: 'column-reverse',
                }}
              >
                {can.pours.map((pour, n) => (
                  <Box
                    key={n}
                    sx={{
                      flex: `${pour.litres} 0 0`,
                      minHeight: 0,
                      backgroundColor: 'var(--action-wash)',
                      borderBlockStart: '1.5px solid var(--ink)',
                      display: 'flex',
                      justifyContent: 'space-between',
                      alignItems: 'center',
                      paddingInline: 0.75,
                      fontSize: '0.82rem',
                      lineHeight: 1,
                      overflow: 'hidden',
                    }}
                  >
                    {!isFine && (
                      <>
                        <strong>{labelOf(pour.containerId)}</strong>
                        <span>{unitFormat.show(pour.litres, 'water')}</span>
                      </>
                    )}
                  </Box>
                ))}
                {left > 0.01 && (
                  <Box sx={{ flex: `${left} 0 0`, backgroundColor: 'var(--action-wash)', opacity: 0.4 }} />
                )}
              </Box>
            </Box>
            <Box sx={{ fontSize: '1.05rem', fontWeight: 'fontWeightBold', marginBlockStart: 0.5 }}>
              {feedAmountWords({ amount: can.amount, unit })}
              {hasTwoParts ? ' of each' : ''}
            </Box>
            <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
              and water to {unitFormat.show(can.litres, 'water')}
              {isFine &&
                can.pours.map((pour) => (
                  <Box key={pour.containerId}>
                    <strong>{labelOf(pour.containerId)}</strong>: {unitFormat.show(pour.litres, 'water')}
                  </Box>
                ))}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
