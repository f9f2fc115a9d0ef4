import { Box, Button, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { resolveAssumed } from '@rundel/core/assumed';
import { dayOf } from '@rundel/core/calendar';
import { defaultNormals, SEASONS, usualSeasons } from '@rundel/core/climate';
import type { Garden, SeasonsId, Settings } from '@rundel/core/records';
import { frostYear } from '@rundel/core/season';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { GARDEN_FILES, OpenFile } from '../pages/files/OpenFile.tsx';
import { UNIT_CHOICES } from '../ui/choices.tsx';
import { FileButton } from '../ui/FileButton.tsx';
import { Folded } from '../ui/Folded.tsx';
import { OnceButton } from '../ui/OnceButton.tsx';
import { TownField } from '../ui/TownField.tsx';
import { readPlace } from '../text/place-text.ts';
import { shortDay } from '../text/text.ts';
import { fetchTowns, newGarden, realClock, type Town } from '../store/index.ts';
import { guessFrom } from './guess.ts';
import LostGarden from './LostGarden.tsx';

/** First run: what can be guessed is said and not asked; two ways in, and a third for who has a file. */
export default function Welcome({
  name,
  onStart,
  onStartFrom,
  onDemo,
}: {
  /** the garden's own name */
  readonly name: string;
  onStart(garden: Garden): Promise<void>;
  /** with what was put in a database from a file */
  onStartFrom(database: string): Promise<void>;
  onDemo(): void;
}) {
  const navigate = useNavigate();
  const [file, setFile] = useState<File>();
  const start = async (garden: Garden, path: string) => {
    await onStart(garden);
    void navigate(path);
  };
  return (
    <Box
      component="main"
      sx={{
        minHeight: '100dvh',
        display: 'grid',
        gap: { xs: 2, md: 8 },
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 520px) minmax(0, 460px)' },
        justifyContent: 'center',
        alignContent: { xs: 'start', md: 'center' },
        padding: { xs: 2.5, md: 6 },
      }}
    >
      <Box sx={{ display: 'grid', alignContent: 'center', gap: { xs: 1.5, md: 3 } }}>
        <Typography variant="h1" sx={{ fontSize: { xs: '2.4rem', md: '4rem' } }}>
          Rundel
        </Typography>
        <Typography sx={{ fontSize: { xs: '1.05rem', md: '1.25rem' }, maxWidth: 460, lineHeight: 1.4 }}>
          For tomatoes, peppers, cucumbers and aubergines in bags. It tells you how deep to plant, when to
          check, how much to pour, and keeps the tally.
        </Typography>
        <Box sx={{ width: { xs: 240, md: '100%' } }}>
          <Sketch />
        </Box>
      </Box>
      <Stack spacing={2} sx={{ alignSelf: 'center' }}>
        <LostGarden garden={name} />
        <OwnBags onStart={(garden) => start(garden, '/bags/new')} />
        <Button variant="outlined" onClick={onDemo} sx={{ minHeight: 60, fontSize: '1.1rem' }}>
          Walk round the demo
        </Button>
        <FileButton accept={GARDEN_FILES} onFile={setFile} sx={{ justifyContent: 'flex-start' }}>
          I have a garden file
        </FileButton>
        <Typography sx={{ color: 'text.secondary' }}>
          Everything stays in this browser; no account, no network. You can save it all to one file at any
          time.
        </Typography>
      </Stack>
      {file && (
        <OpenFile
          file={file}
          beside={{ garden: name, database: undefined }}
          today={dayOf(realClock.now())}
          onPut={async (database) => {
            await onStartFrom(database);
            void navigate('/round');
          }}
          onClose={() => setFile(undefined)}
        />
      )}
    </Box>
  );
}

const { timeZone, locale } = new Intl.DateTimeFormat().resolvedOptions();

/** The way in with bags of one's own: one press when what is guessed is near enough. */
function OwnBags({ onStart }: { onStart(garden: Garden): Promise<void> }) {
  const [towns, setTowns] = useState<readonly Town[]>([]);
  const guess = guessFrom(timeZone, locale, towns);
  const [name, setName] = useState('My bags');
  const [chosenTown, setTown] = useState<Town>();
  const [typed, setTyped] = useState<string>();
  const [chosenUnits, setUnits] = useState<Settings['units']>();
  const [chosenSeasons, setSeasons] = useState<SeasonsId>();
  const [typedSign, setSign] = useState<string>();
  const [problems, setProblems] = useState<{ name?: string; latitude?: string }>({});
  useEffect(() => {
    // without the list there is still the latitude to give
    void fetchTowns().then(setTowns, () => undefined);
  }, []);
  const town = chosenTown ?? guess.town;
  const latitude = typed ?? String((chosenTown ?? guess).latitudeDegrees);
  const units = chosenUnits ?? guess.units;
  const sign = typedSign ?? guess.currency;
  const seasonsId =
    chosenSeasons ?? (chosenTown ? usualSeasons(chosenTown.country, chosenTown.timeZone) : guess.seasonsId);
  const read = readPlace(name, latitude);
  const begin = () => {
    if (read.kind === 'refused') return setProblems(read.problems);
    const { gardenName, latitudeDegrees } = read;
    const currency = sign.trim().slice(0, 4) || guess.currency;
    return onStart(newGarden(realClock.now(), { gardenName, latitudeDegrees, seasonsId, units, currency }));
  };
  return (
    <Box>
      <OnceButton
        variant="contained"
        fullWidth
        onPress={() => begin()}
        sx={{ minHeight: 68, fontSize: '1.2rem' }}
      >
        Start with my own bags
      </OnceButton>
      <Box sx={{ marginBlockStart: 1 }}>
        <Folded
          summary={guessWords(typed === undefined ? town : undefined, read, seasonsId, units, sign)}
          hasProblem={problems.name !== undefined || problems.latitude !== undefined}
        >
          <Stack spacing={2}>
            <TownField
              towns={towns}
              value={typed === undefined ? (town ?? null) : null}
              onChange={(next) => {
                setTown(next);
                setTyped(undefined);
                setProblems({});
              }}
            />
            <TextField
              label="Or its latitude"
              value={latitude}
              onChange={(e) => setTyped(e.target.value)}
              error={problems.latitude !== undefined}
              helperText={problems.latitude ?? 'Degrees, as "51" or "33 S"; a whole number is close enough.'}
            />
            <TextField
              select
              label="Winter and summer"
              value={seasonsId}
              onChange={(e) => setSeasons(e.target.value as SeasonsId)}
            >
              {SEASONS.map(({ id, name: words }) => (
                <MenuItem key={id} value={id}>
                  {words}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="Units"
              value={units}
              onChange={(e) => setUnits(e.target.value as Settings['units'])}
            >
              {UNIT_CHOICES}
            </TextField>
            <TextField label="Sign of your money" value={sign} onChange={(e) => setSign(e.target.value)} />
            <TextField
              label="What you call the place"
              value={name}
              onChange={(e) => setName(e.target.value)}
              error={problems.name !== undefined}
              helperText={problems.name}
            />
          </Stack>
        </Folded>
      </Box>
    </Box>
  );
}

const UNIT_WORDS: Record<Settings['units'], string> = {
  metric: 'litres and centimetres',
  us: 'US gallons and inches',
  uk: 'imperial gallons and inches',
};

/** What is taken for granted, in a sentence that can be put right. */
function guessWords(
  town: Town | undefined,
  read: ReturnType<typeof readPlace>,
  seasonsId: SeasonsId,
  units: Settings['units'],
  sign: string,
): string {
  if (read.kind === 'refused') return 'Some of this does not read yet.';
  const { latitudeDegrees } = read;
  const at = `${Math.abs(latitudeDegrees)}° ${latitudeDegrees < 0 ? 'south' : 'north'}`;
  const today = dayOf(realClock.now());
  const site = { latitudeDegrees, normals: defaultNormals(latitudeDegrees, seasonsId) };
  const { last } = frostYear(site, undefined, [], today, resolveAssumed({}));
  const frost = last
    ? `The last frost is usually about ${shortDay(last, last)}`
    : 'Frost is not to be expected';
  return `I take you to be ${town ? `near ${town.name}, ${at}` : `at ${at}`}, with ${UNIT_WORDS[units]} and ${sign}. ${frost}.`;
}

/** Three bags in a row, as they would stand. */
function Sketch() {
  return (
    <svg viewBox="0 0 420 206" aria-hidden style={{ width: '100%', maxWidth: 460, display: 'block' }}>
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
            stroke="var(--ink)"
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
      <path d="M0 183 H420 V206 H0 Z" fill="var(--soil)" />
      {[14, 52, 97, 131, 180, 214, 263, 301, 338, 382, 405].map((x, i) => (
        <circle key={x} cx={x} cy={189 + ((i * 5) % 13)} r={1.5 + (i % 3) * 0.5} fill="var(--soil-fleck)" />
      ))}
    </svg>
  );
}
