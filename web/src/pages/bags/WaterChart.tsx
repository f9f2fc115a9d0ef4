import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { BagWater } from '@rundel/core/garden-state';
import { fromSi, UNITS } from '@rundel/core/units';
import type { ApexOptions } from 'apexcharts';
import { Chart, chartGround, chartMoment, themeColour } from '../../ui/chart.ts';
import { ChartFrame } from '../../ui/ChartFrame.tsx';
import { useMemo } from 'react';
import { useThemeValue } from '../../ui/theme-context.tsx';
import { HowCalculated } from '../../ui/HowCalculated.tsx';
import { localDate, whenWords } from '../../text/text.ts';
import { useUnitFormat } from '../../store/index.ts';
import { courseOf, chartPointsOf, spellsOf } from '@rundel/core/garden-state';

/** A bag's water over the last days and the rounds to come, with its doubt as a band. */
export default function WaterChart({
  water,
  name,
  refillPoint,
}: {
  readonly water: BagWater;
  readonly name: string;
  /** share of available water at which this bag wants water */
  readonly refillPoint: number;
}) {
  const unitFormat = useUnitFormat();
  const { themeName } = useThemeValue();
  const unit =
    unitFormat.system === 'metric' ? 'litre' : unitFormat.system === 'us' ? 'usGallon' : 'imperialGallon';
  const course = useMemo(() => courseOf(water), [water]);
  const marks = useMemo(() => chartPointsOf(water), [water]);
  const happened = new Map(marks.map((mark) => [mark.at, mark.kind === 'check' ? 'a check' : 'a watering']));
  const spells = spellsOf(course, water.availableLitres, refillPoint);
  const options = useMemo((): ApexOptions => {
    const inUnit = (litres: number) => Number(fromSi(litres, unit).toFixed(2));
    const ground = chartGround(themeName);
    return {
      ...ground,
      chart: { ...ground.chart, id: 'water' },
      colors: [themeColour('--water-4'), themeColour('--ink')],
      fill: { opacity: [0.35, 1] },
      stroke: { curve: 'straight', width: [0, 2.5] },
      dataLabels: { enabled: false },
      legend: { show: false },
      tooltip: { enabled: false },
      yaxis: {
        min: 0,
        max: inUnit(water.availableLitres * 1.02),
        title: { text: `water for the plant, ${UNITS[unit].symbol}` },
        labels: { formatter: (n: number) => n.toFixed(1), style: { fontSize: '12px' } },
      },
      annotations: {
        points: marks.map((mark) => ({
          x: localDate(mark.at).getTime(),
          y: inUnit(mark.litres),
          marker: {
            size: 5,
            shape: mark.kind === 'check' ? 'circle' : 'square',
            fillColor: mark.kind === 'check' ? themeColour('--surface') : themeColour('--water-5'),
            strokeColor: themeColour('--ink'),
            strokeWidth: 2,
          },
        })),
        xaxis: [chartMoment(localDate(water.now).getTime(), 'now')],
        yaxis: [
          {
            y: inUnit(water.availableLitres * refillPoint),
            borderColor: themeColour('--fruit'),
            strokeDashArray: 5,
            label: {
              text: 'wants water',
              style: { background: themeColour('--surface'), color: themeColour('--ink') },
            },
          },
        ],
      },
    };
    // the colours come from the check's variables
  }, [themeName, marks, refillPoint, unit, water]);
  const series = useMemo(() => {
    const y = (litres: number) => Number(fromSi(litres, unit).toFixed(3));
    const x = (at: string) => localDate(at).getTime();
    return [
      {
        name: 'four times in five',
        type: 'rangeArea',
        data: course.map((p) => ({ x: x(p.at), y: [y(p.low), y(p.high)] })),
      },
      { name: 'likely', type: 'line', data: course.map((p) => ({ x: x(p.at), y: y(p.likely) })) },
    ];
  }, [course, unit]);
  return (
    <Box>
      <Typography sx={{ marginBlockEnd: 1 }}>
        {spells.isDryNow && spells.dryOuts === 0
          ? 'It has likely been below the point where it wants water all these days'
          : spells.dryOuts === 0
            ? 'In these days it was never likely below the point where it wants water'
            : `In these days it likely went below the point where it wants water ${spells.dryOuts === 1 ? 'once' : `${spells.dryOuts} times`}`}
        {spells.wetDays >= 1
          ? `, and was nearly full for about ${Math.round(spells.wetDays)} days in all`
          : ''}
        . Rings are checks, squares waterings. To the right of the dashes is what comes if nobody waters it.
      </Typography>
      <ChartFrame
        label={`Water of bag ${name} over the last days and the rounds to come; the table holds the numbers`}
        height={320}
      >
        <Chart key={themeName} type="rangeArea" height={320} options={options} series={series as never} />
      </ChartFrame>
      <HowCalculated label="The same as a table">
        <Box
          sx={{ maxHeight: 320, overflow: 'auto' }}
          tabIndex={0}
          role="region"
          aria-label="Water by moment"
        >
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>When</TableCell>
                <TableCell align="right">Likely</TableCell>
                <TableCell align="right">Between</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {course.map((p, i) => (
                <TableRow key={i}>
                  <TableCell>
                    {whenWords(p.at, water.now)}
                    {p.what === 'expected' ? ', expected' : ''}
                    {happened.has(p.at) ? `: ${happened.get(p.at)}` : ''}
                  </TableCell>
                  <TableCell align="right">{unitFormat.show(p.likely, 'water')}</TableCell>
                  <TableCell align="right">{unitFormat.range(p.low, p.high, 'water')}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      </HowCalculated>
    </Box>
  );
}
