import { plansFor } from '@rundel/core/garden-state';
import { cropOf, habitOf } from '@rundel/core/plants';
import type { Plan } from '@rundel/core/records';
import { Alert, Box, Button, Menu, MenuItem, Typography, useMediaQuery } from '@mui/material';
import { IconBasket, IconDotsVertical, IconDroplet, IconHandFinger, IconNote } from '@tabler/icons-react';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { kindWords, seenStore, titleOf } from '../../text/bag-text.ts';
import { EntryDialog, type NewEntryKind } from '../../ui/entries/EntryDialog.tsx';
import { Page, Panel } from '../../ui/Page.tsx';
import { PlantingAdvice } from '../../ui/PlantingAdvice.tsx';
import { shortDay } from '../../text/text.ts';
import { BagSection, sceneOf } from '../../section/index.ts';
import { useBags, useGarden, useUnitFormat, type Bag, told } from '../../store/index.ts';
import { Diary } from './Diary.tsx';
import { FeedPanel } from './FeedPanel.tsx';
import { GaugeDialog } from './GaugeDialog.tsx';
import { GrowthPanel } from './GrowthPanel.tsx';
import { MakePanel } from './MakePanel.tsx';
import { plantedWords } from '../../text/planted-text.ts';
import { NoSuchBag } from './NoSuchBag.tsx';
import { CheckDialog } from './CheckDialog.tsx';
import { PlantDialog } from './PlantDialog.tsx';
import { TemplateDialog } from './TemplateDialog.tsx';
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
    <Page title={`Bag ${label} is in the bin`}>
      <Typography sx={{ marginBlockEnd: 2 }}>
        Its diary is kept. It can be taken out of the bin on the files page.
      </Typography>
      <Button component={Link} to="/files" variant="contained">
        To the bin
      </Button>
    </Page>
  );
}

/** The parts that are touched in the drawing to change them; what is planted is changed in the diary. */
const EDITED_SPOTS = ['support', 'mulch', 'mix', 'water', 'place'] as const;

type Dialog = NewEntryKind | 'check' | 'plant' | 'template' | 'gauge';

const isNewEntry = (dialog: Dialog | undefined): dialog is NewEntryKind =>
  dialog === 'picking' || dialog === 'note' || dialog === 'watering' || dialog === 'trouble';

function OneBag({ bag, problem }: { readonly bag: Bag; readonly problem: string | undefined }) {
  const { garden, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const isPhone = useMediaQuery('(max-width: 599px)');
  const [dialog, setDialog] = useState<Dialog>();
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
  const close = () => setDialog(undefined);
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
          <PlantingPanel bag={bag} onPlant={() => setDialog('plant')} />
          {!isEmpty && <GrowthPanel bag={bag} />}
          <MakePanel bag={bag} />
          <Panel title="Diary">
            <Diary containerId={bag.container.id} />
          </Panel>
        </Box>
      </Box>
      {isNewEntry(dialog) && <EntryDialog bags={[bag]} kind={dialog} onClose={close} />}
      {dialog === 'check' && <CheckDialog bag={bag} onClose={close} />}
      {dialog === 'plant' && <PlantDialog bags={[bag]} onClose={close} />}
      {dialog === 'gauge' && <GaugeDialog bag={bag} onClose={close} />}
      {dialog === 'template' && <TemplateDialog bag={bag} onClose={close} />}
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
    const at = clock.now();
    await record(
      occupants.map((o) => ({
        kind: 'cleared',
        at,
        containerId: container.id,
        stationId: o.stationId,
        plantId: o.plant.id,
      })),
      `bag ${container.label} cleared`,
    );
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
        <MenuItem onClick={() => open('gauge')}>Scale or probe</MenuItem>
        <MenuItem onClick={() => open('trouble')}>Put trouble on record</MenuItem>
        {!isEmpty && <MenuItem onClick={() => told(clear())}>Clear its plants out</MenuItem>}
        <MenuItem onClick={() => told(bin())}>Delete</MenuItem>
      </Menu>
    </>
  );
}

/** What is to go into a bag, as far as the grower has said it, and how it would be planted. */
function Planned({ plan, bag }: { readonly plan: Plan; readonly bag: Bag }) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const crop = cropOf(plan.cropId);
  const habit = habitOf(crop.id, plan.habitId);
  const day = shortDay(plan.plantOn, dayOf(clock.now()));
  const practiceId = plan.practiceId ?? garden.settings.depthPracticeId;
  return (
    <Box sx={{ marginBlockEnd: 2 }}>
      <Typography sx={{ marginBlockEnd: 0.5 }}>
        <strong>
          Planned: {plan.plantName ? `${plan.plantName}, ` : ''}
          {plan.varietyName ?? crop.name}
        </strong>
        , {crop.name.toLowerCase()}, {habit.name.toLowerCase()}
        {plan.seedling ? `, ${unitFormat.show(plan.seedling.stemMillimetres, 'height')} tall` : ''}.{' '}
        {plan.isDayOpen ? `No day yet; from about ${day} on.` : `On ${day}.`}{' '}
        <Link to="/season" style={{ color: 'inherit' }}>
          Its year
        </Link>
      </Typography>
      {plan.seedling && (
        <PlantingAdvice
          crop={crop}
          habit={habit}
          seedling={plan.seedling}
          properties={bag.properties}
          stations={bag.container.stations.length}
          practiceId={practiceId}
        />
      )}
    </Box>
  );
}

/** How each plant in the bag was to be planted; for an empty one, the way to plant it. */
function PlantingPanel({ bag, onPlant }: { readonly bag: Bag; onPlant(): void }) {
  const { garden, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const free = bag.container.stations.length - bag.occupants.length;
  const seen = new Set<string>();
  const different = bag.occupants.filter((o) => {
    const key = JSON.stringify([o.variety.id, o.plantedOn, o.planted.seedling, o.planted.practiceId]);
    return !seen.has(key) && seen.add(key);
  });
  return (
    <Panel title="Planting">
      {different.map((occupant) => {
        const days = daysBetween(occupant.plantedOn, dayOf(clock.now()));
        const age =
          days === 0
            ? 'today'
            : days === 1
              ? 'yesterday'
              : `${shortDay(occupant.plantedOn, dayOf(clock.now()))}, ${days} days ago`;
        return (
          <Box key={occupant.planted.id} sx={{ marginBlockEnd: 2 }}>
            <Typography sx={{ color: 'text.secondary', marginBlockEnd: 0.5 }}>
              {occupant.plant.name ? `${occupant.plant.name}, ` : ''}
              {occupant.variety.name}: {occupant.crop.name.toLowerCase()}, {occupant.habit.name.toLowerCase()}
              . Planted {age}.
            </Typography>
            {occupant.planted.plantingMethodId ? (
              <Typography sx={{ fontSize: '1.1rem' }}>
                {plantedWords(occupant.planted, unitFormat)}
              </Typography>
            ) : (
              <PlantingAdvice
                seedling={occupant.planted.seedling}
                crop={occupant.crop}
                habit={occupant.habit}
                properties={bag.properties}
                stations={bag.container.stations.length}
                practiceId={occupant.planted.practiceId ?? garden.settings.depthPracticeId}
                isDone={days > 1}
              />
            )}
          </Box>
        );
      })}
      {free > 0 && (
        <Box>
          <Typography sx={{ marginBlockEnd: 1 }}>
            {bag.occupants.length === 0 ? 'Nothing is planted in it.' : `Room for ${free} more.`}
          </Typography>
          {plansFor(bag.container, garden, live).map((plan) => (
            <Planned key={plan.id} plan={plan} bag={bag} />
          ))}
          <Button variant={bag.occupants.length === 0 ? 'contained' : 'outlined'} onClick={onPlant}>
            Record planting
          </Button>{' '}
          <Button component={Link} to={`/round/planting?bag=${bag.container.id}`}>
            Plant it step by step
          </Button>
        </Box>
      )}
    </Panel>
  );
}
