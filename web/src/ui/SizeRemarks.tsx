import { Typography } from '@mui/material';
import type { BagProperties } from '@rundel/core/garden-state';
import { againstClass } from '@rundel/core/bags';
import type { Size, SizeException } from '@rundel/core/records';
import { toSi } from '@rundel/core/units';
import { habitFigures, type Crop, type Habit } from '@rundel/core/plants';
import { fitOf, pillowStations, spanFor, type Fit } from '@rundel/core/planting';
import { Link } from 'react-router';
import { useGarden, useUnitFormat } from '../store/index.ts';

/** Where a measured container falls outside the class that it was sold as: said, and nothing more. */
export function ClassRemark({
  size,
  properties,
}: {
  readonly size: Size;
  readonly properties: BagProperties;
}) {
  const unitFormat = useUnitFormat();
  if (size.by !== 'measured' || size.class === undefined) return null;
  const against = againstClass(properties.real.litres.likely, size.class);
  const span = unitFormat.range(against.low, against.high, 'bag');
  return (
    <Typography sx={{ marginBlockStart: 1 }}>
      {against.kind === 'inside'
        ? `Sold as ${size.class}, really ${unitFormat.show(properties.real.litres.likely, 'bag')}: ${offWords(properties.real.litres.likely, size.class)}, inside its class of ${span}.`
        : `Sold as ${size.class}, which is ${span}: by your measure it holds ${unitFormat.show(against.litresOff, 'bag')} ${
            against.kind === 'below' ? 'too little' : 'more'
          }.`}
    </Typography>
  );
}

/** How far a class is off its name: "13 % less than its name says". */
function offWords(litres: number, name: string): string {
  const share = litres / toSi(Number(name.slice(1)), 'usGallon') - 1;
  const percent = Math.round(Math.abs(share) * 100);
  return percent < 2 ? 'as its name says' : `${percent} % ${share < 0 ? 'less' : 'more'} than its name says`;
}

const WORDS: Record<Fit, string> = {
  'too-small': 'Growers use a bigger bag for this plant; it will want water more than once a day in heat.',
  borderline: 'Borderline for this plant: it has been done, with water twice a day in heat.',
  works: 'It works for this plant, with more watering than a bigger one.',
  easy: 'This size makes it easy for the plant.',
  roomy: 'More than one plant needs; there is room for company.',
};

/** How the nominal size suits the plant; a remark, whatever it says. */
export function SizeRemark({
  properties,
  crop,
  habit,
  plants,
  exception,
}: {
  readonly properties: BagProperties;
  readonly crop: Crop;
  readonly habit: Habit;
  readonly plants: number;
  readonly exception?: SizeException | undefined;
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  if (properties.kind.isClosed || properties.kind.id === 'ring-pillow') {
    const room = pillowStations(
      properties.real.litres.likely,
      habitFigures(crop.id, habit, garden.settings.assumptions),
      properties.assumed,
    );
    return (
      <Typography sx={{ marginBlockStart: 1 }}>
        It has room for {room} {crop.name.toLowerCase()} {room === 1 ? 'plant' : 'plants'} of this habit
        {plants > room ? '; more of them will use it up sooner' : ''}.{' '}
        <Link to="/bench/size" style={{ color: 'inherit' }}>
          All sizes
        </Link>
      </Typography>
    );
  }
  // what stands over a channel is fed and watered from below: its own size says little
  if (properties.real.under?.kind === 'channel') return null;
  const each =
    plants > 1
      ? `${unitFormat.show(properties.fill.mixLitres / plants, 'bag')} of mix for each of ${plants} plants. `
      : '';
  return (
    <Typography sx={{ marginBlockStart: 1 }}>
      {each}
      {WORDS[fitOf(properties.nominalGallons / plants, spanFor(habit, exception ? [exception] : []))]}{' '}
      <Link to="/bench/size" style={{ color: 'inherit' }}>
        All sizes
      </Link>
    </Typography>
  );
}
