import { Box, Dialog, InputBase, Typography } from '@mui/material';
import {
  bagNames,
  inPlaceOfLast,
  readCommand,
  type Command,
  type CommandReading,
} from '@rundel/core/commands';
import { cropOf } from '@rundel/core/plants';
import { productsIn } from '@rundel/core/products';
import { isGivenInWater, type Draft } from '@rundel/core/records';
import { lazy, Suspense, useDeferredValue, useEffect, useMemo, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { newId, placesInUse, told, useBags, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { momentProblem } from '../../text/moment-problem.ts';
import { pickingDoubt } from '../../ui/entries/picking-doubt.ts';
import { useOnce } from '../../ui/once.ts';
import { Remark } from '../../ui/Remark.tsx';
import { useSaveToFile } from '../../pages/files/save-to-file.ts';
import { CorrectedPreview, FeedPreview, Preview, SprayPreview } from './Preview.tsx';
import { found, targetsOf, type Target } from './targets.ts';
import { undoWords } from './undo-words.ts';

const FeedDialog = lazy(() => import('../../ui/FeedDialog.tsx'));
const SprayDialog = lazy(() => import('../../ui/care/SprayDialog.tsx'));

/** What is put down by its form, which is opened with what was said. */
type ToOpen = Extract<CommandReading, { readonly kind: 'feed' | 'spray' }>;

const MOST_SHOWN = 8;

/** One line in which a bag is found, a page gone to, or what was done put down in plain words. */
export default function CommandBox({ onClose, onOtherGarden }: { onClose(): void; onOtherGarden(): void }) {
  const { garden, live, clock, record, undo, redo } = useGarden();
  const { bags } = useBags();
  const unitFormat = useUnitFormat();
  const navigate = useNavigate();
  const save = useSaveToFile();
  const [typed, setTyped] = useState('');
  const [active, setActive] = useState(0);
  const [entered, setEntered] = useState<string>();
  const [asked, setAsked] = useState<string>();
  const [opened, setOpened] = useState<ToOpen>();
  const line = useDeferredValue(typed);
  const targets = useMemo(() => targetsOf(garden, bags, unitFormat), [bags, garden, unitFormat]);
  const named = useMemo(
    () =>
      bagNames(
        bags.map((bag) => ({
          containerId: bag.container.id,
          label: bag.container.label,
          placeName: bag.place?.name ?? '',
          names: bag.occupants.flatMap(namesOf),
          placeId: bag.place?.id,
          plants: bag.occupants.map((occupant) => ({
            stationId: occupant.stationId,
            plantId: occupant.plant.id,
            names: namesOf(occupant),
            number: occupant.position + 1,
          })),
        })),
      ),
    [bags],
  );
  const feeds = useMemo(
    () =>
      productsIn(garden.products).flatMap(({ id, name, feed: label }) =>
        label ? [{ id, name, isInWater: isGivenInWater(label.form) }] : [],
      ),
    [garden.products],
  );
  const now = clock.now();
  const reading = readCommand(line, {
    bags: named,
    places: placesInUse(garden),
    measures: garden.measures.filter(({ binnedAt }) => !binnedAt),
    feeds,
    system: unitFormat.system,
    now,
  });
  const commandsSaid = reading.kind === 'command' ? reading.commands : undefined;
  const toOpen = reading.kind === 'feed' || reading.kind === 'spray' ? reading : undefined;
  const remark = reading.kind === 'other' ? reading.asNote : undefined;
  const said = (commandsSaid ?? (remark ? [remark] : [])).flatMap((command) => command.drafts);
  const corrected = commandsSaid?.[0].isCorrection ? inPlaceOfLast(said, live, now) : undefined;
  const drafts = corrected && 'drafts' in corrected ? corrected.drafts : said;
  const commands = commandsSaid && withDrafts(commandsSaid, drafts);
  const problem = corrected && 'problem' in corrected ? corrected.problem : problemOf(drafts);
  /** what is typed is a deed, and stands before what is found */
  const deeds = commands || toOpen ? 1 : 0;
  const results = found(targets, line, deeds > 0 ? 3 : MOST_SHOWN);
  // what nothing is made of stands behind what is found
  const count = results.length + deeds + (remark ? 1 : 0);
  const at = Math.min(active, Math.max(0, count - 1));

  function problemOf(all: readonly Draft[]): string | undefined {
    for (const draft of all) {
      const wrong = momentProblem(draft.at, draft, live, now);
      if (wrong) return wrong;
    }
    return undefined;
  }
  // that nobody weighed it was said, and need not be asked
  const doubt = commands
    ?.flatMap((command) => {
      const [picked] = command.drafts;
      return picked?.kind === 'picking' && !picked.isUnmeasured
        ? [pickingDoubt(picked, bagsMeant(command.bags, bags), picked.at, { garden, live, unitFormat })]
        : [];
    })
    .find((each) => each !== undefined);
  const put = useOnce(async (all: Commands) => {
    if (doubt !== undefined && doubt !== asked) return setAsked(doubt);
    await record(
      // a case keeps its name when what was said of it is corrected
      drafts.map((draft) => (draft.kind === 'trouble' ? { caseId: newId('case'), ...draft } : draft)),
      `${undoWords(all)}${corrected ? ' put right' : ''}`,
    );
    return onClose();
  });
  const go = (target: Target) => {
    onClose();
    if (target.to !== undefined) void navigate(target.to);
    else if (target.id === 'save') told(save('zip'));
    else if (target.id === 'undo') told(undo());
    else if (target.id === 'redo') told(redo());
    else if (target.id === 'other-garden') onOtherGarden();
  };
  const take = (index: number) => {
    if (index < deeds) {
      if (toOpen) setOpened(toOpen);
      else if (commands && !problem) put(commands);
      return;
    }
    const target = results[index - deeds];
    if (target) go(target);
    else if (remark && !problem) put([remark]);
  };
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by !== undefined) {
      event.preventDefault();
      setActive((at + by + count) % Math.max(1, count));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (line === typed) take(at);
      else setEntered(typed);
    }
  };
  // who types fast presses Enter before what was typed has been read
  useEffect(() => {
    if (entered === undefined || line !== typed) return;
    setEntered(undefined);
    if (entered === typed) take(at);
    // oxlint-disable-next-line react/exhaustive-deps
  }, [entered, line, typed]);
  const [first, ...others] = opened ? bagsToOpen(opened, bags) : [];
  if (opened && first)
    return (
      <Suspense>
        {opened.kind === 'feed' ? (
          <FeedDialog
            bags={[first, ...others]}
            said={opened.feed}
            productId={opened.feed.productId}
            onClose={onClose}
          />
        ) : (
          <SprayDialog bags={[first, ...others]} said={opened.spray} onClose={onClose} />
        )}
      </Suspense>
    );
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      slotProps={{
        paper: {
          sx: { marginBlockEnd: 'auto', marginBlockStart: { xs: 1, md: 8 } },
          'aria-label': 'Find or do',
        },
        // what opened it may be anywhere: the line itself is where one types
        transition: { timeout: 0 },
      }}
    >
      <Box sx={{ borderBlockEnd: '2px solid var(--ink)', paddingInline: 2 }}>
        <InputBase
          autoFocus
          fullWidth
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value);
            setEntered(undefined);
            setActive(0);
          }}
          onKeyDown={onKey}
          placeholder="picked 450 g from 7, check 3 dry, season …"
          inputProps={{
            role: 'combobox',
            'aria-label': 'Find a bag, a page or a deed, or say what was done',
            'aria-expanded': true,
            'aria-controls': 'command-results',
            'aria-activedescendant': count > 0 ? `command-${at}` : undefined,
            autoComplete: 'off',
            autoCorrect: 'off',
            spellCheck: false,
            enterKeyHint: 'go',
          }}
          sx={{ fontSize: '1.15rem', minHeight: 56 }}
        />
      </Box>
      <Box
        id="command-results"
        role="listbox"
        aria-label="What this could be"
        sx={{ overflowY: 'auto', maxHeight: 'min(60vh, 520px)' }}
      >
        {toOpen && (
          <Row index={0} active={at} onTake={take}>
            {toOpen.kind === 'feed' ? (
              <FeedPreview feed={toOpen.feed} meant={bagsToOpen(toOpen, bags)} />
            ) : (
              <SprayPreview spray={toOpen.spray} meant={bagsToOpen(toOpen, bags)} />
            )}
          </Row>
        )}
        {commands && (
          <Row index={0} active={at} onTake={take}>
            <Box sx={{ display: 'grid', gap: 0.75 }}>
              {commands.map((command, i) => (
                <Preview
                  key={`${command.kind} ${command.bags[0]?.containerId ?? ''}`}
                  command={command}
                  isOfSameTime={command.drafts[0]?.at === commands[i - 1]?.drafts[0]?.at}
                  meant={bagsMeant(command.bags, bags)}
                />
              ))}
            </Box>
            {corrected && 'before' in corrected && <CorrectedPreview before={corrected.before} />}
            {doubt !== undefined && (
              <Remark role="alert">
                {doubt} {doubt === asked && 'Press again if it is right.'}
              </Remark>
            )}
          </Row>
        )}
        {results.map((target, i) => (
          <Row key={target.id} index={i + deeds} active={at} onTake={take}>
            <Box component="span" sx={{ fontWeight: 'fontWeightMedium' }}>
              {target.label}
            </Box>
            <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.9rem', marginInlineStart: 1 }}>
              {target.what === 'do' ? '' : target.what}
            </Box>
          </Row>
        ))}
        {remark && (
          <Row index={count - 1} active={at} onTake={take}>
            <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
              Nothing more can be made of this; it can be kept as it stands:
            </Box>
            <Preview command={remark} isOfSameTime={false} meant={bagsMeant(remark.bags, bags)} />
          </Row>
        )}
      </Box>
      <Box aria-live="polite" sx={{ paddingInline: 2 }}>
        {(reading.kind === 'unfinished' || problem) && (
          <Typography sx={{ paddingBlock: 1.25 }}>
            {problem ?? (reading as { problem: string }).problem}
          </Typography>
        )}
        {count === 0 && reading.kind === 'other' && line !== '' && (
          <Typography sx={{ paddingBlock: 1.25 }}>
            Nothing here is called that. Say what you did, as “watered terrace 1 can”, or part of a name.
          </Typography>
        )}
      </Box>
    </Dialog>
  );
}

function Row({
  index,
  active,
  onTake,
  children,
}: {
  readonly index: number;
  readonly active: number;
  onTake(index: number): void;
  readonly children: React.ReactNode;
}) {
  return (
    <Box
      id={`command-${index}`}
      role="option"
      aria-selected={index === active}
      onClick={() => onTake(index)}
      sx={{
        minHeight: 48,
        paddingInline: 2,
        paddingBlock: 1.25,
        cursor: 'pointer',
        borderInlineStart: '5px solid transparent',
        ...(index === active && {
          backgroundColor: 'var(--action-wash)',
          borderInlineStartColor: 'var(--flower)',
        }),
        '&:hover': { backgroundColor: 'var(--action-wash)' },
      }}
    >
      {children}
    </Box>
  );
}

/** What a plant is called: by its own name, its variety's, or as what it is. */
const namesOf = ({ plant, variety }: Bag['occupants'][number]) => {
  const crop = variety.cropId === 'aubergine' ? ['Aubergine', 'Eggplant'] : [cropOf(variety.cropId).name];
  return [...new Set([plant.name ?? '', variety.name, ...crop])].filter((name) => name !== '');
};

type Commands = readonly [Command, ...Command[]];

/** Commands with other drafts in place of theirs, in the same order. */
function withDrafts([first, ...others]: Commands, drafts: readonly Draft[]): Commands {
  let from = 0;
  const next = (command: Command): Command => ({
    ...command,
    drafts: drafts.slice(from, (from += command.drafts.length)),
  });
  return [next(first), ...others.map(next)];
}

const bagsToOpen = (reading: ToOpen, bags: readonly Bag[]) =>
  bagsMeant(reading.kind === 'feed' ? reading.feed.bags : reading.spray.bags, bags);

const bagsMeant = (named: Command['bags'], bags: readonly Bag[]): readonly Bag[] =>
  named.flatMap(({ containerId }) => bags.filter(({ container }) => container.id === containerId));
