import { Button, Typography } from '@mui/material';
import { dayOf, seasonName, seasonYearOf } from '@rundel/core/calendar';
import { Link } from 'react-router';
import { COST_WORDS, howWords, perWeight } from '../../text/cost-text.ts';
import { productName } from '../../text/product-text.ts';
import { Panel } from '../../ui/Page.tsx';
import { ClassRemark, SizeRemark } from '../../ui/SizeRemarks.tsx';
import { HowCalculated, WorkedLines } from '../../ui/HowCalculated.tsx';
import { midSentence, shortDay } from '../../text/text.ts';
import { useGarden, useMoney, useUnitFormat, type Bag } from '../../store/index.ts';
import { useKilograms } from '../../store/pickings.ts';
import { useCosts } from '../../store/supplies.ts';

/** What the bag is made up like: real size, mix and when it was filled, weight, and what it came to this season. */
export function MakePanel({ bag }: { readonly bag: Bag }) {
  const { garden, live, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const { properties, container, occupants } = bag;
  const now = clock.now();
  const { latitudeDegrees } = garden.settings;
  const year = seasonYearOf(dayOf(now), latitudeDegrees);
  const cost = useCosts(year).get(container.id);
  const filled = live.findLast((e) => e.kind === 'filled' && e.containerId === container.id);
  const trouble = live.findLast(
    (e) => e.kind === 'trouble' && e.containerId === container.id && e.livesInMix,
  );
  const picked = useKilograms(year).get(container.id) ?? 0;
  const first = occupants[0];
  const { litres, under } = properties.real;
  return (
    <Panel title="Bag, mix and money">
      <Typography>
        It really holds {unitFormat.range(litres.low, litres.high, 'bag')} to the brim,{' '}
        {unitFormat.show(properties.fill.mixLitres, 'bag')} of settled mix:{' '}
        {properties.mix.name.toLowerCase()}
        {properties.fill.filledShare < 0.95
          ? `, ${Math.round(properties.fill.filledShare * 100)} % of a usual fill`
          : ''}
        .{' '}
        {filled
          ? `Filled on ${shortDay(dayOf(filled.at), dayOf(now))}.`
          : 'When it was filled is not on record.'}{' '}
        {properties.kind.drainage.description}
        {properties.reserveLitres >= 0.05 &&
          ` Below its raised holes it keeps about ${unitFormat.show(properties.reserveLitres, 'water')} in reserve.`}
      </Typography>
      {under && (
        <Typography sx={{ marginBlockStart: 1 }}>
          {under.kind === 'reservoir'
            ? `The water below${under.litres === undefined ? '' : ` (${unitFormat.show(under.litres, 'bag')} when full)`} counts from when the roots are down: until then feel the mix above it, after that check its level.`
            : 'What the channel brings counts from when the roots are down: check its level.'}
        </Typography>
      )}
      {trouble && (
        <Typography sx={{ marginBlockStart: 1 }}>
          Trouble is on record that may live on in the mix: do not use it again.
        </Typography>
      )}
      <ClassRemark size={container.size} properties={properties} />
      {first && (
        <SizeRemark
          properties={properties}
          crop={first.crop}
          habit={first.habit}
          plants={container.stations.length}
          exception={container.sizeException}
        />
      )}
      <Typography sx={{ marginBlockStart: 1 }}>
        Drained it weighs about {unitFormat.show(properties.drainedKilograms, 'weight')} without the plant.{' '}
        <Link to="/bench/load" style={{ color: 'inherit' }}>
          Weight and load
        </Link>
      </Typography>
      {cost && cost.lines.length > 0 && (
        <HowCalculated
          label={`${money.show(cost.total)} in ${seasonName(year, latitudeDegrees)}${picked > 0 ? `, ${money.show(perWeight(cost.total / picked, unitFormat).price)} ${perWeight(1, unitFormat).each} so far` : ''}`}
        >
          <WorkedLines
            lines={cost.lines.map((line) => [
              `${COST_WORDS[line.what].charAt(0).toUpperCase()}${COST_WORDS[line.what].slice(1)}: ${howWords(line, money)}`,
              money.show(line.price),
            ])}
          />
          {cost.unpriced.length > 0 && (
            <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
              Without a price, and so not in it:{' '}
              {cost.unpriced
                .map((id) =>
                  id === 'bag' ? 'the bag itself' : midSentence(productName(id, garden.products)),
                )
                .join(', ')}
              .
            </Typography>
          )}
        </HowCalculated>
      )}
      {!filled && (
        <Button
          component={Link}
          to={`/bench/fill?bags=${container.id}`}
          variant="outlined"
          sx={{ marginBlockStart: 1.5 }}
        >
          Fill it
        </Button>
      )}
    </Panel>
  );
}
