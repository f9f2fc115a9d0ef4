import { Box, Button, ButtonBase, Typography, useMediaQuery } from '@mui/material';
import { regimeNow } from '@rundel/core/garden-state';
import { entriesAt, type Regime } from '@rundel/core/records';
import { FEEDING_PRACTICES } from '@rundel/core/feeding';
import { findProduct } from '@rundel/core/products';
import { useRef, useState } from 'react';
import { useAddress } from '../../../ui/address.ts';
import { BagChooser } from '../../../ui/BagChooser.tsx';
import { titleOf } from '../../../text/bag-text.ts';
import { stepSentence } from '../../../text/feed-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { midSentence } from '../../../text/text.ts';
import { Select } from '../../../ui/Select.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useBags, useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';
import { NoBags } from '../NoBags.tsx';
import { RegimeDates } from './RegimeDates.tsx';
import { RegimeEditor } from './RegimeEditor.tsx';

/** Ways of feeding: the practices and the grower's own, what each would mean for a bag, and which bags follow it. */
export default function RegimesBench() {
  const { garden, live, clock, record, bin } = useGarden();
  const unitFormat = useUnitFormat();
  const { bags } = useBags();
  const [fields, change] = useAddress();
  const planted = bags.filter((b) => b.occupants.length > 0);
  // by the diary and not by what the workers answer: who follows what is known at once, and nothing moves later
  const regimeOf = (bag: Bag) => regimeNow(entriesAt(live, bag.container.id), garden).regime;
  const asked = new Set((fields.get('bags') ?? '').split(',').filter(Boolean));
  const own = garden.regimes.filter((r) => !r.binnedAt);
  const all: readonly Regime[] = [...own, ...FEEDING_PRACTICES];
  const firstAsked = planted.find((b) => asked.has(b.container.id));
  const inUse = firstAsked && regimeOf(firstAsked)?.id;
  const chosen =
    all.find((r) => r.id === (fields.get('regime') ?? inUse)) ?? (FEEDING_PRACTICES[0] as Regime);
  const ownChosen = own.find((r) => r.id === chosen.id);
  const isPhone = useMediaQuery('(max-width: 899px)');
  const details = useRef<HTMLElement>(null);
  const [isEditing, setEditing] = useState(false);
  const [tried, setTried] = useState<Regime>();
  const [previewId, setPreviewId] = useState<string>();
  const preview =
    planted.find((b) => b.container.id === previewId) ??
    firstAsked ??
    planted.find((b) => regimeOf(b)?.id === chosen.id) ??
    planted[0];
  const choose = (id: string) => {
    setEditing(false);
    setTried(undefined);
    change({ regime: id });
    // on a phone what was chosen stands below the list
    if (isPhone) requestAnimationFrame(() => details.current?.scrollIntoView());
  };
  const chosenBags = planted.filter((b) => asked.has(b.container.id));
  const assign = async (regimeId: string | undefined, words: string) => {
    const at = clock.now();
    await record(
      chosenBags.map(({ container }) => ({
        kind: 'regime' as const,
        at,
        containerId: container.id,
        ...(regimeId ? { regimeId } : {}),
      })),
      words,
    );
  };
  if (planted.length === 0) return <NoBags label="Nothing is planted yet, so nothing has to be fed." />;
  const shownRegime = (isEditing && tried) || chosen;
  const feeding = preview && preview.feeding;
  const howMany = chosenBags.length === 1 ? '1 bag' : `${chosenBags.length} bags`;
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 340px) minmax(0, 1fr)' },
        alignItems: 'start',
      }}
    >
      <Box component="nav" aria-label="Ways of feeding" sx={{ display: 'grid', gap: 0.5 }}>
        {all.map((regime) => {
          const followers = planted.filter((b) => regimeOf(b)?.id === regime.id);
          return (
            <ButtonBase
              key={regime.id}
              onClick={() => choose(regime.id)}
              aria-pressed={regime.id === chosen.id}
              sx={{
                display: 'block',
                textAlign: 'start',
                width: '100%',
                padding: 1.25,
                borderRadius: '10px',
                border: '2.5px solid',
                borderColor: regime.id === chosen.id ? 'var(--action)' : 'transparent',
                backgroundColor: regime.id === chosen.id ? 'var(--surface)' : 'transparent',
              }}
            >
              <strong>{regime.name}</strong>
              {own.some((o) => o.id === regime.id) && ' (my own)'}
              <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
                {followers.length > 0
                  ? `${followers.length === 1 ? 'Bag' : 'Bags'} ${followers.map((b) => b.container.label).join(', ')}`
                  : regime.suits
                    ? `For ${midSentence(regime.suits)}`
                    : 'No bag follows it yet'}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
      <Box ref={details} sx={{ scrollMarginBlockStart: 56 }}>
        {isEditing ? (
          <RegimeEditor
            key={chosen.id}
            from={chosen}
            own={ownChosen}
            onTry={setTried}
            onKept={choose}
            onCancel={() => {
              setEditing(false);
              setTried(undefined);
            }}
          />
        ) : (
          <Panel title={chosen.name}>
            <Typography sx={{ fontSize: '1.1rem' }}>{chosen.description}</Typography>
            {chosen.suits && (
              <Typography sx={{ color: 'text.secondary', marginBlockEnd: 1 }}>
                Suits: {midSentence(chosen.suits)}
              </Typography>
            )}
            <Box component="ol" sx={{ paddingInlineStart: 2.5, marginBlock: 1 }}>
              {chosen.steps.map((step) => (
                <li key={step.id}>
                  {stepSentence(
                    step,
                    findProduct(step.productId, garden.products),
                    garden.products,
                    unitFormat.system,
                  )}
                </li>
              ))}
            </Box>
            <Button variant="outlined" onClick={() => setEditing(true)}>
              {ownChosen ? 'Change it' : 'Make my own of it'}
            </Button>{' '}
            {ownChosen && (
              <OnceButton onPress={() => bin('regimes', [ownChosen], ownChosen.name)}>Delete</OnceButton>
            )}
          </Panel>
        )}
        <Panel title="What it would mean">
          <Box sx={{ maxWidth: 360, marginBlockEnd: 1.5 }}>
            <Select
              label="For which bag"
              value={preview?.container.id ?? ''}
              onChange={setPreviewId}
              options={planted.map((b) => ({ id: b.container.id, label: titleOf(b) }))}
            />
          </Box>
          {preview && feeding ? (
            <RegimeDates regime={shownRegime} bag={preview} feeding={feeding} />
          ) : (
            <Typography role="status">Working it out…</Typography>
          )}
        </Panel>
        {!isEditing && (
          <Panel title="Which bags follow it">
            <BagChooser
              bags={planted}
              chosen={chosenBags}
              onChange={(ids) => change({ bags: ids.join(',') })}
              label="Bags to feed by it"
            />
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockStart: 1 }}>
              <OnceButton
                variant="contained"
                disabled={chosenBags.length === 0}
                onPress={() => assign(chosen.id, `${howMany} fed by ${chosen.name}`)}
              >
                Feed {chosenBags.length > 0 ? howMany : 'them'} by it
              </OnceButton>
              <OnceButton
                disabled={chosenBags.length === 0}
                onPress={() => assign(undefined, `${howMany} fed by no regime`)}
              >
                By none
              </OnceButton>
            </Box>
            <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
              What was given before stands in the diary and counts: a change in mid-season starts from the
              last feed.
            </Typography>
          </Panel>
        )}
      </Box>
    </Box>
  );
}
