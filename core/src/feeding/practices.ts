import type { Regime, RegimeStep } from '../records/index.ts';

const every = (fromDays: number, toDays: number, shortensWithGrowth = false) => ({
  every: { fromDays, toDays },
  shortensWithGrowth,
});
const once = { shortensWithGrowth: false };
const step = (
  id: string,
  on: RegimeStep['start'],
  productId: string,
  more: Omit<RegimeStep, 'id' | 'start' | 'productId'>,
): RegimeStep => ({ id, start: on, productId, ...more });

const perBag = (amount: number, unit: 'spoon' | 'handful' | 'piece') =>
  ({ amount, unit, per: 'bag' }) as const;

/** The practices of feeding that growers follow, as data. Nobody's is the right one; each can be cloned and changed. */
export const FEEDING_PRACTICES: readonly Regime[] = [
  {
    id: 'potash-from-set',
    name: 'Potash from the first truss',
    description:
      'The mix feeds the plant at first; from the first set truss a liquid high in potash, every 7 to 10 days.',
    suits: 'Tomatoes in bought mix, and who likes one bottle.',
    steps: [step('liquid', { on: 'set' }, 'tomato-liquid', every(7, 10, true))],
  },
  {
    id: 'soluble-throughout',
    name: 'Soluble feed throughout',
    description:
      'Soluble feed from planting, every 10 to 14 days and closer as plants grow, and a dry feed on top at flowering.',
    suits: 'Lean mixes, and large plants in small bags.',
    steps: [
      step('soluble', { on: 'planting' }, 'balanced-soluble', every(10, 14, true)),
      step('dry', { on: 'flowers' }, 'tomato-organic', once),
    ],
  },
  {
    id: 'leaf-then-fruit',
    name: 'Leaf first, then fruit',
    description:
      'A leafy liquid while the plant grows, and from first flowers one with less nitrogen and more potash.',
    suits: 'Long seasons under glass.',
    steps: [
      step('leafy', { on: 'weeks', weeks: 2 }, 'leafy-liquid', {
        ...every(10, 14),
        until: { on: 'flowers' },
      }),
      step('fruit', { on: 'flowers' }, 'tomato-liquid', every(7, 10, true)),
    ],
  },
  {
    id: 'grains-and-fortnight',
    name: 'Grains in the mix, a liquid each fortnight',
    description:
      'Slow-release grains go in at planting; once fruit forms a liquid every fortnight helps along.',
    suits: 'Who is away a lot, and many bags.',
    steps: [
      step('grains', { on: 'planting' }, 'slow-release', once),
      step('liquid', { on: 'set' }, 'tomato-liquid', every(12, 16)),
    ],
  },
  {
    id: 'label-months',
    name: 'As long as the mix’s label says, then a liquid',
    description:
      'Nothing while the grains or feed in the mix give by their label; once its months are over, a liquid high in potash.',
    suits: 'Bought mix with feed for months, and who trusts its label.',
    steps: [step('liquid', { on: 'label-months' }, 'tomato-liquid', every(7, 10, true))],
  },
  {
    id: 'every-watering',
    name: 'A little with every watering',
    description:
      'From the first set truss a quarter of a dose of liquid in every watering; or a whole one, and plain water for a week.',
    suits: 'Who mixes feed in a butt or drum anyway, and small bags that are watered a lot.',
    steps: [
      step('weak', { on: 'set' }, 'tomato-liquid', {
        withWatering: { share: 0.25 },
        shortensWithGrowth: false,
      }),
    ],
  },
  {
    id: 'over-leaves',
    name: 'Over the leaves, beside the can',
    description:
      'A seaweed spray over the leaves each fortnight in the evening, and potash liquid over the mix from the first truss.',
    suits: 'Who likes to spray, under cover or in a dry summer; others keep leaves dry.',
    steps: [
      step('spray', { on: 'weeks', weeks: 3 }, 'seaweed-spray', { ...every(14, 18), into: 'leaves' }),
      step('liquid', { on: 'set' }, 'tomato-liquid', every(9, 12, true)),
    ],
  },
  {
    id: 'dry-monthly',
    name: 'Dry and organic, monthly',
    description:
      'A dry organic feed on top each month, with a handful of worm casts, and nothing out of a bottle.',
    suits: 'Bags of compost, fabric, and who gardens without minerals.',
    steps: [
      step('dry', { on: 'weeks', weeks: 4 }, 'tomato-organic', every(28, 32)),
      step('casts', { on: 'weeks', weeks: 4 }, 'casts', { dose: perBag(1, 'handful'), ...every(28, 32) }),
    ],
  },
  {
    id: 'steeped-weeds',
    name: 'Steeped weeds',
    description:
      'Weeds or comfrey steeped for weeks, strained and thinned to a tenth, from first flowers on.',
    suits: 'Who has weeds, a lidded tub and no near neighbours.',
    steps: [step('tea', { on: 'flowers' }, 'weed-tea', every(10, 14))],
  },
  {
    id: 'nutrient-drum',
    name: 'Nutrient in a drum',
    description:
      'A two-part nutrient in the drum or reservoir from planting, made up new every two to three weeks.',
    suits: 'Reservoir planters and channels with a float.',
    steps: [step('change', { on: 'planting' }, 'nutrient-a', every(14, 21, true))],
  },
  {
    id: 'heavy-manuring',
    name: 'One heavy manuring',
    description: 'Rotted manure worked in before planting, and nothing after.',
    suits: 'Large bags of loam and compost.',
    steps: [step('manure', { on: 'planting' }, 'rotted-manure', once)],
  },
  {
    id: 'compost-then-spikes',
    name: 'Compost, then spikes',
    description: 'Only the compost until flowers show, then spikes or granules every six to eight weeks.',
    suits: 'Who forgets feeds: two dates a season.',
    steps: [step('spikes', { on: 'flowers' }, 'feed-spikes', every(42, 56))],
  },
  {
    id: 'meals-and-fish',
    name: 'Meals in the hole, then fish',
    description: 'Organic meals in the planting hole, and a fish liquid every week or two from then on.',
    suits: 'Organic growers who do not mind a smell.',
    steps: [
      step('hole', { on: 'planting' }, 'bone-meal', { dose: perBag(2, 'spoon'), ...once }),
      step('fish', { on: 'weeks', weeks: 2 }, 'fish-liquid', every(7, 14, true)),
    ],
  },
];

/** The regime with an id: one of the grower's own, or a practice; undefined when it is gone. */
export function findRegime(id: string, own: readonly Regime[] = []): Regime | undefined {
  return own.find((r) => r.id === id) ?? FEEDING_PRACTICES.find((r) => r.id === id);
}
