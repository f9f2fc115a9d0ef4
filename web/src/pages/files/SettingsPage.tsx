import { Box, Button, FormControlLabel, MenuItem, Switch, TextField, Typography } from '@mui/material';
import { SEASONS, usualSeasons } from '@rundel/core/climate';
import { dayOf } from '@rundel/core/calendar';
import type { SeasonsId, Settings } from '@rundel/core/records';
import { useEffect, useState } from 'react';
import { useThemeValue, type ThemeValue } from '../../ui/theme-context.tsx';
import { PRACTICE_CHOICES, practiceWords, UNIT_CHOICES } from '../../ui/choices.tsx';
import { Page, Panel } from '../../ui/Page.tsx';
import { fetchTowns, unitFormatIn, useGarden, told, type Town } from '../../store/index.ts';
import { TownField } from '../../ui/TownField.tsx';
import { FormFields, InlineForm, useFields } from '../../ui/form/index.ts';
import { GARDEN_FIELDS, gardenStart, roundDaysOf } from './garden-form.ts';
import { AssumptionsPanel } from './AssumptionsPanel.tsx';

/** What changes; a setting that is turned off is undefined. */
type SettingsChange = { readonly [K in keyof Settings]?: Settings[K] | undefined };

/** Settings of the garden and of this device. What can be chosen is stored as it is chosen. */
export default function SettingsPage() {
  const { garden, saveSettings } = useGarden();
  const { settings } = garden;
  const themeName = useThemeValue();
  const keep = (change: SettingsChange) => {
    const next = Object.entries({ ...settings, ...change }).filter(([, value]) => value !== undefined);
    told(saveSettings(Object.fromEntries(next) as Settings));
  };
  return (
    <Page title="Settings" width={920}>
      <Panel title="This garden">
        <GardenForm key={settings.latitudeDegrees} settings={settings} onKeep={keep} />
      </Panel>
      <Panel title="Its climate">
        <ClimateForm settings={settings} onKeep={keep} />
      </Panel>
      <Panel title="Units and practices">
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 }}>
          <TextField
            select
            label="Units"
            value={settings.units}
            onChange={(e) => keep({ units: e.target.value as Settings['units'] })}
            helperText="Shown everywhere; other units can be typed all the same."
          >
            {UNIT_CHOICES}
          </TextField>
          <TextField
            select
            label="How deep I plant"
            value={settings.depthPracticeId}
            onChange={(e) => keep({ depthPracticeId: e.target.value })}
            helperText={practiceWords(settings.depthPracticeId)}
          >
            {PRACTICE_CHOICES}
          </TextField>
        </Box>
      </Panel>
      <Panel title="Theme of this device">
        <TextField
          select
          fullWidth
          label="Theme"
          value={themeName.choice}
          onChange={(e) => themeName.choose(e.target.value as ThemeValue['choice'])}
          sx={{ maxWidth: 420 }}
        >
          <MenuItem value="auto">As the device is set</MenuItem>
          <MenuItem value="light">Light</MenuItem>
          <MenuItem value="dusk">Dusk: dark, for the evening round</MenuItem>
          <MenuItem value="glare">Glare: black on white, heavier, for full sun</MenuItem>
        </TextField>
      </Panel>
      <Panel title="Assumptions">
        <AssumptionsPanel />
      </Panel>
    </Page>
  );
}

/** The town by which the sun and the usual weather are known, and how far apart the seasons are. */
function ClimateForm({
  settings,
  onKeep,
}: {
  readonly settings: Settings;
  onKeep(change: SettingsChange): void;
}) {
  const [towns, setTowns] = useState<readonly Town[]>([]);
  const [town, setTown] = useState<Town | null>(null);
  useEffect(() => {
    // without the list there is still the latitude to give
    void fetchTowns().then(setTowns, () => undefined);
  }, []);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 }}>
      <TownField
        towns={towns}
        value={town}
        onChange={(next) => {
          setTown(next);
          onKeep({
            latitudeDegrees: next.latitudeDegrees,
            seasonsId: usualSeasons(next.country, next.timeZone),
          });
        }}
      />
      <TextField
        select
        label="Winter and summer"
        value={settings.seasonsId ?? 'sea'}
        onChange={(e) => onKeep({ seasonsId: e.target.value as SeasonsId })}
        helperText={
          settings.normals
            ? 'Your own month normals, in Season under Weather, count in place of this.'
            : `With ${settings.latitudeDegrees}° it gives the usual weather; your own can be typed in Season, under Weather.`
        }
      >
        {SEASONS.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  );
}

/** What of a form is said otherwise than when it was begun: the rest may have been changed in another tab. */
function changed(begun: Settings, said: SettingsChange): SettingsChange {
  const isSame = (name: keyof Settings) => JSON.stringify(begun[name]) === JSON.stringify(said[name]);
  const names = Object.keys(said) as (keyof Settings)[];
  return Object.fromEntries(names.filter((name) => !isSame(name)).map((name) => [name, said[name]]));
}

/** A night below this holds roots in wet mix back. */
const COLD_NIGHT_CELSIUS = 10;

function GardenForm({
  settings,
  onKeep,
}: {
  readonly settings: Settings;
  onKeep(change: SettingsChange): void;
}) {
  const { clock } = useGarden();
  const [begun, setBegun] = useState(settings);
  const form = useFields(GARDEN_FIELDS, gardenStart(begun));
  const [isKept, setKept] = useState(false);
  const save = form.submit((values) => {
    const { name: gardenName, latitude: latitudeDegrees, hours, comes } = values;
    const isSame = comes === gardenStart(begun).values?.comes && comes !== 'other' && comes !== 'weekdays';
    const said = {
      gardenName,
      latitudeDegrees,
      roundHours: [...hours],
      // the days are counted from when they were chosen, and not from the last save
      roundDays: isSame ? begun.roundDays : roundDaysOf(values, dayOf(clock.now())),
    };
    onKeep(changed(begun, said));
    setBegun({ ...begun, ...said } as Settings);
    setKept(true);
  });
  return (
    <InlineForm
      onSubmit={() => {
        setKept(false);
        return save();
      }}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 1fr' },
        gap: 2,
        alignItems: 'start',
      }}
    >
      <FormFields form={form} />
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Button type="submit" variant="outlined">
          Save
        </Button>
        {isKept && <Typography role="status">Kept.</Typography>}
      </Box>
      <Box sx={{ gridColumn: '1 / -1' }}>
        <FormControlLabel
          control={
            <Switch
              checked={settings.plansForMissedRound ?? false}
              onChange={(_, plansForMissedRound) => onKeep({ plansForMissedRound })}
            />
          }
          label="Ask for checks a round early, so that one may be missed"
        />
        <FormControlLabel
          control={
            <Switch
              checked={settings.drierBelowCelsius !== undefined}
              onChange={(_, on) => onKeep({ drierBelowCelsius: on ? COLD_NIGHT_CELSIUS : undefined })}
            />
          }
          label={`Smaller waterings when the coming night is below ${unitFormatIn(settings.units).show(COLD_NIGHT_CELSIUS, 'temperature')}`}
        />
      </Box>
    </InlineForm>
  );
}
