import { TextField, Typography } from '@mui/material';
import type { Template } from '@rundel/core/records';
import { useState } from 'react';
import { kindWords } from '../../text/bag-text.ts';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { newId, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** A bag's make kept under a name, to set up others like it. */
export function TemplateDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { garden, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const [name, setName] = useState(kindWords(bag, unitFormat));
  const [problem, setProblem] = useState<string>();
  const submit = async () => {
    const trimmed = name.trim();
    if (trimmed === '') return setProblem('Give it a name.');
    if (garden.templates.some((t) => !t.binnedAt && t.name === trimmed))
      return setProblem('There is a template of this name already.');
    const now = clock.now();
    const { kindId, size, mixId, layers, mulchMillimetres, holeMillimetres, support, stations } =
      bag.container;
    const { stores, companions } = bag.container;
    const first = bag.occupants[0];
    const after: Template = {
      id: newId('template'),
      name: trimmed,
      kindId,
      size,
      mixId,
      ...(layers ? { layers } : {}),
      mulchMillimetres,
      ...(holeMillimetres ? { holeMillimetres } : {}),
      ...(stores ? { stores } : {}),
      ...(companions ? { companions } : {}),
      support,
      stations: stations.length,
      ...(first ? { cropId: first.crop.id, habitId: first.habit.id } : {}),
      createdAt: now,
      changedAt: now,
    };
    await saveRecords([{ table: 'templates', before: undefined, after }], [], `template ${trimmed} kept`);
    onClose();
    return undefined;
  };
  return (
    <FormDialog title="Keep as a template" isOpen onClose={onClose} onSubmit={submit} submitLabel="Save">
      <TextField
        label="Name"
        value={name}
        autoFocus
        onChange={(e) => setName(e.target.value.slice(0, 60))}
        error={problem !== undefined}
        helperText={problem}
      />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Kind, size, mix, mulch, support and how many plants are kept; a new bag can start from it.
      </Typography>
    </FormDialog>
  );
}
