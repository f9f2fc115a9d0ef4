import { InputAdornment, TextField, Typography } from '@mui/material';
import { kilowattHours } from '@rundel/core/stock';
import type { EntryOf } from '@rundel/core/records';
import { useState } from 'react';
import { BagChooser } from '../../../ui/BagChooser.tsx';
import { Caution } from '../../../ui/Caution.tsx';
import { FormDialog } from '../../../ui/EntryDialogs.tsx';
import { Select } from '../../../ui/Select.tsx';
import { useBags, useGarden, useMoney } from '../../../store/index.ts';

const ON: readonly { readonly id: EntryOf<'spent'>['on']; readonly label: string }[] = [
  { id: 'seed', label: 'Seed' },
  { id: 'plants', label: 'Plants' },
  { id: 'current', label: 'Current' },
  { id: 'water', label: 'Water' },
  { id: 'other', label: 'Something else' },
];

const number = (text: string) => Number(text.replace(',', '.'));

/** Money spent, current for lamps by their watts, or minutes worked: for some bags, or shared among all. */
export function SpendDialog({
  what,
  onClose,
}: {
  readonly what: 'spent' | 'lamps' | 'worked';
  onClose(): void;
}) {
  const { garden, clock, record } = useGarden();
  const money = useMoney();
  const { bags } = useBags();
  const [on, setOn] = useState<EntryOf<'spent'>['on']>('seed');
  const [price, setPrice] = useState('');
  const [minutes, setMinutes] = useState('');
  const [watts, setWatts] = useState('');
  const [hours, setHours] = useState('14');
  const [days, setDays] = useState('');
  const [tariff, setTariff] = useState(
    garden.settings.kilowattHourPrice === undefined ? '' : String(garden.settings.kilowattHourPrice),
  );
  const [containerIds, setIds] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<string>();
  const used = kilowattHours(number(watts || '0'), number(hours || '0'), number(days || '0'));
  const perHour = money.read(tariff);
  const lampPrice = perHour.kind === 'given' ? used * perHour.amount : undefined;
  const submit = async () => {
    const base = { at: clock.now(), containerIds: [...containerIds] };
    if (what === 'worked') {
      const worked = number(minutes);
      if (!(worked > 0 && worked <= 1440)) return setProblem('Minutes, from 1 to 1440.');
      await record([{ kind: 'worked', ...base, minutes: worked }], `${worked} minutes of work`);
    } else if (what === 'lamps') {
      if (!(used > 0 && used < 100_000)) return setProblem('Watts, hours a day and days, all above 0.');
      if (lampPrice === undefined) return setProblem('What does a kilowatt-hour cost?');
      await record(
        [
          {
            kind: 'spent',
            ...base,
            on: 'current',
            price: lampPrice,
            asEntered: `${watts} W, ${hours} h a day, ${days} days`,
          },
        ],
        'current for lamps',
      );
    } else {
      const read = money.read(price);
      if (read.kind !== 'given')
        return setProblem(read.kind === 'refused' ? read.problem : 'How much was it?');
      await record([{ kind: 'spent', ...base, on, price: read.amount }], `spent on ${on}`);
    }
    onClose();
    return undefined;
  };
  const titles = { spent: 'Money spent', lamps: 'Current for lamps', worked: 'Minutes worked' } as const;
  const decimal = { htmlInput: { inputMode: 'decimal' as const } };
  return (
    <FormDialog
      title={titles[what]}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      {what === 'spent' && (
        <>
          <Select label="On what" value={on} onChange={setOn} options={ON} />
          <TextField
            label="How much"
            value={price}
            autoFocus
            onChange={(e) => setPrice(e.target.value)}
            slotProps={{
              ...decimal,
              input: { startAdornment: <InputAdornment position="start">{money.sign}</InputAdornment> },
            }}
          />
        </>
      )}
      {what === 'worked' && (
        <TextField
          label="Minutes"
          value={minutes}
          autoFocus
          onChange={(e) => setMinutes(e.target.value)}
          helperText={
            garden.settings.hourValue === undefined
              ? 'They are kept, and count once an hour of your work has a value.'
              : undefined
          }
          slotProps={decimal}
        />
      )}
      {what === 'lamps' && (
        <>
          <TextField
            label="Watts, all lamps together"
            value={watts}
            autoFocus
            onChange={(e) => setWatts(e.target.value)}
            slotProps={decimal}
          />
          <TextField
            label="Hours a day"
            value={hours}
            onChange={(e) => setHours(e.target.value)}
            slotProps={decimal}
          />
          <TextField
            label="Days"
            value={days}
            onChange={(e) => setDays(e.target.value)}
            slotProps={decimal}
          />
          <TextField
            label={`A kilowatt-hour costs, ${money.sign}`}
            value={tariff}
            onChange={(e) => setTariff(e.target.value)}
            slotProps={decimal}
          />
          <Typography aria-live="polite">
            {Number.isFinite(used) && used > 0
              ? `${used.toFixed(1)} kWh${lampPrice === undefined ? '' : `, ${money.show(lampPrice)}`}.`
              : 'Watts × hours × days ÷ 1000.'}
          </Typography>
          <Caution>
            Lamps near water: a residual-current device, fittings made for the damp, and an electrician for
            anything fixed.
          </Caution>
        </>
      )}
      {problem && (
        <Typography role="alert" sx={{ color: 'error.main' }}>
          {problem}
        </Typography>
      )}
      <Typography variant="body2">For which bags? None chosen: shared among all.</Typography>
      <BagChooser
        bags={bags}
        chosen={bags.filter((b) => containerIds.includes(b.container.id))}
        onChange={setIds}
      />
    </FormDialog>
  );
}
