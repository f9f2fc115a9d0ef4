import { MenuItem, TextField } from '@mui/material';
import { containerKind } from '@rundel/core/bags';
import { needsFirmMix, supportOf } from '@rundel/core/plants';
import type { Container } from '@rundel/core/records';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { readAmount } from '../../text/amount-text.ts';
import { mixChoices, supportChoices } from '../../ui/choices.tsx';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { placesInUse, useGarden, useMoney, useUnitFormat, type Bag } from '../../store/index.ts';
import { changedTogether, type BulkChange } from './bulk-change.ts';

const AS_IT_IS = 'as-it-is';

/** Several bags changed in one go; a field that is left as it is changes nothing. One undo takes all of it back. */
export function BulkDialog({
  bags,
  onClose,
  onDone,
}: {
  readonly bags: readonly Bag[];
  onClose(): void;
  onDone(): void;
}) {
  const { garden, clock, saveRecords, bin: putInBin } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const [placeId, setPlace] = useState(AS_IT_IS);
  const [mixId, setMix] = useState(AS_IT_IS);
  const [support, setSupport] = useState<Container['support']['kind'] | typeof AS_IT_IS>(AS_IT_IS);
  const [height, setHeight] = useState('');
  const [mulch, setMulch] = useState('');
  const [price, setPrice] = useState('');
  const readMulch = readAmount(mulch, {
    purpose: 'depth',
    system: unitFormat.system,
    low: 0,
    high: 150,
    isOptional: true,
  });
  const needsHeight = support !== AS_IT_IS && support !== 'none';
  const readHeight = readAmount(height, {
    purpose: 'height',
    system: unitFormat.system,
    low: 100,
    high: 5000,
    isOptional: !needsHeight,
  });
  const readPrice = money.read(price);
  const [isTried, setTried] = useState(false);
  const cannotHold = bags.filter((b) => !containerKind(b.container.kindId).holdsCane);
  const isCane = support !== AS_IT_IS && needsFirmMix(supportOf(support));
  const many = `${bags.length} ${bags.length === 1 ? 'bag' : 'bags'}`;
  const submit = async () => {
    setTried(true);
    if (readMulch.kind === 'refused' || readPrice.kind === 'refused') return;
    if (needsHeight && readHeight.kind !== 'given') return;
    const change: BulkChange = {
      ...(placeId === AS_IT_IS ? {} : { placeId }),
      ...(mixId === AS_IT_IS ? {} : { mixId }),
      ...(readMulch.kind === 'given' ? { mulchMillimetres: readMulch.siValue } : {}),
      ...(readPrice.kind === 'given' ? { price: readPrice.amount } : {}),
      ...(support === AS_IT_IS
        ? {}
        : {
            support: {
              kind: support,
              heightMillimetres: readHeight.kind === 'given' && needsHeight ? readHeight.siValue : 0,
            },
          }),
    };
    const changes = changedTogether(
      bags.map((b) => b.container),
      change,
      clock.now(),
    );
    if (changes.length > 0) await saveRecords(changes, [], `${many} changed`);
    onDone();
  };
  const bin = async () => {
    await putInBin(
      'containers',
      bags.map((b) => b.container),
      many,
    );
    onDone();
  };
  return (
    <FormDialog title={`Change ${many}`} isOpen onClose={onClose} onSubmit={submit} submitLabel="Change them">
      <TextField select label="Where they stand" value={placeId} onChange={(e) => setPlace(e.target.value)}>
        <MenuItem value={AS_IT_IS}>As it is</MenuItem>
        {placesInUse(garden).map((place) => (
          <MenuItem key={place.id} value={place.id}>
            {place.name}
          </MenuItem>
        ))}
      </TextField>
      <TextField select label="Mix" value={mixId} onChange={(e) => setMix(e.target.value)}>
        {[
          <MenuItem key={AS_IT_IS} value={AS_IT_IS}>
            As it is
          </MenuItem>,
          ...mixChoices(garden.mixes),
        ]}
      </TextField>
      <TextField
        select
        label="Support"
        value={support}
        onChange={(e) => setSupport(e.target.value as typeof support)}
        helperText={
          isCane && cannotHold.length > 0
            ? `Left as it is in ${cannotHold.map((b) => b.container.label).join(', ')}: they cannot hold a cane.`
            : undefined
        }
      >
        {[
          <MenuItem key={AS_IT_IS} value={AS_IT_IS}>
            As it is
          </MenuItem>,
          ...supportChoices(),
        ]}
      </TextField>
      {needsHeight && (
        <AmountField
          purpose="height"
          label="Its top, from the ground"
          value={height}
          onChange={(e) => setHeight(e.target.value)}
          error={isTried && readHeight.kind === 'refused'}
          helperText={isTried && readHeight.kind === 'refused' ? readHeight.problem : undefined}
        />
      )}
      <AmountField
        purpose="depth"
        label="Mulch on top"
        value={mulch}
        onChange={(e) => setMulch(e.target.value)}
        error={readMulch.kind === 'refused'}
        helperText={readMulch.kind === 'refused' ? readMulch.problem : 'Empty: as it is.'}
      />
      <TextField
        label={`What an empty one cost, ${money.sign}`}
        value={price}
        onChange={(e) => setPrice(e.target.value)}
        error={readPrice.kind === 'refused'}
        helperText={readPrice.kind === 'refused' ? readPrice.problem : 'Empty: as it is.'}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <OnceButton onPress={() => bin()} sx={{ alignSelf: 'flex-start' }}>
        Put {bags.length === 1 ? 'it' : 'them all'} in the bin
      </OnceButton>
    </FormDialog>
  );
}
