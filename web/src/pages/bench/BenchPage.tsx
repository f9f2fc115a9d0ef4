import { Box } from '@mui/material';
import { lazy, Suspense, useEffect, useRef, type ComponentType, type LazyExoticComponent } from 'react';
import { NavLink, useParams } from 'react-router';
import { Page } from '../../ui/Page.tsx';

interface Topic {
  readonly id: string;
  readonly name: string;
  readonly title: string;
  readonly lead: string;
  readonly Part: LazyExoticComponent<ComponentType>;
}

const topic = (
  id: string,
  name: string,
  title: string,
  lead: string,
  load: () => Promise<{ readonly default: ComponentType }>,
): Topic => ({ id, name, title, lead, Part: lazy(load) });

/** What can be worked out on the bench, in the order in which a year needs it. */
const TOPICS: readonly Topic[] = [
  topic(
    'size',
    'Which bag',
    'Which bag for which plant?',
    'All sizes side by side, with a grown plant in each.',
    () => import('./bags-and-mix/SizeBench.tsx'),
  ),
  topic(
    'mix',
    'Mixes',
    'Mixes',
    'What goes in, what it holds, and what it weighs.',
    () => import('./bags-and-mix/MixBench.tsx'),
  ),
  topic(
    'fill',
    'Fill and feed',
    'Fill bags, and work feed into the mix',
    'Old mix, new mix, spoons and handfuls, for as many bags as you like.',
    () => import('./bags-and-mix/FillBench.tsx'),
  ),
  topic(
    'shop',
    'Shopping',
    'Shopping',
    'What to buy for any set of bags, in the cheapest packs that cover it.',
    () => import('./money/ShopBench.tsx'),
  ),
  topic(
    'shed',
    'The shed',
    'The shed',
    'What is there, what it cost, and when it was cheap.',
    () => import('./money/ShedBench.tsx'),
  ),
  topic(
    'load',
    'Weight',
    'Weight and load',
    'What each bag weighs wet, and what the floor has to bear.',
    () => import('./bags-and-mix/LoadBench.tsx'),
  ),
  topic(
    'film',
    'Film and sheet',
    'Sleeves, linings, cages and rings',
    'How to cut it, what is wasted, and what it really holds.',
    () => import('./bags-and-mix/FilmBench.tsx'),
  ),
  topic(
    'depth',
    'Planting',
    'How does it go in?',
    'A seedling tried in a bag, by every way there is; nothing is stored.',
    () => import('./planting/PlantingBench.tsx'),
  ),
  topic(
    'supports',
    'Supports',
    'What holds it up?',
    'Ranked for the plant, the bag and the place; and the string and canes for all of them.',
    () => import('./planting/SupportBench.tsx'),
  ),
  topic(
    'regimes',
    'Regimes',
    'How are they fed?',
    'Ten practices and your own, what each would mean for a bag, and which bags follow it.',
    () => import('./feeding/RegimesBench.tsx'),
  ),
  topic(
    'batch',
    'Feed batch',
    'What goes into the cans?',
    'For the bags that are due: can by can along the walk, and what is in it.',
    () => import('./feeding/BatchBench.tsx'),
  ),
  topic(
    'feeds',
    'Feeds',
    'Feeds',
    'What each label says and asks for; your own products beside the usual ones.',
    () => import('./feeding/FeedsBench.tsx'),
  ),
  topic(
    'drip',
    'Drip',
    'Does the drip keep up?',
    'What a timer brings against what the bag uses, and a setting that would suit.',
    () => import('./water/DripBench.tsx'),
  ),
  topic(
    'measures',
    'My measures',
    'My measures',
    'Measured once, in a minute; then every amount can be given in them.',
    () => import('./water/MeasuresPanel.tsx'),
  ),
  topic(
    'costs',
    'Costs',
    'Costs',
    'Seed, current, work, and what each bag came to.',
    () => import('./money/CostBench.tsx'),
  ),
];

/** The working-out: one topic at a time, each with an address of its own. */
export default function BenchPage() {
  const { topicId } = useParams();
  const chosen = TOPICS.find((t) => t.id === topicId) ?? (TOPICS[0] as Topic);
  const { Part } = chosen;
  const tabs = useRef<HTMLElement>(null);
  useEffect(() => {
    // on a phone the topics do not all fit: the chosen one is brought into sight
    const tab = tabs.current?.querySelector<HTMLElement>('.active');
    if (tab && tabs.current) tabs.current.scrollLeft = tab.offsetLeft - tabs.current.offsetWidth / 3;
  }, [chosen.id]);
  return (
    <Page title={chosen.title} lead={chosen.lead}>
      <Box
        component="nav"
        ref={tabs}
        aria-label="On the bench"
        sx={{
          position: 'relative',
          display: 'flex',
          flexWrap: { xs: 'nowrap', md: 'wrap' },
          overflowX: 'auto',
          gap: 0.5,
          marginBlockEnd: 2,
          marginInline: { xs: -2, md: 0 },
          paddingInline: { xs: 2, md: 0 },
          borderBlockEnd: '2px solid var(--line)',
          '@media print': { display: 'none' },
        }}
      >
        {TOPICS.map((t) => (
          <Box
            key={t.id}
            component={NavLink}
            to={`/bench/${t.id}`}
            className={t.id === chosen.id ? 'active' : ''}
            sx={{
              flexShrink: 0,
              display: 'grid',
              placeItems: 'center',
              minHeight: 48,
              paddingInline: 1.5,
              color: 'inherit',
              textDecoration: 'none',
              borderBlockEnd: '4px solid transparent',
              marginBlockEnd: '-2px',
              '&.active': { borderBlockEndColor: 'var(--action)', fontWeight: 700 },
              '&:hover': { backgroundColor: 'var(--action-wash)' },
              '&:focus-visible': { outlineOffset: -4 },
            }}
          >
            {t.name}
          </Box>
        ))}
      </Box>
      <Suspense fallback={<Box aria-busy sx={{ minHeight: 300 }} />}>
        <Part key={chosen.id} />
      </Suspense>
    </Page>
  );
}
