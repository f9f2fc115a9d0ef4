import { bagNames, readCommand, type CommandContext, type NamedBag } from '../src/commands/index.ts';
import type { Draft } from '../src/records/index.ts';

export const NOW = '2026-07-16T18:30:00.000+01:00';
export const bag = (label: string, placeName: string, ...names: string[]) => ({
  containerId: `con_${label.toLowerCase().replace(/\W/g, '').padEnd(6, 'x')}`,
  label,
  placeName,
  names,
});
export const BAGS = [
  bag('3', 'Terrace', 'Bosun Short'),
  bag('4', 'Terrace', 'Ada'),
  bag('5', 'Terrace'),
  bag('7', 'Slipway', 'Red Keel'),
  bag('12', 'Slipway'),
  bag('A2', 'Glass house', 'Longfinger'),
];
const context: CommandContext = {
  bags: bagNames(BAGS),
  places: [
    { id: 'plc_terrac', name: 'Terrace' },
    { id: 'plc_slipwa', name: 'Slipway' },
    { id: 'plc_glass1', name: 'Glass house' },
  ],
  measures: [
    { id: 'mea_can001', kind: 'can', name: 'green can', litres: 9 },
    { id: 'mea_hose01', kind: 'hose', name: 'yard hose', litres: 0.2 },
  ],
  feeds: [
    { id: 'tomato-liquid', name: 'Tomato liquid 4-3-8', isInWater: true },
    { id: 'tomato-organic', name: 'Organic tomato feed 5-4-6', isInWater: false },
    { id: 'nettle-tea', name: 'Nettle tea', isInWater: true },
    { id: 'bone-meal', name: 'Bone meal', isInWater: false },
  ],
  system: 'metric',
  now: NOW,
};
/** What is otherwise than in the usual garden. */
type More = Partial<Omit<CommandContext, 'bags'>> & { readonly bags?: readonly NamedBag[] };

export const read = (line: string, more: More = {}) => {
  const { bags, ...rest } = more;
  return readCommand(line, { ...context, ...rest, ...(bags ? { bags: bagNames(bags) } : {}) });
};

export function done(line: string, more: More = {}): readonly Draft[] {
  const reading = read(line, more);
  if (reading.kind !== 'command') throw new Error(`${line}: ${JSON.stringify(reading)}`);
  return reading.commands.flatMap((command) => command.drafts);
}
/** In short: kind, bag and what is said. */
export const short = (line: string, more: More = {}) =>
  done(line, more).map((d) => {
    const at = 'containerId' in d ? BAGS.find((b) => b.containerId === d.containerId)?.label : undefined;
    const rounded = (x: number | undefined) => (x === undefined ? undefined : Math.round(x * 1000) / 1000);
    if (d.kind === 'picking') return ['picking', at, rounded(d.kilograms), d.count];
    if (d.kind === 'watering') return ['watering', at, rounded(d.litres)];
    return d.kind === 'check' ? ['check', at, d.check] : [d.kind, at];
  });
export const finger = (grade: number) => ({ method: 'finger', grade });
