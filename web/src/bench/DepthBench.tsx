import { Box, Button, MenuItem, TextField, Typography } from '@mui/material';
import { cropOf } from '@rundel/core/crops';
import type { Seedling } from '@rundel/core/planting';
import { seedlingSchema } from '@rundel/core/planting';
import { useState } from 'react';
import { Link } from 'react-router';
import { AmountField } from '../parts/AmountField.tsx';
import { CROP_CHOICES, SCHOOL_CHOICES, schoolWords } from '../parts/choices.tsx';
import { readAmount } from '../parts/amount-text.ts';
import { titleOf } from '../parts/bag-words.ts';
import { PlantingAdvice } from '../parts/PlantingAdvice.tsx';
import { BagSection, imaginedOccupant, sceneOf } from '../section/index.ts';
import { useBags, useGarden, useShown, type Bag } from '../store/index.ts';

/** Tries a seedling in a bag, on paper: nothing is stored. */
export default function DepthBench() {
  const { garden } = useGarden();
  const { bags } = useBags();
  const shown = useShown();
  const [bagId, setBagId] = useState(bags[0]?.container.id ?? '');
  const [cropId, setCropId] = useState('tomato');
  const [stem, setStem] = useState(shown.show(300, 'height'));
  const [graft, setGraft] = useState('');
  const [schoolId, setSchoolId] = useState(garden.settings.depthSchoolId);
  const bag = bags.find((b) => b.container.id === bagId) ?? bags[0];
  if (!bag) {
    return (
      <Box>
        <Typography sx={{ marginBlockEnd: 1.5 }}>
          Add a bag first; then a seedling can be tried in it here.
        </Typography>
        <Button component={Link} to="/stands/new" variant="contained">
          Add a bag
        </Button>
      </Box>
    );
  }
  const { system } = shown;
  const crop = cropOf(cropId);
  const isDeep = crop.depth === 'stem-roots';
  const stemRead = readAmount(stem, { purpose: 'height', system, low: 20, high: 1500 });
  const graftRead = readAmount(isDeep ? graft : '', {
    purpose: 'depth',
    system,
    low: 10,
    high: 500,
    isOptional: true,
  });
  const seedling = seedlingSchema.safeParse({
    stemMillimetres: stemRead.kind === 'given' ? stemRead.inner : undefined,
    ballMillimetres: crop.ball.heightMillimetres,
    ...(graftRead.kind === 'given' ? { graftMillimetres: graftRead.inner } : {}),
  });
  const graftProblem =
    graftRead.kind === 'refused'
      ? graftRead.problem
      : seedling.error?.issues.find((i) => i.path[0] === 'graftMillimetres')?.message;
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
      }}
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
          gap: 2,
          alignContent: 'start',
        }}
      >
        <TextField select label="Bag" value={bag.container.id} onChange={(e) => setBagId(e.target.value)}>
          {bags.map((each) => (
            <MenuItem key={each.container.id} value={each.container.id}>
              {titleOf(each)}
            </MenuItem>
          ))}
        </TextField>
        <TextField select label="Crop" value={cropId} onChange={(e) => setCropId(e.target.value)}>
          {CROP_CHOICES}
        </TextField>
        <AmountField
          purpose="height"
          label="Height of the plant"
          value={stem}
          onChange={(e) => setStem(e.target.value)}
          error={stemRead.kind === 'refused'}
          helperText={stemRead.kind === 'refused' ? stemRead.problem : undefined}
        />
        {isDeep && (
          <AmountField
            purpose="depth"
            label="Graft above the ball"
            value={graft}
            onChange={(e) => setGraft(e.target.value)}
            error={graftProblem !== undefined}
            helperText={graftProblem ?? 'Empty: not grafted.'}
          />
        )}
        {isDeep && (
          <TextField
            select
            label="How deep"
            value={schoolId}
            onChange={(e) => setSchoolId(e.target.value)}
            helperText={schoolWords(schoolId)}
          >
            {SCHOOL_CHOICES}
          </TextField>
        )}
      </Box>
      {seedling.success && !graftProblem ? (
        <Box>
          <Trial
            bag={bag}
            cropId={cropId}
            seedling={seedling.data}
            schoolId={isDeep ? schoolId : undefined}
          />
          <PlantingAdvice
            seedling={seedling.data}
            crop={crop}
            mixMillimetres={bag.body.fill.mixMillimetres}
            schoolId={schoolId}
            assumed={bag.body.assumed}
          />
          <Button
            component={Link}
            to={`/stands/${bag.container.id}`}
            variant="outlined"
            sx={{ marginBlockStart: 1 }}
          >
            To bag {bag.container.label}
          </Button>
        </Box>
      ) : (
        <Typography sx={{ color: 'text.secondary' }}>The advice comes back when the numbers read.</Typography>
      )}
    </Box>
  );
}

/** The seedling in the bag, in section. */
function Trial({
  bag,
  cropId,
  seedling,
  schoolId,
}: {
  readonly bag: Bag;
  readonly cropId: string;
  readonly seedling: Seedling;
  readonly schoolId: string | undefined;
}) {
  const { clock, garden } = useGarden();
  const shown = useShown();
  const now = clock.now();
  const station = { id: 'stn_trial00' };
  const habitId = cropOf(cropId).habits[0]?.id ?? '';
  const planting = { cropId, habitId, varietyName: 'trial', plantedOn: undefined, seedling, schoolId };
  const support = { kind: 'none' as const, heightMillimetres: 0 };
  const scene = sceneOf(
    { support, stations: [station] },
    bag.body,
    [imaginedOccupant(planting, station.id, 0, now)],
    undefined,
    now,
    garden.settings,
  );
  return (
    <Box sx={{ height: 380, marginBlockEnd: 1.5 }}>
      <BagSection scene={scene} shown={shown} height={400} title="The seedling in the bag, in section" />
    </Box>
  );
}
