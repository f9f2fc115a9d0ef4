import { dayOf } from '@rundel/core/calendar';
import { spreads, troubleCases } from '@rundel/core/care';
import { causeName } from '../../text/trouble-text.ts';
import { useGarden, type Bag } from '../../store/index.ts';
import { OnceButton } from '../OnceButton.tsx';
import { Remark } from '../Remark.tsx';

/** Of bags that are cut at in one go, those with trouble that a blade or a hand carries on come last. */
export function SickLast({ bags }: { readonly bags: readonly Bag[] }) {
  const { live, clock, record } = useGarden();
  const today = dayOf(clock.now());
  const sick = bags.flatMap(({ container }) => {
    const open = troubleCases(container.id, live).findLast((t) => !t.isOver && spreads(t));
    return open ? [`${container.label} (${causeName(open.what)})`] : [];
  });
  const isWiped = live.some((e) => e.kind === 'cleaned' && e.what === 'tools' && dayOf(e.at) === today);
  if (sick.length === 0 || sick.length === bags.length) return null;
  return (
    <Remark>
      Last of all: {sick.join(', ')}. Wash your hands and wipe the blade after it.{' '}
      {isWiped ? (
        'Wiped today.'
      ) : (
        <OnceButton
          size="small"
          onPress={() =>
            record([{ kind: 'cleaned', at: clock.now(), what: 'tools', isDisinfected: true }], 'blade wiped')
          }
          sx={{ textDecoration: 'underline', paddingBlock: 0, minHeight: 32 }}
        >
          Blade wiped
        </OnceButton>
      )}
    </Remark>
  );
}
