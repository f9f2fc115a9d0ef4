import { Box, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { DIARY_TABLES, writeDiaryTable, type DiaryTable } from '@rundel/core/diary-tables';
import { useState } from 'react';
import { Link } from 'react-router';
import { useGarden } from '../../../store/index.ts';
import { fileName } from '../../../text/file-text.ts';
import { download } from '../../../ui/download.ts';
import { FileButton } from '../../../ui/FileButton.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { ReadTable } from './ReadTable.tsx';
import { TABLE_NAMES } from './table-names.ts';

const KINDS = { pickings: 'picking', checks: 'check', waterings: 'watering', feeds: 'fed' } as const;

/** Tables that are read and written where they are used. */
const ELSEWHERE = [
  { to: '/season/weather', name: 'Weather' },
  { to: '/bench/feeds', name: 'Feeds and products' },
  { to: '/bench/varieties', name: 'Varieties' },
  { to: '/bench/shop', name: 'Shopping list' },
] as const;

/** The diary as tables, out and in. */
export default function Tables() {
  const { garden, live, clock } = useGarden();
  const [opened, setOpened] = useState<{ readonly table: DiaryTable; readonly file: File }>();
  const save = (table: DiaryTable) =>
    download(
      fileName(`${garden.settings.gardenName} ${table}`, dayOf(clock.now()), 'csv'),
      // a spreadsheet takes it for UTF-8 by this mark
      `\uFEFF${writeDiaryTable(table, garden, live)}`,
      'text/csv',
    );
  return (
    <>
      <Panel title="Of the diary">
        {DIARY_TABLES.map((table) => {
          const count = live.filter(({ kind }) => kind === KINDS[table]).length;
          return (
            <Box
              key={table}
              sx={{
                display: 'flex',
                flexWrap: 'wrap',
                gap: 1,
                alignItems: 'center',
                paddingBlock: 0.75,
                borderBlockEnd: '1px solid var(--line)',
              }}
            >
              <Box sx={{ flex: '1 1 170px' }}>
                <strong>{TABLE_NAMES[table]}</strong>
                <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
                  {count === 0 ? 'none yet' : `${count.toLocaleString('en-GB')} in the diary`}
                </Box>
              </Box>
              <OnceButton
                variant="outlined"
                disabled={count === 0}
                aria-label={`${TABLE_NAMES[table]} to a CSV`}
                onPress={() => save(table)}
              >
                To a CSV
              </OnceButton>
              <FileButton
                accept=".csv,text/csv,text/plain"
                aria-label={`${TABLE_NAMES[table]} from a CSV`}
                onFile={(file) => setOpened({ table, file })}
              >
                From a CSV
              </FileButton>
            </Box>
          );
        })}
        <Typography sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
          A file is looked through first. A row that is in the diary already is left out, so the same file may
          be read twice; undo takes all of it back.
        </Typography>
      </Panel>
      <Panel title="Read and written elsewhere">
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          {ELSEWHERE.map(({ to, name }) => (
            <Link key={to} to={to} style={{ color: 'inherit', paddingBlock: 10 }}>
              {name}
            </Link>
          ))}
        </Box>
      </Panel>
      {opened && <ReadTable {...opened} onClose={() => setOpened(undefined)} />}
    </>
  );
}
