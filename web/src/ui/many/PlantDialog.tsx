import { Box, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { plansFor } from '@rundel/core/garden-state';
import { cropOf, habitOfPlanned } from '@rundel/core/plants';
import { useRef, useState } from 'react';
import { FormDialog, useFields } from '../form/index.ts';
import { PlantingAdvice } from '../PlantingAdvice.tsx';
import { PlantingFields } from '../PlantingFields.tsx';
import { PlantingRisks } from '../care/PlantingRisks.tsx';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import {
  isPlantingAsked,
  plantingFields,
  plantingOf,
  plantingProblems,
  plantingStart,
  startOfPlan,
} from '../planting-form.ts';
import { plantingChanges } from '../planting-records.ts';

/**
 * Plants the free places of a bag, or of several alike. In one bag the places are chosen, so that different plants stand side by
 * side: what is left is asked next, and begins anew.
 */
export function PlantDialog({
  bags,
  onClose,
  onDone = onClose,
}: {
  readonly bags: readonly [Bag, ...Bag[]];
  onClose(): void;
  onDone?(): void;
}) {
  const [bag] = bags;
  const { garden, clock, live, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const { depthPracticeId } = garden.settings;
  const today = dayOf(clock.now());
  const plan = plansFor(bag.container, garden, live)[0];
  const [filled, setFilled] = useState<readonly string[]>([]);
  const top = useRef<HTMLElement>(null);
  const [left, setLeft] = useState<readonly string[]>([]);
  const form = useFields((texts) => plantingFields(texts, unitFormat, today, ['plantedOn']), {
    values: { ...plantingStart(today, depthPracticeId), ...(plan ? startOfPlan(plan) : {}) },
    isAsked: isPlantingAsked,
    check: plantingProblems,
  });
  const planting = plantingOf(form);
  const isOne = bags.length === 1;
  const free = freeStations(bag).stationIds.filter((id) => !filled.includes(id));
  const chosen = free.filter((id) => !left.includes(id));
  const homes = isOne
    ? [{ containerId: bag.container.id, label: bag.container.label, stationIds: chosen }]
    : bags.map(freeStations);
  const count = homes.reduce((sum, { stationIds }) => sum + stationIds.length, 0);
  const others = isOne ? free.length - chosen.length : 0;
  const save = form.submit(async () => {
    if (!planting || count === 0) return;
    const { changes, drafts } = plantingChanges(planting, homes, garden, clock.now());
    await saveRecords(changes, drafts, `planting in ${isOne ? bag.container.label : `${bags.length} bags`}`);
    if (others === 0) return onDone();
    // another plant: nothing of this one sticks to it but the day and the crop
    setFilled([...filled, ...chosen]);
    setLeft([]);
    top.current?.scrollIntoView({ block: 'end' });
    form.begin({
      ...plantingStart(planting.plantedOn ?? today, depthPracticeId),
      cropId: planting.cropId,
      habitId: planting.habitId,
    });
  });
  const placeOf = (id: string) => bag.container.stations.findIndex((s) => s.id === id) + 1;
  return (
    <FormDialog
      title={isOne ? `Plant bag ${bag.container.label}` : `Plant ${bags.length} bags`}
      onClose={onClose}
      onSubmit={save}
      submitLabel={others > 0 ? 'It is planted; the next' : 'It is planted'}
    >
      <Box ref={top} sx={{ marginBlockStart: '0 !important' }}>
        {filled.length > 0 && (
          <Typography role="status">
            {filled.length === 1 ? 'One is in' : `${filled.length} are in`}. What goes into{' '}
            {free.length === 1 ? `place ${placeOf(free[0] ?? '')}` : 'the others'}?
          </Typography>
        )}
      </Box>
      {isOne && free.length > 1 && (
        <Box>
          <Typography sx={{ marginBlockEnd: 0.5 }}>
            Which places? Leave out those that get another plant.
          </Typography>
          <ToggleButtonGroup
            aria-label="Places"
            value={chosen}
            onChange={(_, ids: string[]) => setLeft(free.filter((id) => !ids.includes(id)))}
            sx={{ '& .MuiToggleButton-root': { minHeight: 48, minWidth: 56 } }}
          >
            {free.map((id) => (
              <ToggleButton key={id} value={id} aria-label={`Place ${placeOf(id)}`}>
                {placeOf(id)}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {chosen.length === 0 && (
            <Typography role="alert" sx={{ color: 'error.main' }}>
              Choose a place at least.
            </Typography>
          )}
        </Box>
      )}
      <PlantingRisks bags={bags} />
      <PlantingFields form={form} />
      {!isOne && (
        <Typography variant="body2">
          {count} {count === 1 ? 'plant' : 'plants'}:{' '}
          {homes
            .map(
              ({ label, stationIds }) =>
                `${label} ${stationIds.length === 0 ? 'is full' : `×${stationIds.length}`}`,
            )
            .join(', ')}
          . The advice below is for bag {bag.container.label}.
        </Typography>
      )}
      {planting && !planting.isSown && (
        <PlantingAdvice
          seedling={planting.seedling}
          crop={cropOf(planting.cropId)}
          habit={habitOfPlanned(garden.varieties, planting)}
          properties={bag.properties}
          stations={bag.container.stations.length}
          practiceId={planting.practiceId ?? depthPracticeId}
        />
      )}
    </FormDialog>
  );
}

/** The places in a bag where nothing stands. */
function freeStations({ container, occupants }: Bag) {
  const taken = new Set(occupants.map((o) => o.stationId));
  const stationIds = container.stations.filter(({ id }) => !taken.has(id)).map(({ id }) => id);
  return { containerId: container.id, label: container.label, stationIds };
}
