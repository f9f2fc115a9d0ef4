import { Box, Button, Typography } from '@mui/material';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import { plansFor } from '@rundel/core/garden-state';
import { cropOf, habitOfPlanned, type Occupant } from '@rundel/core/plants';
import type { Plan } from '@rundel/core/records';
import { Suspense, useState } from 'react';
import { Link } from 'react-router';
import { ChoiceButton } from '../../ui/ChoiceButton.tsx';
import { Panel } from '../../ui/Page.tsx';
import { PlantingRisks } from '../../ui/care/PlantingRisks.tsx';
import { PlantingAdvice } from '../../ui/PlantingAdvice.tsx';
import { plantName } from '../../text/plant-text.ts';
import { plantedWords } from '../../text/planted-text.ts';
import { shortDay, sentence } from '../../text/text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { CorrectPlanting, LeaveDialog, MovePlantDialog } from './dialogs.ts';
import { PlantStages } from './PlantStages.tsx';

/** Who stands in a bag, plant by plant: what it is, how old, what was seen of it, and how it was planted; and who is to come. */
export function PlantsPanel({ bag, onPlant }: { readonly bag: Bag; onPlant(): void }) {
  const { garden, live } = useGarden();
  const [isEach, setEach] = useState(false);
  const { occupants, container } = bag;
  const free = container.stations.length - occupants.length;
  const groups = isEach ? occupants.map((o): [Occupant] => [o]) : alikeOf(occupants);
  const hasGroups = alikeOf(occupants).length < occupants.length;
  return (
    <Panel title={occupants.length > 1 ? 'Plants' : 'The plant'}>
      {groups.map((group, i) => (
        <PlantGroup
          key={group[0].planted.id}
          bag={bag}
          group={group}
          // plants that went in alike were planted alike: it is said once
          hasAdvice={groups.findIndex(([o]) => isAlike(o, group[0])) === i}
        />
      ))}
      {hasGroups && (
        <Button onClick={() => setEach(!isEach)} sx={{ marginBlockEnd: 1 }}>
          {isEach ? 'Those that are alike together' : 'Each plant by itself'}
        </Button>
      )}
      {free > 0 && (
        <Box>
          <Typography sx={{ marginBlockEnd: 1 }}>
            {occupants.length === 0 ? 'Nothing is planted in it.' : `Room for ${free} more.`}
          </Typography>
          <PlantingRisks bags={[bag]} />
          {plansFor(container, garden, live).map((plan) => (
            <Planned key={plan.id} plan={plan} bag={bag} />
          ))}
          <Button variant={occupants.length === 0 ? 'contained' : 'outlined'} onClick={onPlant}>
            Record planting
          </Button>{' '}
          <Button component={Link} to={`/round/planting?bag=${container.id}`}>
            Plant it step by step
          </Button>
        </Box>
      )}
    </Panel>
  );
}

type Group = readonly [Occupant, ...Occupant[]];

/** Plants of one variety and day without names of their own, of which the same was seen, are spoken of together. */
function alikeOf(occupants: readonly Occupant[]): readonly Group[] {
  const groups = new Map<string, [Occupant, ...Occupant[]]>();
  for (const o of occupants) {
    const key =
      o.plant.name ?? JSON.stringify([o.variety.id, o.plantedOn, o.sownOn, o.stages, o.planted.seedling]);
    const group = groups.get(key);
    if (group) group.push(o);
    else groups.set(key, [o]);
  }
  return [...groups.values()];
}

function isAlike(a: Occupant, b: Occupant): boolean {
  const key = ({ variety, plantedOn, planted }: Occupant) =>
    JSON.stringify([variety.cropId, variety.habitId, plantedOn, planted.seedling, planted.practiceId]);
  return key(a) === key(b);
}

const days = (n: number) => (n === 1 ? '1 day' : `${n} days`);

/** "sown 12 Mar, 70 days; planted 1 May, 20 days ago" */
function ageWords({ sownOn, plantedOn, origin, planted }: Occupant, today: string): string {
  const since = (day: string) => {
    const ago = daysBetween(day, today);
    return ago === 0 ? 'today' : ago === 1 ? 'yesterday' : `${shortDay(day, today)}, ${days(ago)} ago`;
  };
  if (planted.plantingMethodId === 'seed') return `sown here ${since(plantedOn)}`;
  const sown = sownOn ? `sown ${since(sownOn)}; ` : '';
  if (planted.isMoved)
    return `${sown}planted ${since(dayOf(origin.at))}; in this bag since ${shortDay(plantedOn, today)}`;
  return `${sown}planted ${since(plantedOn)}`;
}

const ACTIONS = [
  { id: 'correct', label: 'Change its details' },
  { id: 'move', label: 'Move it to another bag' },
  { id: 'leave', label: 'It died, was given away …' },
] as const;
type ActionId = (typeof ACTIONS)[number]['id'];

function PlantGroup({
  bag,
  group,
  hasAdvice,
}: {
  readonly bag: Bag;
  readonly group: Group;
  readonly hasAdvice: boolean;
}) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const [asked, setAsked] = useState<{ readonly action: ActionId; readonly occupant: Occupant }>();
  const today = dayOf(clock.now());
  const [occupant] = group;
  const { variety, crop, habit, planted } = occupant;
  const isOne = group.length === 1;
  const name = isOne ? plantName(occupant, bag.occupants) : `${variety.name} ×${group.length}`;
  const close = () => setAsked(undefined);
  const kind = [
    name.startsWith(variety.name) || variety.name === crop.name ? '' : variety.name,
    crop.name.toLowerCase(),
    habit.name.toLowerCase(),
    planted.seedling.graftMillimetres || variety.isGrafted ? 'grafted' : '',
  ].filter(Boolean);
  const choices = group.flatMap((o, i) =>
    ACTIONS.map(({ id, label }) => ({
      id: `${i} ${id}`,
      label: isOne ? label : `${sentence(plantName(o, bag.occupants))}: ${label.toLowerCase()}`,
    })),
  );
  const ask = (choice: string) => {
    const [at, action] = choice.split(' ');
    const one = group[Number(at)];
    if (one) setAsked({ action: action as ActionId, occupant: one });
  };
  return (
    <Box sx={{ borderBlockEnd: '1px solid var(--line)', marginBlockEnd: 1.5, paddingBlockEnd: 1.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'start', gap: 1 }}>
        <Typography sx={{ flex: 1, paddingBlockStart: 1 }}>
          <strong>{sentence(name)}</strong>: {kind.join(', ')}; {ageWords(occupant, today)}.
        </Typography>
        <ChoiceButton size="small" choices={choices} onChoose={ask} aria-label={`Change ${name}`}>
          Change
        </ChoiceButton>
      </Box>
      <PlantStages bag={bag} plants={group} />
      {hasAdvice &&
        (planted.plantingMethodId ? (
          <Typography>{plantedWords(planted, unitFormat)}</Typography>
        ) : (
          <PlantingAdvice
            seedling={planted.seedling}
            crop={crop}
            habit={habit}
            properties={bag.properties}
            stations={bag.container.stations.length}
            practiceId={planted.practiceId ?? garden.settings.depthPracticeId}
            isDone={daysBetween(occupant.plantedOn, today) > 1}
          />
        ))}
      {planted.isGuessed && hasAdvice && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Nobody measured it: I take it for a usual one,{' '}
          {unitFormat.show(planted.seedling.stemMillimetres, 'height')} tall.
        </Typography>
      )}
      <Suspense>
        {asked?.action === 'correct' && <CorrectPlanting entry={asked.occupant.planted} onClose={close} />}
        {asked?.action === 'move' && <MovePlantDialog bag={bag} occupant={asked.occupant} onClose={close} />}
        {asked?.action === 'leave' && <LeaveDialog bag={bag} occupant={asked.occupant} onClose={close} />}
      </Suspense>
    </Box>
  );
}

/** What is to go into a bag, as far as the grower has said it, and how it would be planted. */
function Planned({ plan, bag }: { readonly plan: Plan; readonly bag: Bag }) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const crop = cropOf(plan.cropId);
  const habit = habitOfPlanned(garden.varieties, plan);
  const day = shortDay(plan.plantOn, dayOf(clock.now()));
  const practiceId = plan.practiceId ?? garden.settings.depthPracticeId;
  return (
    <Box sx={{ marginBlockEnd: 2 }}>
      <Typography sx={{ marginBlockEnd: 0.5 }}>
        <strong>
          Planned: {plan.plantName ? `${plan.plantName}, ` : ''}
          {plan.varietyName ?? crop.name}
        </strong>
        , {crop.name.toLowerCase()}, {habit.name.toLowerCase()}
        {plan.isSown ? ', sown in place' : ''}
        {plan.seedling ? `, ${unitFormat.show(plan.seedling.stemMillimetres, 'height')} tall` : ''}.{' '}
        {plan.isDayOpen ? `No day yet; from about ${day} on.` : `On ${day}.`}{' '}
        <Link to="/season" style={{ color: 'inherit' }}>
          Its year
        </Link>
      </Typography>
      {plan.seedling && (
        <PlantingAdvice
          crop={crop}
          habit={habit}
          seedling={plan.seedling}
          properties={bag.properties}
          stations={bag.container.stations.length}
          practiceId={practiceId}
        />
      )}
    </Box>
  );
}
