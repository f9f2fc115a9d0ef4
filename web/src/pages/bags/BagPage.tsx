import { clearingOf } from '@rundel/core/garden-state';
import { Alert, Box, Button, Menu, MenuItem, Typography, useMediaQuery } from '@mui/material';
import { IconBasket, IconDotsVertical, IconDroplet, IconHandFinger, IconNote } from '@tabler/icons-react';
import { Suspense, useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { kindWords, seenStore, titleOf } from '../../text/bag-text.ts';
import type { NewEntryKind } from '../../ui/entries/EntryDialog.tsx';
import { Page, Panel } from '../../ui/Page.tsx';
import { BagSection, sceneOf } from '../../section/index.ts';
import { useBags, useGarden, useUnitFormat, type Bag, told } from '../../store/index.ts';
import { Diary } from './Diary.tsx';
import { FeedPanel } from './FeedPanel.tsx';
import { GrowthPanel } from './GrowthPanel.tsx';
import { MakePanel } from './MakePanel.tsx';
import { NoSuchBag } from './NoSuchBag.tsx';
import {
  CarryDialog,
  CheckDialog,
  CleanDialog,
  EntryDialog,
  GaugeDialog,
  PlantDialog,
  readDialogs,
  SprayDialog,
  TemplateDialog,
  TestLeafDialog,
} from './dialogs.ts';
import { PhotoPanel } from './PhotoPanel.tsx';
import { PlantsPanel } from './PlantsPanel.tsx';
import { HistoryPanel } from './HistoryPanel.tsx';
import { TroublePanel, TrussPanel } from './TroublePanel.tsx';
import { WaterPanel } from './WaterPanel.tsx';

/** A bag's page: the section, its water with reasons, its planting, its diary. */
export default function BagPage() {
  const { containerId } = useParams();
  const { garden } = useGarden();
  const { bags, unreadable } = useBags();
  const bag = bags.find((b) => b.container.id === containerId);
  const broken = unreadable.find((u) => u.container.id === containerId);
  if (bag) return <OneBag bag={bag} problem={broken?.problem} />;
  if (!broken) {
    const binned = garden.containers.find((c) => c.id === containerId && c.binnedAt);
    return binned ? <Binned label={binned.label} /> : <NoSuchBag />;
  }
  return (
    <Page title={`Bag ${broken.container.label}`}>
      <Alert severity="warning" sx={{ marginBlockEnd: 2 }}>
        It cannot be worked out: {broken.problem} Its diary is kept as it is.
      </Alert>
      <Button component={Link} to={`/bags/${broken.container.id}/edit`} variant="contained">
        Fix this bag
      </Button>
    </Page>
  );
}

function Binned({ label }: { readonly label: string }) {
  return (
    <Page title={`Bag ${label} was deleted`}>
      <Typography sx={{ marginBlockEnd: 2 }}>
        Its diary is kept, and it can be restored from the bin in Files.
      </Typography>
      <Button component={Link} to="/files" variant="contained">
        To the bin
      </Button>
    </Page>
  );
}

/** The parts that are touched in the drawing to change them; what is planted is changed in the diary. */
const EDITED_SPOTS = ['support', 'fill', 'mulch', 'mix', 'water', 'place'] as const;

/** How long after it is drawn a page's dialogs are read, ms. */
const READ_DIALOGS_AFTER = 2500;

type Dialog =
  | NewEntryKind
  | 'check'
  | 'plant'
  | 'template'
  | 'gauge'
  | 'carry'
  | 'spray'
  | 'clean'
  | 'test-leaf';

/** Dialogs that an address can open. */
const ASKED_BY_ADDRESS: readonly Dialog[] = ['spray', 'clean', 'test-leaf'];

const isNewEntry = (dialog: Dialog | undefined): dialog is NewEntryKind =>
  dialog === 'picking' || dialog === 'note' || dialog === 'watering' || dialog === 'tended';

function OneBag({ bag, problem }: { readonly bag: Bag; readonly problem: string | undefined }) {
  const { garden, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const isPhone = useMediaQuery('(max-width: 599px)');
  const [params, setParams] = useSearchParams();
  const asked = ASKED_BY_ADDRESS.find((each) => each === params.get('do'));
  const caseId = params.get('case') ?? undefined;
  const [opened, setDialog] = useState<Dialog>();
  const dialog = opened ?? asked;
  useEffect(() => {
    const timer = setTimeout(() => void readDialogs(), READ_DIALOGS_AFTER);
    return () => clearTimeout(timer);
  }, []);
  const share = bag.water?.estimate.share;
  const scene = useMemo(
    () => ({
      ...sceneOf(
        bag.container,
        bag.properties,
        bag.occupants,
        bag.occupants.length > 0 ? share : undefined,
        clock.now(),
        garden.settings,
        live,
      ),
      level: seenStore(bag.water),
    }),
    [bag.properties, bag.container, bag.occupants, bag.water, clock, garden.settings, live, share],
  );
  const navigate = useNavigate();
  const spots = useMemo(
    () =>
      EDITED_SPOTS.map((id) => ({
        id,
        onPress: () => void navigate(`/bags/${bag.container.id}/edit?part=${id}`),
      })),
    [bag.container.id, navigate],
  );
  const isEmpty = bag.occupants.length === 0;
  const close = () => {
    setDialog(undefined);
    if (asked) setParams({}, { replace: true });
  };
  return (
    <Page
      title={titleOf(bag)}
      lead={
        <>
          {kindWords(bag, unitFormat)} ·{' '}
          <Link to="/bags" style={{ color: 'inherit' }}>
            {bag.place?.name ?? 'no place'}
          </Link>
        </>
      }
      actions={<BagActions bag={bag} isEmpty={isEmpty} onOpen={setDialog} />}
    >
      {problem && (
        <Alert severity="warning" sx={{ marginBlockEnd: 2 }}>
          Its water cannot be worked out: {problem}
        </Alert>
      )}
      <Box
        sx={{
          display: 'grid',
          gap: 2.5,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 460px) minmax(0, 1fr)' },
          alignItems: 'start',
        }}
      >
        <Box
          sx={{
            backgroundColor: 'var(--surface)',
            border: '1px solid var(--line)',
            borderRadius: '14px',
            padding: 1.5,
            height: { xs: 'auto', sm: 440, lg: 'min(640px, calc(100vh - 170px))' },
            position: { lg: 'sticky' },
            top: 16,
          }}
        >
          <BagSection
            scene={scene}
            unitFormat={unitFormat}
            height={isPhone ? 410 : 600}
            title={`${titleOf(bag)} in section, to scale; touch a part to change it`}
            spots={spots}
          />
        </Box>
        <Box>
          {!isEmpty && <WaterPanel bag={bag} />}
          {!isEmpty && <FeedPanel bag={bag} />}
          <PlantsPanel bag={bag} onPlant={() => setDialog('plant')} />
          {!isEmpty && <GrowthPanel bag={bag} />}
          {!isEmpty && <TrussPanel bag={bag} />}
          {!isEmpty && <TroublePanel bag={bag} onSpray={() => setDialog('spray')} />}
          <MakePanel bag={bag} />
          <PhotoPanel bag={bag} />
          <HistoryPanel bag={bag} />
          <Panel title="Diary">
            <Diary containerId={bag.container.id} />
          </Panel>
        </Box>
      </Box>
      <Suspense>
        {isNewEntry(dialog) && <EntryDialog bags={[bag]} kind={dialog} onClose={close} />}
        {dialog === 'spray' && <SprayDialog bags={[bag]} caseId={caseId} onClose={close} />}
        {dialog === 'clean' && <CleanDialog bags={[bag]} onClose={close} />}
        {dialog === 'test-leaf' && caseId && <TestLeafDialog bag={bag} caseId={caseId} onClose={close} />}
        {dialog === 'check' && <CheckDialog bag={bag} onClose={close} />}
        {dialog === 'plant' && <PlantDialog bags={[bag]} onClose={close} />}
        {dialog === 'carry' && <CarryDialog bag={bag} onClose={close} />}
        {dialog === 'gauge' && <GaugeDialog bag={bag} onClose={close} />}
        {dialog === 'template' && <TemplateDialog bag={bag} onClose={close} />}
      </Suspense>
    </Page>
  );
}

function BagActions({
  bag,
  isEmpty,
  onOpen,
}: {
  readonly bag: Bag;
  readonly isEmpty: boolean;
  onOpen(dialog: Dialog): void;
}) {
  const { clock, record, bin: putInBin } = useGarden();
  const navigate = useNavigate();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { container, occupants } = bag;
  const open = (dialog: Dialog) => {
    setAnchor(null);
    onOpen(dialog);
  };
  const clear = async () => {
    setAnchor(null);
    await record(clearingOf(container.id, occupants, clock.now()), `bag ${container.label} cleared`);
  };
  const bin = async () => {
    setAnchor(null);
    await putInBin('containers', [container], `bag ${container.label}`);
    void navigate('/bags');
  };
  return (
    <>
      <Button
        component={Link}
        to={`/round/${container.id}`}
        variant="contained"
        startIcon={<IconHandFinger aria-hidden />}
      >
        Check
      </Button>
      <Button variant="outlined" startIcon={<IconDroplet aria-hidden />} onClick={() => onOpen('watering')}>
        Water
      </Button>
      <Button variant="outlined" startIcon={<IconBasket aria-hidden />} onClick={() => onOpen('picking')}>
        Pick
      </Button>
      <Button variant="outlined" startIcon={<IconNote aria-hidden />} onClick={() => onOpen('note')}>
        Note
      </Button>
      <Button
        variant="outlined"
        aria-label="More"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ minWidth: 48, paddingInline: 1 }}
      >
        <IconDotsVertical aria-hidden />
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {!isEmpty && <MenuItem onClick={() => open('check')}>An earlier check</MenuItem>}
        <MenuItem component={Link} to={`/bags/${container.id}/edit`}>
          Change this bag
        </MenuItem>
        <MenuItem component={Link} to={`/bags/new?like=${container.id}`}>
          Add another like it
        </MenuItem>
        <MenuItem onClick={() => open('template')}>Keep as a template</MenuItem>
        <MenuItem component={Link} to={`/bench/fill?bags=${container.id}`}>
          Fill it
        </MenuItem>
        {!isEmpty && (
          <MenuItem component={Link} to={`/bench/drip?bag=${container.id}`}>
            Set its drip
          </MenuItem>
        )}
        <MenuItem onClick={() => open('carry')}>Move it to another place</MenuItem>
        <MenuItem onClick={() => open('gauge')}>Scale or probe</MenuItem>
        <MenuItem component={Link} to={`/bags/${container.id}/trouble`}>
          Look into trouble
        </MenuItem>
        {!isEmpty && <MenuItem onClick={() => open('tended')}>Work done</MenuItem>}
        <MenuItem onClick={() => open('spray')}>Spray or bait</MenuItem>
        <MenuItem onClick={() => open('clean')}>Clean it</MenuItem>
        {!isEmpty && <MenuItem onClick={() => told(clear())}>Clear its plants out</MenuItem>}
        <MenuItem onClick={() => told(bin())}>Delete</MenuItem>
      </Menu>
    </>
  );
}
