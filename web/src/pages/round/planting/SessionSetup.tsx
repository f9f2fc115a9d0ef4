import { plansFor } from '@rundel/core/garden-state';
import { Alert, Box, Button, IconButton, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { IconX } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import { cropOf, SUPPORT_PRACTICES } from '@rundel/core/plants';
import {
  ORDER_PRACTICES,
  orderPracticeOf,
  plantingMethodOf,
  STRIP_PRACTICES,
  type MixAtPlanting,
} from '@rundel/core/planting';
import { PLANTING_METHOD_IDS } from '@rundel/core/records';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { BagChooser } from '../../../ui/BagChooser.tsx';
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
import { Select } from '../../../ui/Select.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useGarden, useUnitFormat, type Bag, told } from '../../../store/index.ts';
import { itemFor, type PlantingSession, type SessionItem } from '@rundel/core/garden-state';

/** Lines that the bench hands over, mm. */
const OWN = ['buriedMillimetres', 'levelMillimetres', 'collarMillimetres'] as const;

/** What the first watering comes to, by how the mix is. */
const MIX_WORDS: Readonly<Record<MixAtPlanting, string>> = {
  moistened: 'It wants little more than to settle round the roots.',
  flooded: 'Flood it twice with a pause between. It is full then: the first watering is small and gentle.',
  dry: 'Dry mix gets twice the first watering.',
};

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
  const { garden, clock, live, saveSettings } = useGarden();
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
  const bagCount = new Set(items.map((i) => i.containerId)).size;
  const order = orderPracticeOf(settings.orderPracticeId);
  const support = SUPPORT_PRACTICES.find((s) => s.id === settings.supportPracticeId) ?? SUPPORT_PRACTICES[0];
  const strip = STRIP_PRACTICES.find((s) => s.id === settings.stripPracticeId) ?? STRIP_PRACTICES[0];
  const change = (patch: Partial<typeof settings>) => told(saveSettings({ ...settings, ...patch }));
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
        <Panel
          title={
            items.length === 0
              ? 'Nothing chosen yet'
              : `To plant: ${bagCount} ${bagCount === 1 ? 'bag' : 'bags'}`
          }
        >
          {items.length === 0 && (
            <Typography sx={{ color: 'text.secondary' }}>
              Choose bags, say what the seedlings are like, and add them. Different seedlings can be added one
              after the other.
            </Typography>
          )}
          <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
            {items.map((item) => {
              const bag = bags.find((b) => b.container.id === item.containerId);
              return (
                <Box
                  component="li"
                  key={`${item.containerId} ${item.stationIds?.join() ?? ''}`}
                  sx={{
                    display: 'flex',
                    alignItems: 'center',
                    gap: 1,
                    borderBlockEnd: '1px solid var(--line)',
                  }}
                >
                  <Box sx={{ flex: 1, paddingBlock: 1 }}>
                    <strong>{bag?.container.label}</strong> {item.plantName ?? item.varietyName}
                    {item.plantingMethodId === 'seed' || item.isGuessed
                      ? ''
                      : `, ${unitFormat.show(item.seedling.stemMillimetres, 'height')} tall`}
                    : {plantingMethodOf(item.plantingMethodId).name.toLowerCase()}
                    {bag && item.stationIds
                      ? `, at ${item.stationIds.map((id) => bag.container.stations.findIndex((s) => s.id === id) + 1).join(', ')}`
                      : ''}
                  </Box>
                  <IconButton
                    aria-label={`Leave bag ${bag?.container.label ?? ''} out`}
                    onClick={() =>
                      keep(
                        items.filter((i) => i !== item),
                        false,
                      )
                    }
                    sx={{ width: 48, height: 48 }}
                  >
                    <IconX aria-hidden />
                  </IconButton>
                </Box>
              );
            })}
          </Box>
          {items.length > 0 && (
            <Button
              variant="contained"
              size="large"
              onClick={() => keep(items, true)}
              sx={{ marginBlockStart: 2, minHeight: 56 }}
            >
              Begin planting
            </Button>
          )}
        </Panel>
        <Panel title="How you work">
          <Box sx={{ display: 'grid', gap: 2 }}>
            <Select
              label="The mix is"
              value={mixIs}
              options={[
                { id: 'moistened', label: 'moistened before filling' },
                { id: 'flooded', label: 'filled in dry, and flooded in the bag' },
                { id: 'dry', label: 'dry still' },
              ]}
              onChange={setMix}
              help={MIX_WORDS[mixIs]}
            />
            <Select
              label="Order of the work"
              value={order.id}
              options={ORDER_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
              onChange={(id) => change({ orderPracticeId: id })}
              help={order.description}
            />
            <Select
              label="Leaves come off"
              value={strip.id}
              options={STRIP_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
              onChange={(id) => change({ stripPracticeId: id })}
              help={strip.description}
            />
            <Select
              label="Supports go on"
              value={support.id}
              options={SUPPORT_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
              onChange={(id) => change({ supportPracticeId: id })}
              help={support.description}
            />
          </Box>
        </Panel>
      </Box>
    </Box>
  );
}
