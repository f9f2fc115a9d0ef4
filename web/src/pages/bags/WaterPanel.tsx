import { Box, Button, Typography } from '@mui/material';
import type { WaterForecast } from '@rundel/core/water';
import { lazy, Suspense, useMemo, useState } from 'react';
import { expectation, gradeSpan, nextCheckWords, seenStore } from '../../text/bag-text.ts';
import { useDrierPlant } from '../../ui/drier-plant.ts';
import { ContradictionNotice } from '../../ui/ContradictionNotice.tsx';
import { FAULT_WORDS } from '../../text/check-text.ts';
import { STORE_WORDS } from '../../text/water-text.ts';
import { Panel } from '../../ui/Page.tsx';
import { Remark } from '../../ui/Remark.tsx';
import { hoursRangeWords, hoursWords, whenWords } from '../../text/text.ts';
import { HowCalculated, WorkedLines } from '../../ui/HowCalculated.tsx';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { WhatIf } from './WhatIf.tsx';

const WaterChart = lazy(() => import('./WaterChart.tsx'));

/** A bag that holds this much more or less than reckoned is told of, log. */
const SAID_FROM = 0.1;

/** The bag's water in three numbers, each to be opened. */
export function WaterPanel({ bag }: { readonly bag: Bag }) {
  const { clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const { water, properties } = bag;
  const drier = useDrierPlant(bag);
  const now = clock.now();
  const [isOpen, setOpen] = useState(false);
  const moves = useMemo(() => [...(water?.estimate.moves ?? [])].reverse().slice(0, 5), [water]);
  if (!water) {
    return (
      <Panel title="Water">
        {/* as much room as it will take: what stands below does not move under a finger */}
        <Typography role="status" sx={{ color: 'text.secondary', minHeight: { xs: 430, lg: 280 } }}>
          Working it out…
        </Typography>
      </Panel>
    );
  }
  const { estimate, ahead } = water;
  const { rest } = expectation(bag, unitFormat, now);
  const next = nextCheckWords(water, now);
  const toRefill = ahead.hoursToRefill;
  const percent = (share: number) => Math.round(share * 100);
  const today = now.slice(0, 10);
  const most = Math.max(
    0,
    ...water.usePerDay.filter((d) => d.day > today).map((d) => d.litres - d.dripLitres),
  );
  const isTight = most > properties.assumed.keepable * water.availableLitres && estimate.stores.length === 0;
  const lastFault = water.setAside.at(-1);
  const { capacity } = water;
  const seemsOff = Math.abs(Math.log(capacity.factor)) > Math.max(SAID_FROM, capacity.logSd);
  return (
    <Panel title="Water">
      <Typography sx={{ fontSize: '1.1rem', marginBlockEnd: 1.5 }}>
        I expect it <strong>{gradeSpan(estimate.share)}</strong>. {rest} Next check: <strong>{next}</strong>.
      </Typography>
      <ContradictionNotice bag={bag} />
      {water.isEstablishing && seenStore(water) && (
        <Remark>
          Its roots do not reach the water below yet. For about{' '}
          {Math.round(properties.assumed.rootsDownDays / 7)} weeks from planting it is watered from the top
          and checked by finger, close to the stem; once roots hang in the water, record the stage “Roots are
          down”.
        </Remark>
      )}
      {isTight && (
        <Remark>
          On the hottest day to come it uses about {unitFormat.show(most, 'water')} of the{' '}
          {unitFormat.show(water.availableLitres, 'water')} that it holds: one round a day may not keep it. A
          second round, a bigger bag, mulch, shade or a store of water would.
        </Remark>
      )}
      {seemsOff && (
        <Remark>
          It seems to hold about {unitFormat.show(properties.fill.mixLitres * capacity.factor, 'bag')} of mix,
          not {unitFormat.show(properties.fill.mixLitres, 'bag')}: {capacity.waterings} waterings ran through
          sooner or later than that size says. I reckon with what they say; measure the bag to be sure.
        </Remark>
      )}
      {lastFault && (
        <Remark>
          A reading of {whenWords(lastFault.at, now)} is set aside. {FAULT_WORDS[lastFault.fault]} It stays in
          the diary.
        </Remark>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))',
          gap: 2,
          marginBlockEnd: 1,
        }}
      >
        <Big
          number={unitFormat.show(estimate.litres.likely, 'water')}
          label={`left of ${unitFormat.show(water.availableLitres, 'water')}; ${unitFormat.range(estimate.litres.low, estimate.litres.high, 'water')}`}
        />
        <Big number={hoursWords(toRefill.likely)} label={withSpan('until it wants water', toRefill)} />
        <Big
          number={hoursWords(ahead.hoursToWilting.likely)}
          label={withSpan('until it wilts without watering', ahead.hoursToWilting)}
        />
        {estimate.stores.map((store) => (
          <Big
            key={store.kind}
            number={`${percent(store.likely)} %`}
            label={`of its ${STORE_WORDS[store.kind]} (${unitFormat.show(store.litres, 'water')}) left; ${percent(store.low)} to ${percent(store.high)} %`}
          />
        ))}
        <Big
          number={`× ${estimate.useMultiplier.likely.toFixed(1)}`}
          label={`its use against its kind; ${estimate.useMultiplier.low.toFixed(1)} to ${estimate.useMultiplier.high.toFixed(1)}`}
        />
      </Box>
      <HowCalculated label="How do I know?">
        <WorkedLines
          lines={[
            ['Settled mix', unitFormat.show(properties.fill.mixLitres, 'bag')],
            [
              `Water it holds for the plant (${properties.mix.name.toLowerCase()})`,
              unitFormat.show(water.availableLitres, 'water'),
            ],
            ['Chance that it is too dry now', `${percent(estimate.chanceDry)} %`],
            ['Chance at the next round', `${percent(ahead.rounds[0]?.chanceDry ?? 0)} %`],
            ['Chance at which I ask for a check', `${percent(properties.assumed.risk)} %`],
            ['Days with weather from the usual, not measured', `${water.filledDays} of ${water.spanDays}`],
            ...(drier
              ? [
                  [
                    'Usually the drier one',
                    `${drier.plant}, ${drier.times} of ${drier.visits} times`,
                  ] as const,
                ]
              : []),
            ...(water.probe
              ? [
                  [
                    `What its probe is off by, of its water, after ${water.probe.readings === 1 ? 'one reading' : `${water.probe.readings} readings`}`,
                    `${percent(water.probe.noise)} %`,
                  ] as const,
                ]
              : []),
          ]}
        />
        {moves.length > 0 && (
          <Box component="ul" sx={{ paddingInlineStart: 2.5, marginBlock: 1 }}>
            {moves.map((move) => {
              const by = move.afterLitres - move.beforeLitres;
              const entry = live.find((e) => e.id === move.entryId);
              const what = move.kind === 'check' ? 'check' : 'watering';
              const amount = unitFormat.show(Math.abs(by), 'water');
              return (
                <li key={move.entryId}>
                  {whose(entry?.at, now)} {what}{' '}
                  {Math.abs(by) < 0.05
                    ? 'was as I expected.'
                    : by > 0
                      ? `put ${amount} on.`
                      : `took ${amount} off.`}
                </li>
              );
            })}
          </Box>
        )}
        <Typography variant="body2">
          The ranges leave out one chance in ten at either end, if the bag is what you said it is. A look
          always beats the estimate.
        </Typography>
      </HowCalculated>
      <HowCalculated label="What would change it?">
        <WhatIf bag={bag} />
      </HowCalculated>
      <Button onClick={() => setOpen(!isOpen)} aria-expanded={isOpen} sx={{ paddingInline: 0.5 }}>
        {isOpen ? 'Hide its course' : 'Water: past and forecast'}
      </Button>
      {isOpen && (
        <Suspense fallback={<Box sx={{ minHeight: 320 }} />}>
          <WaterChart water={water} name={bag.container.label} refillPoint={properties.assumed.refillPoint} />
        </Suspense>
      )}
    </Panel>
  );
}

/** What some hours are until, and the span that they lie in where that says more than the hours themselves. */
function withSpan(what: string, { low, likely, high }: WaterForecast['hoursToRefill']): string {
  const span = hoursRangeWords(low, high);
  return low === undefined || span === hoursWords(likely) ? what : `${what}; ${span}`;
}

function Big({ number, label }: { readonly number: string; readonly label: string }) {
  return (
    <Box>
      <Box sx={{ fontFamily: 'h1.fontFamily', fontSize: '1.7rem', fontWeight: 720, lineHeight: 1.1 }}>
        {number}
      </Box>
      <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>{label}</Box>
    </Box>
  );
}

/** "Tuesday's", "The 18:05", "The 3 Jul": whose check or watering it was. */
function whose(at: string | undefined, now: string): string {
  if (at === undefined) return 'A';
  const when = whenWords(at, now);
  if (when.startsWith('today ')) return `The ${when.slice(6)}`;
  if (/^\d/.test(when)) return `The ${when}`;
  return `${when.charAt(0).toUpperCase()}${when.slice(1)}’s`;
}
