import { plansFor } from '@rundel/core/garden-state';
import { Alert, Box, Button, IconButton, Typography } from '@mui/material';
import { IconX } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import { cropOf, SUPPORT_PRACTICES } from '@rundel/core/plants';
import { ORDER_PRACTICES, orderPracticeOf, STRIP_PRACTICES, plantingMethodOf } from '@rundel/core/planting';
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
  const open = free.filter((b) => !items.some((i) => i.containerId === b.container.id));
  const [chosenIds, setChosen] = useState<readonly string[]>(() => {
    const asked = params.get('bag');
    return asked ? [asked] : [];
  });
  const askedMethod = PLANTING_METHOD_IDS.find((id) => id === params.get('method'));
  const [isMoistened, setMoistened] = useState(session?.isMoistened ?? true);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const planned = open.flatMap((bag) => {
    const first = plansFor(bag.container, garden, live)[0];
    return first ? [{ bag, plan: first }] : [];
  });
  const chosen = open.filter((b) => chosenIds.includes(b.container.id));
  const keep = (next: readonly SessionItem[], hasBegun: boolean) =>
    // what was ticked before something was changed still counts
    onKeep({ startedAt: session?.startedAt ?? clock.now(), hasBegun, isMoistened, items: [...next] });
  const add = form.submit(() => {
    const result = plantingOf(form);
    if (!result) return undefined;
    if (chosen.length === 0) return setProblems(['Choose at least one bag with room in it.']);
    const found = chosen.map((bag) => ({ bag, fit: itemFor(bag, result, settings, askedMethod) }));
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
    return undefined;
  });
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
              : `To plant: ${items.length} ${items.length === 1 ? 'bag' : 'bags'}`
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
                  key={item.containerId}
                  sx={{
                    display: 'flex',
                    alignItems: 'center',
                    gap: 1,
                    borderBlockEnd: '1px solid var(--line)',
                  }}
                >
                  <Box sx={{ flex: 1, paddingBlock: 1 }}>
                    <strong>{bag?.container.label}</strong> {item.varietyName},{' '}
                    {unitFormat.show(item.seedling.stemMillimetres, 'height')} tall:{' '}
                    {plantingMethodOf(item.plantingMethodId).name.toLowerCase()}
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
              value={isMoistened ? 'moist' : 'dry'}
              options={[
                { id: 'moist', label: 'moistened before filling' },
                { id: 'dry', label: 'filled in dry, and flooded' },
              ]}
              onChange={(id) => setMoistened(id === 'moist')}
              help="Dry mix gets twice the first watering."
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
