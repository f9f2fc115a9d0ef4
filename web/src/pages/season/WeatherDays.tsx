import {
  Box,
  Button,
  IconButton,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import { IconPencil, IconTrash } from '@tabler/icons-react';
import { addDays } from '@rundel/core/calendar';
import { completeWeather, writeWeatherTable, type WeatherDay } from '@rundel/core/climate';
import { resolveAssumed } from '@rundel/core/assumed';
import { knownWeather, siteOf } from '@rundel/core/garden-state';
import { useMemo, useState } from 'react';
import { fileName } from '../../text/file-text.ts';
import { shortDay } from '../../text/text.ts';
import { download } from '../../ui/download.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useGarden, useUnitFormat, told } from '../../store/index.ts';
import { DayDialog } from './DayDialog.tsx';

const DAYS = 21;
/** What is reckoned as usual, beside what was told. */
const FILLED = { color: 'text.secondary', fontStyle: 'italic' };
const DESK_ONLY = { display: { xs: 'none', sm: 'table-cell' } };

/** The last days' weather as the water estimate takes it, with what was filled in marked in words. */
export default function WeatherDays({ today }: { readonly today: string }) {
  const { garden, live, remove } = useGarden();
  const unitFormat = useUnitFormat();
  const [editing, setEditing] = useState<string>();
  const [isWhole, setWhole] = useState(false);
  const days = useMemo(
    () =>
      [
        ...completeWeather(
          knownWeather(live),
          siteOf(garden.settings),
          addDays(today, -(DAYS - 1)),
          today,
          resolveAssumed(garden.settings.assumptions),
        ),
      ].reverse(),
    [garden.settings, live, today],
  );
  const entriesOf = (day: string) =>
    live.filter((e) => e.kind === 'weather' && e.day === day).map((e) => e.id);
  const said = knownWeather(live);
  const known = useMemo(() => new Set(said.map(({ day }) => day)), [said]);
  const visible = isWhole ? days : days.slice(0, 10);
  return (
    <Box>
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Weather by day">
        <Table
          size="small"
          sx={{
            '& td, & th': { whiteSpace: 'nowrap', paddingInline: { xs: '3px', sm: 1 }, paddingBlock: '2px' },
          }}
        >
          <TableHead>
            <TableRow>
              <TableCell>Day</TableCell>
              <TableCell align="right">Coldest</TableCell>
              <TableCell align="right">Warmest</TableCell>
              <TableCell align="right">Rain</TableCell>
              <TableCell align="right" sx={DESK_ONLY}>
                Air draws
              </TableCell>
              <TableCell sx={DESK_ONLY}>From</TableCell>
              <TableCell>Change</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {visible.map((day) => (
              <TableRow key={day.day} sx={known.has(day.day) ? {} : { '& td': FILLED }}>
                <TableCell>
                  {shortDay(day.day)}
                  {day.leadDays ? ', foretold' : ''}
                </TableCell>
                <TableCell align="right" sx={day.filled.min ? FILLED : {}}>
                  {unitFormat.show(day.minCelsius, 'temperature')}
                </TableCell>
                <TableCell align="right" sx={day.filled.max ? FILLED : {}}>
                  {unitFormat.show(day.maxCelsius, 'temperature')}
                </TableCell>
                <TableCell align="right">
                  {day.filled.rain ? '' : unitFormat.show(day.rainMillimetres, 'rain')}
                </TableCell>
                <TableCell align="right" sx={DESK_ONLY}>
                  {unitFormat.show(day.etoMillimetres, 'rain')}
                </TableCell>
                <TableCell sx={DESK_ONLY}>{sourceWords(day, live)}</TableCell>
                <TableCell padding="none" sx={{ whiteSpace: 'nowrap' }}>
                  <IconButton
                    aria-label={`Give the weather of ${shortDay(day.day)}`}
                    onClick={() => setEditing(day.day)}
                    sx={{ width: 44, height: 44 }}
                  >
                    <IconPencil size={20} aria-hidden />
                  </IconButton>
                  {known.has(day.day) && (
                    <IconButton
                      aria-label={`Remove the weather of ${shortDay(day.day)}`}
                      onClick={() =>
                        told(remove(entriesOf(day.day), `weather of ${shortDay(day.day)} removed`))
                      }
                      sx={{ width: 44, height: 44 }}
                    >
                      <IconTrash size={20} aria-hidden />
                    </IconButton>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      <Typography variant="body2" sx={{ ...FILLED, marginBlockStart: 0.75 }}>
        In slanted figures: nobody said, so it is reckoned as usual here.
      </Typography>
      <Button onClick={() => setWhole((whole) => !whole)}>
        {isWhole ? 'Show ten days' : `Show all ${DAYS}`}
      </Button>
      <OnceButton
        disabled={said.length === 0}
        onPress={() =>
          download(
            fileName(`${garden.settings.gardenName} weather`, today, 'csv'),
            // a spreadsheet takes it for UTF-8 by this mark
            `\uFEFF${writeWeatherTable(said)}`,
            'text/csv',
          )
        }
      >
        All of it to a CSV
      </OnceButton>
      {editing && <DayDialog day={editing} onClose={() => setEditing(undefined)} />}
    </Box>
  );
}

function sourceWords(day: WeatherDay, live: ReturnType<typeof useGarden>['live']): string {
  const last = live.findLast((e) => e.kind === 'weather' && e.day === day.day);
  if (last?.kind !== 'weather') return 'filled in';
  const source = last.source === 'typed' ? 'typed' : last.source;
  return day.filled.min || day.filled.max ? `${source}, the rest filled in` : source;
}
