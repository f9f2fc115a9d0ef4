import { Button, TextField } from '@mui/material';
import type { TriedSize } from '@rundel/core/garden-state';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { InlineForm } from '../../../ui/form/index.ts';

/** Sends a size on: so many bags of it, to be named and placed on the next screen. */
export function SendBags({
  chosen,
  kindId,
  plant,
}: {
  readonly chosen: TriedSize;
  readonly kindId: string;
  readonly plant: Readonly<Record<string, string>>;
}) {
  const navigate = useNavigate();
  const [count, setCount] = useState('1');
  const number = Number(count);
  const isCount = Number.isInteger(number) && number >= 1 && number <= 60;
  const send = () => {
    const query = new URLSearchParams({
      kind: kindId,
      ...plant,
      count,
      stations: String(chosen.plants),
      ...(chosen.size.by === 'class' ? { class: chosen.size.class } : {}),
      ...(chosen.size.by === 'label' ? { litres: String(chosen.size.litres) } : {}),
    });
    void navigate(`/bags/new?${query.toString()}`);
  };
  return (
    <InlineForm
      onSubmit={() => isCount && send()}
      sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start' }}
    >
      <TextField
        label="How many"
        value={count}
        onChange={(e) => setCount(e.target.value)}
        error={!isCount}
        helperText={isCount ? undefined : 'From 1 to 60.'}
        sx={{ width: 110 }}
        slotProps={{ htmlInput: { inputMode: 'numeric' } }}
      />
      <Button type="submit" variant="contained" sx={{ minHeight: 56 }}>
        Set up {isCount && number > 1 ? `${number} of these` : 'this bag'}
      </Button>
    </InlineForm>
  );
}
