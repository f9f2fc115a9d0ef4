import { Typography } from '@mui/material';
import { addDays, type Day } from '@rundel/core/calendar';
import { cumulative, mondayOf, type Grouping, type TallyRow, type TallyUnit } from '@rundel/core/tally';
import { fromSi, UNITS } from '@rundel/core/units';
import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import { groupName } from '../../../text/tally-text.ts';
import { Chart, chartGround, themeColour } from '../../../ui/chart.ts';
import { ChartFrame } from '../../../ui/ChartFrame.tsx';
import { useThemeValue } from '../../../ui/theme-context.tsx';
import { useUnitFormat } from '../../../store/index.ts';

const COLOURS = ['#a8442a', '#1f7d78', '#c77f12', '#3c7550', '#5b4636'];
const COLOURS_ON_DARK = ['#f29a7e', '#74cfc8', '#f3c04b', '#8fd0a4', '#d4c4b0'];
const DASHES = [0, 6, 2, 10, 4];

const HEIGHT = 340;
/** More lines than this lie over one another and are not told apart. */
const MOST_LINES = 5;
/** With more than this the others are a band. */
const BAND_FROM = 6;

const at = (day: Day) => new Date(`${day}T12:00:00`).getTime();

/** Weight picked so far: a few lines that can be told apart, and all the others as the band in which four of five lie. */
export default function Curves({
  rows,
  by,
  ticked,
}: {
  readonly rows: readonly TallyRow[];
  readonly by: Grouping;
  readonly ticked: ReadonlySet<string>;
}) {
  const unitFormat = useUnitFormat();
  const { themeName } = useThemeValue();
  const unit = unitFormat.system === 'metric' ? 'kilogram' : 'pound';
  const chosen = rows.filter((row) => ticked.has(row.key));
  const lines = (chosen.length > 0 ? chosen : spread(rows)).slice(0, MOST_LINES);
  const hasBand = rows.length >= BAND_FROM;
  const series = useMemo(() => {
    const y = (kilograms: number) => Number(fromSi(kilograms, unit).toFixed(3));
    const band = hasBand
      ? [
          {
            name: 'four of five',
            type: 'rangeArea',
            data: bandOf(rows).map(({ day, low, high }) => ({ x: at(day), y: [y(low), y(high)] })),
          },
        ]
      : [];
    return [
      ...band,
      ...lines.map((row) => ({
        name: lineName(row, by),
        type: 'line',
        data: cumulative(row.units).map(({ day, kilograms }) => ({ x: at(day), y: y(kilograms) })),
      })),
    ];
  }, [by, hasBand, lines, rows, unit]);
  const options = useMemo((): ApexOptions => {
    const ground = chartGround(themeName);
    const colours = themeName === 'dusk' ? COLOURS_ON_DARK : COLOURS;
    const first = hasBand ? 1 : 0;
    return {
      ...ground,
      chart: { ...ground.chart, id: 'pickings' },
      colors: hasBand ? [themeColour('--muted'), ...colours] : colours,
      fill: { opacity: hasBand ? [0.28, ...colours.map(() => 1)] : 1 },
      stroke: {
        curve: 'straight',
        width: hasBand ? [0, ...colours.map(() => 3)] : 3,
        dashArray: hasBand ? [0, ...DASHES] : DASHES,
      },
      dataLabels: { enabled: false },
      markers: { size: 0 },
      legend: { fontSize: '13px', markers: { size: 6 }, showForSingleSeries: true },
      tooltip: { enabled: false },
      annotations: {
        points: labelled(series.slice(first)).map(({ name, x, y }) => ({
          x,
          y,
          marker: { size: 0 },
          label: {
            text: name,
            borderWidth: 0,
            offsetY: 4,
            textAnchor: 'end',
            style: { background: themeColour('--surface'), color: themeColour('--ink') },
          },
        })),
      },
      yaxis: {
        min: 0,
        title: { text: `picked so far, ${UNITS[unit].symbol}` },
        labels: { formatter: (value: number) => value.toFixed(1), style: { fontSize: '12px' } },
      },
    };
    // the colours come from the check's variables
  }, [hasBand, series, themeName, unit]);
  if (lines.length === 0) return <Typography>Nothing picked yet.</Typography>;
  return (
    <>
      <Typography sx={{ marginBlockEnd: 1 }}>
        {chosen.length > 0
          ? chosen.length > MOST_LINES
            ? `The first ${MOST_LINES} of the ${chosen.length} that are ticked in the table.`
            : 'Those that are ticked in the table.'
          : rows.length > MOST_LINES
            ? 'From the heaviest to the lightest; tick others in the table to see them here.'
            : 'The table holds the numbers.'}
        {hasBand ? ' In the grey band lie four of five.' : ''}
      </Typography>
      <ChartFrame label="Weight picked so far; the table holds the numbers" height={HEIGHT}>
        <Chart
          key={`${themeName} ${hasBand}`}
          type={hasBand ? 'rangeArea' : 'line'}
          height={HEIGHT}
          options={options}
          series={series as never}
        />
      </ChartFrame>
    </>
  );
}

/** Names that lie nearer than this part of the height hide one another: the legend has them all. */
const LABEL_GAP = 0.08;

/** The ends of lines that have room for their names, from the top. */
function labelled(
  lines: readonly {
    readonly name: string;
    readonly data: readonly { readonly x: number; readonly y: unknown }[];
  }[],
): readonly { readonly name: string; readonly x: number; readonly y: number }[] {
  const ends = lines.flatMap(({ name, data }) => {
    const last = data.at(-1);
    return last && typeof last.y === 'number' ? [{ name, x: last.x, y: last.y }] : [];
  });
  const top = Math.max(...ends.map(({ y }) => y));
  return [...ends]
    .sort((a, b) => b.y - a.y)
    .reduce<typeof ends>((kept, end) => {
      const above = kept.at(-1);
      return above && above.y - end.y < LABEL_GAP * top ? kept : [...kept, end];
    }, []);
}

/** A bag's number alone says little beside a line: what stands in it goes with it. */
function lineName(row: TallyRow, by: Grouping): string {
  const unit = row.units[0] as TallyUnit;
  return by === 'bag' ? `${unit.bag} ${unit.variety}` : groupName(unit, by);
}

/** A few from the heaviest to the lightest, evenly spread: the ends and the middle tell more than the first few. */
function spread(rows: readonly TallyRow[]): readonly TallyRow[] {
  if (rows.length <= MOST_LINES) return rows;
  return Array.from(
    { length: MOST_LINES },
    (_, i) => rows[Math.round((i * (rows.length - 1)) / (MOST_LINES - 1))] as TallyRow,
  );
}

/** Between which weights four of five lines lie, by week. */
function bandOf(
  rows: readonly TallyRow[],
): readonly { readonly day: Day; readonly low: number; readonly high: number }[] {
  const curves = rows.map((row) => cumulative(row.units));
  const days = curves.flatMap((curve) => curve.map(({ day }) => day)).sort();
  const [first] = days;
  const last = days.at(-1);
  if (first === undefined || last === undefined) return [];
  const found = [];
  for (let day = mondayOf(first); ; day = addDays(day, 7)) {
    const values = curves
      .map((curve) => curve.findLast((point) => point.day <= day)?.kilograms ?? 0)
      .sort((a, b) => a - b);
    const quantile = (share: number) => values[Math.round(share * (values.length - 1))] ?? 0;
    found.push({ day: day < last ? day : last, low: quantile(0.1), high: quantile(0.9) });
    if (day >= last) return found;
  }
}
