import { Box, Typography } from '@mui/material';
import type { DryMonth } from '@rundel/core/away';
import { addDays, dayOf } from '@rundel/core/calendar';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../../ui/Page.tsx';
import { useBags, useDryDays, useGarden, type Bag } from '../../../store/index.ts';
import { HARDLY_DAYS, monthName, roundsWords } from '../../../text/rounds-text.ts';

/** The furthest ahead that plants and rounds are the same as today, days. */
const MOST_DAYS = 150;
/** From this share of a month's days on it is drawn as dry as it gets. */
const BAD_SHARE = 0.25;

/** What the grower's own rounds leave dry, bag by bag and month by month; only bags that have such days are listed. */
export function RoundsPanel() {
  const { garden, clock } = useGarden();
  const { bags } = useBags();
  const { roundHours, roundDays } = garden.settings;
  const today = dayOf(clock.now());
  const planted = useMemo(() => bags.filter((bag) => bag.occupants.length > 0), [bags]);
  const isReady = planted.every((bag) => bag.feeding !== undefined);
  const asked = useMemo(() => {
    const furthest = addDays(today, MOST_DAYS);
    const untilOf = ({ feeding }: Bag) => {
      const end = feeding?.endsOn;
      return end !== undefined && end > today && end < furthest ? end : furthest;
    };
    return {
      of: 'garden' as const,
      untilById: Object.fromEntries(planted.map((bag) => [bag.container.id, untilOf(bag)])),
    };
  }, [planted, today]);
  const dryDays = useDryDays(isReady && planted.length > 0 ? asked : undefined, {
    hours: roundHours,
    days: roundDays,
  });
  if (planted.length === 0) return null;
  const rows = planted
    .map((bag) => ({ bag, months: dryDays?.[bag.container.id] ?? [] }))
    .map((row) => ({ ...row, dry: row.months.reduce((sum, m) => sum + m.dryDays.likely, 0) }))
    .filter(({ dry, months }) => dry >= HARDLY_DAYS || months.some((m) => m.chance >= 0.25))
    .sort((a, b) => b.dry - a.dry);
  const months = [...new Set(rows.flatMap((row) => row.months.map(({ month }) => month)))].sort();
  const rest = planted.length - rows.length;
  return (
    <Panel title="Between your rounds">
      <Typography sx={{ fontSize: '1.12rem', marginBlockEnd: 1 }}>
        You come {roundsWords(roundHours, roundDays)}.{' '}
        {!dryDays
          ? 'Working out what that leaves dry…'
          : rows.length === 0
            ? 'If each bag is watered until it runs through, none gets too dry in between.'
            : `${rows.length === 1 ? 'One bag gets' : `${rows.length} bags get`} too dry in between all the same${rest > 0 ? `; the other ${rest === 1 ? 'one does' : `${rest} do`} not` : ''}.`}{' '}
        <Link to="/settings" style={{ color: 'inherit' }}>
          How often I come
        </Link>
      </Typography>
      {rows.length > 0 && (
        <Box
          sx={{ overflowX: 'auto' }}
          tabIndex={0}
          role="region"
          aria-label="Days too dry, by bag and month"
        >
          <Box
            component="table"
            sx={{
              borderCollapse: 'collapse',
              width: '100%',
              '& th, & td': {
                padding: '6px 8px',
                textAlign: 'start',
                borderBlockEnd: '1px solid var(--line)',
              },
              '& td': { fontVariantNumeric: 'tabular-nums' },
            }}
          >
            <Box component="caption" sx={{ captionSide: 'top', textAlign: 'start', color: 'text.secondary' }}>
              Days too dry in a month, and the span that eight futures in ten lie in
            </Box>
            <thead>
              <tr>
                <th scope="col">Bag</th>
                {months.map((month) => (
                  <th key={month} scope="col">
                    {monthName(month)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(({ bag, months: own }) => (
                <tr key={bag.container.id}>
                  <th scope="row" style={{ fontWeight: 400 }}>
                    <Link to={`/bags/${bag.container.id}`} style={{ color: 'inherit' }}>
                      <strong>{bag.container.label}</strong> {bag.name}
                    </Link>
                  </th>
                  {months.map((month) => (
                    <Cell key={month} month={own.find((m) => m.month === month)} />
                  ))}
                </tr>
              ))}
            </tbody>
          </Box>
        </Box>
      )}
      <Typography variant="body2" sx={{ marginBlockStart: 1, color: 'text.secondary' }}>
        Sixty futures for each bag: the weather that is usual here and what you noted, its use as far as it is
        known. A bigger bag, mulch, shade, a drip line or one round more would help; each is tried out on the
        bag’s own page.
      </Typography>
    </Panel>
  );
}

function Cell({ month }: { readonly month: DryMonth | undefined }) {
  if (!month) return <td />;
  const { low, likely, high } = month.dryDays;
  const isDry = likely >= HARDLY_DAYS;
  const [from, to] = [Math.round(low), Math.round(high)];
  return (
    <Box
      component="td"
      sx={
        isDry
          ? {
              backgroundColor: `var(--water-${likely / month.days > BAD_SHARE ? 1 : 2})`,
              color: '#1d140e',
            }
          : { color: 'text.secondary' }
      }
    >
      {isDry ? (
        <>
          <strong>{Math.round(likely)}</strong>
          {to > from ? ` (${from} to ${to})` : ''} of {month.days}
        </>
      ) : (
        'hardly'
      )}
    </Box>
  );
}
