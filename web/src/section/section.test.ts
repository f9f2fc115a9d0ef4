import { plantingOf, propertiesOf, type BagProperties } from '@rundel/core/garden-state';
import { occupantsNow, type Occupant } from '@rundel/core/plants';
import { CONTAINER_KINDS } from '@rundel/core/bags';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { liveEntries, type Container } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { imaginedOccupant } from './imagined.ts';
import { heightNeeded, layout } from './layout.ts';
import { sceneOf, type Scene } from './scene.ts';
import { asideAt, trainingOf } from './training.ts';

const garden = gannetSlip(3);
const live = liveEntries(garden.entries);
const settings = garden.settings;
const MARGIN = { top: 20, bottom: 20, left: 70, right: 120 };
const HALF = { low: 0.3, likely: 0.5, high: 0.7 };

function bagOf(label: string): {
  container: Container;
  properties: BagProperties;
  occupants: readonly Occupant[];
} {
  const container = garden.containers.find((c) => c.label === label) as Container;
  return {
    container,
    properties: propertiesOf(container, garden),
    occupants: occupantsNow(container, live, garden),
  };
}

function sceneFor(label: string, water: typeof HALF | undefined = HALF): Scene {
  const { container, properties, occupants } = bagOf(label);
  return sceneOf(container, properties, occupants, water, DEMO_EVENING, settings);
}

describe('the scene of a bag', () => {
  it.each(garden.containers.map((c) => c.label))('bag %s hangs together', (label) => {
    const scene = sceneFor(label);
    const { properties, occupants } = bagOf(label);
    expect(scene.mixTop).toBe(properties.fill.mixMillimetres);
    expect(scene.mulchTop).toBeGreaterThanOrEqual(scene.mixTop);
    expect(scene.mulchTop).toBeLessThanOrEqual(scene.heightMillimetres);
    expect(scene.plants).toHaveLength(occupants.length);
    expect(scene.top).toBeGreaterThanOrEqual(scene.support.heightMillimetres);
    for (const plant of scene.plants) {
      // the ball stays inside the mix and the plant inside the picture
      expect(plant.buriedMillimetres + plant.ball.height).toBeLessThanOrEqual(scene.mixTop + 1e-6);
      expect(scene.mixTop + plant.heightMillimetres).toBeLessThanOrEqual(scene.top + 1e-6);
      expect(Math.abs(plant.x)).toBeLessThan(scene.halfWidest);
    }
  });

  it('puts the water where its litres would stand: half the litres of a straight bag at half the mix', () => {
    const scene = sceneFor('4');
    expect(scene.water?.likely).toBeCloseTo(scene.mixTop / 2, 3);
    // a bucket is narrower below: half of its litres stand above half its height
    const bucket = sceneFor('9');
    expect(bucket.water?.likely).toBeGreaterThan(bucket.mixTop / 2);
  });

  it('keeps the band in order and inside the mix', () => {
    for (const share of [{ low: 0, likely: 0, high: 0 }, HALF, { low: 0.9, likely: 1, high: 1 }]) {
      const { water, mixTop } = sceneFor('1', share);
      expect(water?.low).toBeLessThanOrEqual(water?.likely ?? -1);
      expect(water?.likely).toBeLessThanOrEqual(water?.high ?? -1);
      expect(water?.high).toBeLessThanOrEqual(mixTop + 1e-6);
    }
  });

  it('has no water when none is given', () => {
    const { container, properties, occupants } = bagOf('5');
    expect(
      sceneOf(container, properties, occupants, undefined, DEMO_EVENING, settings).water,
    ).toBeUndefined();
  });

  it('spreads several plants along a pillow bag, evenly about its middle', () => {
    const xs = sceneFor('1').plants.map((p) => p.x);
    expect(xs).toHaveLength(3);
    expect(xs[1]).toBeCloseTo(0, 9);
    expect((xs[0] ?? 0) + (xs[2] ?? 0)).toBeCloseTo(0, 9);
  });

  it('gives a plant the same look every time, and two plants different ones', () => {
    expect(sceneFor('1')).toEqual(sceneFor('1'));
    const seeds = sceneFor('1').plants.map((p) => p.seed);
    expect(new Set(seeds).size).toBe(3);
  });

  it('lets a plant grow with its days', () => {
    const { container, properties, occupants } = bagOf('7');
    const on = (day: string) =>
      sceneOf(container, properties, occupants, HALF, `${day}T12:00:00.000+01:00`, settings).plants[0]
        ?.heightMillimetres ?? 0;
    expect(on('2026-05-27')).toBeLessThan(on('2026-06-27'));
    expect(on('2026-06-27')).toBeLessThan(on('2026-07-27'));
  });
});

describe('how a plant was put in', () => {
  it('is as the school would have it, unless a depth was recorded', () => {
    const { properties, occupants } = bagOf('7');
    const occupant = occupants[0] as Occupant;
    const byPractice = plantingOf(occupant, properties, settings.depthPracticeId);
    expect(byPractice?.limit).toBe('bag');
    const recorded = { ...occupant, planted: { ...occupant.planted, buriedMillimetres: 40 } };
    const own = plantingOf(recorded, properties, settings.depthPracticeId);
    expect(own?.buriedMillimetres).toBe(40);
    expect(own?.aboveMillimetres).toBe(occupant.planted.seedling.stemMillimetres - 40);
  });

  it('keeps a grafted plant’s union above the mix in the drawing', () => {
    for (const plant of sceneFor('2').plants) {
      expect(plant.graftMillimetres).toBe(60);
      expect(plant.buriedMillimetres).toBeLessThan(60);
    }
  });

  it('can be imagined before it is done', () => {
    const planting = {
      cropId: 'pepper',
      habitId: 'bush',
      varietyName: 'trial',
      plantedOn: undefined,
      seedling: { stemMillimetres: 200, ballMillimetres: 80 },
      practiceId: undefined,
    };
    const occupant = imaginedOccupant(planting, 'stn_abcdef', 0, DEMO_EVENING);
    expect(occupant.plantedOn).toBe('2026-07-16');
    expect(plantingOf(occupant, bagOf('5').properties, 'first-leaves')?.buriedMillimetres).toBe(0);
  });
});

describe('the scene on paper', () => {
  it('is one scale both ways, with heights upwards', () => {
    const drawing = layout(sceneFor('5'), 420, 560, MARGIN);
    expect(drawing.px(100) - drawing.px(0)).toBeCloseTo(100 * drawing.scale, 9);
    expect(drawing.py(0) - drawing.py(100)).toBeCloseTo(100 * drawing.scale, 9);
    expect(drawing.py(0)).toBe(560 - MARGIN.bottom);
  });

  it.each(garden.containers.map((c) => c.label))('bag %s fits inside its margins', (label) => {
    const scene = sceneFor(label);
    for (const [width, height] of [
      [420, 560],
      [350, 410],
    ] as const) {
      const drawing = layout(scene, width, height, MARGIN);
      expect(drawing.py(scene.top)).toBeGreaterThanOrEqual(MARGIN.top - 1e-6);
      expect(drawing.px(-scene.halfWidest)).toBeGreaterThanOrEqual(MARGIN.left - 1e-6);
      expect(drawing.px(scene.halfWidest)).toBeLessThanOrEqual(width - MARGIN.right + 1e-6);
    }
  });

  it('neighbours share a scale when one is given', () => {
    const scales = ['1', '5', '9'].map((label) => layout(sceneFor(label), 200, 300, MARGIN, 0.125).scale);
    expect(scales).toEqual([0.125, 0.125, 0.125]);
  });

  it('asks for no more paper than a flat bag fills', () => {
    const flat = sceneFor('1');
    const low = { ...flat, top: 400, support: { kind: 'none', heightMillimetres: 0 } as const };
    expect(heightNeeded(low, 420, MARGIN)).toBeLessThan(heightNeeded(flat, 420, MARGIN));
    expect(heightNeeded(low, 420, MARGIN)).toBeGreaterThanOrEqual(230);
  });

  it('the walls of film close over the top, those of fabric do not', () => {
    expect(layout(sceneFor('1'), 420, 560, MARGIN).wall).toMatch(/Z$/);
    expect(layout(sceneFor('5'), 420, 560, MARGIN).wall).not.toMatch(/Z$/);
  });
});

describe('a layered fill in section', () => {
  const stations = [1];
  const layered = (kindId: string) => {
    const layers = [
      { mixId: 'loam-compost', share: 0.4 },
      { mixId: 'bought', share: 0.6 },
    ];
    const size = { by: 'label' as const, litres: 40 };
    const properties = propertiesOf(
      { kindId, size, mixId: 'bought', layers, mulchMillimetres: 0, stations },
      garden,
    );
    const support = { kind: 'none' as const, heightMillimetres: 0 };
    return sceneOf({ support, stations }, properties, [], undefined, DEMO_EVENING, settings);
  };

  it('fills the bag without a gap, from the base to the top of the mix', () => {
    const { layers, mixTop } = layered('round-fabric');
    expect(layers[0]?.from).toBeCloseTo(0, 6);
    expect(layers[1]?.from).toBe(layers[0]?.to);
    expect(layers[1]?.to).toBeCloseTo(mixTop, 6);
    // a straight bag: two fifths of the mix stand two fifths high
    expect(layers[0]?.to).toBeCloseTo(mixTop * 0.4, 3);
  });

  it('stands higher where the bag is narrower below', () => {
    const { layers, mixTop } = layered('bucket');
    expect(layers[0]?.to).toBeGreaterThan(mixTop * 0.4 + 1);
  });

  it('has no layers with one mix', () => {
    expect(sceneFor('5').layers).toEqual([]);
  });
});

describe('every kind of container in section', () => {
  const scenes = CONTAINER_KINDS.map((kind) => {
    const stations = Array.from({ length: kind.stations.usual });
    const size = { by: 'label' as const, litres: kind.id === 'net-cup' ? 3 : 40 };
    const record = { kindId: kind.id, size, mixId: 'bought', mulchMillimetres: 25, stations };
    const properties = propertiesOf(record, garden);
    const support = { kind: 'stake' as const, heightMillimetres: 1200 };
    return {
      kind,
      properties,
      scene: sceneOf({ support, stations }, properties, [], HALF, DEMO_EVENING, settings),
    };
  });

  it.each(scenes.map((s) => [s.kind.id, s] as const))(
    '%s stays on its paper, stands on the ground, and its water lies inside its mix',
    (_, { scene, properties }) => {
      const drawing = layout(scene, 420, heightNeeded(scene, 420, MARGIN), MARGIN);
      const ground = drawing.py(-scene.floorMillimetres);
      expect(ground).toBeCloseTo(drawing.height - MARGIN.bottom, 6);
      expect(drawing.py(scene.top)).toBeGreaterThanOrEqual(MARGIN.top - 1e-6);
      expect(drawing.px(scene.halfWidest)).toBeLessThanOrEqual(420 - MARGIN.right + 1e-6);
      expect(scene.mixTop).toBeLessThanOrEqual(scene.heightMillimetres);
      expect(scene.water?.likely).toBeGreaterThan(0);
      expect(scene.water?.high).toBeLessThanOrEqual(scene.mixTop + 1e-6);
      // a support is measured from the ground, whatever the mix stands on
      expect(scene.support.heightMillimetres + scene.floorMillimetres).toBeCloseTo(1200, 9);
      expect(scene.floorMillimetres).toBe(properties.real.under?.heightMillimetres ?? 0);
      expect(drawing.inside + drawing.wall).not.toMatch(/NaN|undefined/);
    },
  );

  it('a ring stands at each station, sunk into its bag and above it', () => {
    const found = scenes.find((s) => s.kind.id === 'ring-pillow') as (typeof scenes)[number];
    const { rings, outline: points } = found.scene;
    expect(rings).toHaveLength(2);
    const bagTop = points.at(-1)?.z ?? 0;
    for (const ring of rings) {
      expect(ring.from).toBeLessThan(bagTop);
      expect(ring.to).toBeGreaterThan(bagTop);
      expect(Math.abs(ring.x) + ring.half).toBeLessThanOrEqual(found.scene.halfWidest);
    }
    expect(rings[0]?.x).toBeCloseTo(-(rings[1]?.x ?? 0), 9);
  });

  it('only closed bags are drawn closed, and raised holes only where they can be', () => {
    const closed = scenes.filter((s) => s.scene.isClosed).map((s) => s.kind.id);
    expect(closed).toEqual(['pillow', 'ring-pillow']);
    const { kind, properties } = scenes.find((s) => s.kind.id === 'round-fabric') as (typeof scenes)[number];
    const container = {
      support: { kind: 'none' as const, heightMillimetres: 0 },
      stations: [1],
      holeMillimetres: 50,
    };
    expect(kind.drainage.canBeRaised).toBe(false);
    expect(sceneOf(container, properties, [], undefined, DEMO_EVENING, settings).holeMillimetres).toBe(0);
    const bucket = scenes.find((s) => s.kind.id === 'bucket') as (typeof scenes)[number];
    expect(sceneOf(container, bucket.properties, [], undefined, DEMO_EVENING, settings).holeMillimetres).toBe(
      50,
    );
  });
});

describe('how plants are trained, in section', () => {
  it.each([
    ['tall', undefined, [0]],
    ['climbing', undefined, [0]],
    ['tall', 2, [-90, 90]],
    ['tall', 3, [-180, 0, 180]],
    ['bush', 1, [0]],
  ] as const)('%s with %s leaders stands where it is led', (id, leaders, tops) => {
    expect(trainingOf({ id }, leaders, 1200).tops).toEqual(tops);
  });

  it('a bush opens by itself, and a seedling of any habit is one stem yet', () => {
    expect(trainingOf({ id: 'bush' }, undefined, 800)).toMatchObject({ form: 'bush', tops: [-160, 0, 160] });
    expect(trainingOf({ id: 'bush' }, undefined, 120).tops).toEqual([0]);
    expect(trainingOf({ id: 'tall' }, 2, 120).tops).toEqual([0]);
  });

  it('leaders part above the fork and are at their own strings well before the top', () => {
    const two = trainingOf({ id: 'tall' }, 2, 1500);
    expect(asideAt(two, 0.1)).toBe(0);
    expect(asideAt(two, 0.6)).toBe(1);
    const bush = trainingOf({ id: 'bush' }, undefined, 800);
    expect(asideAt(bush, 0.6)).toBeGreaterThan(0);
    expect(asideAt(bush, 0.6)).toBeLessThan(1);
    expect(asideAt(bush, 1)).toBe(1);
  });
});
