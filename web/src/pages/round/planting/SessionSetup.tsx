import { plansFor } from '@rundel/core/garden-state';
import { Alert, Box, Button, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { cropOf } from '@rundel/core/plants';
import { plantingMethodOf, type MixAtPlanting } from '@rundel/core/planting';
import { PLANTING_METHOD_IDS } from '@rundel/core/records';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { BagChooser } from '../../../ui/BagChooser.tsx';
import { PlantingRisks } from '../../../ui/care/PlantingRisks.tsx';
import { ColdNightNotice } from '../../../ui/ColdNightNotice.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { useFields } from '../../../ui/form/index.ts';
import {
  isPlantingAsked,
  plantingFields,
  plantingFrom,
  plantingOf,
  plantingProblems,
  plantingStart,
  startOfPlan,
} from '../../../ui/planting-form.ts';
import { obstacleWords, remedyWords } from '../../../text/planting-text.ts';
import { PlantingFields } from '../../../ui/PlantingFields.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';
import { HowYouWork } from './HowYouWork.tsx';
import { ToPlant } from './ToPlant.tsx';
import { itemFor, type PlantingSession, type SessionItem } from '@rundel/core/garden-state';

/** Lines that the bench hands over, mm. */
const OWN = ['buriedMillimetres', 'levelMillimetres', 'collarMillimetres'] as const;

/** Before planting: which seedlings go into which bags, and in which order the work is done. */
export function SessionSetup({
  bags,
  session,
  onKeep,
}: {
  readonly bags: readonly Bag[];
  readonly session: PlantingSession | null;
  onKeep(session: PlantingSession): void;
}) {
  const { garden, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const [params] = useSearchParams();
  const { settings } = garden;
  const today = dayOf(clock.now());
  const empty = plantingStart(today, settings.depthPracticeId);
  // a bag that was planned for comes with what was said of its plant
  const askedBag = bags.find((b) => b.container.id === params.get('bag'));
  const plan = askedBag && plansFor(askedBag.container, garden, live)[0];
  const form = useFields((texts) => plantingFields(texts, unitFormat, today), {
    values: { ...empty, ...(plan ? startOfPlan(plan) : {}) },
    texts: plantingFrom(params),
    isAsked: isPlantingAsked,
    check: plantingProblems,
  });
  const items = session?.items ?? [];
  const free = bags.filter((b) => b.occupants.length < b.container.stations.length);
  const freePlaces = (b: Bag) => {
    const ofBag = items.filter((i) => i.containerId === b.container.id);
    // without places of its own an item fills the bag
    if (ofBag.some((i) => !i.stationIds)) return [];
    const taken = new Set([
      ...b.occupants.map((o) => o.stationId),
      ...ofBag.flatMap((i) => i.stationIds ?? []),
    ]);
    return b.container.stations.map(({ id }) => id).filter((id) => !taken.has(id));
  };
  const open = free.filter((b) => freePlaces(b).length > 0);
  const [chosenIds, setChosen] = useState<readonly string[]>(() => {
    const asked = params.get('bag');
    return asked ? [asked] : [];
  });
  const askedMethod = PLANTING_METHOD_IDS.find((id) => id === params.get('method'));
  const filledBy = live.findLast(
    (e) => e.kind === 'filled' && free.some((b) => b.container.id === e.containerId),
  );
  const [mixIs, setMix] = useState<MixAtPlanting>(() =>
    session
      ? session.isFlooded
        ? 'flooded'
        : session.isMoistened
          ? 'moistened'
          : 'dry'
      : filledBy?.kind === 'filled' && filledBy.practiceId === 'flood'
        ? 'flooded'
        : 'moistened',
  );
  const [leftOut, setLeftOut] = useState<readonly string[]>([]);
  const own = OWN.flatMap((key) => {
    const mm = Number(params.get(key));
    return mm > 0 ? [[key, mm] as const] : [];
  });
  const [problems, setProblems] = useState<readonly string[]>([]);
  const planned = open.flatMap((bag) => {
    const first = plansFor(bag.container, garden, live)[0];
    return first ? [{ bag, plan: first }] : [];
  });
  const chosen = open.filter((b) => chosenIds.includes(b.container.id));
  // one bag of several places: they are chosen, so that different plants stand side by side
  const [one] = chosen;
  const only = chosen.length === 1 && one && freePlaces(one).length > 1 ? one : undefined;
  const places = only ? freePlaces(only).filter((id) => !leftOut.includes(id)) : [];
  const keep = (next: readonly SessionItem[], hasBegun: boolean) =>
    // what was ticked before something was changed still counts
    onKeep({
      startedAt: session?.startedAt ?? clock.now(),
      hasBegun,
      isMoistened: mixIs !== 'dry',
      ...(mixIs === 'flooded' ? { isFlooded: true } : {}),
      items: [...next],
    });
  const add = form.submit(() => {
    const result = plantingOf(form);
    if (!result) return undefined;
    if (chosen.length === 0) return setProblems(['Choose at least one bag with room in it.']);
    if (only && places.length === 0) return setProblems(['Choose a place in the bag at least.']);
    // lines that were moved on the bench hold for the bag that they were moved in
    const intended = { ...result, ...(own.length > 0 ? { own: Object.fromEntries(own) } : {}) };
    const found = chosen.map((bag) => {
      const isPart = freePlaces(bag).length < bag.container.stations.length - bag.occupants.length;
      const stationIds = only ? places : isPart ? freePlaces(bag) : undefined;
      return { bag, fit: itemFor(bag, intended, settings, askedMethod, stationIds) };
    });
    setProblems(
      found.flatMap(({ bag, fit }) =>
        fit.kind === 'cannot' && fit.outcome.kind === 'cannot'
          ? [
              `Bag ${bag.container.label} is left out. ${obstacleWords(fit.outcome.plantingMethodId, fit.outcome.obstacle, unitFormat)} ${remedyWords(fit.outcome.obstacle.remedies)}`,
            ]
          : fit.kind === 'fits' && fit.obstacle
            ? [
                `Bag ${bag.container.label}: ${plantingMethodOf(fit.item.plantingMethodId).name.toLowerCase()}. ${obstacleWords('upright', fit.obstacle, unitFormat)}`,
              ]
            : [],
      ),
    );
    keep([...items, ...found.flatMap(({ fit }) => (fit.kind === 'fits' ? [fit.item] : []))], false);
    setChosen([]);
    setLeftOut([]);
    // nothing of this plant sticks to the next but its crop
    form.begin({ ...empty, cropId: result.cropId, habitId: result.habitId });
    return undefined;
  });
  if (free.length === 0 && items.length === 0) {
    return (
      <Panel title="No bag has room">
        <Typography sx={{ marginBlockEnd: 2 }}>
          Every bag is planted. Clear one out on its page, or add a bag.
        </Typography>
        <Button component={Link} to="/bags/new" variant="contained">
          Add a bag
        </Button>
      </Panel>
    );
  }
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.2fr) minmax(0, 1fr)' },
        alignItems: 'start',
      }}
    >
      <Panel title="What goes where">
        <ColdNightNotice crops={[cropOf(form.texts.cropId)]} bags={chosen} isPlanted={false} />
        <PlantingRisks bags={[...chosen, ...planned.map(({ bag }) => bag)]} />
        {open.length === 0 ? (
          <Typography>Every bag with room is in the planting.</Typography>
        ) : (
          <>
            {planned.length > 0 && (
              <Box sx={{ marginBlockEnd: 2 }}>
                <Typography sx={{ fontWeight: 700 }}>Planned already</Typography>
                {planned.map(({ bag, plan: planOfBag }) => (
                  <Box key={bag.container.id} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                    <Box sx={{ flex: 1 }}>
                      <strong>{bag.container.label}</strong>{' '}
                      {planOfBag.varietyName ?? cropOf(planOfBag.cropId).name}
                      {planOfBag.seedling
                        ? `, ${unitFormat.show(planOfBag.seedling.stemMillimetres, 'height')} tall`
                        : ''}
                    </Box>
                    <Button
                      variant="outlined"
                      onClick={() => {
                        form.begin({ ...empty, ...startOfPlan(planOfBag) });
                        setChosen([bag.container.id]);
                      }}
                    >
                      Take it
                    </Button>
                  </Box>
                ))}
              </Box>
            )}
            <BagChooser bags={open} chosen={chosen} onChange={setChosen} label="Into which bags" />
            {only && (
              <ToggleButtonGroup
                aria-label="Places"
                value={places}
                onChange={(_, ids: string[]) =>
                  setLeftOut(freePlaces(only).filter((id) => !ids.includes(id)))
                }
                sx={{ marginBlockStart: 1.5, '& .MuiToggleButton-root': { minHeight: 48, minWidth: 56 } }}
              >
                {freePlaces(only).map((id) => {
                  const place = only.container.stations.findIndex((s) => s.id === id) + 1;
                  return (
                    <ToggleButton key={id} value={id} aria-label={`Place ${place}`}>
                      {place}
                    </ToggleButton>
                  );
                })}
              </ToggleButtonGroup>
            )}
            <Box sx={{ marginBlockStart: 2 }}>
              <PlantingFields form={form} hasDay={false} />
            </Box>
            {problems.map((problem) => (
              <Alert key={problem} severity="warning" sx={{ marginBlockStart: 1.5 }}>
                {problem}
              </Alert>
            ))}
            <OnceButton
              variant={items.length === 0 ? 'contained' : 'outlined'}
              onPress={() => add()}
              sx={{ marginBlockStart: 2 }}
            >
              {chosen.length > 1 ? `Add these ${chosen.length} bags` : 'Add it to the planting'}
            </OnceButton>
          </>
        )}
      </Panel>
      <Box>
        <ToPlant bags={bags} items={items} onKeep={keep} />
        <HowYouWork mixIs={mixIs} onMix={setMix} />
      </Box>
    </Box>
  );
}
