import { Box, Button, Typography } from '@mui/material';
import type { RankedSupport } from '@rundel/core/plants';
import { useMemo, useState } from 'react';
import { titleOf } from '../../../text/bag-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { amountField, FormField, useFields } from '../../../ui/form/index.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { reasonWords } from '../../../text/support-text.ts';
import { BagSection, sceneOf } from '../../../section/index.ts';
import { useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';
import { topFor } from '@rundel/core/garden-state';

/** The supports for one bag's plants, the fittest first, each with its reasons and drawn to scale when it is tried. */
export function SupportChoice({
  bag,
  ranked,
  onUse,
  alike,
  onUseAtAll,
}: {
  readonly bag: Bag;
  readonly ranked: readonly RankedSupport[];
  /** with its top above the ground, where it is another than proposed, mm */
  onUse(support: RankedSupport, topMillimetres?: number): void;
  /** other chosen bags whose plants grow alike */
  readonly alike: number;
  onUseAtAll(support: RankedSupport, topMillimetres?: number): void;
}) {
  const { clock, garden, live } = useGarden();
  const unitFormat = useUnitFormat();
  const [triedId, setTried] = useState(bag.container.support.kind);
  const tried = ranked.find((r) => r.kind.id === triedId);
  const scene = useMemo(
    () =>
      sceneOf(
        {
          ...bag.container,
          support: { kind: triedId, heightMillimetres: tried ? topFor(bag, tried) : 0 },
        },
        bag.properties,
        bag.occupants,
        undefined,
        clock.now(),
        garden.settings,
        live,
      ),
    [bag, clock, garden.settings, live, tried, triedId],
  );
  const open = ranked.filter((r) => r.fit !== 'cannot');
  const closed = ranked.filter((r) => r.fit === 'cannot');
  const reasons = (r: RankedSupport) => r.reasons.map((reason) => reasonWords(reason, unitFormat)).join('; ');
  return (
    <Panel title={titleOf(bag)}>
      <Box sx={{ height: 380 }}>
        <BagSection
          scene={scene}
          unitFormat={unitFormat}
          width={480}
          height={380}
          title={`${titleOf(bag)} with ${tried?.kind.name.toLowerCase() ?? 'its support'}, in section`}
        />
      </Box>
      <Box component="ol" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
        {open.map((r, i) => {
          const isTried = r.kind.id === triedId;
          const isUsed = r.kind.id === bag.container.support.kind;
          return (
            <Box
              component="li"
              key={r.kind.id}
              sx={{
                borderBlockStart: '1px solid var(--line)',
                paddingBlock: 0.5,
                backgroundColor: isTried ? 'var(--action-wash)' : 'transparent',
              }}
            >
              <Button
                aria-pressed={isTried}
                onClick={() => setTried(r.kind.id)}
                sx={{
                  display: 'block',
                  width: '100%',
                  textAlign: 'start',
                  color: 'text.primary',
                  fontWeight: 'fontWeightRegular',
                }}
              >
                <strong>
                  {i === 0 ? 'Fits best: ' : ''}
                  {r.kind.name}
                  {isUsed ? ' (in use)' : ''}
                </strong>
                <Box component="span" sx={{ display: 'block', fontSize: '0.92rem', color: 'text.secondary' }}>
                  {reasons(r)}.
                </Box>
              </Button>
              {isTried && (
                <Box sx={{ paddingInline: 1, paddingBlockEnd: 1 }}>
                  <Typography variant="body2">
                    {r.kind.description} {r.kind.practice ?? ''}
                  </Typography>
                  <UseIt
                    key={r.kind.id}
                    proposed={topFor(bag, r)}
                    label={bag.container.label}
                    isUsed={isUsed}
                    alike={alike}
                    onUse={(top) => onUse(r, top)}
                    onUseAtAll={(top) => onUseAtAll(r, top)}
                  />
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
      {closed.length > 0 && (
        <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
          Not here: {closed.map((r) => `${r.kind.name.toLowerCase()} (${reasons(r)})`).join('; ')}.
        </Typography>
      )}
    </Panel>
  );
}

const TOP = {
  top: amountField({
    label: 'Its top, from the ground',
    help: 'As proposed, or as high as yours is.',
    purpose: 'height',
    low: 100,
    high: 5000,
  }),
};

/** Takes a support for a bag, as high as proposed or as the grower's own is. */
function UseIt({
  proposed,
  label,
  isUsed,
  alike,
  onUse,
  onUseAtAll,
}: {
  readonly proposed: number;
  readonly label: string;
  readonly isUsed: boolean;
  readonly alike: number;
  onUse(topMillimetres: number | undefined): void;
  onUseAtAll(topMillimetres: number | undefined): void;
}) {
  const form = useFields(TOP, { values: { top: proposed } });
  if (proposed === 0)
    return isUsed ? null : (
      <Button variant="contained" onClick={() => onUse(undefined)} sx={{ marginBlockStart: 1 }}>
        Use it for bag {label}
      </Button>
    );
  // a height that nobody touched stays that of each bag
  const topOf = (top: number) => (form.isChanged ? top : undefined);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'start', marginBlockStart: 1.5 }}>
      <Box sx={{ flex: '1 1 180px' }}>
        <FormField form={form} name="top" />
      </Box>
      {(!isUsed || form.isChanged) && (
        <OnceButton variant="contained" onPress={() => form.submit(({ top }) => onUse(topOf(top)))()}>
          {isUsed ? 'Change its height' : `Use it for bag ${label}`}
        </OnceButton>
      )}
      {alike > 0 && (
        <OnceButton variant="outlined" onPress={() => form.submit(({ top }) => onUseAtAll(topOf(top)))()}>
          And for {alike} like it
        </OnceButton>
      )}
    </Box>
  );
}
