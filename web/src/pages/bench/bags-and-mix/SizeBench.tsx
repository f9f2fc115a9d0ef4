import { Box, FormControlLabel, Checkbox, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { CONTAINER_KINDS, containerKind } from '@rundel/core/bags';
import { CROPS, cropOf, habitOf, habitOfPlanned, varietiesIn, type Habit } from '@rundel/core/plants';
import {
  COMPANION_GALLONS,
  EXCEPTIONS,
  plantsFor,
  SIZING_PRACTICES,
  WATERINGS,
  leastPerDay,
  roundsOf,
  type WateringId,
  type ExceptionId,
  type Fit,
} from '@rundel/core/planting';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Panel } from '../../../ui/Page.tsx';
import { Folded } from '../../../ui/Folded.tsx';
import { Select } from '../../../ui/Select.tsx';
import { HowCalculated, WorkedLines } from '../../../ui/HowCalculated.tsx';
import { useDryDays, useGarden, useUnitFormat, type UnitFormat } from '../../../store/index.ts';
import { dryWords, roundsWords } from '../../../text/rounds-text.ts';
import { summerOf } from '@rundel/core/season';
import { SendBags } from './SendBags.tsx';
import { SizeRow } from './SizeRow.tsx';
import { trySizes, type TriedSize } from '@rundel/core/garden-state';

// below the fold, and the heaviest part of the page: it comes after what was asked for
const KindGallery = lazy(() => import('./KindGallery.tsx'));

const KINDS = CONTAINER_KINDS.filter((kind) => kind.id !== 'net-cup').map((kind) => ({
  id: kind.id,
  label: kind.name,
}));

const COVERS = [
  { id: 'open', label: 'Open to the sky' },
  { id: 'glass', label: 'Under glass or film' },
] as const;

/** Which bag for which plant: every size of a kind drawn to one scale, with what it is like to live with. */
export default function SizeBench() {
  const { clock, garden } = useGarden();
  const unitFormat = useUnitFormat();
  const [kindId, setKind] = useState('round-fabric');
  const [plant, setPlant] = useState('tomato.tall');
  const [varietyName, setVariety] = useState('');
  const [cover, setCover] = useState<'open' | 'glass'>('open');
  const { roundHours, roundDays } = garden.settings;
  // who comes every day is not asked to come twice: once a day is enough to ask of a bag
  const [watering, setWatering] = useState<WateringId | 'own'>(roundDays ? 'own' : 'daily');
  const [practiceId, setPractice] = useState<(typeof SIZING_PRACTICES)[number]['id']>(
    SIZING_PRACTICES.find((s) => s.id === garden.settings.sizingPracticeId)?.id ?? 'even',
  );
  const [exceptions, setExceptions] = useState<readonly ExceptionId[]>([]);
  const [chosenKey, choose] = useState<string>();
  const [cropId = 'tomato', habitId = 'tall'] = plant.split('.');
  const crop = cropOf(cropId);
  const known = varietiesIn(garden.varieties).filter((v) => v.cropId === cropId && v.habitId === habitId);
  const usual = habitOf(cropId, habitId);
  const habit = useMemo(
    () => habitOfPlanned(garden.varieties, { cropId, habitId, varietyName }),
    [cropId, garden.varieties, habitId, varietyName],
  );
  const kind = containerKind(kindId);
  const rounds = watering === 'own' ? { hours: roundHours, days: roundDays } : roundsOf(watering);
  const roundWords =
    watering === 'own'
      ? roundsWords(roundHours, roundDays)
      : (WATERINGS.find((w) => w.id === watering)?.label ?? '');
  const roundsPerDay = leastPerDay(rounds);
  const { sizes, span } = useMemo(
    () => trySizes({ kind, crop, habit, cover, roundsPerDay, exceptions, practiceId }, garden),
    [cover, crop, exceptions, garden, habit, kind, roundsPerDay, practiceId],
  );
  const summer = useMemo(
    () => summerOf(dayOf(clock.now()), garden.settings.latitudeDegrees),
    [clock, garden.settings.latitudeDegrees],
  );
  const tried = useMemo(
    () => ({
      of: 'thought' as const,
      bags: sizes.map(({ key, waterBag }) => ({ key: `${kindId} ${key}`, bag: waterBag })),
      ...summer,
    }),
    [kindId, sizes, summer],
  );
  const dryDays = useDryDays(tried, rounds);
  const dryOf = (size: TriedSize | undefined) => size && dryDays?.[`${kindId} ${size.key}`];
  // the one that a person would begin with: the smallest recommended that the rounds keep, else the largest
  const best =
    sizes.find((s) => s.isRecommended && s.kept !== 'not-kept') ?? sizes.findLast((s) => s.isRecommended);
  const chosen = sizes.find((s) => s.key === chosenKey) ?? best ?? sizes[0];
  const practice = SIZING_PRACTICES.find((s) => s.id === practiceId);
  const assumedWords = [
    COVERS.find(({ id }) => id === cover)?.label,
    `watered ${roundWords}`,
    `by practice "${practice?.name.toLowerCase()}"`,
    ...EXCEPTIONS.filter(({ id }) => exceptions.includes(id)).map(({ description }) => description),
  ].join(', ');
  return (
    <Box>
      <Panel>
        <Box
          sx={{
            display: 'grid',
            gap: 2,
            gridTemplateColumns: { xs: '1fr', sm: 'repeat(3, minmax(0, 340px))' },
          }}
        >
          <Select
            label="Plant"
            value={plant}
            onChange={(id) => {
              setPlant(id);
              setVariety('');
            }}
            options={CROPS.flatMap((c) =>
              c.habits.map((h) => ({ id: `${c.id}.${h.id}`, label: `${c.name}: ${h.name.toLowerCase()}` })),
            )}
          />
          {known.length > 0 && (
            <Select
              label="Variety"
              value={varietyName}
              onChange={setVariety}
              options={[
                {
                  id: '',
                  label: `any: ${unitFormat.show(usual.fullHeightMillimetres.value, 'height')} is usual`,
                },
                ...known.map(({ name, heightMillimetres }) => ({
                  id: name,
                  label: heightMillimetres
                    ? `${name}: ${unitFormat.show(heightMillimetres, 'height')}`
                    : name,
                })),
              ]}
            />
          )}
          <Select label="In" value={kindId} onChange={setKind} options={KINDS} />
        </Box>
        <Folded summary={assumedWords}>
          <Box
            sx={{
              display: 'grid',
              gap: 2,
              gridTemplateColumns: { xs: '1fr', sm: 'repeat(2, 1fr)', lg: 'repeat(3, minmax(0, 300px))' },
            }}
          >
            <Select label="Where" value={cover} onChange={setCover} options={COVERS} />
            <Select
              label="I can water"
              value={watering}
              onChange={setWatering}
              options={[
                ...(roundDays
                  ? [{ id: 'own' as const, label: `as I come: ${roundsWords(roundHours, roundDays)}` }]
                  : []),
                ...WATERINGS,
              ]}
            />
            <Select
              label="Practice"
              value={practiceId}
              onChange={setPractice}
              options={SIZING_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
              help={practice?.description}
            />
          </Box>
          <Box
            role="group"
            aria-label="Exceptions"
            sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, marginBlockStart: 1 }}
          >
            {EXCEPTIONS.map(({ id, description }) => (
              <FormControlLabel
                key={id}
                control={
                  <Checkbox
                    checked={exceptions.includes(id)}
                    onChange={(_, on) =>
                      setExceptions((now) => (on ? [...now, id] : now.filter((each) => each !== id)))
                    }
                  />
                }
                label={description}
              />
            ))}
          </Box>
        </Folded>
        {chosen && (
          <Typography sx={{ fontSize: '1.1rem', marginBlock: 1 }}>
            <strong>
              {sentence(chosen, varietyName || habit.name.toLowerCase(), crop.name.toLowerCase(), unitFormat)}
            </strong>{' '}
            {keptWords(chosen, roundWords, unitFormat)} {dryWords(dryOf(chosen))}
          </Typography>
        )}
        <SizeRow
          sizes={sizes}
          chosen={chosen}
          crop={crop}
          habit={habit}
          roundWords={roundWords}
          dryOf={dryOf}
          onChoose={(key) => choose(key)}
        />
        {chosen && (
          <Box
            sx={{
              marginBlockStart: 2,
              display: 'grid',
              gap: 2,
              gridTemplateColumns: { xs: '1fr', lg: '1.6fr 1fr' },
            }}
          >
            <Box>
              <Remarks chosen={chosen} habit={habit} usual={usual} exceptions={exceptions} />
              <HowCalculated label="How this was worked out">
                <WorkedLines
                  lines={[
                    [
                      'Growers use for it, nominal',
                      `${span.from} to ${span.most} gal; ${span.borderline} is borderline`,
                    ],
                    [
                      'Really holds, to the brim',
                      unitFormat.range(
                        chosen.properties.real.litres.low,
                        chosen.properties.real.litres.high,
                        'bag',
                      ),
                    ],
                    ['Mix, settled', unitFormat.show(chosen.properties.fill.mixLitres, 'bag')],
                    [
                      'Water that a plant can use',
                      unitFormat.show(chosen.properties.availableLitres, 'water'),
                    ],
                    [
                      `Of that before it wants water (${Math.round((1 - chosen.properties.assumed.refillPoint) * 100)} %)`,
                      unitFormat.show(chosen.hotDay.givesLitres, 'water'),
                    ],
                    [
                      `A hot day asks (${unitFormat.show(chosen.properties.assumed.hotDay, 'rain')} of ETo, ${chosen.plants} grown ${chosen.plants === 1 ? 'plant' : 'plants'})`,
                      unitFormat.range(chosen.hotDay.usedLitres.low, chosen.hotDay.usedLitres.high, 'water'),
                    ],
                  ]}
                />
              </HowCalculated>
            </Box>
            <SendBags
              chosen={chosen}
              kindId={kindId}
              plant={{ crop: cropId, habit: habitId, ...(varietyName ? { varietyName } : {}) }}
            />
          </Box>
        )}
      </Panel>
      <Suspense>
        <KindGallery />
      </Suspense>
    </Box>
  );
}

const FIT_SENTENCES: Record<Fit, string> = {
  'too-small': 'is smaller than growers use for',
  borderline: 'is borderline for',
  works: 'works for',
  easy: 'is comfortable for',
  roomy: 'is more than one plant needs:',
};

function sentence(tried: TriedSize, habit: string, crop: string, unitFormat: UnitFormat): string {
  const many = tried.plants > 1 ? `${tried.plants} plants of ` : '';
  return `${tried.name} (about ${unitFormat.show(tried.properties.real.litres.likely, 'bag')} really) ${FIT_SENTENCES[tried.fit]} ${many}${crop}, ${habit}.`;
}

function keptWords(tried: TriedSize, rounds: string, unitFormat: UnitFormat): string {
  const asks = `A hot day asks ${unitFormat.range(tried.hotDay.usedLitres.low, tried.hotDay.usedLitres.high, 'water')} and it gives ${unitFormat.show(tried.hotDay.givesLitres, 'water')} between waterings:`;
  if (tried.kept === 'kept') return `${asks} water ${rounds} keeps it.`;
  if (tried.kept === 'mostly') return `${asks} water ${rounds} keeps it on most such days.`;
  return `${asks} water ${rounds} does not keep it in such heat; a bigger bag, mulch, shade or more rounds would.`;
}

function Remarks({
  chosen,
  habit,
  usual,
  exceptions,
}: {
  readonly chosen: TriedSize;
  readonly habit: Habit;
  /** how plants of its growth usually are */
  readonly usual: Habit;
  readonly exceptions: readonly ExceptionId[];
}) {
  const remarks: string[] = [];
  const sizeStep = habit.bagSizes.ease - usual.bagSizes.ease;
  if (sizeStep !== 0)
    remarks.push(
      sizeStep < 0
        ? 'It stays shorter than its growth usually does: one size smaller is enough.'
        : 'It grows taller than its growth usually does: one size bigger makes it easy.',
    );
  const words = EXCEPTIONS.filter((e) => exceptions.includes(e.id)).map((e) => e.description);
  if (words.length > 0) remarks.push(`One size smaller counts as enough here: ${words.join(', ')}.`);
  if (chosen.properties.nominalGallons * 1.07 >= COMPANION_GALLONS && !chosen.properties.kind.isClosed) {
    remarks.push(
      'There is room for a companion flower, with the crop off centre; it takes up water and feed too.',
    );
  }
  const room = plantsFor(chosen.properties.nominalGallons, habit);
  if (chosen.plants === 1 && room > 1 && chosen.properties.kind.stations.most > 1) {
    remarks.push(`${room} of these plants could share it, each with a size that works.`);
  }
  if (!chosen.properties.kind.holdsCane)
    remarks.push('It cannot hold a cane by itself: string from above, or a frame.');
  return remarks.length === 0 ? null : (
    <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5, color: 'text.secondary' }}>
      {remarks.map((remark) => (
        <li key={remark}>{remark}</li>
      ))}
    </Box>
  );
}
