import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { defaultNormals, SEASONS, type MonthNormal } from '@rundel/core/climate';
import type { SeasonsId } from '@rundel/core/records';
import { useState } from 'react';
import { MONTHS } from '../../text/text.ts';
import { amountField, FormField, InlineForm, useFields, type Field } from '../../ui/form/index.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { Select } from '../../ui/Select.tsx';
import { told, useGarden, useUnitFormat } from '../../store/index.ts';
import { UsualNote } from './UsualNote.tsx';

const COLUMNS = {
  night: { purpose: 'temperature', low: -40, high: 40 },
  day: { purpose: 'temperature', low: -30, high: 50 },
  rain: { purpose: 'rain', low: 0, high: 1500 },
} as const;

type Name = `${keyof typeof COLUMNS} ${number}`;
type MonthFields = Readonly<Record<Name, Field<number>>>;

const FIELDS: MonthFields = Object.fromEntries(
  MONTHS.flatMap((month, i) =>
    Object.entries(COLUMNS).map(([what, rule]) => [
      `${what} ${i}`,
      amountField({ label: `${month} ${what}`, isBare: true, ...rule }),
    ]),
  ),
);

const valuesOf = (normals: readonly MonthNormal[]): Partial<Record<Name, number>> =>
  Object.fromEntries(
    normals.flatMap((month, i) => [
      [`night ${i}`, month.minCelsius],
      [`day ${i}`, month.maxCelsius],
      [`rain ${i}`, month.rainMillimetres],
    ]),
  );

/** Month normals of the site: worked out from the latitude, or the grower's own typed over them. */
export default function ClimatePanel() {
  const { garden, saveSettings } = useGarden();
  const unitFormat = useUnitFormat();
  const { settings } = garden;
  const worked = settings.normals ?? defaultNormals(settings.latitudeDegrees, settings.seasonsId);
  const form = useFields(FIELDS, {
    values: valuesOf(worked),
    check: (values) =>
      MONTHS.flatMap((_, i) =>
        (values[`night ${i}`] ?? NaN) > (values[`day ${i}`] ?? NaN)
          ? [{ at: `day ${i}` as const, problem: 'Colder than the night.' }]
          : [],
      ),
  });
  const [saved, setSaved] = useState<string>();
  const submit = form.submit(async (values) => {
    const normals = MONTHS.map((_, i) => ({
      minCelsius: values[`night ${i}`] ?? NaN,
      maxCelsius: values[`day ${i}`] ?? NaN,
      rainMillimetres: values[`rain ${i}`] ?? NaN,
    }));
    await saveSettings({ ...settings, normals });
    setSaved('Kept; every bag is worked out anew.');
  });
  /** The latitude's months, of the seasons in use or of others, in place of the grower's own. */
  const reckon = async (words: string, seasonsId = settings.seasonsId) => {
    const { normals: _, ...rest } = settings;
    await saveSettings({ ...rest, ...(seasonsId ? { seasonsId } : {}) });
    form.begin(valuesOf(defaultNormals(settings.latitudeDegrees, seasonsId)));
    setSaved(words);
  };
  const choose = (id: SeasonsId) => told(reckon('The months follow, and every bag is worked out anew.', id));
  return (
    <InlineForm
      onSubmit={() => {
        setSaved(undefined);
        return submit();
      }}
    >
      <UsualNote onUse={choose} />
      <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockEnd: 1.5 }}>
        {settings.normals
          ? 'Your own numbers.'
          : `Worked out from ${settings.latitudeDegrees}° (in Settings) and these seasons, good to about ${unitFormat.system === 'us' ? '7 °F' : '4 °C'}. Type your own over them.`}
      </Typography>
      {!settings.normals && (
        <Box sx={{ marginBlockEnd: 1.5 }}>
          <Select
            label="Winter and summer"
            value={settings.seasonsId ?? 'sea'}
            options={SEASONS.map(({ id, name }) => ({ id, label: name }))}
            onChange={choose}
          />
        </Box>
      )}
      <Table size="small" sx={{ '& td, & th': { paddingInline: { xs: 0.5, sm: 2 } } }}>
        <TableHead>
          <TableRow>
            <TableCell>Month</TableCell>
            <TableCell>Night {unitFormat.parts(0, 'temperature').symbol}</TableCell>
            <TableCell>Day {unitFormat.parts(0, 'temperature').symbol}</TableCell>
            <TableCell>Rain {unitFormat.parts(0, 'rain').symbol}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {MONTHS.map((month, i) => (
            <TableRow key={month}>
              <TableCell sx={{ paddingBlock: '2px' }}>{month}</TableCell>
              {(['night', 'day', 'rain'] as const).map((what) => (
                <TableCell key={what} sx={{ paddingBlock: '2px' }}>
                  <FormField form={form} name={`${what} ${i}`} isBare />
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {form.hasFailed && (
        <Typography role="alert" sx={{ color: 'error.main', marginBlockStart: 1 }}>
          Something above does not read; nothing was changed.
        </Typography>
      )}
      {saved && (
        <Typography role="status" sx={{ marginBlockStart: 1 }}>
          {saved}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1, marginBlockStart: 1.5 }}>
        <Button type="submit" variant="outlined">
          Save
        </Button>
        {settings.normals && (
          <OnceButton onPress={() => reckon('Back to the latitude’s own.')}>
            Back to the latitude’s
          </OnceButton>
        )}
      </Box>
    </InlineForm>
  );
}
