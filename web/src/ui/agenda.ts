import { agendaOf } from '@rundel/core/agenda';
import { useMemo } from 'react';
import { agendaWords } from '../text/agenda-text.ts';
import { useBags, useGarden, useUnitFormat } from '../store/index.ts';

/** What is to come, in words; undefined until the bags have been worked out. */
export function useAgenda() {
  const { garden, clock } = useGarden();
  const { bags, isReady } = useBags();
  const unitFormat = useUnitFormat();
  return useMemo(() => {
    if (!isReady) return undefined;
    const states = bags.flatMap(({ container, water, feeding, jobs }) =>
      water && feeding ? [{ containerId: container.id, water, feeding, jobs }] : [],
    );
    return agendaOf(garden, states, clock.now()).map((item) => ({
      item,
      ...agendaWords(item, bags, garden, unitFormat),
    }));
  }, [bags, clock, garden, isReady, unitFormat]);
}
