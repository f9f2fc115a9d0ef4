import { Box, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import type { Entry } from '@rundel/core/records';
import { useMemo, useState } from 'react';
import { FormDialog } from '../form/index.ts';
import { Select } from '../Select.tsx';
import { useWhen } from '../When.tsx';
import { correctionOf } from '../entries/entry-form.ts';
import { entryWords } from '../../text/entry-text.ts';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** What was put down at several bags on one day, and can be put right at all of them. */
interface LikeEntries {
  readonly id: string;
  readonly day: string;
  readonly kind: Entry['kind'];
  readonly entries: readonly Entry[];
}

const KIND_WORDS: Partial<Record<Entry['kind'], string>> = {
  planted: 'planting',
  watering: 'watering',
  fed: 'feeding',
  check: 'check',
  picking: 'picking',
  stage: 'stage',
  supported: 'support',
  tended: 'work',
  filled: 'filling',
  cleared: 'clearing',
  moved: 'carrying',
  height: 'measuring',
  note: 'note',
  trouble: 'trouble',
  regime: 'change of regime',
};

function likeEntries(bags: readonly Bag[], live: readonly Entry[]): readonly LikeEntries[] {
  const ids = new Set(bags.map((b) => b.container.id));
  const groups = new Map<string, { kind: Entry['kind']; day: string; entries: Entry[] }>();
  for (const entry of live) {
    if (!('containerId' in entry) || !entry.containerId || !ids.has(entry.containerId)) continue;
    if (!KIND_WORDS[entry.kind]) continue;
    const day = dayOf(entry.at);
    const id = `${day} ${entry.kind}`;
    const group = groups.get(id);
    if (group) group.entries.push(entry);
    else groups.set(id, { kind: entry.kind, day, entries: [entry] });
  }
  return [...groups]
    .map(([id, group]) => ({ id, ...group }))
    .filter(({ entries }) => entries.length > 1)
    .sort((a, b) => (a.id < b.id ? 1 : -1));
}

/** So many groups are worth choosing from. */
const OFFERED = 40;

/** The day of what was put down at several bags put right in one go: twelve plantings of yesterday that were last week's. */
export function CorrectThem({
  bags,
  onClose,
  onDone,
}: {
  readonly bags: readonly [Bag, ...Bag[]];
  onClose(): void;
  onDone(): void;
}) {
  const { garden, live, clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  const groups = useMemo(() => likeEntries(bags, live).slice(0, OFFERED), [bags, live]);
  const [chosenId, setChosen] = useState(groups[0]?.id ?? '');
  const chosen = groups.find(({ id }) => id === chosenId);
  const first = chosen?.entries[0];
  const today = dayOf(clock.now());
  if (!chosen || !first)
    return (
      <FormDialog title="Put several right" onClose={onClose} onSubmit={onClose} submitLabel="All right">
        <Typography>Nothing was put down at two or more of these bags on one day.</Typography>
      </FormDialog>
    );
  return (
    <OneGroup
      key={chosen.id}
      first={first}
      onClose={onClose}
      onMoved={async (at) => {
        await record(
          chosen.entries.map((entry) => correctionOf(entry, at, {})),
          `${chosen.entries.length} entries corrected`,
        );
        onDone();
      }}
      head={
        <Select
          label="What"
          value={chosenId}
          options={groups.map(({ id, kind, day, entries }) => ({
            id,
            label: `${KIND_WORDS[kind] ?? kind} at ${entries.length}, ${shortDay(day, today)}`,
          }))}
          onChange={setChosen}
        />
      }
    >
      <Box
        component="ul"
        sx={{ margin: 0, paddingInlineStart: 2.5, maxHeight: 200, overflowY: 'auto' }}
        tabIndex={0}
      >
        {chosen.entries.map((entry) => (
          <li key={entry.id}>
            {'containerId' in entry && garden.containers.find((c) => c.id === entry.containerId)?.label}:{' '}
            {entryWords(entry, unitFormat, garden)}
          </li>
        ))}
      </Box>
    </OneGroup>
  );
}

function OneGroup({
  first,
  head,
  children,
  onMoved,
  onClose,
}: {
  readonly first: Entry;
  readonly head: React.ReactNode;
  readonly children: React.ReactNode;
  onMoved(at: string): Promise<void>;
  onClose(): void;
}) {
  const { id: _, ...entry } = first;
  const when = useWhen({ kind: entry.kind, at: entry.at });
  const save = () => {
    const at = when.read();
    return at === undefined ? undefined : onMoved(at);
  };
  return (
    <FormDialog title="Put several right" onClose={onClose} onSubmit={save} submitLabel="Correct them">
      {head}
      {children}
      {when.field}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        All of them get this day and time; the first versions stay on record.
      </Typography>
    </FormDialog>
  );
}
