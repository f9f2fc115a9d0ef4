import { Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { addDays, type Day } from '@rundel/core/calendar';
import { mondayOf, weeklyPicked, type TallyUnit } from '@rundel/core/tally';
import { fromSi, UNITS } from '@rundel/core/units';
import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import { roughWeights } from '../../../text/amount-text.ts';
import { weekWords } from '../../../text/tally-text.ts';
import { shortDay } from '../../../text/text.ts';
import { Chart, chartGround, themeColour } from '../../../ui/chart.ts';
import { ChartFrame } from '../../../ui/ChartFrame.tsx';
import { HowCalculated } from '../../../ui/HowCalculated.tsx';
import { useThemeValue } from '../../../ui/theme-context.tsx';
import type { UnitFormat } from '../../../store/index.ts';
import { useTally } from '../../../store/tally.ts';

const COLOURS = ['#a8442a', '#3c7550', '#5b4636', '#c77f12'];
const COLOURS_ON_DARK = ['#f29a7e', '#8fd0a4', '#d4c4b0', '#f3c04b'];
const HEIGHT = 320;
/** Weeks ahead that are drawn: further on they are all doubt. */
const AHEAD = 6;

/** The season as weeks: what was picked in each, by crop, and what is coming. */
export default function Weeks({
  units,
  isThisSeason,
  today,
  unitFormat,
}: {
  readonly units: readonly TallyUnit[];
  readonly isThisSeason: boolean;
  readonly today: Day;
  readonly unitFormat: UnitFormat;
}) {
  const { themeName } = useThemeValue();
  const unit = unitFormat.system === 'metric' ? 'kilogram' : 'pound';
  const { data: coming } = useTally(['coming'], (api, day) => api.coming(day), isThisSeason);
  const weeks = useMemo(() => filled(weeklyPicked(units, 'crop', mondayOf)), [units]);
  const crops = useMemo(() => [...new Map(units.map((u) => [u.cropId, u.crop])).entries()], [units]);
  const ahead = (coming?.weeks ?? []).filter((w) => w.from > mondayOf(today)).slice(0, AHEAD);
  const series = useMemo(() => {
    const y = (kilograms: number) => Number(fromSi(kilograms, unit).toFixed(2));
    return [
      ...crops.map(([id, name]) => ({
        name,
        data: [
          ...weeks.map((w) => ({ x: shortDay(w.from, today), y: y(w.byKey[id] ?? 0) })),
          ...ahead.map((w) => ({ x: shortDay(w.from, today), y: 0 })),
        ],
      })),
      ...(ahead.length > 0
        ? [
            {
              name: 'Likely to come',
              data: [
                ...weeks.map((w) => ({ x: shortDay(w.from, today), y: 0 })),
                ...ahead.map((w) => ({ x: shortDay(w.from, today), y: y(w.likely) })),
              ],
            },
          ]
        : []),
    ];
  }, [ahead, crops, today, unit, weeks]);
  const options = useMemo((): ApexOptions => {
    const ground = chartGround(themeName);
    const colours = themeName === 'dusk' ? COLOURS_ON_DARK : COLOURS;
    return {
      ...ground,
      chart: { ...ground.chart, id: 'weeks', stacked: true },
      colors: [...colours.slice(0, crops.length), themeColour('--muted')],
      fill: {
        type: [...crops.map(() => 'solid'), 'pattern'],
        pattern: { style: 'slantedLines', width: 5, height: 5 },
      },
      plotOptions: { bar: { columnWidth: '72%' } },
      dataLabels: { enabled: false },
      legend: { fontSize: '13px' },
      tooltip: { y: { formatter: (value: number) => `${value.toFixed(2)} ${UNITS[unit].symbol}` } },
      xaxis: {
        type: 'category',
        labels: { rotate: -45, style: { fontSize: '11px' } },
        title: { text: 'week from' },
      },
      yaxis: {
        title: { text: UNITS[unit].symbol },
        labels: { formatter: (value: number) => value.toFixed(1), style: { fontSize: '12px' } },
      },
    };
    // the colours come from the check's variables
  }, [crops, themeName, unit]);
  if (weeks.length === 0 && ahead.length === 0) return <Typography>Nothing picked yet.</Typography>;
  const best = [...weeks].sort((a, b) => b.kilograms - a.kilograms)[0];
  const [next] = ahead;
  return (
    <>
      <Typography sx={{ marginBlockEnd: 1 }}>
        {best && best.kilograms > 0
          ? `The heaviest week was ${weekWords(best.from, today)}, with ${unitFormat.show(best.kilograms, 'crop')}. `
          : ''}
        {next ? `Next week I expect ${roughWeights(next, unitFormat)} from the whole garden.` : ''}
      </Typography>
      <ChartFrame label="Weight picked by week and crop; the table holds the numbers" height={HEIGHT}>
        <Chart key={themeName} type="bar" height={HEIGHT} options={options} series={series} />
      </ChartFrame>
      <HowCalculated label="The weeks as a table">
        <Table size="small" aria-label="Weight by week">
          <TableHead>
            <TableRow>
              <TableCell>Week</TableCell>
              {crops.map(([id, name]) => (
                <TableCell key={id} align="right">
                  {name}
                </TableCell>
              ))}
              <TableCell align="right">All</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {weeks.map((week) => (
              <TableRow key={week.from}>
                <TableCell>{weekWords(week.from, today)}</TableCell>
                {crops.map(([id]) => (
                  <TableCell key={id} align="right">
                    {week.byKey[id] ? unitFormat.show(week.byKey[id], 'crop') : ''}
                  </TableCell>
                ))}
                <TableCell align="right">{unitFormat.show(week.kilograms, 'crop')}</TableCell>
              </TableRow>
            ))}
            {ahead.map((week) => (
              <TableRow key={week.from}>
                <TableCell>{weekWords(week.from, today)}, likely</TableCell>
                <TableCell align="right" colSpan={crops.length + 1}>
                  {roughWeights(week, unitFormat)}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </HowCalculated>
    </>
  );
}

/** Weeks without a picking are weeks too. */
function filled(weeks: ReturnType<typeof weeklyPicked>): ReturnType<typeof weeklyPicked> {
  const [first] = weeks;
  const last = weeks.at(-1);
  if (!first || !last) return weeks;
  const byDay = new Map(weeks.map((w) => [w.from, w]));
  const all = [];
  for (let from = first.from; from <= last.from; from = addDays(from, 7))
    all.push(byDay.get(from) ?? { from, kilograms: 0, byKey: {} });
  return all;
}
