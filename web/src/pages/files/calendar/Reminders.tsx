import { Box, FormControlLabel, MenuItem, Switch, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { told, useReminderChoice } from '../../../store/index.ts';
import { clockOf } from '../../../text/text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { Remark } from '../../../ui/Remark.tsx';

const HOURS = Array.from({ length: 24 }, (_, hour) => hour);
/** Not there in every browser, nor on an address that is not a safe one. */
const canRemind = () => typeof Notification === 'function';

/** Reminders on this device, and the hours in which it keeps quiet. */
export function Reminders() {
  const { choice, choose } = useReminderChoice();
  const [isRefused, setRefused] = useState(canRemind() && Notification.permission === 'denied');
  const turn = async (isOn: boolean) => {
    if (isOn && (await Notification.requestPermission()) !== 'granted') {
      setRefused(true);
      return;
    }
    setRefused(false);
    await choose({ ...choice, isOn });
  };
  if (!canRemind())
    return (
      <Panel title="Reminders">
        <Typography>This browser shows no reminders. The calendar has alarms of its own.</Typography>
      </Panel>
    );
  const hour = (label: string, value: number, put: (hour: number) => ReturnType<typeof choose>) => (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => told(put(Number(event.target.value)))}
      sx={{ width: 130 }}
    >
      {HOURS.map((each) => (
        <MenuItem key={each} value={each}>
          {clockOf(each)}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Panel title="Reminders">
      <FormControlLabel
        control={<Switch checked={choice.isOn} onChange={(_, on) => told(turn(on))} />}
        label="Remind me when a round is due, and in the afternoon of a night that is too cold"
      />
      {choice.isOn && (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', marginBlock: 1.5 }}>
          <span>Quiet</span>
          {hour('from', choice.quiet.fromHour, (fromHour) =>
            choose({ ...choice, quiet: { ...choice.quiet, fromHour } }),
          )}
          {hour('until', choice.quiet.untilHour, (untilHour) =>
            choose({ ...choice, quiet: { ...choice.quiet, untilHour } }),
          )}
        </Box>
      )}
      {isRefused && (
        <Remark role="alert">
          The browser does not let Rundel remind you. It can be allowed in the browser’s settings for this
          address.
        </Remark>
      )}
      <Typography sx={{ color: 'text.secondary' }}>
        They come while Rundel is open, in a tab or installed. With it closed the calendar’s alarms ring.
      </Typography>
    </Panel>
  );
}
