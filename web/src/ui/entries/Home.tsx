import { Box, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { occupantsOf, type Occupant } from '@rundel/core/plants';
import type { Entry } from '@rundel/core/records';
import { useState, type ReactNode } from 'react';
import { plantName } from '../../text/plant-text.ts';
import { containersInUse, useGarden, type Bag } from '../../store/index.ts';
import { Select } from '../Select.tsx';

/** The plant that an entry is about: nothing is said of it for a whole bag. */
export interface PlantFacts {
  readonly stationId?: string | undefined;
  readonly plantId?: string | undefined;
}

const WHOLE = 'whole';

/** Which of a bag's plants something is about, as buttons for a thumb; undefined where there is none to choose. */
export function usePlantOf(
  occupants: readonly Occupant[],
  wholeLabel: string,
  start?: string,
): { readonly field: ReactNode; readonly facts: PlantFacts } {
  const [plantId, setPlantId] = useState(start);
  const chosen = occupants.find((o) => o.plant.id === plantId);
  const facts = chosen ? { stationId: chosen.stationId, plantId: chosen.plant.id } : {};
  if (occupants.length < 2) return { field: null, facts: {} };
  return {
    facts,
    field: (
      <ToggleButtonGroup
        exclusive
        aria-label="Which plant"
        value={plantId ?? WHOLE}
        onChange={(_, id: string | null) => id !== null && setPlantId(id === WHOLE ? undefined : id)}
        sx={{ flexWrap: 'wrap', '& .MuiToggleButton-root': { minHeight: 48, flex: '1 0 auto' } }}
      >
        <ToggleButton value={WHOLE}>{wholeLabel}</ToggleButton>
        {occupants.map((o) => (
          <ToggleButton key={o.plant.id} value={o.plant.id}>
            {plantName(o, occupants)}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    ),
  };
}

/** Entries that are about one plant, or may be. */
const OF_PLANTS: readonly Entry['kind'][] = [
  'check',
  'height',
  'picking',
  'note',
  'stage',
  'tended',
  'trouble',
  'followed-up',
  'sprayed',
  'truss',
  'cleared',
];
/** Those that are of one plant and never of the whole bag. */
const OF_ONE_PLANT: readonly Entry['kind'][] = ['height', 'truss', 'cleared'];

/** The bag and plant of an entry that is corrected: what was entered at the wrong one is moved to the right one. */
export function useHome(entry: Entry): {
  readonly field: ReactNode;
  readonly facts: PlantFacts & { readonly containerId?: string };
  /** undefined, or why it cannot stand there */
  readonly problem: string | undefined;
} {
  const { garden, live } = useGarden();
  const said = entry as PlantFacts & { readonly containerId?: string };
  const [containerId, setContainer] = useState(said.containerId);
  const [stationId, setStation] = useState(said.stationId);
  const container = garden.containers.find((c) => c.id === containerId);
  if (containerId === undefined || !container || entry.kind === 'moved')
    return { field: null, facts: {}, problem: undefined };
  const day = dayOf(entry.at);
  const there = occupantsOf(container, live, garden).filter(
    (o) => o.plantedOn <= day && (o.clearedOn === undefined || o.clearedOn >= day),
  );
  const containers = containersInUse(garden);
  const isOfPlants = OF_PLANTS.includes(entry.kind);
  const isOfOne = OF_ONE_PLANT.includes(entry.kind);
  const isPlanting = entry.kind === 'planted';
  const free = container.stations.find(({ id }) =>
    there.every((o) => o.stationId !== id || o.planted.id === entry.id),
  );
  const place = container.stations.some(({ id }) => id === stationId) ? stationId : free?.id;
  const chosen = there.findLast((o) => o.stationId === stationId);
  const plants = [
    ...(isOfOne ? [] : [{ id: WHOLE, label: 'the whole bag' }]),
    ...there.map((o) => ({ id: o.stationId, label: plantName(o, there) })),
  ];
  const needsPlant = isOfOne && !chosen;
  const isFull = isPlanting && place === undefined;
  return {
    problem: needsPlant
      ? 'Which plant was it?'
      : isFull
        ? `Bag ${container.label} had no free place then.`
        : undefined,
    facts: {
      containerId,
      ...(isPlanting && place ? { stationId: place } : {}),
      ...(isOfPlants
        ? {
            stationId: chosen?.stationId,
            // a check names the place alone
            ...(entry.kind === 'check' ? {} : { plantId: chosen?.plant.id }),
          }
        : {}),
    },
    field: (
      <Box
        sx={{ display: 'grid', gap: 2, gridTemplateColumns: isOfPlants || isPlanting ? '1fr 1fr' : '1fr' }}
      >
        <Select
          label="Bag"
          value={containerId}
          options={(containers.includes(container) ? containers : [container, ...containers]).map(
            ({ id, label }) => ({ id, label }),
          )}
          onChange={(id) => {
            setContainer(id);
            setStation(undefined);
          }}
          problem={isFull ? `Bag ${container.label} had no free place then.` : undefined}
        />
        {isPlanting && place && container.stations.length > 1 && (
          <Select
            label="Place in it"
            value={place}
            options={container.stations.map(({ id }, i) => {
              const other = there.find((o) => o.stationId === id && o.planted.id !== entry.id);
              return {
                id,
                label: `place ${i + 1}${other ? `, where ${plantName(other, there)} stands` : ''}`,
              };
            })}
            onChange={setStation}
          />
        )}
        {isOfPlants && plants.length > 0 && (
          <Select
            label="Plant"
            value={chosen?.stationId ?? (isOfOne ? '' : WHOLE)}
            options={plants}
            onChange={(id) => setStation(id === WHOLE ? undefined : id)}
            problem={needsPlant ? 'Which plant was it?' : undefined}
          />
        )}
      </Box>
    ),
  };
}

/** The plants of a bag for a new entry at it. */
export const plantsOf = (bags: readonly Bag[]): readonly Occupant[] =>
  bags.length === 1 ? (bags[0]?.occupants ?? []) : [];
