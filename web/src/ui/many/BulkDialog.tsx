import { containerKind } from '@rundel/core/bags';
import { needsFirmMix, SUPPORTS, supportOf } from '@rundel/core/plants';
import { MIXES } from '@rundel/core/mixes';
import type { Container } from '@rundel/core/records';
import {
  amountField,
  choiceField,
  FormDialog,
  FormField,
  FormFields,
  namedOptions,
  priceField,
  useFields,
} from '../form/index.ts';
import { OnceButton } from '../OnceButton.tsx';
import { placesInUse, useGarden, type Bag } from '../../store/index.ts';
import { useWhen } from '../When.tsx';
import { movedDrafts } from '../moved-drafts.ts';
import { changedTogether, type BulkChange } from './bulk-change.ts';

const AS_IT_IS = 'as-it-is';
const AS_IT_IS_OPTION = { id: AS_IT_IS, label: 'As it is' } as const;

const choiceOf = (label: string, all: readonly { readonly id: string; readonly name: string }[]) =>
  choiceField({ label, options: [AS_IT_IS_OPTION, ...namedOptions(all)] });

const AMOUNTS = {
  height: amountField({ label: 'Its top, from the ground', purpose: 'height', low: 100, high: 5000 }),
  mulch: amountField({
    label: 'Mulch on top',
    help: 'Empty: as it is.',
    purpose: 'depth',
    low: 0,
    high: 150,
    isOptional: true,
  }),
  price: priceField({ label: 'Price of an empty one', help: 'Empty: as it is.' }),
};

/** Several bags changed in one go; a field that is left as it is changes nothing. One undo takes all of it back. */
export function BulkDialog({
  bags,
  onClose,
  onDone,
}: {
  readonly bags: readonly Bag[];
  onClose(): void;
  onDone(): void;
}) {
  const { garden, clock, saveRecords, bin: putInBin } = useGarden();
  const form = useFields(
    {
      placeId: choiceOf('Where they stand', placesInUse(garden)),
      mixId: choiceOf('Mix', [...garden.mixes.filter((mix) => !mix.binnedAt), ...MIXES]),
      support: choiceOf('Support', SUPPORTS),
      ...AMOUNTS,
    },
    {
      isAsked: (name, { support }) => name !== 'height' || (support !== AS_IT_IS && support !== 'none'),
    },
  );
  const when = useWhen({ kind: 'moved' });
  const support = form.texts.support as Container['support']['kind'] | typeof AS_IT_IS;
  const cannotHold = bags.filter((b) => !containerKind(b.container.kindId).holdsCane);
  const isCane = support !== AS_IT_IS && needsFirmMix(supportOf(support));
  const many = `${bags.length} ${bags.length === 1 ? 'bag' : 'bags'}`;
  const submit = form.submit(async ({ placeId, mixId, height, mulch, price }) => {
    const change: BulkChange = {
      ...(placeId === AS_IT_IS ? {} : { placeId }),
      ...(mixId === AS_IT_IS ? {} : { mixId }),
      ...(mulch === undefined ? {} : { mulchMillimetres: mulch }),
      ...(price === undefined ? {} : { price }),
      ...(support === AS_IT_IS
        ? {}
        : { support: { kind: support, heightMillimetres: support === 'none' ? 0 : height } }),
    };
    const changes = changedTogether(
      bags.map((b) => b.container),
      change,
      clock.now(),
    );
    const at = when.read();
    if (at === undefined) return;
    if (changes.length > 0) await saveRecords(changes, movedDrafts(changes, at), `${many} changed`);
    onDone();
  });
  const bin = async () => {
    await putInBin(
      'containers',
      bags.map((b) => b.container),
      many,
    );
    onDone();
  };
  return (
    <FormDialog title={`Change ${many}`} onClose={onClose} onSubmit={submit} submitLabel="Change them">
      <FormField form={form} name="placeId" />
      {form.texts.placeId !== AS_IT_IS && when.field}
      <FormField form={form} name="mixId" />
      <FormField
        form={form}
        name="support"
        help={
          isCane && cannotHold.length > 0
            ? `Left as it is in ${cannotHold.map((b) => b.container.label).join(', ')}: they cannot hold a cane.`
            : undefined
        }
      />
      <FormFields form={form} names={['height', 'mulch', 'price']} />
      <OnceButton onPress={() => bin()} sx={{ alignSelf: 'flex-start' }}>
        Delete {bags.length === 1 ? 'it' : 'them all'}
      </OnceButton>
    </FormDialog>
  );
}
