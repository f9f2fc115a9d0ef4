import { Box, Button } from '@mui/material';
import { IconMinus, IconPlus } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import { nextTrussSteps, ripeDays, ripeSpan, trussesOf, type TrussStep } from '@rundel/core/care';
import { harvestHeldUntil } from '@rundel/core/garden-state';
import type { Occupant } from '@rundel/core/plants';
import { entriesAt, type Draft } from '@rundel/core/records';
import { lazy, Suspense, useState } from 'react';
import { plantName } from '../../text/plant-text.ts';
import { shortDay } from '../../text/text.ts';
import { agentName, TRUSS_WORDS } from '../../text/trouble-text.ts';
import { useGarden, type Bag } from '../../store/index.ts';
import { OnceButton } from '../OnceButton.tsx';

const TrussDialog = lazy(() => import('./TrussDialog.tsx'));

/** Crops whose fruit hangs in trusses; the others bear at each fork or leaf. */
export const hasTrusses = ({ crop }: Occupant): boolean => crop.id === 'tomato';

/** A plant's trusses in a row, and what is likely seen next: two taps, the truss and what it has come to. */
export function TrussLog({ bag, occupant }: { readonly bag: Bag; readonly occupant: Occupant }) {
  const { live, clock, record } = useGarden();
  const [count, setCount] = useState(4);
  const [isOther, setOther] = useState(false);
  const here = entriesAt(live, bag.container.id);
  const held = harvestHeldUntil(here, dayOf(clock.now()));
  const trusses = trussesOf(here, occupant.plant.id);
  const today = dayOf(clock.now());
  const { assumed } = bag.properties;
  const name = plantName(occupant, bag.occupants);
  const say = ({ number, stage }: TrussStep) => {
    const draft: Draft<'truss'> = {
      kind: 'truss',
      at: clock.now(),
      containerId: bag.container.id,
      stationId: occupant.stationId,
      plantId: occupant.plant.id,
      number,
      stage,
      ...(stage === 'set' ? { count } : {}),
    };
    return record([draft], `truss ${number} ${TRUSS_WORDS[stage]} at ${bag.container.label}`);
  };
  const hanging = trusses.filter((t) => t.stage !== 'picked');
  const steps = nextTrussSteps(trusses);
  return (
    <Box role="group" aria-label={`Trusses of ${name}`} sx={{ marginBlock: 1 }}>
      {hanging.length > 0 && (
        <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0, marginBlockEnd: 1 }}>
          {hanging.map((truss) => {
            const ripe = ripeSpan(truss, ripeDays(occupant.crop.id, occupant.variety), assumed.flowersToSet);
            return (
              <li key={truss.number}>
                <strong>Truss {truss.number}</strong>: {TRUSS_WORDS[truss.stage]}
                {truss.count === undefined ? '' : `, ${truss.count} fruit`}
                {ripe &&
                  (ripe.from <= today && held
                    ? `; ripe, but no picking before ${shortDay(held.until, today)}: ${agentName(held.spray)}`
                    : ripe.from <= today
                      ? `; ripe from now to ${shortDay(ripe.to, today)}`
                      : `; ripe ${shortDay(ripe.from, today)} to ${shortDay(ripe.to, today)}${ripe.by === 'flowers' ? ', by its flowers' : ''}`)}
              </li>
            );
          })}
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        {steps.map((step) => (
          <OnceButton
            key={`${step.number} ${step.stage}`}
            variant="outlined"
            onPress={() => say(step)}
            sx={{ minHeight: 48 }}
          >
            Truss {step.number}: {TRUSS_WORDS[step.stage]}
            {step.stage === 'set' && ` (${count})`}
          </OnceButton>
        ))}
        <Button size="small" onClick={() => setOther(true)} aria-label={`Another truss of ${name}`}>
          Another
        </Button>
        {steps.some(({ stage }) => stage === 'set') && (
          <Box role="group" aria-label="Fruit on it" sx={{ display: 'flex', alignItems: 'center' }}>
            <Button
              aria-label="One fruit fewer"
              onClick={() => setCount(Math.max(0, count - 1))}
              sx={{ minWidth: 48, minHeight: 48 }}
            >
              <IconMinus aria-hidden size={18} />
            </Button>
            <span aria-live="polite">{count} fruit</span>
            <Button
              aria-label="One fruit more"
              onClick={() => setCount(count + 1)}
              sx={{ minWidth: 48, minHeight: 48 }}
            >
              <IconPlus aria-hidden size={18} />
            </Button>
          </Box>
        )}
      </Box>
      <Suspense>
        {isOther && (
          <TrussDialog
            bag={bag}
            occupant={occupant}
            number={steps.at(-1)?.number ?? 1}
            onClose={() => setOther(false)}
          />
        )}
      </Suspense>
    </Box>
  );
}
