import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { useState } from 'react';
import { useCalendarFeed, useGarden } from '../../../store/index.ts';
import { fileName } from '../../../text/file-text.ts';
import { shortDay } from '../../../text/text.ts';
import { useAgenda } from '../../../ui/agenda.ts';
import { download } from '../../../ui/download.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { QrCode } from '../../../ui/QrCode.tsx';
import { Remark } from '../../../ui/Remark.tsx';
import { Reminders } from './Reminders.tsx';

const AT_FIRST = 12;

/** What is to come, as a calendar file, as an address that a phone follows, and as reminders. */
export default function CalendarTopic() {
  const { garden, clock } = useGarden();
  const events = useAgenda();
  const [isWhole, setWhole] = useState(false);
  const today = dayOf(clock.now());
  const write = async () => {
    const { calendarFile } = await import('./calendar-file.ts');
    return calendarFile(events ?? [], garden.settings.gardenName);
  };
  const visible = isWhole ? events : events?.slice(0, AT_FIRST);
  return (
    <>
      <Panel title="What is to come">
        {events === undefined && <Typography>The bags are being worked out…</Typography>}
        {events?.length === 0 && (
          <Typography>
            Nothing is due and nothing is planned. Plans of the season and what bags need stand here.
          </Typography>
        )}
        <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
          {visible?.map(({ item, title, detail }) => (
            <Box
              component="li"
              key={item.uid}
              sx={{ display: 'flex', gap: 1.5, paddingBlock: 0.75, borderBlockEnd: '1px solid var(--line)' }}
            >
              <Box sx={{ width: 72, flexShrink: 0, color: 'text.secondary' }}>
                {item.day === today ? 'today' : shortDay(item.day, today)}
              </Box>
              <Box sx={{ minWidth: 0 }}>
                {title}
                {item.kind === 'job' && detail && (
                  <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>{detail}</Box>
                )}
              </Box>
            </Box>
          ))}
        </Box>
        {events && events.length > AT_FIRST && (
          <Button onClick={() => setWhole((whole) => !whole)}>
            {isWhole ? 'Show the next only' : `Show all ${events.length}`}
          </Button>
        )}
        <Box sx={{ marginBlockStart: 1.5 }}>
          <OnceButton
            variant="contained"
            disabled={!events || events.length === 0}
            onPress={async () =>
              download(fileName(garden.settings.gardenName, today, 'ics'), await write(), 'text/calendar')
            }
          >
            Download as a calendar
          </OnceButton>
        </Box>
      </Panel>
      <Follow write={write} isReady={events !== undefined} />
      <Reminders />
    </>
  );
}

/** An address that a phone's calendar follows. */
function Follow({ write, isReady }: { write(): Promise<string>; readonly isReady: boolean }) {
  const { token, start, stop } = useCalendarFeed();
  const [problem, setProblem] = useState<string>();
  const begin = async () => {
    setProblem(undefined);
    try {
      await start(await write());
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const address =
    token === null ? undefined : `${location.origin}${import.meta.env.BASE_URL}calendar/${token}.ics`;
  const isOnlyHere = /^(localhost|127\.|\[::1\])/.test(location.hostname);
  return (
    <Panel title="On a phone">
      {address === undefined ? (
        <>
          <Typography sx={{ marginBlockEnd: 1.5 }}>
            A phone’s calendar can follow an address and show what is due, with alarms, without opening
            Rundel. The server hands on what this app sends it; whoever knows the address can read it.
          </Typography>
          <OnceButton variant="outlined" disabled={!isReady} onPress={() => begin()}>
            Make an address to follow
          </OnceButton>
        </>
      ) : (
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-start' }}>
          <QrCode text={address} size={148} title="The address as a code for the phone’s camera" />
          <Box sx={{ flex: '1 1 260px', minWidth: 0 }}>
            <Typography>Add this address in the phone’s calendar, as a subscription:</Typography>
            <Box component="code" sx={{ display: 'block', marginBlock: 1, fontSize: '0.9rem' }}>
              {address}
            </Box>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              <Button variant="outlined" onClick={() => void navigator.clipboard.writeText(address)}>
                Copy it
              </Button>
              <OnceButton onPress={() => stop()}>Take it away</OnceButton>
            </Box>
            <Typography sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
              It is sent anew whenever something changes while Rundel is open.
            </Typography>
          </Box>
        </Box>
      )}
      {problem && <Remark role="alert">{problem}</Remark>}
      {address !== undefined && isOnlyHere && (
        <Remark>
          This server answers to this machine alone. For a phone in the same network start it with
          RUNDEL_HOST=0.0.0.0 and open Rundel by this machine’s name.
        </Remark>
      )}
    </Panel>
  );
}
