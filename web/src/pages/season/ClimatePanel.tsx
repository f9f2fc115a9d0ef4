import {
  Box,
  Button,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from '@mui/material';
import { defaultNormals, type MonthNormal } from '@rundel/core/climate';
import { useState, type FormEvent } from 'react';
import { readAmount } from '../../text/amount-text.ts';
import { MONTHS } from '../../text/text.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useGarden, useUnitFormat, type UnitFormat, told } from '../../store/index.ts';

type Texts = readonly { readonly min: string; readonly max: string; readonly rain: string }[];

function textsOf(normals: readonly MonthNormal[], unitFormat: UnitFormat): Texts {
  return normals.map((m) => ({
    min: unitFormat.parts(m.minCelsius, 'temperature').number,
    max: unitFormat.parts(m.maxCelsius, 'temperature').number,
    rain: unitFormat.parts(m.rainMillimetres, 'rain').number,
  }));
}

/** Month normals of the site: worked out from the latitude, or the grower's own typed over them. */
export default function ClimatePanel() {
  const { garden, saveSettings } = useGarden();
  const unitFormat = useUnitFormat();
  const { settings } = garden;
  const worked = settings.normals ?? defaultNormals(settings.latitudeDegrees);
  const [texts, setTexts] = useState<Texts>(() => textsOf(worked, unitFormat));
  const [problem, setProblem] = useState<string>();
  const [saved, setSaved] = useState<string>();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setSaved(undefined);
    const normals: MonthNormal[] = [];
    for (const [i, month] of texts.entries()) {
      const { system } = unitFormat;
      const min = readAmount(month.min, { purpose: 'temperature', system, low: -40, high: 40 });
      const max = readAmount(month.max, { purpose: 'temperature', system, low: -30, high: 50 });
      const rain = readAmount(month.rain, { purpose: 'rain', system, low: 0, high: 1500 });
      const bad = [min, max, rain].find((r) => r.kind === 'refused');
      if (bad?.kind === 'refused') return setProblem(`${MONTHS[i]}: ${bad.problem} Nothing was changed.`);
      if (min.kind !== 'given' || max.kind !== 'given' || rain.kind !== 'given') return undefined;
      if (min.siValue > max.siValue)
        return setProblem(`${MONTHS[i]}: the day cannot be colder than the night. Nothing was changed.`);
      normals.push({ minCelsius: min.siValue, maxCelsius: max.siValue, rainMillimetres: rain.siValue });
    }
    setProblem(undefined);
    await saveSettings({ ...settings, normals });
    setSaved('Kept; every bag is worked out anew.');
    return undefined;
  };
  const back = async () => {
    const { normals: _, ...rest } = settings;
    await saveSettings(rest);
    setTexts(textsOf(defaultNormals(settings.latitudeDegrees), unitFormat));
    setProblem(undefined);
    setSaved('Back to the latitude’s own.');
  };
  const set = (i: number, key: 'min' | 'max' | 'rain', value: string) =>
    setTexts((all) => all.map((month, at) => (at === i ? { ...month, [key]: value } : month)));
  return (
    <Box component="form" noValidate onSubmit={(event) => told(submit(event))}>
      <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockEnd: 1 }}>
        {settings.normals
          ? 'Your own numbers.'
          : `Worked out from ${settings.latitudeDegrees}° alone, good to about ${unitFormat.system === 'us' ? '7 °F' : '4 °C'}. Type your own over them.`}
      </Typography>
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
          {texts.map((month, i) => (
            <TableRow key={MONTHS[i]}>
              <TableCell sx={{ paddingBlock: '2px' }}>{MONTHS[i]}</TableCell>
              {(['min', 'max', 'rain'] as const).map((key) => (
                <TableCell key={key} sx={{ paddingBlock: '2px' }}>
                  <TextField
                    variant="standard"
                    value={month[key]}
                    onChange={(e) => set(i, key, e.target.value)}
                    slotProps={{
                      htmlInput: {
                        'aria-label': `${MONTHS[i]} ${key === 'min' ? 'night' : key === 'max' ? 'day' : 'rain'}`,
                        inputMode: 'decimal',
                        style: { width: 56, height: 30 },
                      },
                    }}
                  />
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {problem && (
        <Typography role="alert" sx={{ color: 'error.main', marginBlockStart: 1 }}>
          {problem}
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
        {settings.normals && <OnceButton onPress={() => back()}>Back to the latitude’s</OnceButton>}
      </Box>
    </Box>
  );
}
