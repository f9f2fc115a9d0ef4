import { Typography } from '@mui/material';
import type { Draft } from '@rundel/core/records';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { readAmount } from '../../text/amount-text.ts';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** A tape and a thermometer at a bag: the heights of its plants above the mix, and how warm the mix is. */
export function MeasureDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const [warmth, setWarmth] = useState('');
  const [problem, setProblem] = useState<string>();
  const { system } = unitFormat;
  const heights = bag.occupants.map((occupant) => ({
    occupant,
    read: readAmount(texts[occupant.plant.id] ?? '', {
      purpose: 'height',
      system,
      low: 10,
      high: 5000,
      isOptional: true,
    }),
  }));
  const celsius = readAmount(warmth, {
    purpose: 'temperature',
    system,
    low: -10,
    high: 60,
    isOptional: true,
  });
  const submit = async () => {
    if (celsius.kind === 'refused' || heights.some((h) => h.read.kind === 'refused')) return undefined;
    const at = clock.now();
    const drafts: Draft[] = heights.flatMap(({ occupant, read }) =>
      read.kind === 'given'
        ? [
            {
              kind: 'height' as const,
              at,
              containerId: bag.container.id,
              stationId: occupant.stationId,
              plantId: occupant.plant.id,
              heightMillimetres: Math.round(read.siValue),
              asEntered: read.text,
            },
          ]
        : [],
    );
    if (celsius.kind === 'given')
      drafts.push({ kind: 'warmth', at, containerId: bag.container.id, mixCelsius: celsius.siValue });
    if (drafts.length === 0) return setProblem('Give a height or a temperature.');
    await record(drafts, `measured at ${bag.container.label}`);
    onClose();
    return undefined;
  };
  return (
    <FormDialog
      title={`Measure at bag ${bag.container.label}`}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put it down"
    >
      {heights.map(({ occupant, read }, i) => (
        <AmountField
          key={occupant.plant.id}
          purpose="height"
          autoFocus={i === 0}
          label={
            bag.occupants.length > 1
              ? `Height of ${occupant.plant.name ?? occupant.variety.name}, place ${occupant.position + 1}`
              : 'Height above the mix'
          }
          value={texts[occupant.plant.id] ?? ''}
          onChange={(e) => setTexts((now) => ({ ...now, [occupant.plant.id]: e.target.value }))}
          error={read.kind === 'refused'}
          helperText={read.kind === 'refused' ? read.problem : 'From the mix to the tip.'}
        />
      ))}
      <AmountField
        purpose="temperature"
        label="How warm the mix is"
        value={warmth}
        onChange={(e) => setWarmth(e.target.value)}
        error={celsius.kind === 'refused'}
        helperText={
          celsius.kind === 'refused' ? celsius.problem : 'A finger deep, in the morning. Empty: not measured.'
        }
      />
      {problem && (
        <Typography role="alert" sx={{ color: 'error.main' }}>
          {problem}
        </Typography>
      )}
    </FormDialog>
  );
}
