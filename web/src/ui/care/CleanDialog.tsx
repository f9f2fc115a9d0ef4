import { Typography } from '@mui/material';
import { heatLimitCelsius } from '@rundel/core/care';
import { bagsWords } from '../../text/bag-text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { CautionOf } from '../CautionOf.tsx';
import { cleanedForm } from '../entries/care-forms.ts';
import { draftOf } from '../entries/entry-form.ts';
import { FormDialog, FormFields, useFields } from '../form/index.ts';
import { Remark } from '../Remark.tsx';
import { useWhen } from '../When.tsx';

/** A bag or several were cleaned: by halves too, and the rest later. */
export default function CleanDialog({
  bags,
  onClose,
  onDone = onClose,
}: {
  readonly bags: readonly Bag[];
  onClose(): void;
  onDone?(): void;
}) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const [first] = bags;
  const when = useWhen({ kind: 'cleaned', containerId: bags.length === 1 ? first?.container.id : undefined });
  const form = useFields(cleanedForm.fields({ garden, unitFormat }), {
    values: { isWashed: true },
    check: cleanedForm.check?.bind(cleanedForm) ?? (() => []),
  });
  const { celsius } = form.values;
  const limits = bags.map(({ properties }) => heatLimitCelsius(properties.kind.wall, properties.assumed));
  const notFabric = bags.filter((_, i) => limits[i] === undefined).map(({ container }) => container.label);
  const limit = Math.min(...limits.map((l) => l ?? Infinity));
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    const facts = cleanedForm.facts(values, texts);
    await record(
      bags.map(({ container }) =>
        draftOf({ kind: 'cleaned', at, containerId: container.id, what: 'bag' }, facts),
      ),
      `${bags.length === 1 ? `bag ${first?.container.label ?? ''}` : `${bags.length} bags`} cleaned`,
    );
    onDone();
  });
  return (
    <FormDialog
      title={`Clean ${bagsWords(bags)}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <FormFields form={form} names={['isWashed', 'isDried', 'isDisinfected', 'celsius', 'minutes']} />
      {celsius !== undefined && notFabric.length > 0 && (
        <Remark role="alert">
          {notFabric.length === bags.length ? 'This is' : `Of these ${notFabric.join(', ')} are`} not fabric:
          film and plastic melt and make fumes. Wash and dry instead.
        </Remark>
      )}
      {celsius !== undefined && celsius > limit && (
        <Remark role="alert">
          Fabric bears about {unitFormat.show(limit, 'temperature')}; what its maker says goes before that.
        </Remark>
      )}
      {celsius !== undefined && <CautionOf id="heat-treating" />}
      <FormFields form={form} names={['note']} />
      {when.field}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Washed, and dried right through, disinfected or heated long enough: then nothing is said against a new
        plant in it. What is done later can be added then.
      </Typography>
    </FormDialog>
  );
}
