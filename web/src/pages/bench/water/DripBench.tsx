import { Box, Button, FormControlLabel, Checkbox, TextField, Typography } from '@mui/material';
import { dripsOf } from '@rundel/core/garden-state';
import { dayOf } from '@rundel/core/calendar';
import type { Entry } from '@rundel/core/records';
import { dripOn, litresADay, proposeDrip } from '@rundel/core/water';
import { useMemo, useState } from 'react';
import { useAddress } from '../../../ui/address.ts';
import { Caution } from '../../../ui/Caution.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { titleOf } from '../../../text/bag-text.ts';
import { dripWords } from '../../../text/water-text.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useBags, useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';
import { DripWeeks } from './DripWeeks.tsx';
import { NoBags } from '../NoBags.tsx';
import { dripFormOf, readDripForm, WEEKDAYS, type DripForm } from './drip-form.ts';

/** A bag's drip: what it gives against what the bag uses, and a setting that would suit. */
export default function DripBench() {
  const { bags } = useBags();
  const [fields, change] = useAddress();
  const planted = bags.filter((bag) => bag.occupants.length > 0);
  const { clock, live } = useGarden();
  // who asks for no bag in particular most likely means one with a drip; it stays when its drip is turned off
  const [usualId] = useState(
    () => planted.find((b) => settingNow(b, live, dayOf(clock.now())))?.container.id,
  );
  const byId = (id: string | null | undefined) => planted.find((b) => b.container.id === id);
  const bag = byId(fields.get('bag')) ?? byId(usualId) ?? planted[0];
  if (!bag) return <NoBags label="Nothing is planted yet, so nothing has to drip." />;
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ maxWidth: 420 }}>
        <Select
          label="Which bag"
          value={bag.container.id}
          onChange={(id) => change({ bag: id })}
          options={planted.map((b) => ({ id: b.container.id, label: titleOf(b) }))}
        />
      </Box>
      <OneDrip key={bag.container.id} bag={bag} />
    </Box>
  );
}

/** What a bag's timer is set to on a day, if it has one. */
function settingNow({ properties, container }: Bag, live: readonly Entry[], today: string) {
  return dripOn(dripsOf(container.id, live, properties.assumed.dripLoss), today)?.setting;
}

function OneDrip({ bag }: { readonly bag: Bag }) {
  const { clock, live, record } = useGarden();
  const unitFormat = useUnitFormat();
  const { container, water, properties } = bag;
  const today = dayOf(clock.now());
  const now = useMemo(() => settingNow(bag, live, today), [bag, live, today]);
  const [form, setForm] = useState<DripForm>(() => dripFormOf(now));
  const reading = readDripForm(form);
  const set = (change: Partial<DripForm>) => setForm({ ...form, ...change });
  const problems = reading.kind === 'refused' ? reading.problems : {};
  const setting = reading.kind === 'read' ? reading.setting : undefined;
  const ahead = (water?.usePerDay ?? []).filter((day) => day.day > today).slice(0, 7);
  const wanted = ahead.reduce((sum, day) => sum + day.litres, 0) / Math.max(1, ahead.length);
  const proposal =
    setting && ahead.length > 0
      ? proposeDrip(wanted, properties.availableLitres, { ...setting, loss: properties.assumed.dripLoss })
      : undefined;
  const write = (chosen: typeof setting, words: string) =>
    record(
      [
        {
          kind: 'drip',
          at: clock.now(),
          containerId: container.id,
          ...(chosen ? { setting: { ...chosen, weekdays: [...chosen.weekdays] } } : {}),
        },
      ],
      words,
    );
  const isAsSet = setting !== undefined && JSON.stringify(setting) === JSON.stringify(now);
  return (
    <>
      <Panel title="The setting">
        <Typography sx={{ marginBlockEnd: 2 }}>
          {now ? `It is set to ${dripWords(now, unitFormat)}.` : 'This bag has no drip yet.'}
        </Typography>
        <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr 1fr', md: 'repeat(4, 1fr)' } }}>
          <Number
            label="Drippers"
            value={form.emitters}
            problem={problems.emitters}
            onChange={(emitters) => set({ emitters })}
          />
          <Number
            label="Caught in a jar, mL"
            value={form.jarMillilitres}
            problem={problems.jarMillilitres}
            help="Under one dripper for five minutes."
            onChange={(jarMillilitres) => set({ jarMillilitres })}
          />
          <Number
            label="Minutes each time"
            value={form.minutes}
            problem={problems.minutes}
            onChange={(minutes) => set({ minutes })}
          />
          <Number
            label="Times a day"
            value={form.timesADay}
            problem={problems.timesADay}
            onChange={(timesADay) => set({ timesADay })}
          />
        </Box>
        <Box role="group" aria-label="On which days" sx={{ marginBlock: 1 }}>
          {WEEKDAYS.map((name, i) => (
            <FormControlLabel
              key={name}
              control={
                <Checkbox
                  checked={form.weekdays.includes(i + 1)}
                  onChange={(_, on) =>
                    set({
                      weekdays: on
                        ? [...form.weekdays, i + 1].sort()
                        : form.weekdays.filter((d) => d !== i + 1),
                    })
                  }
                />
              }
              label={name}
            />
          ))}
          {problems.weekdays && <Typography sx={{ color: 'var(--fruit)' }}>{problems.weekdays}</Typography>}
        </Box>
        {setting && (
          <Typography sx={{ marginBlockEnd: 1.5 }}>
            That gives <strong>{unitFormat.show(litresADay(setting), 'water')}</strong> on a day that it runs;{' '}
            {ahead.length > 0 && (
              <>
                the bag will use about <strong>{unitFormat.show(wanted, 'water')}</strong> a day in the week
                to come.
              </>
            )}
          </Typography>
        )}
        {setting && ahead.length > 0 && (
          <Typography sx={{ marginBlockEnd: 1.5 }} aria-live="polite">
            {proposal
              ? `I would set ${proposal.minutes} min ${proposal.timesADay === 1 ? 'once' : `${proposal.timesADay} times`} a day: ${unitFormat.show(proposal.litresADay, 'water')}, in runs that the mix can take up. A check at each round is still wanted: drippers clog, and no timer feels the mix.`
              : 'These drippers cannot bring it in four runs of half an hour: more of them, or larger ones, and water by hand meanwhile.'}
          </Typography>
        )}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <OnceButton
            variant="contained"
            disabled={!setting || isAsSet}
            onPress={() => write(setting, `drip at ${container.label} set`)}
          >
            It is set so
          </OnceButton>
          {proposal && (
            <Button
              variant="outlined"
              onClick={() =>
                set({
                  minutes: String(proposal.minutes),
                  timesADay: String(proposal.timesADay),
                  weekdays: [1, 2, 3, 4, 5, 6, 7],
                })
              }
            >
              Take the proposal
            </Button>
          )}
          {now && (
            <OnceButton onPress={() => write(undefined, `drip at ${container.label} turned off`)}>
              It is turned off
            </OnceButton>
          )}
        </Box>
      </Panel>
      {water && (
        <Panel title="Week by week">
          <DripWeeks days={water.usePerDay} today={today} />
        </Panel>
      )}
      <Caution>
        A timer on a tap: check the hose for leaks before leaving it alone. Electric pumps and timers outdoors
        need a residual-current device; leave their wiring to an electrician.
      </Caution>
    </>
  );
}

function Number({
  label,
  value,
  problem,
  help,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly problem: string | undefined;
  readonly help?: string;
  onChange(value: string): void;
}) {
  return (
    <TextField
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      error={problem !== undefined}
      helperText={problem ?? help}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
}
