import { Box } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { Link, useParams, useSearchParams } from 'react-router';
import { titleOf } from '../../../text/bag-text.ts';
import { shortDay } from '../../../text/text.ts';
import { causeName, percent, signName } from '../../../text/trouble-text.ts';
import { usePlantOf } from '../../../ui/entries/Home.tsx';
import { Page, Panel } from '../../../ui/Page.tsx';
import { useWhen } from '../../../ui/When.tsx';
import { useBags, type Bag } from '../../../store/index.ts';
import { NoSuchBag } from '../NoSuchBag.tsx';
import { Keep } from './Keep.tsx';
import { KeepFollowUp } from './KeepFollowUp.tsx';
import { Ranking } from './Ranking.tsx';
import { WhatWentBefore } from './WhatWentBefore.tsx';
import { SignPicker } from './SignPicker.tsx';
import { NextLook, WhatToDo } from './WhatToDo.tsx';
import { useInspection } from './use-inspection.ts';

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
