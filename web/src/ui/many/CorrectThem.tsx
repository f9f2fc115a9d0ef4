import { Box, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import type { Entry, Garden } from '@rundel/core/records';
import { useMemo, useState, type ReactNode } from 'react';
import { FormDialog, FormFields, useFieldContext, useFields, type Fields } from '../form/index.ts';
import { Select } from '../Select.tsx';
import { useWhen } from '../When.tsx';
import { severalEntries } from './correct-several.ts';
import { entryWords } from '../../text/entry-text.ts';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** Entries made at several bags on one day, which can be put right at all of them. */
interface LikeEntries {
  readonly id: string;
  readonly day: string;
  readonly kind: Entry['kind'];
  readonly entries: readonly [Entry, ...Entry[]];
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
  const groups = new Map<string, { kind: Entry['kind']; day: string; entries: [Entry, ...Entry[]] }>();
  for (const entry of live) {
    if (!('containerId' in entry) || !entry.containerId || !ids.has(entry.containerId)) continue;
    if (!KIND_WORDS[entry.kind]) continue;
    const day = dayOf(entry.at);
    // what two ways of checking found has no field in common
    const id = `${day} ${entry.kind} ${entry.kind === 'check' ? entry.check.method : ''}`;
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

/** Entries of several bags corrected in one go: twelve plantings of yesterday that were last week's. */
export function CorrectThem({
  bags,
  onClose,
  onDone,
}: {
  readonly bags: readonly [Bag, ...Bag[]];
  onClose(): void;
  onDone(): void;
}) {
  const { garden, live, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const groups = useMemo(() => likeEntries(bags, live).slice(0, OFFERED), [bags, live]);
  const [chosenId, setChosen] = useState(groups[0]?.id ?? '');
  const chosen = groups.find(({ id }) => id === chosenId);
  const today = dayOf(clock.now());
  if (!chosen)
    return (
      <FormDialog title="Correct several at once" onClose={onClose} onSubmit={onClose} submitLabel="Close">
        <Typography>No two of these bags have an entry of the same kind on one day.</Typography>
      </FormDialog>
    );
  return (
    <OneGroup
      key={chosen.id}
      group={chosen}
      onClose={onClose}
      onDone={onDone}
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
        sx={{ margin: 0, paddingInlineStart: 2.5, maxHeight: 160, overflowY: 'auto' }}
        tabIndex={0}
      >
        {chosen.entries.map((entry) => (
          <li key={entry.id}>
            {labelOf(entry, garden)}: {entryWords(entry, unitFormat, garden)}
          </li>
        ))}
      </Box>
    </OneGroup>
  );
}

const labelOf = (entry: Entry, { containers }: Garden) =>
  ('containerId' in entry && containers.find((c) => c.id === entry.containerId)?.label) || '';

function OneGroup({
  group: { entries, kind },
  head,
  children,
  onDone,
  onClose,
}: {
  readonly group: LikeEntries;
  readonly head: ReactNode;
  readonly children: ReactNode;
  onDone(): void;
  onClose(): void;
}) {
  const { garden, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const fieldContext = useFieldContext();
  const now = clock.now();
  const [first] = entries;
  const [several] = useState(() =>
    severalEntries(entries, { garden, unitFormat, fieldContext, now, today: dayOf(now) }),
  );
  const when = useWhen({ kind, at: first.at });
  const form = useFields<Fields>(several.fields, several.start);
  const save = form.submit(async (_, texts) => {
    // a planting has its day among its fields
    const at = kind === 'planted' ? first.at : when.read();
    if (at === undefined) return;
    const right = several.correct(texts, at === first.at ? undefined : at);
    if (!right.ok) {
      form.refuse(right.at, `${labelOf(right.entry, garden)}: ${right.problem}`);
      return;
    }
    if (right.drafts.length > 0)
      await saveRecords(right.changes, right.drafts, `${right.drafts.length} entries corrected`);
    onDone();
  });
  return (
    <FormDialog title="Correct several at once" onClose={onClose} onSubmit={save} submitLabel="Correct them">
      {head}
      {children}
      {kind !== 'planted' && when.field}
      {/* a planting's day is what most often was wrong */}
      <FormFields
        form={form}
        names={Object.keys(form.fields).sort((a, b) => Number(b === 'plantedOn') - Number(a === 'plantedOn'))}
      />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        All of them get what you change here; the first versions stay on record.
      </Typography>
    </FormDialog>
  );
}
