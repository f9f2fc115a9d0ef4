import { Box, Button, TextField } from '@mui/material';
import { GROUPINGS, keyOf, type Grouping, type TallyUnit } from '@rundel/core/tally';
import { useState } from 'react';
import { groupName, GROUPING_WORDS } from '../../../text/tally-text.ts';
import { Select } from '../../../ui/Select.tsx';

/** By what a tally can be narrowed down, as the address has it. */
const FILTERS = ['crop', 'variety', 'place', 'kind', 'regime'] as const;

/** The plants that an address asks for. */
export function filterUnits(
  units: readonly TallyUnit[],
  fields: Readonly<Record<string, string>>,
): readonly TallyUnit[] {
  const wanted = FILTERS.flatMap((by) => (fields[by] === undefined ? [] : [[by, fields[by]] as const]));
  const words = (fields.find ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0 && words.length === 0) return units;
  return units.filter(
    (u) =>
      wanted.every(([by, key]) => keyOf(u, by) === key) &&
      words.every((word) =>
        [u.bag, u.variety, u.plantName ?? '', u.crop, u.place, u.kind].some((text) =>
          text.toLowerCase().includes(word),
        ),
      ),
  );
}

/** What the table is told by and narrowed down to. */
export function Filters({
  units,
  by,
  fields,
  onChange,
}: {
  readonly units: readonly TallyUnit[];
  readonly by: Grouping;
  readonly fields: URLSearchParams;
  onChange(change: Readonly<Record<string, string | undefined>>): void;
}) {
  const [find, setFind] = useState(fields.get('find') ?? '');
  const kept = fields.get('find') ?? '';
  const look = (text: string) => {
    setFind(text);
    onChange({ find: text.trim() === '' ? undefined : text });
  };
  const isNarrowed = kept !== '' || FILTERS.some((f) => fields.has(f));
  const [isOpen, setOpen] = useState(FILTERS.some((f) => fields.has(f)));
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: '1fr 1fr', md: 'repeat(4, minmax(0, 1fr))' },
        marginBlockEnd: 1.5,
        '@media print': { display: 'none' },
      }}
    >
      <Select
        label="Told by"
        value={by}
        options={GROUPINGS.map((id) => ({ id, label: GROUPING_WORDS[id] }))}
        onChange={(id) => onChange({ by: id === 'bag' ? undefined : id })}
      />
      <TextField label="Find" value={find} onChange={(e) => look(e.target.value)} fullWidth />
      <Button onClick={() => setOpen(!isOpen)} aria-expanded={isOpen} sx={{ textDecoration: 'underline' }}>
        Narrow it down
      </Button>
      {isNarrowed && (
        <Button
          onClick={() => {
            setFind('');
            onChange({ find: undefined, ...Object.fromEntries(FILTERS.map((f) => [f, undefined])) });
          }}
        >
          Show all again
        </Button>
      )}
      {isOpen &&
        FILTERS.map((filter) => {
          const options = new Map(units.map((u) => [keyOf(u, filter), groupName(u, filter)]));
          if (options.size < 2) return null;
          return (
            <Select
              key={filter}
              label={GROUPING_WORDS[filter]}
              value={fields.get(filter) ?? ALL}
              options={[{ id: ALL, label: 'All' }, ...[...options].map(([id, label]) => ({ id, label }))]}
              onChange={(id) => onChange({ [filter]: id === ALL ? undefined : id })}
            />
          );
        })}
    </Box>
  );
}

const ALL = '*';
