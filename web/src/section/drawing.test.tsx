import { occupantsNow } from '@rundel/core/plants';
import { propertiesOf } from '@rundel/core/garden-state';
import { CONTAINER_KINDS } from '@rundel/core/bags';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { liveEntries, type Container } from '@rundel/core/records';
import { parse, type HTMLElement } from 'node-html-parser';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { unitFormatIn } from '../store/unit-format.ts';
import { BagIcon } from './BagIcon.tsx';
import { BagSection } from './BagSection.tsx';
import { imaginedOccupant } from './imagined.ts';
import { sceneOf, type Scene } from './scene.ts';

const demo = gannetSlip(1);
const live = liveEntries(demo.entries);
const WET = { low: 0.8, likely: 0.9, high: 0.97 };
const DRY = { low: 0.05, likely: 0.12, high: 0.2 };

function sceneOfBag(container: Container, water: typeof WET | undefined): Scene {
  const occupants = occupantsNow(container, live, demo);
  return sceneOf(
    container,
    propertiesOf(container, demo),
    occupants,
    water,
    DEMO_EVENING,
    demo.settings,
    live,
  );
}

function drawn(scene: Scene, system: 'metric' | 'us' = 'metric', width = 420): HTMLElement {
  const svg = renderToStaticMarkup(
    <BagSection scene={scene} unitFormat={unitFormatIn(system)} width={width} height={560} title="A bag" />,
  );
  return parse(svg).querySelector('svg') as HTMLElement;
}

const numberOf = (element: HTMLElement, name: string) => Number(element.getAttribute(name));
/** An attribute of an element or of the group that it stands in. */
const inherited = (element: HTMLElement, name: string): string | undefined =>
  element.getAttribute(name) ?? element.closest(`[${name}]`)?.getAttribute(name);
/** Width of a text by its letters: as the face was measured in drawings, plain and bold. */
const widthOf = (text: HTMLElement) =>
  text.text.length *
  Number(inherited(text, 'font-size')) *
  (inherited(text, 'font-weight') === '700' ? 0.53 : 0.47);

/** Texts with where they lie on the paper; none of them is turned or moved by a group. */
function texts(svg: HTMLElement) {
  return svg
    .querySelectorAll('text')
    .filter((text) => text.text.trim() !== '' && !text.getAttribute('transform'))
    .map((text) => {
      const wide = widthOf(text);
      const anchor = inherited(text, 'text-anchor') ?? 'start';
      const x = numberOf(text, 'x') - (anchor === 'end' ? wide : anchor === 'middle' ? wide / 2 : 0);
      const tall = Number(inherited(text, 'font-size'));
      return { label: text.text, left: x, right: x + wide, bottom: numberOf(text, 'y'), tall };
    });
}

/** Every number in an attribute that places something. */
const PLACED = /^(d|x|y|x1|x2|y1|y2|cx|cy|r|rx|ry|width|height|points|transform)$/;

function expectSound(svg: HTMLElement) {
  const [, , wide, tall] = (svg.getAttribute('viewBox') ?? svg.getAttribute('viewbox') ?? '')
    .split(' ')
    .map(Number);
  expect(wide).toBeGreaterThan(0);
  expect(tall).toBeGreaterThan(0);
  for (const element of svg.querySelectorAll('*'))
    for (const [name, value] of Object.entries(element.attributes))
      if (PLACED.test(name))
        expect(value, `${element.tagName} ${name}`).not.toMatch(/NaN|undefined|Infinity/);
  for (const rect of svg.querySelectorAll('rect')) {
    expect(numberOf(rect, 'width')).toBeGreaterThanOrEqual(0);
    expect(numberOf(rect, 'height')).toBeGreaterThanOrEqual(0);
  }
  for (const text of texts(svg)) {
    expect(text.left, text.label).toBeGreaterThanOrEqual(-1);
    expect(text.right, text.label).toBeLessThanOrEqual((wide ?? 0) + 1);
    expect(text.bottom, text.label).toBeGreaterThanOrEqual(text.tall * 0.7);
    expect(text.bottom, text.label).toBeLessThanOrEqual((tall ?? 0) + 1);
  }
  const all = texts(svg);
  for (const [i, a] of all.entries())
    for (const b of all.slice(i + 1)) {
      const besides = a.right <= b.left + 2 || b.right <= a.left + 2;
      // the tail of a letter may reach a pixel or two into the next line
      const above = a.bottom <= b.bottom - b.tall * 0.72 || b.bottom <= a.bottom - a.tall * 0.72;
      expect(besides || above, `"${a.label}" and "${b.label}"`).toBe(true);
    }
}

const bags = demo.containers.map((c) => [c.label, c] as const);

describe('the section as it is drawn', () => {
  it.each(bags)('bag %s: everything has its place, words stay on the paper and off one another', (_, bag) => {
    for (const water of [WET, DRY, undefined]) expectSound(drawn(sceneOfBag(bag, water)));
    expectSound(drawn(sceneOfBag(bag, WET), 'us'));
    expectSound(drawn(sceneOfBag(bag, WET), 'metric', 350));
  });

  it.each(bags)('bag %s: drier water is drawn lower', (_, bag) => {
    const lineOf = (water: typeof WET) => {
      const line = drawn(sceneOfBag(bag, water)).querySelector('[data-part="waterline"]');
      return line ? numberOf(line, 'y') : undefined;
    };
    const [wet, dry] = [lineOf(WET), lineOf(DRY)];
    if (wet === undefined || dry === undefined) {
      // a bag of which nothing is known or in which nothing stands has no line at all
      expect([wet, dry]).toEqual([undefined, undefined]);
      return;
    }
    expect(dry).toBeGreaterThan(wet);
  });

  it('is a picture with a name', () => {
    const svg = drawn(sceneOfBag(bags[0]?.[1] as Container, WET));
    expect(svg.getAttribute('role')).toBe('img');
    expect(svg.getAttribute('aria-label')).toBe('A bag');
  });
});

describe('every kind of bag with a seedling of each crop', () => {
  const settings = demo.settings;
  it.each(CONTAINER_KINDS.map((kind) => [kind.id, kind] as const))('%s', (_, kind) => {
    const stations = Array.from({ length: kind.stations.usual });
    const size = { by: 'label' as const, litres: kind.id === 'net-cup' ? 3 : 40 };
    const record = { kindId: kind.id, size, mixId: 'bought', mulchMillimetres: 25, stations };
    const properties = propertiesOf(record, demo);
    for (const [cropId, habitId] of [
      ['tomato', 'tall'],
      ['pepper', 'bush'],
      ['cucumber', 'climbing'],
    ] as const) {
      const planting = {
        cropId,
        habitId,
        varietyName: 'Lantern Drop',
        plantedOn: '2026-07-14',
        seedling: { stemMillimetres: 180, ballMillimetres: 70 },
        practiceId: undefined,
      };
      const occupants = stations.map((_station, n) =>
        imaginedOccupant(planting, `stn_preview${n}`, n, DEMO_EVENING),
      );
      const support = { kind: 'stake' as const, heightMillimetres: 1500 };
      expectSound(drawn(sceneOf({ support, stations }, properties, occupants, WET, DEMO_EVENING, settings)));
    }
  });
});

describe('the mark of a bag', () => {
  it.each(bags)('of bag %s is sound, with its water and without', (_, bag) => {
    for (const water of [WET, DRY, undefined]) {
      const svg = renderToStaticMarkup(
        <BagIcon properties={propertiesOf(bag, demo)} water={water} plants={2} />,
      );
      expect(svg).not.toMatch(/NaN|undefined|Infinity/);
    }
  });
});
