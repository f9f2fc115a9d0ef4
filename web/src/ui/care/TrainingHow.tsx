import { Box } from '@mui/material';
import type { TrainingRule } from '@rundel/core/care';
import type { TrainingFormId } from '@rundel/core/records';
import { useUnitFormat } from '../../store/index.ts';
import { inUnits } from '../../text/in-units.ts';
import { MARK_WORDS, TrainingDrawing } from '../../section/care/TrainingDrawing.tsx';

/** Where to pinch and where never, drawn, with how it is done. */
export default function TrainingHow({
  formId,
  rule,
}: {
  readonly formId: TrainingFormId;
  readonly rule: TrainingRule;
}) {
  const unitFormat = useUnitFormat();
  const kinds = [...new Set(rule.marks.map(({ kind }) => kind))];
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', marginBlock: 1 }}>
      <Box sx={{ flexShrink: 0, width: 130 }}>
        <TrainingDrawing formId={formId} marks={rule.marks} title={`${rule.what}: where`} height={176} />
      </Box>
      <Box sx={{ minWidth: 0, fontSize: '0.92rem' }}>
        {inUnits(rule.how, unitFormat)}
        <Box sx={{ color: 'text.secondary', marginBlockStart: 0.5 }}>
          {kinds.map((kind) => MARK_WORDS[kind]).join('; ')}.
        </Box>
      </Box>
    </Box>
  );
}
