import { Box, Button, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { dripsOf } from '@rundel/core/garden-state';
import { dayOf } from '@rundel/core/calendar';
import type { Entry } from '@rundel/core/records';
import { dripOn, linesOf, litresAWeek, type DripLine, type DripSetting } from '@rundel/core/water';
import { useMemo, useState } from 'react';
import { useAddress } from '../../../ui/address.ts';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { titleOf } from '../../../text/bag-text.ts';
import { dripWords } from '../../../text/water-text.ts';
import { useWhen } from '../../../ui/When.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useBags, useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';
import { DripWeeks } from './DripWeeks.tsx';
import { NoBags } from '../NoBags.tsx';
import { DripLineForm } from './DripLineForm.tsx';
import { StoodStillDialog } from './StoodStillDialog.tsx';

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
      <OneDrip
        key={bag.container.id}
        bag={bag}
        others={planted.filter((b) => b !== bag && settingNow(b, live, dayOf(clock.now())))}
      />
    </Box>
  );
}

/** What a bag's timer is set to on a day, if it has one. */
function settingNow({ properties, container }: Bag, live: readonly Entry[], today: string) {
  return dripOn(dripsOf(container.id, live, properties.assumed.dripLoss), today)?.setting;
}

/** Several lines as a setting; undefined for none. */
function settingOf(lines: readonly DripLine[]): DripSetting | undefined {
  const [first, ...further] = lines;
  return first && { ...first, ...(further.length > 0 ? { further } : {}) };
}

function OneDrip({
  bag,
  others: otherBags,
}: {
  readonly bag: Bag;
  /** that have a drip too */
  readonly others: readonly Bag[];
}) {
  const { clock, live, record } = useGarden();
  const unitFormat = useUnitFormat();
  const { container, water } = bag;
  const today = dayOf(clock.now());
  const now = useMemo(() => settingNow(bag, live, today), [bag, live, today]);
  const lines = now ? linesOf(now) : [];
  const when = useWhen({ kind: 'drip', containerId: container.id });
  const [isStill, setStill] = useState(false);
  const [asked, setAt] = useState(0);
  const at = Math.min(asked, lines.length);
  const ahead = (water?.usePerDay ?? []).filter((day) => day.day > today).slice(0, 7);
  const wantedADay =
    ahead.length > 0 ? ahead.reduce((sum, day) => sum + day.litres, 0) / ahead.length : undefined;
  const write = async (kept: readonly DripLine[], words: string) => {
    const [first, ...further] = kept;
    const moment = when.read();
    if (moment === undefined) return;
    await record(
      [
        {
          kind: 'drip',
          at: moment,
          containerId: container.id,
          ...(first
            ? { setting: { ...plain(first), ...(further.length > 0 ? { further: further.map(plain) } : {}) } }
            : {}),
        },
      ],
      words,
    );
  };
  const others = lines.filter((_, i) => i !== at);
  return (
    <>
      <Panel title="The setting">
        <Typography sx={{ marginBlockEnd: 1.5 }}>
          {now
            ? `It is set to ${dripWords(now, unitFormat)}: ${unitFormat.show(litresAWeek(now), 'water')} in a dry week`
            : 'This bag has no drip yet'}
          {wantedADay !== undefined &&
            `; the bag will use about ${unitFormat.show(wantedADay * 7, 'water')} in the week to come`}
          .
        </Typography>
        {lines.length > 0 && (
          <ToggleButtonGroup
            exclusive
            aria-label="Which line"
            value={at}
            onChange={(_, to: number | null) => to !== null && setAt(to)}
            sx={{ marginBlockEnd: 2, flexWrap: 'wrap', '& .MuiToggleButton-root': { minHeight: 48 } }}
          >
            {lines.map((_, i) => (
              <ToggleButton key={i} value={i}>
                {lines.length === 1 ? 'Its line' : `Line ${i + 1}`}
              </ToggleButton>
            ))}
            {lines.length < MOST_LINES && <ToggleButton value={lines.length}>Another line</ToggleButton>}
          </ToggleButtonGroup>
        )}
        <DripLineForm
          key={`${at} ${JSON.stringify(lines[at])}`}
          bag={bag}
          line={lines[at]}
          others={settingOf(others)}
          wantedADay={wantedADay}
          when={when.field}
          onSet={(line) =>
            write([...lines.slice(0, at), line, ...lines.slice(at + 1)], `drip at ${container.label} set`)
          }
        />
        {lines[at] && (
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <OnceButton
              onPress={() =>
                write(others, `drip at ${container.label} ${others.length > 0 ? 'taken off' : 'turned off'}`)
              }
            >
              {others.length > 0 ? 'This line is off' : 'It is turned off'}
            </OnceButton>
            <Button onClick={() => setStill(true)}>It stood still for a while</Button>
          </Box>
        )}
        {isStill && <StoodStillDialog bag={bag} others={otherBags} onClose={() => setStill(false)} />}
      </Panel>
      {water && (
        <Panel title="Week by week">
          <DripWeeks days={water.usePerDay} today={today} />
        </Panel>
      )}
      <CautionOf id="electricity" />
    </>
  );
}

/** A line as the diary keeps it. */
const plain = ({ weekdays, ...line }: DripLine) => ({ ...line, weekdays: [...weekdays] });

/** A bag has room for so many lines. */
const MOST_LINES = 6;
