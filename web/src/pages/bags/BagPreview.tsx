import { Box, Typography } from '@mui/material';
import { propertiesOf, type BagProperties } from '@rundel/core/garden-state';
import { CONTAINER_KINDS } from '@rundel/core/bags';
import { findMix, type Recipe } from '@rundel/core/mixes';
import { cropOf, habitOfPlanned } from '@rundel/core/plants';
import { useMemo } from 'react';
import { Caution } from '../../ui/Caution.tsx';
import { PlantingAdvice } from '../../ui/PlantingAdvice.tsx';
import { ClassRemark, SizeRemark } from '../../ui/SizeRemarks.tsx';
import { BagSection, imaginedOccupant, sceneOf, type Spot } from '../../section/index.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';
import type { BagFormResult } from './bag-records.ts';
import type { PlantingFormResult } from '../../ui/planting-form.ts';

/** Heavier than this filled and wet, a bag gets the word on lifting, kg. */
const HEAVY_KILOGRAMS = 20;

/** What the form amounts to, as it is typed: the bag in section, what it really holds, and how deep to plant. */
export function BagPreview({
  bag,
  planting,
  spots,
}: {
  readonly bag: BagFormResult | undefined;
  readonly planting: PlantingFormResult | undefined;
  readonly spots: readonly Spot[];
}) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const now = clock.now();
  const habit = useMemo(
    () => planting && habitOfPlanned(garden.varieties, planting),
    [garden.varieties, planting],
  );
  const properties = useMemo(
    () =>
      bag && isKnown(bag, garden.mixes)
        ? propertiesOf({ ...bag, stations: Array.from({ length: bag.stations }) }, garden)
        : undefined,
    [bag, garden],
  );
  const scene = useMemo(() => {
    if (!bag || !properties) return undefined;
    const stations = Array.from({ length: bag.stations }, (_, i) => ({ id: `stn_preview${i}` }));
    const occupants = planting
      ? stations.map((station, i) => imaginedOccupant({ ...planting, habit }, station.id, i, now))
      : [];
    return sceneOf(
      { support: bag.support, stations },
      properties,
      occupants,
      undefined,
      planting?.plantedOn ? `${planting.plantedOn}T12:00:00.000Z` : now,
      garden.settings,
    );
  }, [bag, habit, properties, garden.settings, now, planting]);
  if (!bag || !properties || !scene) {
    return (
      <Box
        sx={{ color: 'text.secondary', border: '1.5px dashed var(--line)', borderRadius: '12px', padding: 3 }}
      >
        {bag
          ? 'Say what kind it is and what mix is in it, and it is drawn here to scale with what it really holds.'
          : 'Once its size is given it is drawn here to scale, with what it really holds.'}
      </Box>
    );
  }
  return (
    <Box>
      <Box
        sx={{
          backgroundColor: 'var(--surface)',
          border: '1px solid var(--line)',
          borderRadius: '12px',
          padding: 1,
          height: { xs: 'auto', sm: 400 },
        }}
      >
        <BagSection
          scene={scene}
          unitFormat={unitFormat}
          height={400}
          title="The bag as it would be planted, in section; touch a part to say more of it"
          spots={spots}
        />
      </Box>
      <RealSizeWords bag={bag} properties={properties} />
      <ClassRemark size={bag.size} properties={properties} />
      {planting && habit && (
        <SizeRemark
          properties={properties}
          crop={cropOf(planting.cropId)}
          habit={habit}
          plants={bag.stations}
          exception={bag.sizeException}
        />
      )}
      {properties.drainedKilograms > HEAVY_KILOGRAMS && (
        <Caution>
          Filled and wet it weighs about {unitFormat.show(properties.drainedKilograms, 'weight')}: fill it
          where it will stand, slide it, or lift it with two people. On a balcony or roof, ask the building's
          owner or an engineer what it may bear.
        </Caution>
      )}
      {planting && habit && (
        <Box sx={{ marginBlockStart: 2 }}>
          <Typography variant="h2" sx={{ marginBlockEnd: 1 }}>
            Planting
          </Typography>
          <PlantingAdvice
            seedling={planting.seedling}
            crop={cropOf(planting.cropId)}
            habit={habit}
            properties={properties}
            stations={bag?.stations ?? 1}
            practiceId={planting.practiceId ?? garden.settings.depthPracticeId}
          />
        </Box>
      )}
    </Box>
  );
}

/** Whether the kind and the mixes of a bag are ones that this app has the figures of. */
function isKnown(bag: BagFormResult, own: readonly Recipe[]): boolean {
  const mixIds = bag.layers?.map(({ mixId }) => mixId) ?? [bag.mixId];
  return CONTAINER_KINDS.some(({ id }) => id === bag.kindId) && mixIds.every((id) => findMix(id, own));
}

function RealSizeWords({
  bag,
  properties,
}: {
  readonly bag: BagFormResult;
  readonly properties: BagProperties;
}) {
  const unitFormat = useUnitFormat();
  const { litres } = properties.real;
  const holds = unitFormat.range(litres.low, litres.high, 'bag');
  return (
    <Typography sx={{ marginBlockStart: 1.5 }}>
      {bag.size.by === 'measured'
        ? `It holds about ${unitFormat.show(litres.likely, 'bag')} to the brim.`
        : `It likely holds ${holds} to the brim${bag.size.by === 'label' ? ', not what the label says' : ''}: measure it to be sure.`}{' '}
      {properties.fill.overLitres > 0.1
        ? `That is more loose mix than goes in: ${unitFormat.show(properties.fill.overLitres, 'bag')} of it would stand above the rim even once it has settled. `
        : ''}
      Filled with {unitFormat.show(properties.fill.looseLitres, 'bag')} of loose mix, which settles to{' '}
      {unitFormat.show(properties.fill.mixLitres, 'bag')}
      {properties.fill.filledShare < 0.95
        ? `, ${Math.round(properties.fill.filledShare * 100)} % of a usual fill`
        : ''}
      . Of its water the plant can use about {unitFormat.show(properties.availableLitres, 'water')}.
    </Typography>
  );
}
