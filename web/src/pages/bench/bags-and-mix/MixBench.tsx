import { resolveAssumed } from '@rundel/core/assumed';
import { Box, Button, Checkbox, FormControlLabel, Typography } from '@mui/material';
import { MIXES, mixFrom, type Mix } from '@rundel/core/mixes';
import { toSi } from '@rundel/core/units';
import { useState } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../../ui/Page.tsx';
import { WorkedLines } from '../../../ui/HowCalculated.tsx';
import { grams } from '../../../text/product-text.ts';
import { useGarden, useMoney, useUnitFormat } from '../../../store/index.ts';
import { useSupplies } from '../../../store/supplies.ts';
import { MixColumns } from './MixColumns.tsx';
import { MixEditor } from './MixEditor.tsx';
import { mixPricePerLitre } from '@rundel/core/stock';

const WISHES = [
  { id: 'peat-free', label: 'peat-free' },
  { id: 'organic', label: 'organic only' },
  { id: 'cheapest', label: 'cheapest first' },
] as const;

type Wish = (typeof WISHES)[number]['id'];

/** The mixes side by side as what a litre of each holds, and one of them opened. */
export default function MixBench() {
  const { garden } = useGarden();
  const { priceOf } = useSupplies();
  const money = useMoney();
  const unitFormat = useUnitFormat();
  const [wishes, setWishes] = useState<readonly Wish[]>([]);
  const [chosenId, choose] = useState<string>();
  const [editing, setEditing] = useState<'own' | 'new'>();
  const own = garden.mixes.filter((m) => !m.binnedAt);
  // a round amount in the grower's own unit
  const saleLitres = unitFormat.system === 'us' ? toSi(25, 'usGallon') : 100;
  const all = [...own.map(mixFrom), ...MIXES].filter(
    (mix) =>
      (!wishes.includes('peat-free') || mix.isPeatFree) && (!wishes.includes('organic') || mix.isOrganic),
  );
  const assumed = resolveAssumed(garden.settings.assumptions);
  const priced = all.map((mix) => ({ mix, price: mixPricePerLitre(mix, priceOf, assumed) }));
  if (wishes.includes('cheapest')) priced.sort((a, b) => (a.price ?? Infinity) - (b.price ?? Infinity));
  const chosen = priced.find(({ mix }) => mix.id === chosenId) ?? priced[0];
  const ownRecord = own.find((m) => m.id === chosen?.mix.id);
  return (
    <Box>
      <Panel>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
          <Box role="group" aria-label="Wishes">
            {WISHES.map(({ id, label }) => (
              <FormControlLabel
                key={id}
                control={
                  <Checkbox
                    checked={wishes.includes(id)}
                    onChange={(_, on) =>
                      setWishes((now) => (on ? [...now, id] : now.filter((w) => w !== id)))
                    }
                  />
                }
                label={label}
              />
            ))}
          </Box>
          <Button
            variant="outlined"
            onClick={() => setEditing('new')}
            sx={{ marginInlineStart: { sm: 'auto' } }}
          >
            A mix of my own
          </Button>
        </Box>
        <MixColumns
          mixes={priced.map(({ mix, price }) => ({
            mix,
            label:
              price === undefined
                ? 'no price yet'
                : `${money.show(price * saleLitres)} for ${unitFormat.show(saleLitres, 'bag')}`,
          }))}
          chosenId={chosen?.mix.id}
          onChoose={choose}
        />
        {priced.length === 0 && (
          <Typography>No mix is all of that. Take a wish away, or make a mix of your own.</Typography>
        )}
      </Panel>
      {chosen && (
        <Panel title={chosen.mix.name}>
          <Box sx={{ display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}>
            <Box>
              <Typography sx={{ marginBlockEnd: 1.5 }}>{chosen.mix.description}</Typography>
              <PartsBar mix={chosen.mix} />
              <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', marginBlockStart: 2 }}>
                <Button variant="contained" component={Link} to={`/bench/fill?mix=${chosen.mix.id}`}>
                  Fill bags with it
                </Button>
                <Button variant="outlined" onClick={() => setEditing('own')}>
                  {ownRecord ? 'Change it' : 'Make one like it'}
                </Button>
              </Box>
            </Box>
            <WorkedLines lines={figuresOf(chosen.mix, unitFormat)} />
          </Box>
        </Panel>
      )}
      {editing && (
        <MixEditor
          record={editing === 'own' ? ownRecord : undefined}
          like={editing === 'own' ? chosen?.mix : undefined}
          onClose={() => setEditing(undefined)}
          onSaved={choose}
        />
      )}
    </Box>
  );
}

/** Months, or weeks when there are few of them. */
function feedSpan(months: number): string {
  return months < 2 ? `${Math.round(months * 4.35)} weeks` : `${months} months`;
}

function figuresOf(mix: Mix, unitFormat: ReturnType<typeof useUnitFormat>) {
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const weight = (kilograms: number) => grams(kilograms * 1000, unitFormat);
  const months = mix.base.map((b) => b.months);
  return [
    ['Water held after draining', percent(mix.capacity)],
    ['Water that no root can take', percent(mix.unavailable)],
    ['Air left after draining', percent(mix.air)],
    ['A litre weighs dry', weight(mix.dryKilogramsPerLitre)],
    ['and drained', weight(mix.dryKilogramsPerLitre + mix.capacity)],
    ['Sinks at the first watering by', percent(mix.settling)],
    [
      'Feed that it brings',
      months.length === 0
        ? 'none to speak of'
        : `for about ${feedSpan(Math.min(...months))}${
            Math.min(...months) === Math.max(...months) ? '' : ` to ${feedSpan(Math.max(...months))}`
          }`,
    ],
    ['Lime', mix.limeGramsPerLitre > 0 ? `${mix.limeGramsPerLitre} g a litre` : 'none'],
  ] as const;
}

/** The parts as one bar, in order of size. */
function PartsBar({ mix }: { readonly mix: Mix }) {
  const parts = [...mix.shares].sort((a, b) => b.share - a.share);
  return (
    <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0, display: 'grid', gap: 0.75 }}>
      {parts.map(({ ingredient, share }) => (
        <Box
          component="li"
          key={ingredient.id}
          sx={{ display: 'grid', gridTemplateColumns: '1fr 56px', gap: 1 }}
        >
          <Box>
            {ingredient.name}
            <Box
              sx={{ height: 8, backgroundColor: 'var(--raised)', borderRadius: '4px', overflow: 'hidden' }}
            >
              <Box sx={{ height: '100%', width: `${share * 100}%`, backgroundColor: 'var(--mulch)' }} />
            </Box>
          </Box>
          <Box sx={{ textAlign: 'end', fontWeight: 700, alignSelf: 'center' }}>
            {Math.round(share * 100)} %
          </Box>
        </Box>
      ))}
    </Box>
  );
}
