import type { TankCourse } from '@rundel/core/garden-state';
import type { EntryOf, Tank } from '@rundel/core/records';
import { trimmed } from '@rundel/core/units';
import type { UnitFormat } from '../store/index.ts';
import { shortDay } from './text.ts';

/** "24 days", "1 day". */
export const daysWords = (days: number): string => {
  // 19.99 days are twenty to anybody who counts
  const whole = Math.floor(days + 0.05);
  return `${whole} ${whole === 1 ? 'day' : 'days'}`;
};

/** How a tank stands and how long it lasts, in a sentence or two. */
export function tankWords(tank: Tank, course: TankCourse, unitFormat: UnitFormat, today: string): string {
  const show = (litres: number) => unitFormat.show(litres, 'water');
  const { litres, daysToEmpty, seenPerDay, perDay, refillOn, refillLitres } = course;
  if (!litres || !daysToEmpty)
    return `It holds ${show(tank.litres)} when full. Nobody has looked into it yet: put its level down, and how long it lasts is told.`;
  // less than this a day cannot be told from a level that was read twice
  const isStill = perDay < 0.001 * tank.litres;
  const use = isStill
    ? 'nothing to speak of'
    : seenPerDay === undefined
      ? `about ${show(perDay)} a day by what its bags use`
      : `${show(seenPerDay)} a day by its levels`;
  const span = Number.isFinite(daysToEmpty.likely)
    ? `. That is ${daysWords(daysToEmpty.likely)} until it is empty (${Math.floor(daysToEmpty.low)} to ${Number.isFinite(daysToEmpty.high) ? Math.floor(daysToEmpty.high) : 'many'})`
    : '';
  const mark =
    refillOn === undefined
      ? ''
      : refillOn <= today
        ? `; it is down to its mark of ${show(refillLitres)}`
        : `; down to its mark of ${show(refillLitres)} on ${shortDay(refillOn, today)}`;
  return `About ${show(litres.likely >= 20 ? Math.round(litres.likely) : litres.likely)} of ${show(tank.litres)} in it; it loses ${use}${span}${mark}.`;
}

/** What a tank's entry says. */
export function tankEntryWords(
  entry: EntryOf<'tank'>,
  tank: Tank | undefined,
  unitFormat: UnitFormat,
): string {
  const { foundLitres, isAtAGlance, isEmptied, addedLitres, ecMillisiemens, ph } = entry;
  const said = [
    foundLitres === undefined
      ? undefined
      : `${isAtAGlance ? 'about ' : ''}${unitFormat.show(foundLitres, 'water')} found in it`,
    isEmptied ? 'poured out' : undefined,
    addedLitres === undefined ? undefined : `${unitFormat.show(addedLitres, 'water')} went in`,
    ecMillisiemens === undefined ? undefined : `EC ${trimmed(ecMillisiemens, 2)}\u00a0mS/cm`,
    ph === undefined ? undefined : `pH ${trimmed(ph, 1)}`,
  ].filter((part) => part !== undefined);
  return `${tank?.name ?? 'A tank'}: ${said.join(', ')}`;
}
