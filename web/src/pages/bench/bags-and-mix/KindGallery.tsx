import { Box, Typography } from '@mui/material';
import { propertiesOf } from '@rundel/core/garden-state';
import { CONTAINER_KINDS, type ContainerKind } from '@rundel/core/bags';
import { useMemo } from 'react';
import { Panel } from '../../../ui/Page.tsx';
import { BagElevation, sceneOf } from '../../../section/index.ts';
import { useGarden, useUnitFormat } from '../../../store/index.ts';

const LITRES: Readonly<Record<string, number>> = { 'net-cup': 3, bed: 200, trough: 60 };

/** Every kind of bag in section, to one scale, with what it is good for. */
export default function KindGallery() {
  return (
    <Panel title="Every kind in section">
      <Typography sx={{ color: 'text.secondary', marginBlockEnd: 2 }}>
        All drawn to one scale, filled with bought mix; the sizes are usual ones.
      </Typography>
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          padding: 0,
          margin: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', lg: 'repeat(3, 1fr)' },
          gap: 3,
        }}
      >
        {CONTAINER_KINDS.map((kind) => (
          <OneKind key={kind.id} kind={kind} />
        ))}
      </Box>
    </Panel>
  );
}

function OneKind({ kind }: { readonly kind: ContainerKind }) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const now = clock.now();
  const { properties, scene } = useMemo(() => {
    const stations = Array.from({ length: kind.stations.usual });
    const made = propertiesOf(
      {
        kindId: kind.id,
        size: { by: 'label', litres: LITRES[kind.id] ?? 40 },
        mixId: 'bought',
        mulchMillimetres: kind.isClosed || kind.id === 'net-cup' ? 0 : 25,
        stations,
      },
      garden,
    );
    const support = { kind: 'none' as const, heightMillimetres: 0 };
    return {
      properties: made,
      scene: sceneOf({ support, stations }, made, [], undefined, now, garden.settings),
    };
  }, [garden, kind, now]);
  const { seasons } = kind;
  return (
    <Box component="li" sx={{ contentVisibility: 'auto', containIntrinsicSize: 'auto 270px' }}>
      <Box
        sx={{
          height: 150,
          display: 'grid',
          alignContent: 'end',
          justifyItems: 'center',
          borderBlockEnd: '3px solid var(--ink)',
          overflow: 'hidden',
        }}
      >
        <BagElevation scene={scene} pixelsPerMillimetre={0.22} />
      </Box>
      <Typography sx={{ fontWeight: 700, marginBlockStart: 1 }}>{kind.name}</Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {kind.description} {kind.drainage.description}
      </Typography>
      <Typography variant="body2">
        Here {unitFormat.show(properties.real.litres.likely, 'bag')}
        {properties.real.under?.litres
          ? ` and ${unitFormat.show(properties.real.under.litres, 'bag')} of water below`
          : ''}
        ; lasts {seasons.low === seasons.high ? 'one season' : `${seasons.low} to ${seasons.high} seasons`};{' '}
        {kind.holdsCane ? 'holds a cane' : 'cannot hold a cane by itself'}.
      </Typography>
    </Box>
  );
}
