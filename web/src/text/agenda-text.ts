import type { AgendaItem } from '@rundel/core/agenda';
import { cropOf } from '@rundel/core/plants';
import type { Garden } from '@rundel/core/records';
import type { Bag, UnitFormat } from '../store/index.ts';
import { titleOf } from './bag-text.ts';
import { jobGroupWords, jobWords } from './job-text.ts';
import { productName } from './product-text.ts';
import { midSentence, shortDay } from './text.ts';

/** Bags by their labels: "7, 12 and A2". */
function labels(bags: readonly Bag[]): string {
  const all = bags.map(({ container }) => container.label);
  return all.length < 2 ? (all[0] ?? '') : `${all.slice(0, -1).join(', ')} and ${all.at(-1) ?? ''}`;
}

/** An item as a calendar has it: a line, and what there is to know beside it. */
export function agendaWords(
  item: AgendaItem,
  allBags: readonly Bag[],
  garden: Pick<Garden, 'products'>,
  unitFormat: UnitFormat,
): { readonly title: string; readonly detail: string } {
  const bags = item.containerIds.flatMap((id) => allBags.filter(({ container }) => container.id === id));
  const where = labels(bags);
  switch (item.kind) {
    case 'round':
      return {
        title: `Round: check ${where}`,
        detail: `${bags.map(titleOf).join('\n')}\n\nBy the weather that is expected today; a look at the bag goes before it.`,
      };
    case 'feed':
      return {
        title: `Feed ${where}: ${midSentence(productName(item.productId, garden.products))}`,
        detail: `Not after ${shortDay(item.latest)}. How much stands on the round.`,
      };
    case 'job': {
      const [first] = bags;
      return {
        title: `${jobGroupWords(item.job)}: ${where}`,
        detail: first ? jobWords(item.job, first, unitFormat).why : '',
      };
    }
    case 'plan': {
      const { plan } = item;
      const what = plan.varietyName ?? cropOf(plan.cropId).name;
      return {
        title: `${plan.isSown ? 'Sow' : 'Plant'} ${what} in ${where}`,
        detail: plan.isDayOpen ? 'Its window opens; no day was said.' : '',
      };
    }
  }
}
