import type { EntryOf } from '@rundel/core/records';
import { plantingMethodOf } from '@rundel/core/planting';
import type { UnitFormat } from '../store/index.ts';

/** How a plant was put in, as recorded: "Laid in a trench; 22 cm of its stem is under, 18 cm stood above." */
export function plantedWords(planted: EntryOf<'planted'>, unitFormat: UnitFormat): string {
  const { plantingMethodId = 'upright', buriedMillimetres = 0, levelMillimetres, seedling } = planted;
  const { name } = plantingMethodOf(plantingMethodId);
  if (plantingMethodId === 'seed') return `${name}.`;
  const above = unitFormat.show(Math.max(0, seedling.stemMillimetres - buriedMillimetres), 'height');
  const under =
    buriedMillimetres < 5
      ? `level with its old surface, ${above} tall`
      : `${unitFormat.show(buriedMillimetres, 'depth')} of its stem went under, ${above} stood above`;
  const low =
    levelMillimetres === undefined
      ? ''
      : ` The bag was filled to ${unitFormat.show(levelMillimetres, 'depth')} then.`;
  return `${name}: ${under}.${low}`;
}
