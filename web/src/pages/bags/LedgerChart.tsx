import { Box, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { type Verdict } from '@rundel/core/feeding';
import { ELEMENTS, type Element } from '@rundel/core/products';
import { trimmed } from '@rundel/core/units';
import type { ApexOptions } from 'apexcharts';
import { Chart, chartGround, chartMoment, themeColour } from '../../ui/chart.ts';
import { ChartFrame } from '../../ui/ChartFrame.tsx';
import { useMemo, useState } from 'react';
import { ELEMENT_WORDS } from '../../text/feed-text.ts';
import { useThemeValue } from '../../ui/theme-context.tsx';
import { HowCalculated, WorkedLines } from '../../ui/HowCalculated.tsx';
import { shortDay } from '../../text/text.ts';
import type { BagLedger } from '@rundel/core/garden-state';
import { drawnDays, LEDGER_PARTS, partsOn, rangeOf } from './ledger-series.ts';

const SYMBOLS: Record<Element, string> = { n: 'N', p: 'P', k: 'K', ca: 'Ca', mg: 'Mg' };

/** Where a bag's feed went: taken up, washed out, in the mix, still bound; together all that was offered. */
export default function LedgerChart({
  ledger,
  label,
}: {
  readonly ledger: BagLedger | undefined;
  /** of its bag */
  readonly label: string;
}) {
  const { themeName } = useThemeValue();
  const [element, setElement] = useState<Element>('n');
  const drawn = useMemo(() => (ledger ? drawnDays(ledger) : []), [ledger]);
  const today = ledger?.days.likely[ledger.today]?.day;
  const options = useMemo((): ApexOptions => {
    const at = (day: string | undefined) => new Date(`${day ?? '2026-01-01'}T12:00:00`).getTime();
    const ground = chartGround(themeName);
    return {
      ...ground,
      chart: { ...ground.chart, stacked: true },
      colors: LEDGER_PARTS.map(({ token }) => themeColour(token)),
      fill: { type: 'solid', opacity: 0.85 },
      stroke: { curve: 'straight', width: 1.5, colors: [themeColour('--ink')] },
      dataLabels: { enabled: false },
      legend: { show: false },
      tooltip: { enabled: false },
      yaxis: {
        min: 0,
        title: { text: `${ELEMENT_WORDS[element]}, g` },
        labels: { formatter: (n: number) => trimmed(n, n < 2 ? 1 : 0), style: { fontSize: '12px' } },
      },
      annotations: {
        xaxis: [chartMoment(at(today), 'today')],
      },
    };
    // the colours come from the check's variables
  }, [element, themeName, today]);
  const series = useMemo(
    () =>
      LEDGER_PARTS.map(({ label }, i) => ({
        name: label,
        data: drawn.map((day) => ({
          x: new Date(`${day.day}T12:00:00`).getTime(),
          y: Number((partsOn(day, element)[i] ?? 0).toFixed(3)),
        })),
      })),
    [drawn, element],
  );
  if (!ledger) return <Box role="status" sx={{ minHeight: 380 }} />;
  const verdict = ledger.verdicts.find((v) => v.element === element);
  const grams = (n: number) => trimmed(n, n < 10 ? 1 : 0);
  const range = (part: Parameters<typeof rangeOf>[2]) => {
    const { low, likely, high } = rangeOf(ledger, ledger.today, part, element);
    return low.toFixed(1) === high.toFixed(1)
      ? `${grams(likely)}\u00a0g`
      : `${grams(likely)}\u00a0g (${grams(low)} to ${grams(high)})`;
  };
  return (
    <Box sx={{ marginBlockStart: 1.5 }}>
      <ToggleButtonGroup
        exclusive
        value={element}
        onChange={(_, next: Element | null) => next && setElement(next)}
        aria-label="Of which nutrient"
        size="small"
      >
        {ELEMENTS.map((each) => (
          <ToggleButton key={each} value={each} aria-label={ELEMENT_WORDS[each]} sx={{ minWidth: 52 }}>
            {SYMBOLS[each]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Typography sx={{ marginBlock: 1 }}>{elementSentence(verdict)}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, fontSize: '0.9rem' }}>
        {[...LEDGER_PARTS].reverse().map(({ key, label, token }) => (
          <Box key={key} sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
            <Box
              aria-hidden
              sx={{
                width: 14,
                height: 14,
                backgroundColor: `var(${token})`,
                border: '1.5px solid var(--ink)',
              }}
            />
            {label}
          </Box>
        ))}
      </Box>
      <ChartFrame
        label={`Where the ${ELEMENT_WORDS[element]} of bag ${label} went; the lines below hold the numbers`}
        height={300}
      >
        <Chart key={`${themeName} ${element}`} type="area" height={300} options={options} series={series} />
      </ChartFrame>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        The top of the picture is all that was offered. To the right of today: what comes if nothing more is
        given.
      </Typography>
      <HowCalculated label="In numbers, with their doubt">
        <WorkedLines
          lines={[
            ['Offered since it was filled', range('offered')],
            ['Taken up', range('taken')],
            ['Washed out by what ran through', range('washed')],
            ['In the mix, there for the taking', range('dissolved')],
            ['Still bound in what gives slowly', range('held')],
            [
              'In its water',
              verdict
                ? `${Math.round(verdict.milligramsPerLitre.likely)}\u00a0mg/L (${Math.round(verdict.milligramsPerLitre.low)} to ${Math.round(verdict.milligramsPerLitre.high)})`
                : '',
            ],
          ]}
        />
        <Typography variant="body2" sx={{ marginBlockStart: 1 }}>
          Reckoned from labels, warmth, growth, pickings and what ran through; rain that runs through is not
          counted. Ranges are a lean and a rich reading of all of these at once. The plant knows better: pale
          new growth is a better word than this.
        </Typography>
      </HowCalculated>
    </Box>
  );
}

function elementSentence(verdict: Verdict | undefined): string {
  if (!verdict) return '';
  const name = ELEMENT_WORDS[verdict.element];
  const upper = name.charAt(0).toUpperCase() + name.slice(1);
  const likely = verdict.isSure ? '' : ' likely';
  if (verdict.status === 'short') return `${upper} is${likely} short.`;
  if (verdict.status === 'over') return `There is${likely} more ${name} than the plant can use.`;
  const { shortFrom } = verdict;
  return shortFrom.likely
    ? `${upper} is${likely} enough until about ${shortDay(shortFrom.likely)}.`
    : `${upper} is${likely} enough for the weeks to come.`;
}
