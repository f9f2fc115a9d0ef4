import { Box, ToggleButton, ToggleButtonGroup } from '@mui/material';
import type { OwnPlanting, PlantingOutcome, PlantingTask } from '@rundel/core/planting';
import type { Habit } from '@rundel/core/plants';
import { useState } from 'react';
import type { PlantingFormResult } from '../../../ui/planting-form.ts';
import {
  BagSection,
  imaginedOccupant,
  sceneOf,
  withPlan,
  type Scene,
  type SectionHandle,
} from '../../../section/index.ts';
import { useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';

/** The seedling in the bag, in section: what was worked out, and the lines to drag. */
export function PlantingTrial({
  bag,
  planting,
  habit,
  task,
  outcome,
  own,
  onOwn,
}: {
  readonly bag: Bag;
  readonly planting: PlantingFormResult;
  readonly habit: Habit;
  readonly task: PlantingTask;
  readonly outcome: PlantingOutcome;
  readonly own: OwnPlanting;
  onOwn(patch: OwnPlanting): void;
}) {
  const { clock, garden } = useGarden();
  const unitFormat = useUnitFormat();
  const [isLoose, setLoose] = useState(false);
  const now = clock.now();
  const stations = bag.container.stations.map((s) => s.id);
  const bare = sceneOf(
    { ...bag.container, support: { kind: 'none', heightMillimetres: 0 } },
    bag.properties,
    stations.map((id, i) => imaginedOccupant({ ...planting, habit, plantedOn: undefined }, id, i, now)),
    undefined,
    now,
    garden.settings,
  );
  const settled =
    outcome.kind === 'planned' ? withPlan(bare, outcome.plan, bag.properties) : { ...bare, plants: [] };
  const scene =
    isLoose && outcome.kind === 'planned' ? raised(settled, outcome.plan.sinksMillimetres) : settled;
  const handles = isLoose
    ? []
    : handlesFor(task, outcome, own, settled, onOwn, (mm) => unitFormat.show(mm, 'depth'));
  return (
    <Box>
      <Box
        sx={{
          backgroundColor: 'var(--surface)',
          border: '1px solid var(--line)',
          borderRadius: '14px',
          padding: 1.5,
          height: { xs: 'auto', md: 430 },
          '@media print': { border: 0 },
        }}
      >
        <BagSection
          scene={scene}
          unitFormat={unitFormat}
          width={520}
          height={400}
          title="The seedling in the bag, in section"
          handles={handles}
        />
      </Box>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          gap: 1.5,
          alignItems: 'center',
          marginBlock: 1,
          '@media print': { display: 'none' },
        }}
      >
        <ToggleButtonGroup
          exclusive
          value={isLoose ? 'loose' : 'settled'}
          onChange={(_, value: string | null) => value && setLoose(value === 'loose')}
          aria-label="Before or after watering in"
        >
          <ToggleButton value="loose">As filled</ToggleButton>
          <ToggleButton value="settled">Watered in</ToggleButton>
        </ToggleButtonGroup>
        {handles.length > 0 && (
          <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
            Drag a grip, or move it with the arrow keys.
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** The same bag as it stands before the first watering: fresh mix not settled yet, up to the rim at most. */
function raised(scene: Scene, sinksMillimetres: number): Scene {
  const by = Math.min(sinksMillimetres, scene.heightMillimetres - scene.mixTop);
  return {
    ...scene,
    mixTop: scene.mixTop + by,
    mulchTop: scene.mixTop + by,
    plants: scene.plants.map((p) => ({ ...p, surface: p.surface + by })),
    top: scene.top + by,
  };
}

function handlesFor(
  { seedling, site, crop, assumed }: PlantingTask,
  outcome: PlantingOutcome,
  own: OwnPlanting,
  scene: Scene,
  onOwn: (patch: OwnPlanting) => void,
  depth: (mm: number) => string,
): readonly SectionHandle[] {
  if (outcome.kind !== 'planned') return [];
  const { plan } = outcome;
  const handles: SectionHandle[] = [];
  const canBury =
    plan.plantingMethodId === 'upright' ||
    plan.plantingMethodId === 'low-start' ||
    plan.plantingMethodId === 'ring';
  if (canBury && crop.depth === 'stem-roots') {
    const surface = plan.levelMillimetres;
    const low = Math.max(seedling.ballMillimetres, surface - seedling.stemMillimetres);
    handles.push({
      id: 'planting-line',
      label: 'Planting line: top of the root ball',
      z: surface - plan.stem.buriedMillimetres,
      low: Math.min(low, surface),
      high: surface,
      text: `${depth(plan.stem.buriedMillimetres)} of the stem under`,
      side: 'left',
      onMove: (z) => onOwn({ buriedMillimetres: surface - z }),
    });
  }
  if (canBury) {
    handles.push({
      id: 'mix-level',
      label: 'Level of the mix',
      z: plan.levelMillimetres,
      low: seedling.ballMillimetres + 10,
      high: plan.plantingMethodId === 'upright' ? scene.heightMillimetres : site.mixMillimetres,
      text: `${depth(plan.levelMillimetres)} of mix`,
      side: 'right',
      onMove: (z) => onOwn({ levelMillimetres: z }),
    });
  }
  if (plan.collar && plan.stem.buriedMillimetres > 0) {
    const seat = site.mixMillimetres - assumed.collarSeat;
    const height = own.collarMillimetres ?? plan.collar.heightMillimetres;
    handles.push({
      id: 'collar',
      label: 'Height of the collar',
      z: seat + height,
      low: seat + assumed.collarSeat + assumed.collarLip,
      high: seat + assumed.collarMost,
      text: `a collar of ${depth(height)}`,
      side: 'right',
      onMove: (z) => onOwn({ collarMillimetres: z - seat }),
    });
  }
  return handles;
}
