import { Button } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { realClock, useLostGarden } from '../store/index.ts';
import { fileName } from '../text/file-text.ts';
import { shortDay } from '../text/text.ts';
import { downloadBlob } from '../ui/download.ts';
import { Remark } from '../ui/Remark.tsx';

/**
 * Says that this browser had a garden and has lost it, or that it cannot open it, with the way to its second copy.
 *
 * @param garden its own name
 * @param isThere it is in the browser's database, which does not open
 */
export default function LostGarden({
  garden,
  isThere = false,
}: {
  readonly garden: string;
  readonly isThere?: boolean;
}) {
  const lost = useLostGarden(garden);
  if (!lost || (isThere && !lost.copy)) return null;
  const { at, copy } = lost;
  const today = dayOf(realClock.now());
  return (
    <Remark role="alert">
      {!isThere &&
        `A garden was open in this browser, last on ${shortDay(dayOf(at), today)}, and the browser has lost it. `}
      {isThere
        ? 'Rundel keeps a second copy of it beside the browser’s database.'
        : copy
          ? 'Its second copy is here, but could not be opened: save that to a file before anything else.'
          : 'If you have saved it to a file, open that.'}
      {copy && (
        <Button
          variant="outlined"
          sx={{ display: 'flex', marginBlockStart: 1 }}
          onClick={() => downloadBlob(fileName('second copy', today, 'json'), copy)}
        >
          Save the second copy
        </Button>
      )}
    </Remark>
  );
}
