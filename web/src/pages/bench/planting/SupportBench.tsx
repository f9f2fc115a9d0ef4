import { resolveAssumed } from '@rundel/core/assumed';
import { Box, Typography } from '@mui/material';
import type { Draft } from '@rundel/core/records';
import { SUPPORT_PRACTICES, supportNeeds, type RankedSupport } from '@rundel/core/plants';
import { useMemo, useRef, useState } from 'react';
import { BagChooser } from '../../../ui/BagChooser.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useBags, useGarden, type Bag, told } from '../../../store/index.ts';
import { useSupplies } from '../../../store/supplies.ts';
import { NoBags } from '../NoBags.tsx';
import { heldPlants, rankedFor, stringCanopy, topFor } from '@rundel/core/garden-state';
import { OwnedSupports } from './OwnedSupports.tsx';
import { SupportDays } from './SupportDays.tsx';
import { SupportChoice } from './SupportChoice.tsx';
import { StringLengths } from './StringLengths.tsx';
import { SupportList } from './SupportList.tsx';
import { SupportNeeds } from './SupportNeeds.tsx';

/** A support for a bag, with its top above the ground where the grower says another than is proposed, mm. */
type Choice = readonly [bag: Bag, support: RankedSupport, topMillimetres?: number | undefined];

/** What holds which plant, why, and how much string and how many canes that takes for any set of bags. */
export default function SupportBench() {
  const { garden, live, clock, saveRecords, saveSettings } = useGarden();
  const { bags: all } = useBags();
  const { stocks } = useSupplies();
  const { settings } = garden;
  const bags = useMemo(() => all.filter((b) => b.occupants.length > 0), [all]);
  const [ids, setIds] = useState<readonly string[]>();
  const [openId, setOpen] = useState<string>();
  const choice = useRef<HTMLElement>(null);
  const stock = useMemo(() => new Map(stocks.map((s) => [s.productId, s.left])), [stocks]);
  const chosen = useMemo(() => bags.filter((b) => ids?.includes(b.container.id) ?? true), [bags, ids]);
  const tail = settings.stringTail ?? 'loop';
  const ranked = useMemo(
    () =>
      new Map(
        chosen.map((bag) => [
          bag.container.id,
          bag.occupants[0] ? rankedFor(bag, bag.occupants[0], live, settings, stock, all) : [],
        ]),
      ),
    [all, chosen, live, settings, stock],
  );
  const held = useMemo(
    () =>
      chosen
        .flatMap((bag) => heldPlants(bag, settings))
        // a wire at or below the mix holds nothing: its bag says so in its row
        .filter((p) => p.kindId !== 'string' || p.topMillimetres > p.mixTopMillimetres),
    [chosen, settings],
  );
  const needs = useMemo(
    () => supportNeeds(held, tail, stock, resolveAssumed(settings.assumptions)),
    [held, settings.assumptions, stock, tail],
  );
  if (bags.length === 0)
    return <NoBags label="A support is chosen for a plant: add a bag with something planted in it." />;
  const focused = chosen.find((b) => b.container.id === openId) ?? chosen[0];
  const use = async (pairs: readonly Choice[]) => {
    const now = clock.now();
    const changes = pairs.map(([bag, support, top]) => ({
      table: 'containers' as const,
      before: bag.container,
      after: {
        ...bag.container,
        support: { kind: support.kind.id, heightMillimetres: top ?? topFor(bag, support) },
        changedAt: now,
      },
    }));
    const words =
      pairs.length === 1
        ? `support of bag ${pairs[0]?.[0].container.label ?? ''}`
        : `supports of ${pairs.length} bags`;
    await saveRecords(changes, [], `${words} chosen`);
  };
  const putUp = async () => {
    const at = clock.now();
    const supported = chosen.filter((b) => b.container.support.kind !== 'none');
    const drafts: Draft[] = [
      ...supported.map(({ container }) => ({
        kind: 'supported' as const,
        at,
        containerId: container.id,
        supportId: container.support.kind,
        heightMillimetres: container.support.heightMillimetres,
      })),
      ...needs
        .filter((n) => n.fromShed > 0)
        .map((n) => ({ kind: 'used' as const, at, productId: n.productId, amount: n.fromShed })),
    ];
    await saveRecords([], drafts, `supports put up at ${supported.length} bags`);
  };
  const better = chosen.flatMap((bag) => {
    const best = ranked.get(bag.container.id)?.[0];
    return best && best.fit === 'product' && best.kind.id !== bag.container.support.kind
      ? [[bag, best] as const]
      : [];
  });
  return (
    <Box>
      <Box sx={{ '@media print': { display: 'none' } }}>
        <BagChooser bags={bags} chosen={chosen} onChange={setIds} />
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 2.5,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
          alignItems: 'start',
          '@media print': { display: 'block' },
        }}
      >
        <Panel title="What each has">
          <SupportList
            bags={chosen}
            openId={focused?.container.id}
            onOpen={(id) => {
              setOpen(id);
              // on a phone the choice lies below the list
              choice.current?.scrollIntoView({ block: 'nearest' });
            }}
          />
          {better.length > 0 && (
            <OnceButton
              onPress={() => use(better)}
              variant="outlined"
              sx={{ marginBlockStart: 1.5, '@media print': { display: 'none' } }}
            >
              {better.length === 1 ? 'Use what fits best at one' : `Use what fits best at ${better.length}`}
            </OnceButton>
          )}
        </Panel>
        {focused && (
          <Box ref={choice} sx={{ '@media print': { display: 'none' } }}>
            <SupportChoice
              key={focused.container.id}
              bag={focused}
              ranked={ranked.get(focused.container.id) ?? []}
              onUse={(support, top) => told(use([[focused, support, top]]))}
              alike={
                chosen.filter(
                  (b) => b !== focused && b.occupants[0]?.habit.id === focused.occupants[0]?.habit.id,
                ).length
              }
              onUseAtAll={(support, top) =>
                told(
                  use(
                    chosen
                      .filter((b) => b.occupants[0]?.habit.id === focused.occupants[0]?.habit.id)
                      .flatMap((b): Choice[] => {
                        const same = ranked.get(b.container.id)?.find((r) => r.kind === support.kind);
                        return same && same.fit !== 'cannot' ? [[b, same, top]] : [];
                      }),
                  ),
                )
              }
            />
          </Box>
        )}
      </Box>
      <SupportNeeds
        needs={needs}
        canopySquareMetres={stringCanopy(chosen, settings)}
        onPutUp={() => told(putUp())}
      >
        <StringLengths held={held} tail={tail} />
        <Select
          label="A string holds the foot"
          value={tail}
          options={[
            { id: 'loop', label: 'in a loose loop at the base' },
            { id: 'under-ball', label: 'knotted under the ball' },
          ]}
          onChange={(id) => told(saveSettings({ ...settings, stringTail: id }))}
        />
        <SupportDays />
        <Select
          label="Supports go on"
          value={settings.supportPracticeId ?? SUPPORT_PRACTICES[0].id}
          options={SUPPORT_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
          onChange={(id) => told(saveSettings({ ...settings, supportPracticeId: id }))}
          help={
            SUPPORT_PRACTICES.find((s) => s.id === settings.supportPracticeId)?.description ??
            SUPPORT_PRACTICES[0].description
          }
        />
      </SupportNeeds>
      <OwnedSupports bags={all} />
      {chosen.length === 0 && <Typography>Choose a bag above.</Typography>}
    </Box>
  );
}
