import { Box, Button, Typography } from '@mui/material';
import { addDays, dayOf } from '@rundel/core/calendar';
import { findCause, IN_MIX_ABOVE } from '@rundel/core/care';
import { OUTCOMES, type Draft, type Outcome } from '@rundel/core/records';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { titleOf } from '../../../text/bag-text.ts';
import { shortDay } from '../../../text/text.ts';
import { causeName, OUTCOME_WORDS, percent, signName } from '../../../text/trouble-text.ts';
import { causeOptions } from '../../../ui/entries/care-forms.ts';
import { usePlantOf } from '../../../ui/entries/Home.tsx';
import {
  choiceField,
  FormField,
  FormFields,
  switchField,
  textField,
  useFields,
} from '../../../ui/form/index.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { Page, Panel } from '../../../ui/Page.tsx';
import { useWhen } from '../../../ui/When.tsx';
import { newId, useBags, useGarden, type Bag } from '../../../store/index.ts';
import { NoSuchBag } from '../NoSuchBag.tsx';
import { Ranking } from './Ranking.tsx';
import { WhatWentBefore } from './WhatWentBefore.tsx';
import { SignPicker } from './SignPicker.tsx';
import { NextLook, WhatToDo } from './WhatToDo.tsx';
import { useInspection, type Inspection } from './use-inspection.ts';

/** Looking into trouble at a bag, or again at what was seen before. */
export default function TroublePage() {
  const { containerId } = useParams();
  const [params] = useSearchParams();
  const { bags } = useBags();
  const bag = bags.find((b) => b.container.id === containerId);
  if (!bag) return <NoSuchBag />;
  const caseId = params.get('case') ?? undefined;
  return <Inspecting key={`${bag.container.id} ${caseId ?? ''}`} bag={bag} caseId={caseId} />;
}

function Inspecting({ bag, caseId }: { readonly bag: Bag; readonly caseId: string | undefined }) {
  const { container } = bag;
  const plant = usePlantOf(bag.occupants, 'the whole bag');
  const when = useWhen({ kind: caseId ? 'followed-up' : 'trouble', containerId: container.id });
  const inspection = useInspection(bag, caseId, plant.facts.plantId, when.day);
  const { diagnosis, record, marks, followed, toggle, answer } = inspection;
  const [first] = diagnosis.ranked;
  const isSeen = diagnosis.cannotTell !== 'nothing-seen';
  return (
    <Page
      title={followed ? `Look again: bag ${container.label}` : `What is amiss with bag ${container.label}?`}
      lead={
        <>
          <Link to={`/bags/${container.id}`} style={{ color: 'inherit' }}>
            {titleOf(bag)}
          </Link>
          {followed &&
            `: ${causeName(followed.what)}, seen on ${shortDay(dayOf(followed.entry.at))}${
              followed.entry.seen?.length ? ` (${followed.entry.seen.map(signName).join(', ')})` : ''
            }`}
        </>
      }
    >
      <Box
        sx={{
          display: 'grid',
          gap: 2.5,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 460px)' },
          alignItems: 'start',
        }}
      >
        <Panel>
          {plant.field && <Box sx={{ marginBlockEnd: 2 }}>{plant.field}</Box>}
          <SignPicker seen={marks.seen} isFollowUp={followed !== undefined} onToggle={toggle} />
          {isSeen && (
            <WhatWentBefore record={record} recalled={marks.recalled} onRecall={inspection.recall} />
          )}
        </Panel>
        <Box sx={{ position: { md: 'sticky' }, top: 16 }} id="answer">
          <Panel title="What it may be">
            <Ranking diagnosis={diagnosis} record={inspection.known}>
              <NextLook diagnosis={diagnosis} onAnswer={answer} />
            </Ranking>
            <WhatToDo diagnosis={diagnosis} containerId={container.id} />
          </Panel>
          {isSeen &&
            (followed && caseId ? (
              <KeepFollowUp bag={bag} caseId={caseId} inspection={inspection} when={when} />
            ) : (
              <Keep bag={bag} plant={plant.facts} inspection={inspection} when={when} />
            ))}
        </Box>
      </Box>
      {isSeen && first && (
        <Box
          component="a"
          href="#answer"
          onClick={(event) => {
            event.preventDefault();
            document.getElementById('answer')?.scrollIntoView({ behavior: 'auto', block: 'start' });
          }}
          sx={{
            display: { xs: 'flex', md: 'none' },
            position: 'sticky',
            bottom: 'calc(72px + env(safe-area-inset-bottom))',
            zIndex: 4,
            justifyContent: 'space-between',
            gap: 1,
            minHeight: 48,
            alignItems: 'center',
            paddingInline: 2,
            border: '2px solid var(--action)',
            borderRadius: '12px',
            backgroundColor: 'var(--surface)',
            color: 'inherit',
          }}
        >
          <span>{diagnosis.cannotTell ? 'I cannot tell yet' : causeName(first.id)}</span>
          <strong>{percent(first.chance)}</strong>
        </Box>
      )}
    </Page>
  );
}

type When = ReturnType<typeof useWhen>;

/** The likeliest cause, where one can be named: what a grower would enter. */
const proposed = ({ diagnosis }: Inspection) =>
  diagnosis.cannotTell ? 'unknown' : (diagnosis.ranked[0]?.id ?? 'unknown');

/** What was seen goes into the diary, with what it is taken for, and is looked at again. */
function Keep({
  bag,
  plant,
  inspection,
  when,
}: {
  readonly bag: Bag;
  readonly plant: { readonly stationId?: string | undefined; readonly plantId?: string | undefined };
  readonly inspection: Inspection;
  readonly when: When;
}) {
  const { record } = useGarden();
  const navigate = useNavigate();
  const idea = proposed(inspection);
  const { bags } = useBags();
  const beside = bags.filter(
    (b) => b !== bag && b.container.placeId === bag.container.placeId && b.occupants.length > 0,
  );
  const [also, setAlso] = useState<readonly string[]>([]);
  const form = useFields({
    what: choiceField({
      label: 'What you take it for',
      options: [{ id: '', label: `As proposed: ${causeName(idea)}` }, ...causeOptions()],
    }),
    note: textField({ label: 'Note', help: 'Anything else that you saw.', longest: 2000, lines: 2 }),
  });
  const save = form.submit(async ({ what, note }) => {
    const at = when.read();
    if (at === undefined) return;
    const cause = findCause(what || idea);
    const { seen, unseen, recalled } = inspection.added;
    const draft: Draft<'trouble'> = {
      kind: 'trouble',
      at,
      containerId: bag.container.id,
      ...(plant.plantId && plant.stationId ? { stationId: plant.stationId, plantId: plant.plantId } : {}),
      caseId: newId('case'),
      what: what || idea,
      // what nobody can name is kept out of the next plant's mix where that may be it
      livesInMix: cause?.livesInMix ?? inspection.diagnosis.inMixChance > IN_MIX_ABOVE,
      seen: [...seen],
      unseen: [...unseen],
      ...(Object.keys(recalled).length > 0 ? { recalled } : {}),
      checkOn: addDays(dayOf(at), cause?.lookAgainDays ?? 5),
      ...(note ? { note } : {}),
    };
    const others = beside
      .filter(({ container }) => also.includes(container.id))
      .map(({ container }): Draft<'trouble'> => {
        const { stationId: _s, plantId: _p, ...same } = draft;
        return { ...same, containerId: container.id, caseId: newId('case') };
      });
    await record(
      [draft, ...others],
      `trouble seen at ${others.length > 0 ? `${1 + others.length} bags` : bag.container.label}`,
    );
    inspection.forget();
    void navigate(`/bags/${bag.container.id}`);
  });
  const days = findCause(form.texts.what || idea)?.lookAgainDays ?? 5;
  return (
    <Panel title="Put it in the diary">
      <Box sx={{ display: 'grid', gap: 2 }}>
        <FormFields form={form} />
        {beside.length > 0 && (
          <Box role="group" aria-label="The same in other bags">
            <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockEnd: 0.5 }}>
              The same in other bags here too?
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
              {beside.map(({ container: { id, label } }) => (
                <Button
                  key={id}
                  size="small"
                  variant={also.includes(id) ? 'contained' : 'outlined'}
                  aria-pressed={also.includes(id)}
                  aria-label={`Bag ${label} too`}
                  onClick={() =>
                    setAlso(also.includes(id) ? also.filter((one) => one !== id) : [...also, id])
                  }
                  sx={{ minWidth: 48, minHeight: 44 }}
                >
                  {label}
                </Button>
              ))}
            </Box>
          </Box>
        )}
        {when.field}
        <OnceButton variant="contained" onPress={save} sx={{ minHeight: 56 }}>
          Put in the diary
        </OnceButton>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          I ask you to look again in {days} {days === 1 ? 'day' : 'days'}. Nothing else follows from it.
        </Typography>
      </Box>
    </Panel>
  );
}

/** What came of it: the outcome is kept, and what it turned out to be is expected more readily here from then on. */
function KeepFollowUp({
  bag,
  caseId,
  inspection,
  when,
}: {
  readonly bag: Bag;
  readonly caseId: string;
  readonly inspection: Inspection;
  readonly when: When;
}) {
  const { record } = useGarden();
  const navigate = useNavigate();
  const before = inspection.followed?.what ?? 'unknown';
  const idea = proposed(inspection);
  const [outcome, setOutcome] = useState<Outcome>();
  const form = useFields({
    what: choiceField({
      label: 'What it turned out to be',
      options: [{ id: '', label: `As before: ${causeName(before)}` }, ...causeOptions(before)],
    }),
    isTaught: switchField({ label: 'I am sure of it: reckon with it here' }),
    note: textField({ label: 'Note', longest: 2000, lines: 2 }),
  });
  const save = form.submit(async ({ what, isTaught, note }) => {
    const at = when.read();
    if (at === undefined || outcome === undefined) return;
    const named = what || (isTaught ? before : '');
    const days = findCause(what || before)?.lookAgainDays ?? 5;
    const { seen, unseen } = inspection.added;
    const draft: Draft<'followed-up'> = {
      kind: 'followed-up',
      at,
      containerId: bag.container.id,
      caseId,
      outcome,
      ...(named ? { what: named } : {}),
      seen: [...seen],
      unseen: [...unseen],
      ...(outcome === 'over' ? {} : { checkOn: addDays(dayOf(at), days) }),
      ...(note ? { note } : {}),
    };
    await record([draft], `looked again at ${bag.container.label}`);
    inspection.forget();
    void navigate(`/bags/${bag.container.id}`);
  });
  return (
    <Panel title="How is it now?">
      <Box sx={{ display: 'grid', gap: 2 }}>
        <Box
          role="group"
          aria-label="How it is now"
          sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 1 }}
        >
          {OUTCOMES.filter((o) => !o.startsWith('leaf')).map((each) => (
            <Button
              key={each}
              variant={outcome === each ? 'contained' : 'outlined'}
              aria-pressed={outcome === each}
              onClick={() => setOutcome(each)}
              sx={{ minHeight: 56, paddingInline: 0.5 }}
            >
              {OUTCOME_WORDS[each]}
            </Button>
          ))}
        </Box>
        {idea !== before && !inspection.diagnosis.cannotTell && (
          <Typography>By all that was seen since, it looks more like {causeName(idea)}.</Typography>
        )}
        <FormField form={form} name="what" />
        {!form.texts.what && <FormField form={form} name="isTaught" />}
        <FormField form={form} name="note" />
        {when.field}
        <OnceButton
          variant="contained"
          onPress={save}
          disabled={outcome === undefined}
          sx={{ minHeight: 56 }}
        >
          Put in the diary
        </OnceButton>
      </Box>
    </Panel>
  );
}
