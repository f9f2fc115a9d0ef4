import { Box, Button } from '@mui/material';
import { IconCheck } from '@tabler/icons-react';
import { addDays, dayOf, type Day } from '@rundel/core/calendar';
import { datesOf } from '@rundel/core/garden-state';
import type { Occupant } from '@rundel/core/plants';
import { STAGES, type Stage } from '@rundel/core/records';
import { Suspense, useMemo, useState } from 'react';
import { EntryDialog } from './dialogs.ts';
import { plantName, STAGE_NAMES } from '../../text/plant-text.ts';
import { shortDay } from '../../text/text.ts';
import { told, useGarden, type Bag } from '../../store/index.ts';

/** How long before a reckoned day a stage is worth looking for, days. */
const LOOK_DAYS = 7;

interface Asked {
  readonly stage: Stage;
  /** the first day on which it may be there; undefined where nothing reckons it */
  readonly from: Day | undefined;
}

/** The next stage that a plant may come to, with the day from which it is reckoned. */
function nextOf(occupant: Occupant, dates: ReturnType<typeof datesOf>, today: Day): Asked | undefined {
  const { seen } = occupant.stages;
  const latest = Math.max(-1, ...STAGES.map((stage, i) => (seen[stage] && stage !== 'rooted' ? i : -1)));
  const isSeed = occupant.planted.plantingMethodId === 'seed';
  const { daysToEmerge } = occupant.crop.sowing;
  const days: Readonly<Partial<Record<Stage, Day>>> = {
    ...(isSeed ? { up: addDays(occupant.plantedOn, daysToEmerge.low) } : {}),
    flowers: dates.firstFlowers.from,
    set: seen.flowers ? addDays(seen.flowers, 5) : dates.firstFlowers.to,
    ripe: dates.firstPicking.from,
    ...(occupant.habit.bearing === 'one-flush' ? { 'last-flush': addDays(dates.picking.from, 21) } : {}),
  };
  const stage = STAGES.find((each, i) => i > latest && days[each] !== undefined);
  const from = stage && days[stage];
  return stage && from && from <= addDays(today, LOOK_DAYS) ? { stage, from } : undefined;
}

/**
 * What was seen of a plant and what may come next: asked, never held against it. Seen and not yet are one tap each; any other stage
 * and an earlier day are in a form.
 */
export function PlantStages({
  bag,
  plants,
}: {
  readonly bag: Bag;
  /** those that are spoken of together */
  readonly plants: readonly [Occupant, ...Occupant[]];
}) {
  const [occupant] = plants;
  const { garden, clock, record } = useGarden();
  const [isOther, setOther] = useState(false);
  const today = dayOf(clock.now());
  const dates = useMemo(
    () => datesOf(occupant, garden, bag.place?.cover ?? 'open'),
    [bag.place?.cover, garden, occupant],
  );
  const { seen, notYet } = occupant.stages;
  const next = nextOf(occupant, dates, today);
  const isWholeBag = plants.length === bag.occupants.length;
  const say = (stage: Stage, isNotYet: boolean) =>
    record(
      (isWholeBag ? [undefined] : plants).map((one) => ({
        kind: 'stage' as const,
        at: clock.now(),
        containerId: bag.container.id,
        ...(one ? { stationId: one.stationId, plantId: one.plant.id } : {}),
        stage,
        ...(isNotYet ? { isNotYet } : {}),
      })),
      `${STAGE_NAMES[stage]} ${isNotYet ? 'not yet' : 'seen'} at ${bag.container.label}`,
    );
  const name = plants.length === 1 ? plantName(occupant, bag.occupants) : occupant.variety.name;
  const looked = next && notYet[next.stage];
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, marginBlock: 0.5 }}>
      {STAGES.filter((stage) => seen[stage]).map((stage) => (
        <Box
          key={stage}
          component="span"
          sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.5, color: 'text.secondary' }}
        >
          <IconCheck aria-hidden size={16} /> {STAGE_NAMES[stage]} {shortDay(seen[stage] ?? today, today)}
        </Box>
      ))}
      {next && (
        <Box role="group" aria-label={`${STAGE_NAMES[next.stage]} of ${name}`} sx={{ display: 'contents' }}>
          <Box component="span" sx={{ flexBasis: { xs: '100%', sm: 'auto' } }}>
            {STAGE_NAMES[next.stage].charAt(0).toUpperCase() + STAGE_NAMES[next.stage].slice(1)}?
            {looked
              ? ` Not on ${shortDay(looked, today)}.`
              : next.from
                ? ` I expect it from ${shortDay(next.from, today)}.`
                : ''}
          </Box>
          <Button size="small" variant="outlined" onClick={() => told(say(next.stage, false))}>
            Seen
          </Button>
          <Button size="small" onClick={() => told(say(next.stage, true))}>
            Not yet
          </Button>
        </Box>
      )}
      <Button size="small" onClick={() => setOther(true)} aria-label={`Another stage of ${name}`}>
        Another stage
      </Button>
      <Suspense>
        {isOther && (
          <EntryDialog
            bags={[bag]}
            kind="stage"
            {...(isWholeBag ? {} : { plantId: occupant.plant.id })}
            onClose={() => setOther(false)}
          />
        )}
      </Suspense>
    </Box>
  );
}
