import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  LinearProgress,
  Typography,
} from '@mui/material';
import type { Progress } from '@rundel/core/garden-file';
import { useEffect, useRef, useState } from 'react';
import { SetAsideList } from './SetAsideList.tsx';
import { reportWords, rowsWords } from '../../text/file-text.ts';
import { agoWords, shortDay } from '../../text/text.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { FileInWorker, type FileFound, type HowToOpen, type OpeningReport } from '../../workers/file.ts';

/** What can be opened: an archive, or the plain JSON in it. */
export const GARDEN_FILES = '.zip,.json,application/zip,application/json';

/** Where the garden is that a file is opened beside or in place of. */
export interface OpenedBeside {
  /** the garden's own name, and the database that it is in; undefined database: there is none yet */
  readonly garden: string;
  readonly database: string | undefined;
}

type Step =
  | { readonly kind: 'reading'; readonly progress?: Progress }
  | { readonly kind: 'refused'; readonly problem: string }
  | { readonly kind: 'found'; readonly found: FileFound; readonly report: OpeningReport }
  | { readonly kind: 'writing'; readonly progress?: Progress };

/**
 * A file that was chosen: read in a worker, what is in it and what would change is shown, and only then is anything changed. It can
 * be stopped at any time.
 *
 * @param onPut takes the database that the file's garden was written to
 */
export function OpenFile({
  file,
  beside,
  today,
  onPut,
  onClose,
}: {
  readonly file: File;
  readonly beside: OpenedBeside;
  readonly today: string;
  onPut(database: string, how: HowToOpen, found: FileFound): Promise<void>;
  onClose(): void;
}) {
  const [step, setStep] = useState<Step>({ kind: 'reading' });
  const inWorker = useRef<FileInWorker>(undefined);
  const { garden, database } = beside;
  useEffect(() => {
    const worker = new FileInWorker();
    inWorker.current = worker;
    const read = async () => {
      const answer = await worker.read(file, (progress) => setStep({ kind: 'reading', progress }));
      if (answer.kind === 'refused') return setStep(answer);
      const report = database === undefined ? undefined : await worker.compare(database);
      return setStep({ kind: 'found', found: answer, report });
    };
    read().catch((error: unknown) => setStep(failed(error)));
    return () => worker.letGo();
  }, [file, database]);
  const put = async (how: HowToOpen, found: FileFound) => {
    setStep({ kind: 'writing' });
    try {
      const filled = await inWorker.current?.put(how, garden, (progress) =>
        setStep({ kind: 'writing', progress }),
      );
      if (filled !== undefined) await onPut(filled, how, found);
    } catch (error) {
      setStep(failed(error));
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle variant="h2" sx={{ overflowWrap: 'anywhere' }}>
        Open “{file.name}”
      </DialogTitle>
      <DialogContent>
        {step.kind === 'refused' && (
          <Alert severity="error">
            “{file.name}” was not opened. {step.problem}{' '}
            {/Nothing was changed/.test(step.problem) ? '' : 'Nothing here was changed.'}
          </Alert>
        )}
        {(step.kind === 'reading' || step.kind === 'writing') && (
          <Working
            words={step.kind === 'reading' ? 'Reading the file' : 'Putting it in place'}
            progress={step.progress}
          />
        )}
        {step.kind === 'found' && <Found found={step.found} report={step.report} today={today} />}
      </DialogContent>
      <DialogActions sx={{ padding: 2, flexWrap: 'wrap', gap: 1 }}>
        <Button onClick={onClose}>{step.kind === 'refused' ? 'Close' : 'Cancel'}</Button>
        {step.kind === 'found' && step.report && (
          <OnceButton variant="outlined" onPress={() => put('merge', step.found)}>
            Merge with what is here
          </OnceButton>
        )}
        {step.kind === 'found' && (
          <OnceButton variant="contained" onPress={() => put('replace', step.found)}>
            {step.report ? 'Replace what is here' : 'Open it'}
          </OnceButton>
        )}
      </DialogActions>
    </Dialog>
  );
}

function failed(error: unknown): Step {
  return { kind: 'refused', problem: error instanceof Error ? error.message : String(error) };
}

function Working({ words, progress }: { readonly words: string; readonly progress?: Progress | undefined }) {
  return (
    <Box role="status">
      <Typography sx={{ marginBlockEnd: 1 }}>
        {words}
        {progress
          ? `: ${rowsWords('entries', progress.done).split(' ')[0] ?? ''} of ${progress.all.toLocaleString('en-GB')} rows`
          : '…'}
      </Typography>
      <LinearProgress
        aria-label={words}
        {...(progress && progress.all > 0
          ? { variant: 'determinate', value: (100 * progress.done) / progress.all }
          : {})}
      />
    </Box>
  );
}

function Found({
  found,
  report,
  today,
}: {
  readonly found: FileFound;
  readonly report: OpeningReport;
  readonly today: string;
}) {
  const { gardenName, bags, plants, entries, photos, savedAt, from, until } = found;
  const parts = [rowsWords('containers', bags), rowsWords('plants', plants), rowsWords('entries', entries)];
  if (photos > 0) parts.push(`${photos} ${photos === 1 ? 'photograph' : 'photographs'}`);
  return (
    <>
      <Typography sx={{ overflowWrap: 'anywhere' }}>
        <strong>{gardenName}</strong>: {parts.join(', ')}
        {from && until ? `, from ${shortDay(from, today)} to ${shortDay(until, today)}` : ''}; saved{' '}
        {agoWords(savedAt.slice(0, 10), today)}.
      </Typography>
      {found.warnings.map((warning) => (
        <Alert key={warning} severity="warning" sx={{ marginBlockStart: 1.5 }}>
          {warning}
        </Alert>
      ))}
      {found.setAsideCount > 0 && (
        <Alert severity="warning" sx={{ marginBlockStart: 1.5 }}>
          {rowsWords('', found.setAsideCount).replace(/ of ""/, '')}{' '}
          {found.setAsideCount === 1
            ? 'does not read. It is kept aside, goes into every file that you save, and counts for nothing until a Rundel can read it'
            : 'do not read. They are kept aside, go into every file that you save, and count for nothing until a Rundel can read them'}
          ; everything else is opened.
          <SetAsideList rows={found.setAside} />
        </Alert>
      )}
      {report && (
        <>
          <Change
            title="Merged with what is here"
            lines={reportWords(report.merge)}
            nothing="Nothing would change."
          />
          <Change
            title="In place of what is here"
            lines={[
              ...reportWords(report.replace),
              ...(report.gone > 0 ? [`No longer here: ${rowsWords('entries', report.gone)}.`] : []),
            ]}
            nothing="Nothing would change."
          />
          <Typography sx={{ marginBlockStart: 1.5, color: 'text.secondary' }}>
            A merge keeps both: every entry of either, and of a bag or a setting what was said last. Either
            can be undone until you leave the page.
          </Typography>
        </>
      )}
    </>
  );
}

function Change({
  title,
  lines,
  nothing,
}: {
  readonly title: string;
  readonly lines: readonly string[];
  readonly nothing: string;
}) {
  return (
    <Box sx={{ marginBlockStart: 1.5 }}>
      <Typography variant="h3">{title}</Typography>
      {(lines.length > 0 ? lines : [nothing]).map((line) => (
        <Typography key={line}>{line}</Typography>
      ))}
    </Box>
  );
}
