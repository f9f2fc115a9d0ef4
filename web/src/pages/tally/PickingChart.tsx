import type { BagTally } from '@rundel/core/pickings';
import { fromSi, UNITS } from '@rundel/core/units';
import type { ApexOptions } from 'apexcharts';
import { Chart, chartGround } from '../../ui/chart.ts';
import { ChartFrame } from '../../ui/ChartFrame.tsx';
import { useMemo } from 'react';
import { useThemeValue } from '../../ui/theme-context.tsx';
import { useUnitFormat } from '../../store/index.ts';

const COLOURS = ['#a8442a', '#1f7d78', '#c77f12', '#3c7550', '#5b4636', '#86802a'];
const COLOURS_ON_DARK = ['#f29a7e', '#74cfc8', '#f3c04b', '#8fd0a4', '#d4c4b0', '#cfca6a'];

const HEIGHT = 340;
/** More pickings of one bag than this are drawn without their marks. */
const DENSE = 20;

/** Weight picked so far, by bag: a step at each picking. Its numbers stand in the table beside it. */
export default function PickingChart({
  series,
}: {
  readonly series: readonly { readonly name: string; readonly tally: BagTally }[];
}) {
  const unitFormat = useUnitFormat();
  const { themeName } = useThemeValue();
  const unit = unitFormat.system === 'metric' ? 'kilogram' : 'pound';
  const isDense = series.some(({ tally }) => tally.cumulative.length > DENSE);
  const options = useMemo((): ApexOptions => {
    const ground = chartGround(themeName);
    return {
      ...ground,
      chart: { ...ground.chart, id: 'pickings' },
      colors: themeName === 'dusk' ? COLOURS_ON_DARK : COLOURS,
      stroke: { curve: 'stepline', width: 3, dashArray: [0, 6, 2, 10, 4, 8] },
      markers: {
        // a whole summer's pickings would hide their lines
        size: isDense ? 0 : 5,
        strokeWidth: 0,
        shape: ['circle', 'square', 'triangle', 'diamond', 'plus', 'cross'],
      },
      legend: { fontSize: '13px', markers: { size: 6 } },
      tooltip: {
        shared: false,
        y: { formatter: (value: number) => `${value.toFixed(2)} ${UNITS[unit].symbol}` },
        x: { format: 'd MMM' },
      },
      yaxis: {
        min: 0,
        title: { text: `picked so far, ${UNITS[unit].symbol}` },
        labels: { formatter: (value: number) => value.toFixed(1), style: { fontSize: '12px' } },
      },
    };
    // the colours come from the check's variables
  }, [isDense, themeName, unit]);
  const data = useMemo(
    () =>
      series.map(({ name, tally }) => ({
        name,
        data: tally.cumulative.map(({ day, kilograms }) => ({
          x: new Date(`${day}T12:00:00`).getTime(),
          y: Number(fromSi(kilograms, unit).toFixed(3)),
        })),
      })),
    [series, unit],
  );
  return (
    <ChartFrame label="Weight picked so far, by bag; the table holds the numbers" height={HEIGHT}>
      <Chart key={themeName} type="line" height={HEIGHT} options={options} series={data} />
    </ChartFrame>
  );
}
