import { Box, Button } from '@mui/material';
import { propertiesOf } from '@rundel/core/garden-state';
import { CONTAINER_KINDS, containerKind } from '@rundel/core/bags';
import { useMemo, useState } from 'react';
import { BagIcon } from '../section/index.ts';

/** Litres that stand for a kind in its mark. */
const MARK_LITRES = 40;

/** What most people have; the others are a press away. */
const COMMON: readonly string[] = ['round-fabric', 'bucket', 'pillow', 'trough'];

/** A kind of container, chosen by its outline and name; what it is stands below in a sentence. */
export function KindPicker({ value, onChange }: { readonly value: string; onChange(kindId: string): void }) {
  const kind = containerKind(value);
  const [isAll, setAll] = useState(false);
  const shown = isAll
    ? CONTAINER_KINDS
    : CONTAINER_KINDS.filter(({ id }) => COMMON.includes(id) || id === value);
  const propertiesById = useMemo(
    () =>
      CONTAINER_KINDS.map((each) => ({
        kind: each,
        properties: propertiesOf(
          {
            kindId: each.id,
            size: { by: 'label', litres: each.id === 'net-cup' ? 3 : MARK_LITRES },
            mixId: 'bought',
            mulchMillimetres: 0,
            stations: [1],
          },
          { mixes: [], settings: { assumptions: {} } },
        ),
      })),
    [],
  );
  return (
    <Box>
      <Box
        role="radiogroup"
        aria-label="Kind of bag"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'repeat(2, 1fr)', sm: 'repeat(3, 1fr)', xl: 'repeat(4, 1fr)' },
          gap: 1,
        }}
      >
        {propertiesById
          .filter(({ kind: each }) => shown.includes(each))
          .map(({ kind: each, properties }) => (
            <Box
              key={each.id}
              component="label"
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 1,
                minHeight: 56,
                border: '2px solid',
                borderColor: each.id === value ? 'var(--action)' : 'var(--line)',
                backgroundColor: each.id === value ? 'var(--action-wash)' : 'var(--raised)',
                borderRadius: '10px',
                paddingInline: 1,
                cursor: 'pointer',
                fontWeight: each.id === value ? 700 : 400,
                fontSize: '0.92rem',
                lineHeight: 1.2,
                '&:focus-within': { outline: '3px solid var(--action)', outlineOffset: 2 },
              }}
            >
              <input
                type="radio"
                name="kind"
                value={each.id}
                checked={each.id === value}
                onChange={() => onChange(each.id)}
                style={{ position: 'absolute', opacity: 0 }}
              />
              <BagIcon properties={properties} water={undefined} plants={0} size={36} />
              {each.name}
            </Box>
          ))}
      </Box>
      <Button
        onClick={() => setAll(!isAll)}
        aria-expanded={isAll}
        sx={{ textDecoration: 'underline', paddingInline: 0.5, marginBlockStart: 0.5 }}
      >
        {isAll ? 'The usual kinds' : `All ${CONTAINER_KINDS.length} kinds`}
      </Button>
      <Box aria-live="polite" sx={{ marginBlockStart: 1, color: 'text.secondary', fontSize: '0.92rem' }}>
        {kind.description} {kind.drainage.description}
      </Box>
    </Box>
  );
}
