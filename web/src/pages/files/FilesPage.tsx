import { Box, Button } from '@mui/material';
import { lazy, Suspense } from 'react';
import { Link, useParams } from 'react-router';
import { Page, PAGE_WIDTH } from '../../ui/Page.tsx';

const SaveAndOpen = lazy(() => import('./SaveAndOpen.tsx'));
const Tables = lazy(() => import('./tables/Tables.tsx'));
const CalendarTopic = lazy(() => import('./calendar/CalendarTopic.tsx'));
const Paper = lazy(() => import('./paper/Paper.tsx'));

/** The topics of Files, by their address. */
const TOPICS = [
  {
    id: undefined,
    name: 'Save and open',
    lead: 'Everything lives in this browser. A file is your copy, and the way to another device.',
    Topic: SaveAndOpen,
  },
  {
    id: 'tables',
    name: 'Tables',
    lead: 'What you picked, checked, poured and fed, to a spreadsheet and from one.',
    Topic: Tables,
  },
  {
    id: 'calendar',
    name: 'Calendar',
    lead: 'What is to come, in the calendar that you look at anyway.',
    Topic: CalendarTopic,
  },
  { id: 'paper', name: 'On paper', lead: 'Labels for bags, and sheets for wet hands.', Topic: Paper },
] as const;

/** What comes in and goes out: files, tables, calendars, paper. */
export default function FilesPage() {
  const { topicId } = useParams();
  const topic = TOPICS.find((t) => t.id === topicId) ?? TOPICS[0];
  return (
    <Page
      title={topic.id === undefined ? 'Files' : topic.name}
      lead={topic.lead}
      width={topic.id === 'paper' ? PAGE_WIDTH : 920}
      nav={
        <Box
          component="nav"
          aria-label="Files"
          sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', '@media print': { display: 'none' } }}
        >
          {TOPICS.map(({ id, name }) => (
            <Button
              key={name}
              component={Link}
              to={id ? `/files/${id}` : '/files'}
              variant={id === topic.id ? 'contained' : 'outlined'}
              {...(id === topic.id ? { 'aria-current': 'page' as const } : {})}
            >
              {name}
            </Button>
          ))}
        </Box>
      }
    >
      <Suspense fallback={<Box aria-busy sx={{ minHeight: 300 }} />}>
        <topic.Topic />
      </Suspense>
    </Page>
  );
}
