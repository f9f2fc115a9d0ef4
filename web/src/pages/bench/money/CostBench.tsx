import {
  Box,
  Button,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from '@mui/material';
import type { BagCost, CostLine } from '@rundel/core/stock';
import { useState } from 'react';
import { titleOf } from '../../../text/bag-text.ts';
import { productName } from '../../../text/product-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { COST_WORDS } from '../../../text/cost-text.ts';
import { useBags, useGarden, useMoney, told } from '../../../store/index.ts';
import { useCosts } from '../../../store/supplies.ts';
import { NoBags } from '../NoBags.tsx';
import { SpendDialog } from './SpendDialog.tsx';
import { midSentence } from '../../../text/text.ts';

const COLUMNS: readonly (readonly CostLine['what'][])[] = [
  ['bag'],
  ['mix'],
  ['amendments', 'supplies'],
  ['seed', 'plants'],
  ['current', 'water', 'other'],
  ['work'],
];

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** What each bag came to this season, and the ways to put money and minutes in. */
export default function CostBench() {
  const { garden, clock } = useGarden();
  const money = useMoney();
  const { bags } = useBags();
  const year = Number(clock.now().slice(0, 4));
  const byBag = useCosts(year);
  const [dialog, setDialog] = useState<'spent' | 'lamps' | 'worked'>();
  if (bags.length === 0) return <NoBags label="Add a bag first; then what it comes to stands here." />;
  const costs = bags.flatMap((bag) => {
    const cost = byBag.get(bag.container.id);
    return cost ? [{ bag, cost }] : [];
  });
  const sum = (cost: BagCost, whats: readonly CostLine['what'][]) =>
    cost.lines.filter((l) => whats.includes(l.what)).reduce((total, l) => total + l.price, 0);
  const total = costs.reduce((all, { cost }) => all + cost.total, 0);
  const unpriced = [...new Set(costs.flatMap(({ cost }) => cost.unpriced))];
  return (
    <Box>
      <Panel>
        <Typography sx={{ fontSize: '1.1rem', marginBlockEnd: 1 }}>
          <strong>
            {year}: {money.show(total)} for {bags.length} {bags.length === 1 ? 'bag' : 'bags'},{' '}
            {money.show(total / bags.length)} each.
          </strong>{' '}
          {unpriced.length > 0 &&
            `Not in it, for want of a price: ${unpriced.map((id) => (id === 'bag' ? 'some of the bags themselves' : midSentence(productName(id, garden.products)))).join(', ')}.`}
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockEnd: 2 }}>
          <Button variant="contained" onClick={() => setDialog('spent')}>
            Money spent
          </Button>
          <Button variant="outlined" onClick={() => setDialog('lamps')}>
            Current for lamps
          </Button>
          <Button variant="outlined" onClick={() => setDialog('worked')}>
            Minutes worked
          </Button>
        </Box>
        <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Costs by bag">
          <Table size="small" sx={{ '& td, & th': { whiteSpace: { xs: 'nowrap', md: 'normal' } } }}>
            <TableHead>
              <TableRow>
                <TableCell>Bag</TableCell>
                {COLUMNS.map((whats) => (
                  <TableCell key={whats[0]} align="right">
                    {capital(whats.map((what) => COST_WORDS[what]).join(', '))}
                  </TableCell>
                ))}
                <TableCell align="right">In all</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {costs.map(({ bag, cost }) => (
                <TableRow key={bag.container.id}>
                  <TableCell>{titleOf(bag)}</TableCell>
                  {COLUMNS.map((whats) => {
                    const value = sum(cost, whats);
                    return (
                      <TableCell key={whats[0]} align="right">
                        {value > 0 ? money.show(value) : ''}
                      </TableCell>
                    );
                  })}
                  <TableCell align="right" sx={{ fontWeight: 700 }}>
                    {money.show(cost.total)}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
        <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
          A bag is spread over the seasons that it lasts, a mix over two; what is for all bags is shared
          evenly.
        </Typography>
      </Panel>
      <Panel title="What things are worth to you">
        <MoneySettings />
      </Panel>
      {dialog && <SpendDialog what={dialog} onClose={() => setDialog(undefined)} />}
    </Box>
  );
}

function MoneySettings() {
  const { garden, saveSettings } = useGarden();
  const money = useMoney();
  const { settings } = garden;
  const [sign, setSign] = useState(money.sign);
  const [hour, setHour] = useState(settings.hourValue === undefined ? '' : String(settings.hourValue));
  const [power, setPower] = useState(
    settings.kilowattHourPrice === undefined ? '' : String(settings.kilowattHourPrice),
  );
  const readHour = money.read(hour);
  const readPower = money.read(power);
  const isSign = sign.trim().length >= 1 && sign.trim().length <= 4;
  const isHour = readHour.kind !== 'refused' && !(readHour.kind === 'given' && readHour.amount > 1000);
  const isPower = readPower.kind !== 'refused' && !(readPower.kind === 'given' && readPower.amount > 10);
  const save = async () => {
    if (!isSign || !isHour || !isPower) return;
    const { hourValue: _h, kilowattHourPrice: _k, ...rest } = settings;
    await saveSettings({
      ...rest,
      currency: sign.trim(),
      ...(readHour.kind === 'given' ? { hourValue: readHour.amount } : {}),
      ...(readPower.kind === 'given' ? { kilowattHourPrice: readPower.amount } : {}),
    });
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        told(save());
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}
    >
      <TextField
        label="Sign of your money"
        value={sign}
        onChange={(e) => setSign(e.target.value)}
        error={!isSign}
        helperText={isSign ? undefined : 'One to four letters or signs.'}
        sx={{ width: 160 }}
      />
      <TextField
        label={`An hour of your work, ${money.sign}`}
        value={hour}
        onChange={(e) => setHour(e.target.value)}
        error={!isHour}
        helperText={isHour ? 'Empty: work is not counted.' : 'From 0 to 1000.'}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <TextField
        label={`A kilowatt-hour, ${money.sign}`}
        value={power}
        onChange={(e) => setPower(e.target.value)}
        error={!isPower}
        helperText={isPower ? 'By your bill.' : 'From 0 to 10.'}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <Button type="submit" variant="outlined" sx={{ minHeight: 56 }}>
        Save
      </Button>
    </Box>
  );
}
