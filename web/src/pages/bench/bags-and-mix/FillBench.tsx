import { Box, Button, MenuItem, TextField, Typography } from '@mui/material';
import { resolveAssumed } from '@rundel/core/assumed';
import { dayOf } from '@rundel/core/calendar';
import type { Draft } from '@rundel/core/records';
import { FILLING_PRACTICES, MOISTENING_LITRES_PER_LITRE, SQUEEZE_TEST } from '@rundel/core/mixes';
import { scoopsOf } from '@rundel/core/products';
import { useDeferredValue, useEffect } from 'react';
import { Link, useSearchParams } from 'react-router';
import { BagChooser } from '../../../ui/BagChooser.tsx';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { mixChoices } from '../../../ui/choices.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useWhen } from '../../../ui/When.tsx';
import { useGarden, useUnitFormat } from '../../../store/index.ts';
import { AmendmentRows } from './AmendmentRows.tsx';
import { isFilled, type BagFill } from '@rundel/core/garden-state';
import { fillsOf, readKept, withRefresh, type FillPlan } from './fill-plan.ts';
import { FillTable } from './FillTable.tsx';
import { NoBags } from '../NoBags.tsx';
import { useFillPlan } from './use-fill-plan.ts';

/** Filling a set of bags: old mix, new mix, what is worked in, the steps for the hands; recorded in one go. */
export default function FillBench() {
  const { garden, live, clock, record, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const [params, setParams] = useSearchParams();
  const sent = sentAlong(params);
  const { plan, isRead, bags, chosen, change } = useFillPlan(sent);
  const asked = JSON.stringify(sent);
  useEffect(() => {
    // once taken up, what was sent along leaves the address
    if (asked !== '{}') void change(sent).then(() => setParams({}, { replace: true }));
    // oxlint-disable-next-line react/exhaustive-deps
  }, [asked]);
  const when = useWhen({ kind: 'filled' });
  const scoops = scoopsOf(garden);
  const assumed = resolveAssumed(garden.settings.assumptions);
  const fills = fillsOf(chosen, plan, live, garden, garden.settings.units, scoops);
  // the fields answer at once; the table of a hundred bags may follow
  const tabled = useDeferredValue(fills, []);
  if (bags.length === 0) return <NoBags label="Add a bag first; then it can be filled here." />;
  const kept = readKept(plan.keptPercent, assumed.keptMost);
  const now = clock.now();
  const already = chosen.filter((b) => isFilled(b.container.id, live, now));
  const recordFilled = async () => {
    const at = when.read();
    if (at === undefined) return undefined;
    const drafts = fills.map((fill) => filledDraft(fill, at, plan));
    const changed = fills.filter((fill) => isAnotherMix(fill, plan));
    const words = `${fills.length} ${fills.length === 1 ? 'bag' : 'bags'} filled`;
    if (changed.length === 0) return void (await record(drafts, words));
    await saveRecords(
      changed.map(({ bag: { container } }) => {
        const { layers: _, ...rest } = container;
        return {
          table: 'containers' as const,
          before: container,
          after: { ...rest, mixId: plan.mixId, changedAt: clock.now() },
        };
      }),
      drafts,
      words,
    );
    return undefined;
  };
  const practice = FILLING_PRACTICES.find((s) => s.id === plan.practiceId) ?? FILLING_PRACTICES[0];
  const water = fills.map((f) => f.newLitres * MOISTENING_LITRES_PER_LITRE);
  const waterWords = unitFormat.range(Math.min(...water, Infinity), Math.max(...water, 0), 'water');
  return (
    <Box>
      <Panel>
        <BagChooser bags={bags} chosen={chosen} onChange={(ids) => change({ containerIds: [...ids] })} />
        <Box
          sx={{
            display: 'grid',
            gap: 2,
            gridTemplateColumns: { xs: '1fr', md: '1.4fr 1fr 1.4fr' },
            marginBlockStart: 1,
          }}
        >
          <TextField
            select
            label="Mix"
            value={plan.mixId === '' ? 'own' : plan.mixId}
            onChange={(e) => change({ mixId: e.target.value === 'own' ? '' : e.target.value })}
          >
            {[
              <MenuItem key="own" value="own">
                Each bag’s own
              </MenuItem>,
              ...mixChoices(garden.mixes),
            ]}
          </TextField>
          <TextField
            label="Old mix that stays, %"
            value={plan.keptPercent}
            onChange={(e) => {
              const next = readKept(e.target.value, assumed.keptMost);
              const doses = next.problem
                ? plan.doses
                : withRefresh(plan.doses, kept.share, next.share, garden.products, assumed);
              change({ keptPercent: e.target.value, doses });
            }}
            error={kept.problem !== undefined}
            helperText={
              kept.problem ?? 'About half can stay; none after disease. What refreshes it is proposed below.'
            }
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
          <Select
            label="How it is filled"
            value={plan.practiceId}
            onChange={(practiceId) => change({ practiceId })}
            options={FILLING_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
            help={practice?.description}
          />
        </Box>
      </Panel>
      <Panel title="What each bag gets">
        <FillTable fills={tabled} />
        <Box sx={{ maxWidth: 480, marginBlockStart: 1.5 }}>{when.field}</Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockStart: 1.5 }}>
          <OnceButton
            variant="contained"
            disabled={fills.length === 0 || !isRead}
            onPress={() => recordFilled()}
          >
            {fills.length === 1 ? 'It is filled' : `These ${fills.length} are filled`}
          </OnceButton>
          <Button variant="outlined" component={Link} to="/bench/shop">
            What to buy for them
          </Button>
        </Box>
        {already.length > 0 && (
          <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
            {already.length === chosen.length ? 'All of these have' : `${already.length} of these have`} been
            filled this year already ({dayOf(now).slice(0, 4)}); filling them again is put in the diary beside
            it.
          </Typography>
        )}
      </Panel>
      <Panel title="Added to the mix">
        <AmendmentRows plan={plan} fills={fills} scoops={scoops} onChange={change} />
      </Panel>
      {practice && fills.length > 0 && (
        <Panel title={practice.name}>
          <Box component="ol" sx={{ margin: 0, paddingInlineStart: 3, display: 'grid', gap: 0.75 }}>
            {practice.steps(waterWords).map((step) => (
              <li key={step}>{step}</li>
            ))}
          </Box>
          <Typography sx={{ fontWeight: 700, marginBlockStart: 2 }}>Squeeze a handful</Typography>
          <Box component="ul" sx={{ margin: 0, paddingInlineStart: 3 }}>
            {SQUEEZE_TEST.map(({ feels, means }) => (
              <li key={feels}>
                It {feels}: {means.charAt(0).toLowerCase() + means.slice(1)}
              </li>
            ))}
          </Box>
          <CautionOf id="compost" />
        </Panel>
      )}
    </Box>
  );
}

/** The mix and the bags that another place sent along in the address. */
function sentAlong(params: URLSearchParams): Partial<FillPlan> {
  const mixId = params.get('mix');
  const containerIds = params.get('bags')?.split(',');
  return { ...(mixId === null ? {} : { mixId }), ...(containerIds ? { containerIds } : {}) };
}

function isAnotherMix({ bag: { container } }: BagFill, { mixId }: FillPlan): boolean {
  return mixId !== '' && (container.mixId !== mixId || container.layers !== undefined);
}

function filledDraft(fill: BagFill, at: string, plan: FillPlan): Draft {
  const { bag, layers, reuse, newLitres, amendments } = fill;
  const { mixId, layers: layersBefore } = bag.container;
  return {
    kind: 'filled',
    at,
    containerId: bag.container.id,
    layers: newLitres > 0 ? layers.map(({ mixId, share }) => ({ mixId, litres: share * newLitres })) : [],
    keptLitres: reuse.kind === 'refresh' ? reuse.keptLitres : 0,
    ...(isAnotherMix(fill, plan)
      ? { mixBefore: { mixId, ...(layersBefore && { layers: layersBefore }) } }
      : {}),
    practiceId: plan.practiceId,
    amendments: amendments.map(({ product, grams, where, asEntered }) => ({
      productId: product.id,
      grams,
      where,
      asEntered,
    })),
  };
}
