import { Box, ButtonBase, Typography } from '@mui/material';
import { plantingMethodOf, type PlantingOutcome } from '@rundel/core/planting';
import { type PlantingMethodId } from '@rundel/core/records';
import { obstacleWords, remedyWords } from '../../../text/planting-text.ts';
import { useUnitFormat } from '../../../store/index.ts';

/** Every planting method that bag and crop allow, as a choice of one; below them those that are closed, with what stands in the way. */
export function MethodList({
  plantingMethods,
  chosenId,
  onChoose,
}: {
  readonly plantingMethods: readonly PlantingOutcome[];
  readonly chosenId: PlantingMethodId | undefined;
  onChoose(id: PlantingMethodId): void;
}) {
  const unitFormat = useUnitFormat();
  const open = plantingMethods.flatMap((o) => (o.kind === 'planned' ? [o.plan.plantingMethodId] : []));
  const closed = plantingMethods.flatMap((o) => (o.kind === 'cannot' ? [o] : []));
  return (
    <Box>
      <Typography variant="h2" sx={{ marginBlockEnd: 1 }}>
        Ways to plant it
      </Typography>
      <Box role="group" aria-label="Ways to plant it" sx={{ display: 'grid', gap: 1 }}>
        {open.map((id) => {
          const plantingMethod = plantingMethodOf(id);
          const isChosen = id === chosenId;
          return (
            <ButtonBase
              key={id}
              aria-pressed={isChosen}
              onClick={() => onChoose(id)}
              sx={{
                display: 'block',
                textAlign: 'start',
                padding: 1.25,
                minHeight: 56,
                borderRadius: '10px',
                border: '2px solid',
                borderColor: isChosen ? 'var(--action)' : 'var(--line)',
                backgroundColor: isChosen ? 'var(--action-wash)' : 'var(--surface)',
              }}
            >
              <Box sx={{ fontWeight: 'fontWeightMedium' }}>{plantingMethod.name}</Box>
              <Box sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>{plantingMethod.description}</Box>
            </ButtonBase>
          );
        })}
      </Box>
      {closed.length > 0 && (
        <Box component="ul" sx={{ listStyle: 'none', padding: 0, marginBlock: 1.5, fontSize: '0.92rem' }}>
          {closed.map(({ plantingMethodId, obstacle }) => (
            <Box
              component="li"
              key={plantingMethodId}
              sx={{ paddingBlock: 0.75, borderBlockStart: '1px solid var(--line)', color: 'text.secondary' }}
            >
              <Box component="strong" sx={{ color: 'text.primary' }}>
                {plantingMethodOf(plantingMethodId).name}: not here.
              </Box>{' '}
              {obstacleWords(plantingMethodId, obstacle, unitFormat)} {remedyWords(obstacle.remedies)}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
