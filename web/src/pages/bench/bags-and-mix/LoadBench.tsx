import { Box, Button, TextField, Typography } from '@mui/material';
import type { BagProperties } from '@rundel/core/garden-state';
import { cropOf, habitFigures, supportOf } from '@rundel/core/plants';
import type { Place } from '@rundel/core/records';
import { floorLoad, weightsOf, type Weights } from '@rundel/core/bags';
import { useState } from 'react';
import { titleOf } from '../../../text/bag-text.ts';
import { Caution } from '../../../ui/Caution.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { placesInUse, useBags, useGarden, useUnitFormat, type Bag, told } from '../../../store/index.ts';
import { readArea, readLimit, showArea, showLoad } from './load-texts.ts';
import { NoBags } from '../NoBags.tsx';

/** Leaf cover that an empty station will have: that of a tall tomato, so that nothing is promised too light. */
function canopyOf(bag: Bag, own: Readonly<Record<string, number>>): number {
  const tall = cropOf('tomato').habits[0];
  const guess = tall ? habitFigures('tomato', tall, own).canopySquareMetres : 0;
  const planted = bag.occupants.reduce(
    (sum, o) => sum + habitFigures(o.crop.id, o.habit, own).canopySquareMetres,
    0,
  );
  return bag.occupants.length > 0 ? planted : guess;
}

function weightsOfBag(bag: Bag, own: Readonly<Record<string, number>>): Weights {
  const { properties, container } = bag;
  return weightsOf(
    {
      mixLitres: properties.fill.mixLitres,
      dryKilogramsPerLitre: properties.mix.dryKilogramsPerLitre,
      capacity: properties.mix.capacity,
      emptyKilograms: properties.emptyKilograms,
      storedLitres: properties.reserveLitres + (properties.real.under?.litres ?? 0),
      canopySquareMetres: canopyOf(bag, own),
      supportKilograms: supportOf(container.support.kind).kilograms * container.stations.length,
    },
    properties.assumed,
  );
}

/** The ground that a bag stands on, m². */
function footprint(properties: BagProperties): number {
  const base = properties.real.solid.areaAt(0);
  return (
    Math.max(base, properties.real.solid.areaAt(properties.real.solid.heightMillimetres / 2) * 0.6) / 1e6
  );
}

/** What each bag weighs dry, drained and with its crop; what each place bears, against a limit that was told. */
export default function LoadBench() {
  const { garden } = useGarden();
  const { bags } = useBags();
  if (bags.length === 0) return <NoBags label="Add a bag first; then what it weighs stands here." />;
  const own = garden.settings.assumptions;
  const heaviest = Math.max(...bags.map((b) => weightsOfBag(b, own).laden));
  return (
    <Box>
      <Caution>
        What a balcony, deck or roof bears comes from the building’s owner or a structural engineer, not from
        here. Lift wet bags with two people or slide them; better, fill them where they will stand.
      </Caution>
      {placesInUse(garden).map((place) => {
        const here = bags.filter((b) => b.container.placeId === place.id);
        return here.length === 0 ? null : (
          <PlaceLoad key={place.id} place={place} bags={here} heaviest={heaviest} />
        );
      })}
    </Box>
  );
}

const PARTS = [
  { label: 'dry', fill: 'var(--mix)' },
  { label: 'water', fill: 'var(--water-5)' },
  { label: 'crop and support', fill: 'var(--leaf)' },
] as const;

function PlaceLoad({
  place,
  bags,
  heaviest,
}: {
  readonly place: Place;
  readonly bags: readonly Bag[];
  readonly heaviest: number;
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const kg = (value: number) => unitFormat.show(value, 'weight');
  const weighed = bags.map((bag) => ({ bag, weights: weightsOfBag(bag, garden.settings.assumptions) }));
  const sum = weighed.reduce((total, { weights }) => total + weights.laden, 0);
  const area = place.areaSquareMetres;
  const load = area === undefined ? undefined : floorLoad(sum, area, place.limitKilogramsPerSquareMetre);
  return (
    <Panel title={place.name}>
      <Typography sx={{ marginBlockEnd: 1 }}>
        {bags.length} {bags.length === 1 ? 'bag weighs' : 'bags weigh'} {kg(sum)} in full crop, drained
        {load
          ? `: ${showLoad(load.kilogramsPerSquareMetre, unitFormat)} over its ${showArea(area ?? 0, unitFormat)}.`
          : '.'}{' '}
        {load?.kind === 'within' && (
          <>
            That is {Math.round(load.share * 100)} % of the limit; {kg(load.kilogramsLeft)} could be added.
          </>
        )}
        {load?.kind === 'beyond' && (
          <strong role="alert">
            That is beyond the limit of {showLoad(place.limitKilogramsPerSquareMetre ?? 0, unitFormat)}:{' '}
            {kg(-load.kilogramsLeft)} too much. Take bags away or use a lighter mix, and ask the owner or an
            engineer before you do anything else.
          </strong>
        )}
      </Typography>
      {load && load.kind !== 'no-limit' && <LimitBar share={load.share} />}
      <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0, marginBlockStart: 1 }}>
        {weighed.map(({ bag, weights }) => {
          const parts = [weights.dry, weights.drained - weights.dry, weights.laden - weights.drained];
          return (
            <Box
              component="li"
              key={bag.container.id}
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr auto', md: '180px 1fr 410px' },
                columnGap: 2,
                alignItems: 'center',
                paddingBlock: 0.75,
              }}
            >
              <Box>{titleOf(bag)}</Box>
              <Box sx={{ display: 'flex', height: 18, gridColumn: { xs: '1 / -1', md: 'auto' } }} aria-hidden>
                {parts.map((part, i) => (
                  <Box
                    key={PARTS[i]?.label}
                    sx={{
                      width: `${(part / heaviest) * 100}%`,
                      backgroundColor: PARTS[i]?.fill,
                      borderInlineEnd: '2px solid var(--surface)',
                    }}
                  />
                ))}
              </Box>
              <Box
                sx={{ fontSize: '0.9rem', color: 'text.secondary', gridColumn: { xs: '1 / -1', md: 'auto' } }}
              >
                {kg(weights.dry)} dry, <strong>{kg(weights.drained)}</strong> drained, {kg(weights.laden)} in
                crop; {showLoad(weights.laden / footprint(bag.properties), unitFormat)} under it
              </Box>
            </Box>
          );
        })}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, fontSize: '0.85rem', marginBlock: 1 }}>
        {PARTS.map(({ label, fill }) => (
          <Box component="span" key={label} sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75 }}>
            <Box
              component="span"
              sx={{ width: 16, height: 16, backgroundColor: fill, borderRadius: '3px' }}
            />
            {label}
          </Box>
        ))}
      </Box>
      <FloorFields key={`${place.changedAt}`} place={place} />
    </Panel>
  );
}

function LimitBar({ share }: { readonly share: number }) {
  const scale = Math.max(1.1, share * 1.05);
  return (
    <Box
      sx={{
        position: 'relative',
        height: 26,
        backgroundColor: 'var(--raised)',
        border: '1px solid var(--line)',
        borderRadius: '4px',
      }}
      aria-hidden
    >
      <Box
        sx={{
          height: '100%',
          width: `${(share / scale) * 100}%`,
          backgroundColor: share > 1 ? 'var(--fruit)' : 'var(--action)',
          borderRadius: '3px',
        }}
      />
      <Box
        sx={{
          position: 'absolute',
          insetBlock: -5,
          insetInlineStart: `${100 / scale}%`,
          borderInlineStart: '4px solid var(--ink)',
        }}
      />
      <Box
        sx={{
          position: 'absolute',
          top: 3,
          insetInlineStart: `calc(${100 / scale}% + 8px)`,
          fontSize: '0.8rem',
        }}
      >
        limit
      </Box>
    </Box>
  );
}

function FloorFields({ place }: { readonly place: Place }) {
  const { clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const [area, setArea] = useState(
    place.areaSquareMetres === undefined ? '' : showArea(place.areaSquareMetres, unitFormat),
  );
  const [limit, setLimit] = useState(
    place.limitKilogramsPerSquareMetre === undefined
      ? ''
      : showLoad(place.limitKilogramsPerSquareMetre, unitFormat),
  );
  const readA = readArea(area, unitFormat);
  const readL = readLimit(limit, unitFormat);
  const isChanged =
    (readA.kind === 'given' ? readA.siValue : undefined) !== place.areaSquareMetres ||
    (readL.kind === 'given' ? readL.siValue : undefined) !== place.limitKilogramsPerSquareMetre;
  const save = async () => {
    if (readA.kind === 'refused' || readL.kind === 'refused') return;
    const { areaSquareMetres: _a, limitKilogramsPerSquareMetre: _l, ...rest } = place;
    await saveRecords(
      [
        {
          table: 'places',
          before: place,
          after: {
            ...rest,
            ...(readA.kind === 'given' ? { areaSquareMetres: readA.siValue } : {}),
            ...(readL.kind === 'given' ? { limitKilogramsPerSquareMetre: readL.siValue } : {}),
            changedAt: clock.now(),
          },
        },
      ],
      [],
      `floor of ${place.name} kept`,
    );
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        told(save());
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start', marginBlockStart: 1 }}
    >
      <TextField
        label="Floor that they stand on"
        value={area}
        onChange={(e) => setArea(e.target.value)}
        error={readA.kind === 'refused'}
        helperText={readA.kind === 'refused' ? readA.problem : `As ${showArea(4, unitFormat)}.`}
      />
      <TextField
        label="What it bears, as you were told"
        value={limit}
        onChange={(e) => setLimit(e.target.value)}
        error={readL.kind === 'refused'}
        helperText={readL.kind === 'refused' ? readL.problem : `As ${showLoad(150, unitFormat)}.`}
      />
      <Button type="submit" variant="outlined" sx={{ minHeight: 56 }} disabled={!isChanged}>
        Keep
      </Button>
    </Box>
  );
}
