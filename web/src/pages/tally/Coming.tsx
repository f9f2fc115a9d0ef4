import { Box, Skeleton, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { addDays, dayOf, seasonName, seasonYearOf, type Day } from '@rundel/core/calendar';
import { learntRipening, setToRipeSeen } from '@rundel/core/garden-state';
import { CROPS } from '@rundel/core/plants';
import { isRipeThisWeek, type BagComing, type ForecastCheck, type RipeComing } from '@rundel/core/tally';
import { Figure } from './Figure.tsx';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { roughWeights } from '../../text/amount-text.ts';
import { ripeWords } from '../../text/ripe-text.ts';
import { titleOf } from '../../text/bag-text.ts';
import { weekWords } from '../../text/tally-text.ts';
import { shortDay } from '../../text/text.ts';
import { HowCalculated } from '../../ui/HowCalculated.tsx';
import { Panel } from '../../ui/Page.tsx';
import { DataTable, type Column } from '../../ui/table/index.ts';
import { useBags, useGarden, useUnitFormat } from '../../store/index.ts';
import { useTally } from '../../store/tally.ts';

/** What ripens when, what the bags are still to give, and how such forecasts came out last season. */
export default function Coming() {
  const { clock, garden } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const { data } = useTally(['coming'], (api, day) => api.coming(day));
  const lastYear = seasonYearOf(today, garden.settings.latitudeDegrees) - 1;
  const { data: check } = useTally(['forecasts', lastYear], (api, day) => api.forecasts(lastYear, day));
  if (!data) return <Skeleton variant="rectangular" height={360} aria-busy />;
  if (data.bags.length === 0)
    return (
      <Panel title="Nothing to come">
        <Typography>
          Nothing stands in the bags that will bear this season. Once something is planted, its first fruit
          and its yield are reckoned here.
        </Typography>
      </Panel>
    );
  const range = ({ low, high }: { readonly low: number; readonly high: number }) =>
    roughWeights({ low, high }, unitFormat);
  const end =
    data.bags
      .map((b) => b.until)
      .sort()
      .at(-1) ?? today;
  return (
    <>
      <Panel>
        <Typography sx={{ fontSize: '1.15rem' }}>
          <Figure testId="week">{range(data.week)}</Figure>
          in the coming seven days, and {range(data.rest)} from now to the end of the season, about{' '}
          {shortDay(end, today)}.
        </Typography>
        <Typography sx={{ color: 'text.secondary', marginBlockStart: 0.5 }}>
          {Object.entries(data.byCrop)
            .map(([id, forecast]) => `${CROPS.find((c) => c.id === id)?.name ?? id} ${range(forecast)}`)
            .join('; ')}
          .
        </Typography>
        <HowCalculated label="How this is reckoned">
          <Typography variant="body2">
            Each plant is taken to bear as its kind usually does, from its first fruit on and as far as it is
            warm enough to ripen; your own seasons go before what is usual, and what a bag has given so far
            goes before both. Nine times in ten it should come out between the two numbers.
          </Typography>
        </HowCalculated>
      </Panel>
      <Ripening ripe={data.ripe} today={today} />
      <StillToGive bags={data.bags} />
      {check && (
        <CheckedBackwards check={check} name={seasonName(lastYear, garden.settings.latitudeDegrees)} />
      )}
    </>
  );
}

function Ripening({ ripe, today }: { readonly ripe: readonly RipeComing[]; readonly today: Day }) {
  const { bags } = useBags();
  const byId = new Map(bags.map((bag) => [bag.container.id, bag]));
  const [soon, later] = [true, false].map((is) => ripe.filter((r) => isRipeThisWeek(r, today) === is));
  const line = (r: RipeComing) => {
    const bag = byId.get(r.containerId);
    if (!bag) return null;
    return (
      <li key={`${r.plantId} ${r.truss ?? ''}`}>
        <Link to={`/bags/${r.containerId}`} style={{ color: 'inherit' }}>
          {titleOf(bag)}
        </Link>
        : {ripeWords(r, bag, today)}
      </li>
    );
  };
  return (
    <Panel title="Ripe this week, and after">
      {soon && soon.length > 0 ? (
        <Box
          component="ul"
          aria-label="Likely ripe this week"
          sx={{ marginBlock: 0, paddingInlineStart: 2.5 }}
        >
          {soon.map(line)}
        </Box>
      ) : (
        <Typography>
          {ripe.length === 0
            ? 'Every plant has given its first fruit, and no truss is logged that still hangs. Log trusses at a bag, and each has its days here.'
            : `Nothing new ripens before ${shortDay(addDays(today, 7), today)}.`}
        </Typography>
      )}
      <Learnt />
      {later && later.length > 0 && (
        <HowCalculated label={`After that: ${later.length}`}>
          <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2 }}>
            {later.map(line)}
          </Box>
        </HowCalculated>
      )}
    </Panel>
  );
}

/** What the garden's own trusses have shown of its varieties; it goes before what is usual. */
function Learnt() {
  const { garden, live } = useGarden();
  const lines = useMemo(() => {
    const seen = setToRipeSeen(garden, live);
    const learnt = learntRipening(garden, live);
    return garden.varieties.flatMap(({ id, name }) => {
      const [days, trusses] = [learnt[id], seen.get(id)?.length ?? 0];
      return days
        ? [
            `${name} takes ${days.low} to ${days.high} days from set to ripe, by ${trusses === 1 ? 'one of your trusses' : `${trusses} of your trusses`} and what is usual`,
          ]
        : [];
    });
  }, [garden, live]);
  if (lines.length === 0) return null;
  return (
    <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
      {lines.join('; ')}.
    </Typography>
  );
}

function StillToGive({ bags: coming }: { readonly bags: readonly BagComing[] }) {
  const { bags } = useBags();
  const { clock } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const columns = useMemo((): readonly [Column<BagComing>, ...Column<BagComing>[]] => {
    const byId = new Map(bags.map((bag) => [bag.container.id, bag]));
    const nameOf = ({ containerId }: BagComing) => {
      const bag = byId.get(containerId);
      return bag ? titleOf(bag) : '';
    };
    const range = ({ low, high }: BagComing['week']) =>
      high < 0.01 ? '' : roughWeights({ low, high }, unitFormat);
    return [
      {
        id: 'bag',
        header: 'Bag',
        sort: nameOf,
        cell: (row) => (
          <Link to={`/bags/${row.containerId}`} style={{ color: 'inherit' }}>
            {nameOf(row)}
          </Link>
        ),
      },
      {
        id: 'week',
        header: 'In seven days',
        isNumber: true,
        sort: (r) => r.week.likely,
        cell: (r) => range(r.week),
      },
      {
        id: 'rest',
        header: 'To the end',
        isNumber: true,
        sort: (r) => r.rest.likely,
        cell: (r) => range(r.rest),
      },
      { id: 'until', header: 'Bears until', sort: (r) => r.until, cell: (r) => shortDay(r.until, today) },
    ];
  }, [bags, today, unitFormat]);
  const heaviestFirst = [...coming].sort((a, b) => b.week.likely - a.week.likely);
  return (
    <Panel title="What each bag is still to give">
      <DataTable
        name="coming"
        label="Yield to come by bag"
        rows={heaviestFirst}
        columns={columns}
        idOf={(row) => row.containerId}
      />
    </Panel>
  );
}

/** Last season's forecasts beside what came: who says what is coming should say how often it was wrong. */
function CheckedBackwards({ check, name }: { readonly check: ForecastCheck; readonly name: string }) {
  const unitFormat = useUnitFormat();
  const show = (kilograms: number) => unitFormat.show(kilograms, 'crop');
  const isBetter = check.error < check.errorOfLastWeek;
  return (
    <Panel title={`How good such forecasts were in ${name}`}>
      <Typography>
        A week ahead the garden's total was off by {show(check.error)} on average; "the same as last week"
        would have been off by {show(check.errorOfLastWeek)}
        {isBetter ? '' : ', which was no worse'}. {Math.round(check.held * check.weeks.length)} of{' '}
        {check.weeks.length} weeks lay within what was stated.
      </Typography>
      <HowCalculated label="Week by week">
        <Table size="small" aria-label={`Forecasts of ${name}`}>
          <TableHead>
            <TableRow>
              <TableCell>Week</TableCell>
              <TableCell align="right">Expected</TableCell>
              <TableCell align="right">Picked</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {check.weeks.map((week) => (
              <TableRow key={week.from}>
                <TableCell>{weekWords(week.from, week.from)}</TableCell>
                <TableCell align="right">{roughWeights(week, unitFormat)}</TableCell>
                <TableCell align="right">{show(week.picked)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </HowCalculated>
    </Panel>
  );
}
