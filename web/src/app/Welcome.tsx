import { Box, Button, Stack, TextField, Typography } from '@mui/material';
import type { Garden } from '@rundel/core/records';
import { useState, type FormEvent } from 'react';
import { UNIT_CHOICES } from '../ui/choices.tsx';
import { readPlace } from '../text/place-text.ts';
import { FileButton } from '../ui/FileButton.tsx';
import { newGarden, readGardenFile, realClock, told } from '../store/index.ts';

/** First run: two ways in, and a third for who has a file. */
export default function Welcome({
  onStart,
  onDemo,
}: {
  onStart(garden: Garden): Promise<void>;
  onDemo(): void;
}) {
  const [isStarting, setStarting] = useState(false);
  const [problem, setProblem] = useState<string>();
  const open = async (file: File) => {
    const reading = await readGardenFile(await file.text());
    if (reading.kind === 'refused')
      setProblem(`"${file.name}" was not opened. ${reading.problem} Nothing was changed.`);
    else await onStart(reading.garden);
  };
  return (
    <Box
      component="main"
      sx={{ minHeight: '100dvh', display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}
    >
      <Box
        sx={{
          backgroundColor: 'var(--soil)',
          color: 'var(--on-soil)',
          padding: { xs: 3, md: 6 },
          display: 'grid',
          alignContent: 'center',
          gap: 3,
        }}
      >
        <Typography variant="h1" sx={{ fontSize: { xs: '2.6rem', md: '4rem' } }}>
          Rundel
        </Typography>
        <Typography sx={{ fontSize: '1.25rem', maxWidth: 460, lineHeight: 1.4 }}>
          For tomatoes, peppers, cucumbers and aubergines in bags. It tells you how deep to plant, when to
          check, how much to pour, and keeps the tally.
        </Typography>
        <Sketch />
      </Box>
      <Box sx={{ padding: { xs: 3, md: 6 }, display: 'grid', alignContent: 'center' }}>
        {isStarting ? (
          <StartForm onStart={onStart} onBack={() => setStarting(false)} />
        ) : (
          <Stack spacing={2} sx={{ maxWidth: 460 }}>
            <Button
              variant="contained"
              onClick={() => setStarting(true)}
              sx={{ minHeight: 68, fontSize: '1.2rem' }}
            >
              Start with my own bags
            </Button>
            <Button variant="outlined" onClick={onDemo} sx={{ minHeight: 68, fontSize: '1.2rem' }}>
              Walk round the demo
            </Button>
            <FileButton
              accept=".json,application/json"
              onFile={(file) => told(open(file))}
              sx={{ justifyContent: 'flex-start' }}
            >
              I have a garden file
            </FileButton>
            {problem && (
              <Typography role="alert" sx={{ color: 'error.main' }}>
                {problem}
              </Typography>
            )}
            <Typography sx={{ color: 'text.secondary' }}>
              Everything stays in this browser; no account, no network. You can save it all to one file at any
              time.
            </Typography>
          </Stack>
        )}
      </Box>
    </Box>
  );
}

function StartForm({ onStart, onBack }: { onStart(garden: Garden): Promise<void>; onBack(): void }) {
  const [name, setName] = useState('My bags');
  const [latitude, setLatitude] = useState('51');
  const [units, setUnits] = useState<'metric' | 'us' | 'uk'>('metric');
  const [problems, setProblems] = useState<{ name?: string; latitude?: string }>({});
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const read = readPlace(name, latitude);
    if (read.kind === 'refused') return setProblems(read.problems);
    const { gardenName, latitudeDegrees } = read;
    await onStart(newGarden(realClock.now(), { gardenName, latitudeDegrees, units }));
    return undefined;
  };
  return (
    <Stack
      component="form"
      noValidate
      spacing={2.5}
      onSubmit={(event) => told(submit(event))}
      sx={{ maxWidth: 460 }}
    >
      <Typography variant="h2">Three things, all to be changed later</Typography>
      <TextField
        label="What you call the place"
        value={name}
        onChange={(e) => setName(e.target.value.slice(0, 60))}
        error={problems.name !== undefined}
        helperText={problems.name}
      />
      <TextField
        label="Latitude, degrees north"
        value={latitude}
        onChange={(e) => setLatitude(e.target.value)}
        error={problems.latitude !== undefined}
        helperText={problems.latitude ?? 'For the sun and the usual weather; a whole number is close enough.'}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <TextField
        select
        label="Units"
        value={units}
        onChange={(e) => setUnits(e.target.value as typeof units)}
      >
        {UNIT_CHOICES}
      </TextField>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" sx={{ minHeight: 56, flex: 1 }}>
          Begin
        </Button>
        <Button onClick={onBack}>Back</Button>
      </Box>
    </Stack>
  );
}

/** Three bags in a row, as they would stand. */
function Sketch() {
  return (
    <svg viewBox="0 0 420 190" aria-hidden style={{ width: '100%', maxWidth: 460 }}>
      {[
        { x: 20, w: 100, water: 60, grade: 5, tall: 92 },
        { x: 160, w: 84, water: 34, grade: 3, tall: 112 },
        { x: 290, w: 96, water: 14, grade: 1, tall: 76 },
      ].map(({ x, w, water, grade, tall }) => (
        <g key={x}>
          <rect x={x + 5} y={180 - water} width={w - 10} height={water} fill={`var(--water-${grade})`} />
          <path
            d={`M${x} 104 L${x + 7} 180 H${x + w - 7} L${x + w} 104`}
            fill="none"
            stroke="var(--on-soil)"
            strokeWidth="5"
            strokeLinejoin="round"
            strokeLinecap="round"
          />
          <path
            d={`M${x + w / 2} 124 V${124 - tall} m0 ${tall * 0.5} q-20 -2 -26 -20 q22 0 26 20 m0 -14 q20 -2 25 -20 q-22 0 -25 20 m0 -16 q-15 -2 -18 -15 q15 0 18 15`}
            fill="var(--leaf-pale)"
            stroke="var(--leaf-pale)"
            strokeWidth="4"
            strokeLinejoin="round"
          />
        </g>
      ))}
      <path d="M0 183 H420" stroke="var(--on-soil)" strokeWidth="3" />
    </svg>
  );
}
