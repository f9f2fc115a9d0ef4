import type { Container, Garden, Settings } from '@rundel/core/records';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { parse, type HTMLElement } from 'node-html-parser';
import { describe, expect, it } from 'vitest';
import { containersInUse, newGarden } from '../src/store/index.ts';
import { answered, opened, screen } from './screen.tsx';

const BENCH =
  'size mix fill shop shed load film depth supports training regimes batch feeds drip measures costs';
const PATHS = [
  '/round',
  '/bags',
  '/bags/new',
  '/season',
  '/season/away',
  '/season/weather',
  ...BENCH.split(' ').map((topic) => `/bench/${topic}`),
  '/tally',
  '/settings',
  '/files',
  '/help',
  '/help/dangers',
];

const demo = gannetSlip(1);
const inUnits = (garden: Garden, units: Settings['units']): Garden => ({
  ...garden,
  settings: { ...garden.settings, units },
});

async function page(path: string, open: ReturnType<typeof opened>, client = answered(open)) {
  const root = parse(await screen(path, open, client));
  for (const hidden of root.querySelectorAll('style, script, template')) hidden.remove();
  return root;
}

const wordsOf = (root: HTMLElement) => root.structuredText.replaceAll('\u00a0', ' ').replaceAll('\u2060', '');

/** What slips into words when a number is missing. */
const SLIPS = /\b(NaN|undefined|null|Infinity)\b|\[object/;

/** What any screen must be, whatever garden is open. */
function expectWhole(root: HTMLElement) {
  expect(root.querySelectorAll('h1')).toHaveLength(1);
  expect(root.querySelector('h1')?.text.trim()).not.toBe('');
  expect(wordsOf(root)).not.toMatch(SLIPS);
  for (const element of root.querySelectorAll('svg *'))
    for (const [name, value] of Object.entries(element.attributes))
      expect(value, `${element.tagName} ${name}`).not.toMatch(SLIPS);
  const ids = root.querySelectorAll('[id]').map((element) => element.id);
  expect(ids).toEqual([...new Set(ids)]);
  for (const control of root.querySelectorAll('button, a, input:not([hidden]):not([aria-hidden])')) {
    const isNamed =
      control.text.trim() !== '' ||
      control.getAttribute('aria-label') !== undefined ||
      control.getAttribute('title') !== undefined ||
      control.getAttribute('aria-labelledby') !== undefined ||
      root.querySelector(`label[for="${control.id}"]`) !== null ||
      control.closest('label') !== null;
    expect(isNamed, control.outerHTML.slice(0, 200)).toBe(true);
  }
}

describe('every place with the demo open', () => {
  const us = opened(inUnits(demo, 'us'), DEMO_EVENING);
  const usClient = answered(us);
  it.each(PATHS)('%s, in US units', async (path) => {
    const root = await page(path, us, usClient);
    expectWhole(root);
    expect(metricIn(wordsOf(root))).toEqual([]);
  });

  const metric = opened(demo, DEMO_EVENING);
  const metricClient = answered(metric);
  it.each(['/round', '/season/weather', '/bench/size', '/bench/load', '/bench/batch', '/tally'])(
    '%s, in metric units',
    async (path) => {
      const root = await page(path, metric, metricClient);
      expectWhole(root);
      expect(wordsOf(root)).not.toMatch(/\d (°F|oz|lb|pt|cups?)\b/);
    },
  );
});

describe('every bag of the demo, in US units', () => {
  const open = opened(inUnits(demo, 'us'), DEMO_EVENING);
  const client = answered(open);
  const bags = open.garden.containers.filter((c) => !c.binnedAt).map((c) => [c.label, c.id] as const);

  it.each(bags)('bag %s', async (label, id) => {
    const root = await page(`/bags/${id}`, open, client);
    expectWhole(root);
    expect(root.querySelector('h1')?.text).toMatch(new RegExp(`^${label} · `));
    expect(metricIn(wordsOf(root))).toEqual([]);
  });

  it('each page leads to its look, and says what the water is expected to be', async () => {
    const [label, id] = bags[6] as (typeof bags)[number];
    const root = await page(`/bags/${id}`, open, client);
    expect(root.querySelector(`a[href="/round/${id}"]`)?.text).toBe('Check');
    expect(wordsOf(root)).toMatch(/I expect it (dust-dry|dry|barely damp|moist|wet)/);
    const round = await page(`/round/${id}`, open, client);
    expect(wordsOf(round)).toContain(`${label} · `);
    expect(round.querySelectorAll('button[aria-keyshortcuts]').length).toBeGreaterThanOrEqual(5);
  });
});

/** Amounts in metric units that a grower in US units would have to convert; a product is called what it is called. */
function metricIn(words: string): readonly string[] {
  const found = words.match(/.{0,30}\d ?(cm|mm|m|L|kg|°C|m²|litres?)\b.{0,20}/g) ?? [];
  return found.filter((part) => !/Canes, 1\.8 m/.test(part));
}

describe('a garden with nothing in it yet', () => {
  const now = '2026-06-10T09:30:00.000+01:00';
  const open = opened(newGarden(now, { gardenName: 'Back step', latitudeDegrees: 51, units: 'metric' }), now);

  it.each(PATHS)('%s says what it is for, and what to do first', async (path) => {
    const root = await page(path, open);
    expectWhole(root);
    expect(
      wordsOf(root)
        .replace(root.querySelector('h1')?.text ?? '', '')
        .trim().length,
    ).toBeGreaterThan(30);
    if (path !== '/help') expect(root.querySelectorAll('a, button, input').length).toBeGreaterThan(0);
  });
});

describe('a bag that cannot be worked out', () => {
  const [first] = containersInUse(demo);
  const broken: Garden = {
    ...demo,
    containers: demo.containers.map((c) => (c === first ? { ...c, mixId: 'mix_gone0000000' } : c)),
  };
  const open = opened(broken, DEMO_EVENING);
  const client = answered(open);

  it.each(['/round', '/bags', '/bench/load', '/bench/costs', '/tally', `/bags/${first?.id}`])(
    '%s goes on without it',
    async (path) => {
      const root = await page(path, open, client);
      expect(root.querySelectorAll('h1')).toHaveLength(1);
      expect(wordsOf(root)).not.toMatch(SLIPS);
    },
  );

  it('is named on the round, with the way to mend it', async () => {
    const root = await page('/round', open, client);
    expect(wordsOf(root)).toContain(`Bag ${first?.label} cannot be worked out`);
    expect(root.querySelector(`a[href="/bags/${first?.id}/edit"]`)?.text).toBe('Fix this bag');
  });
});

describe('ids that nobody knows', () => {
  const [first, second, third] = containersInUse(demo) as [Container, Container, Container];
  const stamps = { createdAt: DEMO_EVENING, changedAt: DEMO_EVENING };
  const strange: Garden = {
    ...demo,
    settings: {
      ...demo.settings,
      depthPracticeId: 'upside-down',
      timingPracticeId: 'by-the-moon',
      sizingPracticeId: 'by-the-moon',
      supportPracticeId: 'by-the-moon',
      orderPracticeId: 'by-the-moon',
      stripPracticeId: 'by-the-moon',
    },
    containers: demo.containers.map((c) =>
      c === first ? { ...c, kindId: 'hammock' } : c === second ? { ...c, mixId: 'mix_gone0000000' } : c,
    ),
    varieties: demo.varieties.map((v) => ({ ...v, cropId: 'melon', habitId: 'sprawling' })),
    plans: [
      {
        id: 'pln_strange00',
        containerId: third.id,
        cropId: 'melon',
        habitId: 'wild',
        plantOn: '2026-08-01',
        ...stamps,
      },
    ],
    entries: [
      ...demo.entries,
      {
        id: 'ent_strange00',
        kind: 'filled',
        at: DEMO_EVENING,
        recordedAt: DEMO_EVENING,
        containerId: third.id,
        layers: [{ mixId: 'mix_gone0000000', litres: 20 }],
        keptLitres: 0,
        amendments: [{ productId: 'moon-dust', grams: 5, where: 'mixed' }],
      },
    ],
  };
  const open = opened(strange, DEMO_EVENING);
  const client = answered(open);

  it.each([...PATHS, `/bags/${first.id}`, `/bags/${third.id}`, `/bags/${third.id}/edit`])(
    '%s goes on, with what is unknown shown as unknown',
    async (path) => {
      const root = await page(path, open, client);
      expect(root.querySelectorAll('h1')).toHaveLength(1);
      expect(wordsOf(root)).not.toMatch(SLIPS);
    },
  );

  it.each([first, second])('the bag can be mended: its kind or mix is chosen anew', async (container) => {
    const root = await page(`/bags/${container.id}/edit`, open, client);
    expect(wordsOf(root)).toMatch(/that this Rundel does not know/);
  });
});
