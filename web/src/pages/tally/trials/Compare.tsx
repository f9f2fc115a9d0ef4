import { Box, Skeleton, Typography } from '@mui/material';
import { dayOf, seasonName, seasonYearOf } from '@rundel/core/calendar';
import { TRIAL_MEASURES, type TrialMeasure } from '@rundel/core/records';
import { GROUPINGS, keyOf, type Grouping, type TallyUnit } from '@rundel/core/tally';
import { useState } from 'react';
import { groupName, GROUPING_WORDS } from '../../../text/tally-text.ts';
import { MEASURE_WORDS } from '../../../text/trial-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { useGarden } from '../../../store/index.ts';
import { useTally } from '../../../store/tally.ts';
import { Verdict } from './Verdict.tsx';

const NONE: readonly TallyUnit[] = [];
const ALL_SEASONS = 'all';

/** Any two groups beside each other, with the same honesty as a trial. */
export function Compare() {
  const { garden, clock } = useGarden();
  const { latitudeDegrees } = garden.settings;
  const thisYear = seasonYearOf(dayOf(clock.now()), latitudeDegrees);
  const [by, setBy] = useState<Grouping>('kind');
  const [measure, setMeasure] = useState<TrialMeasure>('kilograms');
  const [season, setSeason] = useState(String(thisYear));
  const [pair, setPair] = useState<readonly [string | undefined, string | undefined]>([undefined, undefined]);
  const { data } = useTally(['units', thisYear], (api, day) => api.tally(thisYear, day));
  const years = data?.years ?? [thisYear];
  const asked = season === ALL_SEASONS ? years : [Number(season)];
  const { data: units = NONE } = useTally(['units of', ...asked], async (api, day) =>
    (await Promise.all(asked.map((year) => api.tally(year, day)))).flatMap((each) => each.units),
  );
  const options = [...new Map(units.map((u) => [keyOf(u, by), groupName(u, by)])).entries()].map(
    ([id, label]) => ({ id, label }),
  );
  const [from, to] = [
    options.find((o) => o.id === pair[0])?.id ?? options[0]?.id,
    options.find((o) => o.id === pair[1])?.id ?? options[1]?.id,
  ];
  const canCompare = from !== undefined && to !== undefined && from !== to;
  const { data: result } = useTally(
    ['compare', ...asked, by, from, to, measure],
    (api, day) => api.compare(asked, by, [from ?? '', to ?? ''], measure, day),
    canCompare,
  );
  if (units.every((u) => u.pickings === 0) && years.length < 2) return null;
  return (
    <Panel title="Compare any two">
      <Typography sx={{ marginBlockEnd: 1.5 }}>
        Nobody dealt these by lot, so that something else may be behind a difference; its range is as honest
        as a trial's.
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', md: 'repeat(5, minmax(0, 1fr))' },
          marginBlockEnd: 2,
        }}
      >
        <Select
          label="What is compared"
          value={by}
          options={GROUPINGS.map((id) => ({ id, label: GROUPING_WORDS[id] }))}
          onChange={setBy}
        />
        <Select
          label="This one"
          value={from ?? ''}
          options={options}
          onChange={(id) => setPair([id, pair[1]])}
        />
        <Select
          label="Against"
          value={to ?? ''}
          options={options}
          onChange={(id) => setPair([pair[0], id])}
        />
        <Select
          label="By"
          value={measure}
          options={TRIAL_MEASURES.map((id) => ({ id, label: MEASURE_WORDS[id] }))}
          onChange={setMeasure}
        />
        <Select
          label="In"
          value={season}
          options={[
            ...years.map((year) => ({ id: String(year), label: seasonName(year, latitudeDegrees) })),
            ...(years.length > 1 ? [{ id: ALL_SEASONS, label: 'All seasons' }] : []),
          ]}
          onChange={setSeason}
        />
      </Box>
      {!canCompare ? (
        <Typography>
          {options.length < 2 ? 'There is only one of these here.' : 'Choose two that are not the same.'}
        </Typography>
      ) : result ? (
        <Verdict result={result} nameOf={(id) => options.find((o) => o.id === id)?.label ?? id} />
      ) : (
        <Skeleton variant="rectangular" height={120} aria-busy />
      )}
    </Panel>
  );
}
