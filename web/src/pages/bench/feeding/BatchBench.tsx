import { Alert, Box, Button, TextField, Typography } from '@mui/material';
import { IconPrinter } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import type { Draft, Product } from '@rundel/core/records';
import { feedFor } from '@rundel/core/feeding';
import { findProduct, gramsOf, isFeed, productsIn, scoopsOf, type Scoops } from '@rundel/core/products';
import type { UnitSystem } from '@rundel/core/units';
import { useMemo, useState } from 'react';
import { useAddress } from '../../../ui/address.ts';
import { BagChooser } from '../../../ui/BagChooser.tsx';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { feedDueIds, fedWithWatering } from '@rundel/core/garden-state';
import { readDose, refused, type Read } from '../../../text/amount-text.ts';
import { perWords, parseDose, displayDose } from '../../../text/dose-text.ts';
import { feedAmountWords, UNIT_WORDS } from '../../../text/feed-amount-text.ts';
import { CHECK_WORDS, feedCaution } from '../../../text/feed-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { midSentence, shortDay } from '../../../text/text.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { wateringMeasure, useBags, useGarden, useUnitFormat } from '../../../store/index.ts';
import { bagFeeds, mixedBatch, type BagFeed, type MixedPart } from '@rundel/core/garden-state';
import { BatchCans } from './BatchCans.tsx';
import { BatchSizes, useBatchSizes } from './BatchSizes.tsx';
import { NoBags } from '../NoBags.tsx';
import { TeaPanel } from './TeaPanel.tsx';

const BY_REGIME = 'regime';
/** A hose fills no can; a batch is made up in one of this size then, L. */
const USUAL_CAN_LITRES = 10;

/** What to make up for the bags that are due: can by can along the walk, and what is in it. */
export default function BatchBench() {
  const { garden, clock, record } = useGarden();
  const { bags, isReady } = useBags();
  const [fields, change] = useAddress();
  const planted = useMemo(() => bags.filter((b) => b.occupants.length > 0), [bags]);
  const due = useMemo(
    () => feedDueIds(planted, garden.products, clock.now()),
    [clock, garden.products, planted],
  );
  const asked = fields.get('bags');
  const ids = asked === null ? due : new Set(asked.split(',').filter(Boolean));
  const chosen = planted.filter((b) => ids.has(b.container.id));
  const forAll = fields.get('with') ?? BY_REGIME;
  const [typed, setTyped] = useState<Record<string, string>>({});
  const measure = wateringMeasure(garden);
  const unitFormat = useUnitFormat();
  const sizes = useBatchSizes();
  const { vessel, each: litresEach, isMadeFull } = sizes.values;
  const usual = measure.kind === 'hose' ? USUAL_CAN_LITRES : Math.max(0.2, measure.litres);
  const canLitres = vessel ?? usual;
  const feeds = bagFeeds(chosen, garden.products, forAll === BY_REGIME ? undefined : forAll, litresEach);
  const scoops = scoopsOf(garden);
  const ownDose = Object.fromEntries(
    Object.entries(typed).flatMap(([productId, text]) => {
      const feed = feeds.find((each) => each.product.id === productId);
      const read = feed && readOwnDose(text, feed, unitFormat.system, scoops);
      return read?.ok ? [[productId, read.value] as const] : [];
    }),
  );
  const parts = mixedBatch(feeds, garden.products, canLitres, scoops, ownDose, isMadeFull);
  const without = chosen.filter((b) => !feeds.some((f) => f.bag === b));
  // a brew is started long before anything is planted
  if (planted.length === 0)
    return (
      <>
        <NoBags label="Nothing is planted yet, so there is nothing to mix." />
        <TeaPanel />
      </>
    );
  const giveAll = () => {
    const at = clock.now();
    return record(
      feeds.flatMap((feed) => draftsOf(feed, ownDose[feed.product.id], garden.products, at)),
      `${feeds.length} ${feeds.length === 1 ? 'bag' : 'bags'} fed`,
    );
  };
  return (
    <>
      <Box sx={{ '@media print': { display: 'none' } }}>
        <Box
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            alignItems: 'center',
            columnGap: 2,
            rowGap: 1,
            marginBlockEnd: 1.5,
          }}
        >
          <Typography>
            {!isReady
              ? 'Working out what is due…'
              : due.size === 0
                ? 'No feed is due today; choose bags to mix for them anyway.'
                : `${due.size === 1 ? '1 bag is' : `${due.size} bags are`} due today.`}
          </Typography>
          <BagChooser bags={planted} chosen={chosen} onChange={(next) => change({ bags: next.join(',') })} />
          <Box sx={{ width: 340, maxWidth: '100%', marginInlineStart: { md: 'auto' } }}>
            <Select
              label="With what"
              value={forAll}
              onChange={(id) => change({ with: id })}
              options={[
                { id: BY_REGIME, label: 'What each bag’s regime asks for' },
                ...productsIn(garden.products)
                  .filter(isFeed)
                  .map((g) => ({ id: g.id, label: g.name })),
              ]}
            />
          </Box>
          {without.length > 0 && (
            <Typography sx={{ width: '100%' }}>
              {without.map((b) => b.container.label).join(', ')}: no regime asks for anything there.
            </Typography>
          )}
        </Box>
        <BatchSizes form={sizes} usualLitres={usual} />
      </Box>
      {feeds.length > 0 && (
        <Typography sx={{ display: 'none', '@media print': { display: 'block', marginBlockEnd: 1 } }}>
          {shortDay(dayOf(clock.now()))}, for bags {chosen.map((b) => b.container.label).join(', ')}
        </Typography>
      )}
      {parts.map((mixed) => (
        <Part
          scoops={scoops}
          key={`${mixed.product.id} ${mixed.part.dose.amount}`}
          mixed={mixed}
          bags={chosen}
          typed={typed[mixed.product.id]}
          onType={(text) => setTyped({ ...typed, [mixed.product.id]: text })}
        />
      ))}
      {feeds.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1.5, marginBlockEnd: 2 }}>
          <OnceButton variant="contained" onPress={sizes.submit(giveAll)}>
            All of it was given
          </OnceButton>
          <Button variant="outlined" startIcon={<IconPrinter aria-hidden />} onClick={() => print()}>
            Print for the walk
          </Button>
        </Box>
      )}
      <Box sx={{ '@media print': { display: 'none' } }}>
        <TeaPanel />
      </Box>
      <CautionOf id="feeds" />
    </>
  );
}

/** The diary entries of one bag's share. */
function draftsOf(feed: BagFeed, own: number | undefined, products: readonly Product[], at: string): Draft[] {
  const { bag, product, dose, waterLitres, into, step } = feed;
  const amount = feedFor(
    { ...dose, amount: own ?? dose.amount },
    {
      containerId: bag.container.id,
      waterLitres,
      plants: bag.occupants.length,
      mixLitres: bag.properties.fill.mixLitres,
    },
  );
  const partner = findProduct(product.feed?.partnerId ?? '', products);
  return fedWithWatering({ bag, product, partner, litres: waterLitres, into, step, ...amount }, at);
}

/** One product of the batch. */
/** A dose typed in place of the usual one, as it is stored: in the unit of the usual one, whichever was typed. */
function readOwnDose(
  text: string,
  { dose, product }: Pick<BagFeed, 'dose' | 'product'>,
  system: UnitSystem,
  scoops: Scoops,
): Read<number> {
  const read = readDose(text, dose.unit, system);
  if (!read.ok) return read;
  const [typed, one] = [read.value, { amount: 1, unit: dose.unit }].map((a) => gramsOf(a, product, scoops));
  const amount = read.value.unit === dose.unit ? read.value.amount : typed && one ? typed / one : undefined;
  if (amount === undefined)
    return refused('What a litre of it weighs is not known: give it in the unit shown.');
  const stored = parseDose(amount, dose.per, system);
  return stored <= 5000 ? { ok: true, value: stored } : refused('No label asks for so much.');
}

function Part({
  scoops,
  mixed,
  bags,
  typed,
  onType,
}: {
  readonly scoops: Scoops;
  readonly mixed: MixedPart;
  readonly bags: readonly BagFeed['bag'][];
  readonly typed: string | undefined;
  onType(text: string): void;
}) {
  const unitFormat = useUnitFormat();
  const { part, product, partner, check, mgPerLitre, ec } = mixed;
  const { dose } = part;
  const labelOf = (id: string) => bags.find((b) => b.container.id === id)?.container.label ?? '';
  const own =
    typed === undefined ? undefined : readOwnDose(typed, { dose, product }, unitFormat.system, scoops);
  return (
    <Panel title={product.name}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', marginBlockEnd: 1 }}>
        <Typography sx={{ fontSize: '1.1rem', flex: '1 1 260px' }}>
          <strong>{feedAmountWords({ amount: part.amount, unit: dose.unit })}</strong>
          {partner ? ` of each part` : ''} in all
          {part.kind === 'in-water'
            ? `, in ${unitFormat.show(part.litres + part.leftoverLitres, 'water')} of water${part.leftoverLitres >= 0.05 ? `; ${unitFormat.show(part.leftoverLitres, 'water')} is left over` : ''}.`
            : ', on top and watered in.'}
        </Typography>
        <TextField
          size="small"
          label={`${UNIT_WORDS[dose.unit][1]} ${perWords(unitFormat.system)[dose.per]}`}
          value={typed ?? String(displayDose(dose, unitFormat.system))}
          onChange={(e) => onType(e.target.value)}
          error={own?.ok === false}
          helperText={own?.ok === false ? own.problem : undefined}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          sx={{ width: 230 }}
        />
      </Box>
      {check && check.kind !== 'as-label' && (
        <Alert severity={check.kind === 'weak' ? 'info' : 'warning'} sx={{ marginBlockEnd: 1.5 }}>
          {CHECK_WORDS[check.kind](check.times)}
        </Alert>
      )}
      {part.kind === 'in-water' ? (
        <BatchCans cans={part.cans} unit={dose.unit} labelOf={labelOf} hasTwoParts={partner !== undefined} />
      ) : (
        <Typography>
          {part.bags
            .map(
              ({ containerId, amount }) =>
                `${labelOf(containerId)}: ${feedAmountWords({ amount, unit: dose.unit })}`,
            )
            .join(' · ')}
        </Typography>
      )}
      {partner && (
        <Typography sx={{ marginBlockStart: 1 }}>
          Water first, then {midSentence(product.name)}, stir, then {midSentence(partner.name)}.
        </Typography>
      )}
      {part.kind === 'in-water' && (
        <Typography sx={{ marginBlockStart: 1, color: 'text.secondary' }}>
          {mgPerLitre
            ? `Each litre brings ${Math.round(mgPerLitre.n)} mg N, ${Math.round(mgPerLitre.p)} mg P, ${Math.round(mgPerLitre.k)} mg K${mgPerLitre.ca >= 1 ? `, ${Math.round(mgPerLitre.ca)} mg Ca` : ''}${mgPerLitre.mg >= 1 ? `, ${Math.round(mgPerLitre.mg)} mg Mg` : ''}. `
            : product.feed?.form === 'tea'
              ? 'What is in a tea is not known. '
              : 'Without a label and a density I cannot say what a litre brings. '}
          {ec
            ? `It adds about ${ec.low.toFixed(1)} to ${ec.high.toFixed(1)} mS/cm to the EC of your water, by whether its nitrogen is nitrate or ammonium.`
            : ''}
        </Typography>
      )}
      <Typography variant="body2" sx={{ marginBlockStart: 1 }}>
        {feedCaution(product)}
      </Typography>
    </Panel>
  );
}
