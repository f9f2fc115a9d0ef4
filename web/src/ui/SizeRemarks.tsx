import { Typography } from '@mui/material';
import type { BagProperties } from '@rundel/core/garden-state';
import { againstClass } from '@rundel/core/bags';
import { type Size } from '@rundel/core/records';
import { cropOf, habitFigures, habitOf } from '@rundel/core/plants';
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
        ? `That is a ${size.class} as it should be: ${span}.`
        : `Sold as ${size.class}, which is ${span}: by your measure it holds ${unitFormat.show(against.litresOff, 'bag')} ${
            against.kind === 'below' ? 'too little' : 'more'
          }.`}
    </Typography>
  );
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
  cropId,
  habitId,
  plants,
}: {
  readonly properties: BagProperties;
  readonly cropId: string;
  readonly habitId: string;
  readonly plants: number;
}) {
  const { garden } = useGarden();
  const habit = habitOf(cropId, habitId);
  const crop = cropOf(cropId);
  if (properties.kind.isClosed || properties.kind.id === 'ring-pillow') {
    const room = pillowStations(
      properties.real.litres.likely,
      habitFigures(cropId, habit, garden.settings.assumptions),
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
  return (
    <Typography sx={{ marginBlockStart: 1 }}>
      {WORDS[fitOf(properties.nominalGallons / plants, spanFor(habit))]}{' '}
      <Link to="/bench/size" style={{ color: 'inherit' }}>
        All sizes
      </Link>
    </Typography>
  );
}
