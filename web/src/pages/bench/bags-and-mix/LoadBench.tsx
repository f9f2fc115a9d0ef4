import { Box, Button, Typography } from '@mui/material';
import { footprintSquareMetres, weightsOf } from '@rundel/core/garden-state';
import type { Place } from '@rundel/core/records';
import { floorLoad } from '@rundel/core/bags';
import { titleOf } from '../../../text/bag-text.ts';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { placesInUse, useBags, useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';
import { FormFields, InlineForm, useFields } from '../../../ui/form/index.ts';
import { floorFields, showArea, showLoad } from './load-texts.ts';
import { NoBags } from '../NoBags.tsx';

/** What each bag weighs dry, drained and with its crop; what each place bears, against a limit that was told. */
export default function LoadBench() {
  const { garden } = useGarden();
  const { bags } = useBags();
  if (bags.length === 0) return <NoBags label="Add a bag first; then what it weighs stands here." />;
  const own = garden.settings.assumptions;
  const heaviest = Math.max(...bags.map((b) => weightsOf(b, own).laden));
  return (
    <Box>
      <CautionOf id="loads" />
      <CautionOf id="lifting" />
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
  const weighed = bags.map((bag) => ({ bag, weights: weightsOf(bag, garden.settings.assumptions) }));
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
                crop; {showLoad(weights.laden / footprintSquareMetres(bag.properties), unitFormat)} under it
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
  const form = useFields(floorFields(unitFormat), {
    values: { area: place.areaSquareMetres, limit: place.limitKilogramsPerSquareMetre },
    isLive: true,
  });
  const { area, limit } = form.values;
  const isChanged = area !== place.areaSquareMetres || limit !== place.limitKilogramsPerSquareMetre;
  const save = form.submit(async (values) => {
    const { areaSquareMetres: _a, limitKilogramsPerSquareMetre: _l, ...rest } = place;
    const after: Place = {
      ...rest,
      ...(values.area === undefined ? {} : { areaSquareMetres: values.area }),
      ...(values.limit === undefined ? {} : { limitKilogramsPerSquareMetre: values.limit }),
      changedAt: clock.now(),
    };
    await saveRecords([{ table: 'places', before: place, after }], [], `floor of ${place.name} kept`);
  });
  return (
    <InlineForm
      onSubmit={save}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr auto' },
        gap: 1.5,
        alignItems: 'flex-start',
        marginBlockStart: 1,
      }}
    >
      <FormFields form={form} />
      <Button type="submit" variant="outlined" sx={{ minHeight: 56 }} disabled={!isChanged}>
        Keep
      </Button>
    </InlineForm>
  );
}
