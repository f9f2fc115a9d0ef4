import { dayOf } from '@rundel/core/calendar';
import { harvestHeldUntil } from '@rundel/core/garden-state';
import { entriesAt } from '@rundel/core/records';
import { shortDay, sentence } from '../../text/text.ts';
import { agentName } from '../../text/trouble-text.ts';
import { useGarden, type Bag } from '../../store/index.ts';
import { Remark } from '../Remark.tsx';

/** What was sprayed lately holds picking back, by its label. */
export function HarvestHold({ bags }: { readonly bags: readonly Bag[] }) {
  const { live, clock } = useGarden();
  const today = dayOf(clock.now());
  return bags.map(({ container }) => {
    const held = harvestHeldUntil(entriesAt(live, container.id), today);
    return (
      held && (
        <Remark key={container.id} role="alert">
          <strong>
            Bag {container.label}: no picking before {shortDay(held.until, today)}.
          </strong>{' '}
          {sentence(agentName(held.spray))} was sprayed on {shortDay(dayOf(held.spray.at), today)}, and its
          label asks for {held.spray.harvestDays} {held.spray.harvestDays === 1 ? 'day' : 'days'}.
        </Remark>
      )
    );
  });
}
