import { Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import type { SaidSpray } from '@rundel/core/commands';
import { sprayTime, type SprayTime } from '@rundel/core/care';
import { knownWeather } from '@rundel/core/garden-state';
import type { SprayAgent } from '@rundel/core/records';
import { strengthWords } from '../../text/trouble-text.ts';
import { bagsWords } from '../../text/bag-text.ts';
import { clockOf } from '../../text/text.ts';
import { clockAheadHours } from '../../store/clock-ahead.ts';
import { newId, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { CautionOf } from '../CautionOf.tsx';
import { sprayedForm, strengthOf } from '../entries/care-forms.ts';
import { plantsOf, usePlantOf } from '../entries/Home.tsx';
import { draftOf } from '../entries/entry-form.ts';
import { FormDialog, FormFields, useFields } from '../form/index.ts';
import { Remark } from '../Remark.tsx';
import { useWhen } from '../When.tsx';

/** What burns a leaf in the sun. */
const BURNS: readonly SprayAgent[] = ['soap', 'oil', 'sulphur', 'other'];

/** So long ago nothing can be waited for any more, ms. */
const PAST_MS = 1_800_000;
const WAS_IN_SUN = 'The sun was up then, and in the sun it burns leaves: look at them in two days.';

/** When a moment suits, in words. */
function timeWords(time: SprayTime): string {
  const sun = `The sun is up from about ${clockOf(time.sun.rises)} to ${clockOf(time.sun.sets)} here.`;
  switch (time.kind) {
    case 'good':
      return {
        evening: 'A good time: the sun is off the leaves.',
        morning: 'A good time: early, before leaves are warm.',
        dull: 'A good time: hardly any sun today.',
      }[time.why];
    case 'low-sun':
      return `Wait a little: the sun is low and still on the leaves. ${sun} From ${clockOf(time.goodFrom)} it is off them.`;
    case 'sun':
      return `Not now: in the sun it burns leaves. ${sun} Wait until ${clockOf(time.goodFrom)}, or early tomorrow, or for a fully dull day.`;
  }
}

const saidValues = ({ agent, extent, against, name, note }: Omit<SaidSpray, 'bags'>) => ({
  agent: agent ?? 'other',
  extent,
  ...(name === '' ? {} : { name }),
  ...(note === '' ? {} : { note }),
  ...(against === undefined ? {} : { against }),
});

const saidTexts = ({ water, amount }: Omit<SaidSpray, 'bags'>) => ({
  ...(amount === '' ? {} : { product: amount }),
  ...(water === '' ? {} : { litres: water }),
});

/**
 * A spray or a bait at one bag or several: its label's figures, how strong it comes out, and whether now is the time. Warned about
 * and never refused: what was done can always be told.
 */
export default function SprayDialog({
  bags,
  caseId,
  said,
  onClose,
  onDone = onClose,
}: {
  readonly bags: readonly Bag[];
  /** a spray that is gone on with: the whole plant after its test leaf, or again */
  readonly caseId?: string | undefined;
  /** what was said of it in words already */
  readonly said?: Omit<SaidSpray, 'bags'> | undefined;
  onClose(): void;
  onDone?(): void;
}) {
  const { garden, live, clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  const [first] = bags;
  const earlier = live.findLast((e) => e.kind === 'sprayed' && e.caseId === caseId && caseId !== undefined);
  const last = earlier?.kind === 'sprayed' ? earlier : undefined;
  const when = useWhen({
    kind: 'sprayed',
    containerId: bags.length === 1 ? first?.container.id : undefined,
    ...(said?.at === undefined ? {} : { at: said.at }),
  });
  const plant = usePlantOf(plantsOf(bags), 'all of them', last?.plantId ?? said?.plantId);
  const start = last ? sprayedForm.start({ ...last, extent: 'whole', note: undefined }) : undefined;
  const form = useFields(sprayedForm.fields({ garden, unitFormat }), {
    values: { agent: 'soap', extent: 'test-leaf', ...start?.values, ...(said && saidValues(said)) },
    texts: { ...start?.texts, ...(said && saidTexts(said)) },
    isAsked: (name, texts) =>
      !(name === 'extent' && (texts.agent === 'bait' || texts.agent === 'water')) &&
      !(name === 'litres' && texts.agent === 'bait'),
    check: sprayedForm.check?.bind(sprayedForm) ?? (() => []),
  });
  const { agent, extent, product, litres, harvestDays } = form.values;
  const burns = agent !== undefined && BURNS.includes(agent);
  const at = when.moment;
  const isPast = Date.parse(clock.now()) - Date.parse(at) > PAST_MS;
  const time =
    first &&
    sprayTime(
      at,
      knownWeather(live).findLast((d) => d.day === dayOf(at)),
      garden.settings.latitudeDegrees,
      clockAheadHours(at),
      first.properties.assumed,
    );
  const wasTried = live.some(
    (e) =>
      e.kind === 'sprayed' &&
      e.agent === agent &&
      e.extent === 'test-leaf' &&
      bags.some(({ container }) => container.id === e.containerId),
  );
  const hasFlowers = bags.some(({ occupants }) => occupants.some((o) => o.stages.seen.flowers));
  const hasRipe = bags.some(({ occupants }) => occupants.some((o) => o.stages.seen.ripe));
  const strength = product !== undefined && litres !== undefined ? strengthOf(product, litres) : undefined;
  const submit = form.submit(async (values, texts) => {
    const moment = when.read();
    if (moment === undefined) return;
    const facts = sprayedForm.facts(values, texts);
    await record(
      bags.map(({ container }) =>
        draftOf(
          {
            kind: 'sprayed',
            at: moment,
            containerId: container.id,
            ...plant.facts,
            caseId: caseId ?? newId('case'),
            ...(said?.who === undefined ? {} : { who: said.who }),
          },
          facts,
        ),
      ),
      `spray at ${first && bags.length === 1 ? first.container.label : `${bags.length} bags`}`,
    );
    onDone();
  });
  return (
    <FormDialog
      title={`Spray or bait: ${bagsWords(bags)}`}
      // what was said goes before what was half typed here at another time
      keepAs={`sprayed ${said ? JSON.stringify(said) : (caseId ?? '')} ${bags.map(({ container }) => container.id).join(' ')}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      {plant.field}
      <FormFields form={form} names={['agent', 'extent']} />
      {time && burns && (
        <Remark role={time.kind === 'good' ? 'note' : 'alert'}>
          {isPast && time.kind !== 'good' ? WAS_IN_SUN : timeWords(time)}
          {hasFlowers && !isPast && ' Open flowers: only once bees are home, in the evening.'}
        </Remark>
      )}
      {burns && extent === 'whole' && !wasTried && (
        <Remark>
          No leaf was tried here yet. One leaf first, then two days’ wait: what burns it would burn the plant.
        </Remark>
      )}
      <FormFields form={form} names={['name', 'product', 'litres']} />
      {strength !== undefined && (
        <Typography role="status">
          That is <strong>{strengthWords(strength, unitFormat)}</strong> in{' '}
          {unitFormat.show(litres ?? 0, 'water')}. Hold it against the label.
        </Typography>
      )}
      <FormFields form={form} names={['harvestDays', 'repeatDays', 'against', 'note']} />
      {hasRipe && harvestDays === undefined && agent !== 'water' && (
        <Remark>Fruit is ripe here: look on the label for the days until picking.</Remark>
      )}
      {when.field}
      {agent !== 'water' && <CautionOf id="sprays" />}
    </FormDialog>
  );
}
