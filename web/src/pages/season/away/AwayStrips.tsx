import { sentence } from '../../../text/text.ts';
import { Box, Typography } from '@mui/material';
import type { AwayBagPlan, AwayPlan } from '@rundel/core/away';
import { IconBucketDroplet } from '@tabler/icons-react';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { BagIcon } from '../../../section/index.ts';
import { useUnitFormat, type Bag } from '../../../store/index.ts';
import { changeWords, inHundred } from './away-words.ts';

/** From slate (alive) to straw (dry): the five waters, by the chance of having gone dry. */
function shadeOf(chance: number): number {
  return chance < 0.05 ? 5 : chance < 0.15 ? 4 : chance < 0.35 ? 3 : chance < 0.65 ? 2 : 1;
}

/** What stays in sight while many days are scrolled through. */
const STAYS = { position: 'sticky', insetInlineStart: 0 } as const;

const percent = (chance: number) => Math.round(chance * 100);

/** Every bag's days: above as it is, below with the plan; a cell darkens with the chance that it still lives well. */
export function AwayStrips({ plan, bags }: { readonly plan: AwayPlan; readonly bags: readonly Bag[] }) {
  const byId = new Map(bags.map((bag) => [bag.container.id, bag]));
  const visits = new Set(plan.visits);
  const columns = `minmax(120px, 200px) repeat(${plan.days.length}, minmax(26px, 1fr))`;
  return (
    <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Each bag, day by day">
      <Box
        role="table"
        aria-label="Chance of having gone dry, by bag and day"
        sx={{ minWidth: 120 + plan.days.length * 30 }}
      >
        <Box role="row" sx={{ display: 'grid', gridTemplateColumns: columns, gap: '3px', alignItems: 'end' }}>
          <Box role="columnheader" sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>
            Gone dry by
          </Box>
          {plan.days.map((day) => (
            <Box role="columnheader" key={day} sx={{ textAlign: 'center', fontSize: '0.85rem' }}>
              {visits.has(day) && (
                <IconBucketDroplet
                  size={18}
                  aria-label="a helper comes"
                  style={{ display: 'block', margin: 'auto' }}
                />
              )}
              {format(new Date(`${day}T12:00:00`), 'EEEEEE d')}
            </Box>
          ))}
        </Box>
        {plan.bags.map((row) => {
          const bag = byId.get(row.containerId);
          return bag ? (
            <Strip key={row.containerId} row={row} bag={bag} days={plan.days} columns={columns} />
          ) : null;
        })}
      </Box>
    </Box>
  );
}

function Strip({
  row,
  bag,
  days,
  columns,
}: {
  readonly row: AwayBagPlan;
  readonly bag: Bag;
  readonly days: readonly string[];
  readonly columns: string;
}) {
  const unitFormat = useUnitFormat();
  const isChanged = row.changes.length > 0 || row.isHelped;
  const todo = [
    ...row.changes.map((id) => changeWords(id, row, unitFormat)),
    ...(row.isHelped ? ['the helper waters it'] : []),
  ];
  return (
    <Box
      role="rowgroup"
      sx={{ borderBlockStart: '1px solid var(--line)', paddingBlock: 0.75, breakInside: 'avoid' }}
    >
      <Box
        role="row"
        sx={{ display: 'grid', gridTemplateColumns: columns, gap: '3px', alignItems: 'center' }}
      >
        <Box
          role="rowheader"
          sx={{
            ...STAYS,
            display: 'flex',
            gap: 0.75,
            alignItems: 'center',
            minWidth: 0,
            backgroundColor: 'var(--surface)',
          }}
        >
          <BagIcon
            properties={bag.properties}
            water={bag.water?.estimate.share}
            plants={bag.occupants.length}
            size={36}
          />
          <Box sx={{ minWidth: 0, lineHeight: 1.2 }}>
            <Link to={`/bags/${bag.container.id}`} style={{ color: 'inherit' }}>
              <strong>{bag.container.label}</strong> {bag.name}
            </Link>
          </Box>
        </Box>
        {days.map((day, d) => {
          const [plain, planned] = [row.asItIs.dryBy[d] ?? 0, row.planned.dryBy[d] ?? 0];
          return (
            <Box
              role="cell"
              key={day}
              aria-label={`${percent(planned)} % with the plan, ${percent(plain)} % as it is`}
              sx={{ display: 'grid', gap: '2px' }}
            >
              {isChanged && (
                <Box aria-hidden sx={{ height: 8, backgroundColor: `var(--water-${shadeOf(plain)})` }} />
              )}
              <Box
                aria-hidden
                sx={{
                  height: 30,
                  display: 'grid',
                  placeItems: 'center',
                  fontSize: '0.78rem',
                  color: shadeOf(planned) >= 4 ? '#fff' : '#1d140e',
                  backgroundColor: `var(--water-${shadeOf(planned)})`,
                }}
              >
                {percent(planned) > 0 ? percent(planned) : ''}
              </Box>
            </Box>
          );
        })}
      </Box>
      <Typography
        sx={{
          ...STAYS,
          // as wide as a phone's panel, however many days there are
          maxWidth: 'min(100%, calc(100vw - 70px))',
          width: 'max-content',
          fontSize: '0.92rem',
          marginBlockStart: 0.25,
        }}
      >
        Comes through {inHundred(row.planned.survives)}
        {isChanged ? `, as it is ${inHundred(row.asItIs.survives)}` : ''}.{' '}
        {todo.length > 0 && <strong>{sentence(todo.join('; '))}.</strong>}
        {!row.isSafe && <> Not enough for the risk you accept.</>}
      </Typography>
    </Box>
  );
}
