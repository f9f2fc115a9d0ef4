import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { trainingForm, formOfPlant, troubleCases } from '@rundel/core/care';
import { Link } from 'react-router';
import { plantName } from '../../text/plant-text.ts';
import { shortDay } from '../../text/text.ts';
import { causeName, OUTCOME_WORDS } from '../../text/trouble-text.ts';
import { Panel } from '../../ui/Page.tsx';
import { Remark } from '../../ui/Remark.tsx';
import { HarvestHold } from '../../ui/care/HarvestHold.tsx';
import { hasTrusses, TrussLog } from '../../ui/care/TrussLog.tsx';
import { outlookWords, useOutlooks } from '../../ui/care/outlooks.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** What is amiss and what may come: open troubles, what holds picking back, what the weather does to flowers and fruit. */
export function TroublePanel({ bag, onSpray }: { readonly bag: Bag; onSpray(): void }) {
  const { live, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const { container } = bag;
  const since = bag.occupants.reduce((day, o) => (o.plantedOn < day ? o.plantedOn : day), today);
  const cases = troubleCases(container.id, live).filter((t) => dayOf(t.entry.at) >= since);
  const outlooks = useOutlooks(bag);
  return (
    <Panel title="Trouble">
      {cases.length === 0 && (
        <Typography sx={{ marginBlockEnd: 1 }}>
          Nothing was seen that is amiss with what stands here.
        </Typography>
      )}
      {cases.length > 0 && (
        <Box component="ul" sx={{ margin: 0, marginBlockEnd: 1.5, paddingInlineStart: 2.5 }}>
          {cases.map((t) => {
            const last = t.followUps.at(-1);
            return (
              <li key={t.entry.id}>
                <strong>{causeName(t.what)}</strong>, seen {shortDay(dayOf(t.entry.at), today)}
                {last ? `; ${OUTCOME_WORDS[last.outcome]} on ${shortDay(dayOf(last.at), today)}` : ''}.{' '}
                {!t.isOver && t.entry.caseId && (
                  <Link
                    to={`/bags/${container.id}/trouble?case=${t.entry.caseId}`}
                    style={{ color: 'inherit' }}
                  >
                    Look again
                  </Link>
                )}
              </li>
            );
          })}
        </Box>
      )}
      <HarvestHold bags={[bag]} />
      {outlooks.map((outlook) => (
        <Remark key={outlook.kind}>{outlookWords(outlook, unitFormat, today)}</Remark>
      ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button component={Link} to={`/bags/${container.id}/trouble`} variant="outlined">
          Look into trouble
        </Button>
        <Button variant="outlined" onClick={onSpray}>
          Spray or bait
        </Button>
      </Box>
    </Panel>
  );
}

/** How its plants are trained, and their trusses. */
export function TrussPanel({ bag }: { readonly bag: Bag }) {
  const plants = bag.occupants.filter(hasTrusses);
  if (plants.length === 0) return null;
  const forms = [
    ...new Set(plants.map((o) => trainingForm(formOfPlant(o, bag.container.support.kind)).name)),
  ];
  return (
    <Panel title="Trusses">
      <Typography sx={{ color: 'text.secondary' }}>
        Trained as: {forms.join(', ').toLowerCase()}. Counted from the lowest.{' '}
        <Link to="/bench/training" style={{ color: 'inherit' }}>
          What that asks for
        </Link>
      </Typography>
      {plants.map((occupant) => (
        <Box key={occupant.plant.id}>
          {plants.length > 1 && <strong>{plantName(occupant, bag.occupants)}</strong>}
          <TrussLog bag={bag} occupant={occupant} />
        </Box>
      ))}
    </Panel>
  );
}
