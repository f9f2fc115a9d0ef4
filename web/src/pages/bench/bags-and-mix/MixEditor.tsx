import { Box, Button, IconButton, MenuItem, TextField } from '@mui/material';
import { IconTrash } from '@tabler/icons-react';
import type { OwnMix } from '@rundel/core/records';
import { INGREDIENTS, mixFrom, type Mix } from '@rundel/core/mixes';
import { useState } from 'react';
import { FormDialog } from '../../../ui/EntryDialogs.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { newId, useGarden } from '../../../store/index.ts';
import { readParts, type PartText } from './mix-texts.ts';

/** A mix of the grower's own: a name, parts by volume, lime. */
export function MixEditor({
  record,
  like,
  onClose,
  onSaved,
}: {
  readonly record: OwnMix | undefined;
  /** a mix to begin from */
  readonly like: Mix | undefined;
  onClose(): void;
  onSaved(id: string): void;
}) {
  const { garden, clock, saveRecords, bin: putInBin } = useGarden();
  const [name, setName] = useState(record?.name ?? (like ? `My ${like.name.toLowerCase()}` : ''));
  const [lime, setLime] = useState(like && like.limeGramsPerLitre > 0 ? String(like.limeGramsPerLitre) : '');
  const [parts, setParts] = useState<readonly PartText[]>(
    record
      ? record.parts.map((p) => ({ ingredientId: p.ingredientId, parts: String(p.parts) }))
      : like
        ? like.shares.map((s) => ({
            ingredientId: s.ingredient.id,
            parts: String(Math.round(s.share * 100) / 10),
          }))
        : [
            { ingredientId: 'garden-compost', parts: '1' },
            { ingredientId: 'coir', parts: '1' },
          ],
  );
  const [isTried, setTried] = useState(false);
  const read = readParts(
    name,
    parts,
    lime,
    garden.mixes.filter((m) => !m.binnedAt && m.id !== record?.id),
  );
  const problems = read.kind === 'refused' && isTried ? read.problems : undefined;
  const change = (i: number, patch: Partial<PartText>) =>
    setParts((now) => now.map((part, at) => (at === i ? { ...part, ...patch } : part)));
  const submit = async () => {
    setTried(true);
    if (read.kind === 'refused') return;
    const now = clock.now();
    const after: OwnMix = {
      id: record?.id ?? newId('mix'),
      ...read.mix,
      createdAt: record?.createdAt ?? now,
      changedAt: now,
    };
    await saveRecords([{ table: 'mixes', before: record, after }], [], `mix ${after.name} kept`);
    onSaved(after.id);
    onClose();
  };
  const bin = async () => {
    if (!record) return;
    await putInBin('mixes', [record], `mix ${record.name}`);
    onClose();
  };
  const isUsed =
    record &&
    garden.containers.some((c) => c.mixId === record.id || c.layers?.some((l) => l.mixId === record.id));
  const preview = read.kind === 'read' ? mixFrom({ id: 'preview', ...read.mix }) : undefined;
  return (
    <FormDialog
      title={record ? `Change ${record.name}` : 'A mix of my own'}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      <TextField
        label="Name"
        value={name}
        onChange={(e) => setName(e.target.value.slice(0, 60))}
        error={problems?.name !== undefined}
        helperText={problems?.name}
      />
      {parts.map((part, i) => (
        <Box
          key={i}
          sx={{ display: 'grid', gridTemplateColumns: '1fr 92px 44px', gap: 1, alignItems: 'start' }}
        >
          <TextField
            select
            label="Ingredient"
            value={part.ingredientId}
            onChange={(e) => change(i, { ingredientId: e.target.value })}
            error={problems?.[`ingredient${i}`] !== undefined}
            helperText={problems?.[`ingredient${i}`]}
          >
            {INGREDIENTS.map((each) => (
              <MenuItem key={each.id} value={each.id}>
                {each.name}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            label="Parts"
            value={part.parts}
            onChange={(e) => change(i, { parts: e.target.value })}
            error={problems?.[`parts${i}`] !== undefined}
            helperText={problems?.[`parts${i}`]}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
          <IconButton
            aria-label="Take this part out"
            disabled={parts.length === 1}
            onClick={() => setParts((now) => now.filter((_, at) => at !== i))}
            sx={{ width: 44, height: 52 }}
          >
            <IconTrash size={20} aria-hidden />
          </IconButton>
        </Box>
      ))}
      <Button
        variant="outlined"
        sx={{ alignSelf: 'flex-start' }}
        disabled={parts.length >= 12}
        onClick={() => {
          const free = INGREDIENTS.find((each) => !parts.some((p) => p.ingredientId === each.id));
          setParts((now) => [...now, { ingredientId: free?.id ?? 'coir', parts: '1' }]);
        }}
      >
        Another part
      </Button>
      <TextField
        label="Lime, grams a litre"
        value={lime}
        onChange={(e) => setLime(e.target.value)}
        error={problems?.lime !== undefined}
        helperText={problems?.lime ?? 'Empty for none; peat wants about 3.'}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <Box aria-live="polite" sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
        {preview
          ? `A litre holds ${Math.round(preview.capacity * 1000)} mL of water, ${Math.round((preview.capacity - preview.unavailable) * 1000)} mL of it for the plant.`
          : 'Its figures come when all parts read.'}
      </Box>
      {record &&
        (isUsed ? (
          <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
            It is in use, so it cannot be binned.
          </Box>
        ) : (
          <OnceButton onPress={() => bin()} sx={{ alignSelf: 'flex-start' }}>
            Delete
          </OnceButton>
        ))}
    </FormDialog>
  );
}
