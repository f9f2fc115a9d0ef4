import { Box, Button, Skeleton, Typography } from '@mui/material';
import { dayOf, seasonName, seasonYearOf } from '@rundel/core/calendar';
import { GROUPINGS, groupUnits, totalOf, type Grouping, type TallyUnit } from '@rundel/core/tally';
import { lazy, Suspense, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useAddress } from '../../../ui/address.ts';
import { Panel } from '../../../ui/Page.tsx';
import { WhenSeen } from '../../../ui/WhenSeen.tsx';
import { useGarden, useUnitFormat } from '../../../store/index.ts';
import { useTally } from '../../../store/tally.ts';
import { BestAndWorst } from './BestAndWorst.tsx';
import { Filters, filterUnits } from './Filters.tsx';
import { TotalWords } from './TotalWords.tsx';
import { YieldTable } from './YieldTable.tsx';

const Curves = lazy(() => import('./Curves.tsx'));
const Weeks = lazy(() => import('./Weeks.tsx'));

/** The room of a chart with its words, px. */
const CHART_HIGH = 390;

const NO_UNITS: readonly TallyUnit[] = [];

const fieldsOf = (address: string) => Object.fromEntries(new URLSearchParams(address));

/** What was picked in a season, by whatever it is told by. */
export default function Yields() {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const [address, change] = useAddress();
  const { latitudeDegrees } = garden.settings;
  const today = dayOf(clock.now());
  const thisYear = seasonYearOf(today, latitudeDegrees);
  const asked = Number(address.get('year') ?? thisYear);
  const { data } = useTally(['units', asked], (api, day) => api.tally(asked, day));
  const years = data?.years ?? [];
  const before = useTally(
    ['units', asked - 1],
    (api, day) => api.tally(asked - 1, day),
    years.includes(asked - 1),
  );
  // what is typed shows at once; the table follows as soon as there is time
  const fields = useDeferredValue(address.toString());
  const by = GROUPINGS.find((g) => g === new URLSearchParams(fields).get('by')) ?? 'bag';
  const units = useMemo(() => filterUnits(data?.units ?? NO_UNITS, fieldsOf(fields)), [fields, data]);
  const earlier = useMemo(
    () => filterUnits(before.data?.units ?? NO_UNITS, fieldsOf(fields)),
    [fields, before.data],
  );
  const rows = useMemo(() => groupUnits(units, by), [by, units]);
  const picked = useMemo(() => rows.filter((row) => row.pickings > 0), [rows]);
  const total = useMemo(() => totalOf(units), [units]);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const { data: ranked } = useTally(['ranked', asked], (api, day) => api.ranked(asked, day));
  // all that stands above the table is drawn with it: what came later would push it down
  const isWhole = ranked !== undefined && (before.data !== undefined || !years.includes(asked - 1));
  if (!data || !isWhole) return <Skeleton variant="rectangular" height={360} aria-busy />;
  const seasons = years.length > 1 && (
    <Box
      component="nav"
      aria-label="Years"
      sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', marginBlockEnd: 2 }}
    >
      {years.map((each) => (
        <Button
          key={each}
          size="small"
          variant={each === asked ? 'contained' : 'outlined'}
          aria-current={each === asked ? 'true' : undefined}
          onClick={() => change({ year: each === thisYear ? undefined : String(each) })}
        >
          {seasonName(each, latitudeDegrees)}
        </Button>
      ))}
    </Box>
  );
  if (data.units.every((u) => u.pickings === 0))
    return (
      <>
        {seasons}
        <Panel title="First, a picking">
          <Typography sx={{ marginBlockEnd: 1.5 }}>
            {years.length > 1 ? `Nothing was picked in ${seasonName(asked, latitudeDegrees)}. ` : ''}
            Weigh or count what you pick, at the bag or here; then each bag's yield adds up on this page.
          </Typography>
          <Button component={Link} to="/bags" variant="contained">
            To the bags
          </Button>
        </Panel>
      </>
    );
  return (
    <>
      {seasons}
      <Panel>
        <TotalWords total={total} earlier={earlier} year={asked} thisYear={thisYear} today={today} />
        {by === 'bag' && <BestAndWorst ranked={ranked} />}
      </Panel>
      <Following>
        <Panel title={`By ${BY_WORDS[by]}`}>
          <Filters units={data.units} by={by} fields={address} onChange={change} />
          <YieldTable
            rows={picked.length > 0 ? picked : rows}
            by={by}
            year={asked}
            earlier={earlier}
            total={total}
            ticked={ticked}
            onTick={setTicked}
          />
          {rows.length > picked.length && picked.length > 0 && (
            <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
              {rows.length - picked.length} more gave nothing{asked === thisYear ? ' yet' : ''}.
            </Typography>
          )}
        </Panel>
        <Panel title="As curves" id="curves">
          <WhenSeen height={CHART_HIGH}>
            <Suspense fallback={<Skeleton variant="rectangular" height={CHART_HIGH} />}>
              <Curves rows={picked} by={by} ticked={ticked} />
            </Suspense>
          </WhenSeen>
        </Panel>
        <Panel title="Week by week">
          <WhenSeen height={CHART_HIGH}>
            <Suspense fallback={<Skeleton variant="rectangular" height={CHART_HIGH} />}>
              <Weeks units={units} isThisSeason={asked === thisYear} today={today} unitFormat={unitFormat} />
            </Suspense>
          </WhenSeen>
        </Panel>
      </Following>
    </>
  );
}

/** What stands below the answer, and is drawn when that is there. */
function Following({ children }: { readonly children: ReactNode }) {
  return useDeferredValue(true, false) ? children : null;
}

const BY_WORDS: Readonly<Record<Grouping, string>> = {
  bag: 'bag',
  plant: 'plant',
  variety: 'variety',
  crop: 'crop',
  place: 'place',
  kind: 'kind of bag',
  regime: 'regime',
  form: 'training',
  mix: 'mix',
};
