import { Box, Typography } from '@mui/material';
import { usualThreshold } from '@rundel/core/care';
import { resolveAssumed } from '@rundel/core/assumed';
import { coldLimitOf } from '@rundel/core/garden-state';
import { dayOf } from '@rundel/core/calendar';
import { ALERT_KINDS, type AlertKind, type Place } from '@rundel/core/records';
import { ALERT_NAMES } from '../../text/alert-text.ts';
import { windUnit } from '../../text/in-units.ts';
import { useBags, useGarden, useUnitFormat } from '../../store/index.ts';
import {
  amountField,
  FormDialog,
  FormField,
  numberField,
  switchField,
  useAsBegun,
  useFields,
  type Field,
} from '../form/index.ts';

/** What a place is warned of, and from where on. */
export default function AlertsDialog({
  place: current,
  onClose,
}: {
  readonly place: Place;
  onClose(): void;
}) {
  const place = useAsBegun(current);
  const { garden, clock, saveRecords } = useGarden();
  const { bags } = useBags();
  const unitFormat = useUnitFormat();
  const assumed = resolveAssumed(garden.settings.assumptions);
  const here = bags.filter((b) => b.container.placeId === place.id);
  const cold = coldLimitOf(here, place.cover, dayOf(clock.now()));
  const usual = (kind: AlertKind) => usualThreshold(kind, cold, assumed);
  const wind = windUnit(unitFormat);
  const [swing, swingUnit] = unitFormat.system === 'us' ? [1.8, '°F'] : [1, '°C'];
  // what is typed is in the grower's unit, what is stored in degrees and metres a second
  const factors: Partial<Record<AlertKind, number>> = { swing, wind: wind.perMetreSecond };
  const figures: Record<AlertKind, Field<number | undefined>> = {
    frost: degrees('At or below', unitFormat.show(usual('frost'), 'temperature'), -15, 10),
    cold: degrees('Below', unitFormat.show(usual('cold'), 'temperature'), -5, 20),
    hot: degrees('From', unitFormat.show(usual('hot'), 'temperature'), 20, 50),
    'heat-wave': degrees('Two days from', unitFormat.show(usual('heat-wave'), 'temperature'), 20, 50),
    swing: number('From', 'from night to day', usual('swing') * swing, swingUnit, 5 * swing, 40 * swing),
    wind: number('From', '', usual('wind') * wind.perMetreSecond, wind.symbol, 3, 90),
  };
  const on = Object.fromEntries(
    ALERT_KINDS.map((kind) => [`${kind}-on`, switchField({ label: ALERT_NAMES[kind] })]),
  );
  const form = useFields<Record<string, Field<never>>>(
    { ...figures, ...on } as unknown as Record<string, Field<never>>,
    {
      values: Object.fromEntries(
        ALERT_KINDS.flatMap((kind) => [
          [kind, scaled(place.alerts?.[kind]?.threshold, factors[kind] ?? 1)],
          [`${kind}-on`, place.alerts?.[kind]?.isOff !== true],
        ]),
      ) as Record<string, never>,
    },
  );
  const submit = form.submit(async (values: Record<string, unknown>) => {
    const alerts: Place['alerts'] = {};
    for (const kind of ALERT_KINDS) {
      const threshold = scaled(values[kind] as number | undefined, 1 / (factors[kind] ?? 1));
      const isOff = values[`${kind}-on`] !== true;
      // what was put off and is said to be wanted comes at once
      if (isOff || threshold !== undefined)
        alerts[kind] = { ...(isOff ? { isOff } : {}), ...(threshold === undefined ? {} : { threshold }) };
    }
    const { alerts: _, ...rest } = place;
    const after: Place = {
      ...rest,
      ...(Object.keys(alerts).length > 0 ? { alerts } : {}),
      changedAt: clock.now(),
    };
    await saveRecords([{ table: 'places', before: place, after }], [], `warnings at ${place.name}`);
    onClose();
  });
  return (
    <FormDialog title={`Warnings at ${place.name}`} onClose={onClose} onSubmit={submit} submitLabel="Save">
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Empty: as usual, for what stands here. They go by the days ahead that you entered or read.
      </Typography>
      {ALERT_KINDS.map((kind) => (
        <Box key={kind} sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, alignItems: 'start' }}>
          <FormField form={form} name={`${kind}-on`} />
          {form.texts[`${kind}-on`] === 'on' && <FormField form={form} name={kind} />}
        </Box>
      ))}
    </FormDialog>
  );
}

const degrees = (label: string, usual: string, low: number, high: number) =>
  amountField({ label, help: `Usual: ${usual}`, purpose: 'temperature', low, high, isOptional: true });
const number = (label: string, what: string, usual: number, unit: string, low: number, high: number) =>
  numberField({
    label,
    help: `Usual: ${Math.round(usual)} ${unit} ${what}`.trim(),
    unit,
    low,
    high,
    isOptional: true,
  });

const scaled = (value: number | undefined, factor: number) =>
  value === undefined ? undefined : Number((value * factor).toPrecision(6));
