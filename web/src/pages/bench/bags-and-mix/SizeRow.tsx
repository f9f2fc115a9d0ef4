import { Box, ButtonBase } from '@mui/material';
import type { Crop, Habit } from '@rundel/core/plants';
import type { Fit } from '@rundel/core/planting';
import type { DryMonth } from '@rundel/core/away';
import { worstWords } from '../../../text/rounds-text.ts';
import { useDeferredValue, useMemo } from 'react';
import { BagElevation, grownOccupants, sceneOf, type Scene } from '../../../section/index.ts';
import { useGarden, useUnitFormat } from '../../../store/index.ts';
import type { TriedSize } from '@rundel/core/garden-state';

const FIT_WORDS: Record<Fit, string> = {
  'too-small': 'too small',
  borderline: 'borderline',
  works: 'works',
  easy: 'easy',
  roomy: 'roomy',
};

const KEPT_WORDS = { kept: 'kept', mostly: 'kept on most hot days', 'not-kept': 'not kept in heat' } as const;

const NOT_YET: readonly Scene[] = [];

/** Pixels that the tallest plant may take. */
const TALL = 250;

/** Sizes side by side on one ground line and at one scale, each with a grown plant; the recommended ones underlined. */
export function SizeRow({
  sizes,
  chosen,
  crop,
  habit,
  roundWords,
  dryOf,
  onChoose,
}: {
  readonly sizes: readonly TriedSize[];
  readonly chosen: TriedSize | undefined;
  readonly crop: Crop;
  readonly habit: Habit;
  readonly roundWords: string;
  dryOf(size: TriedSize): readonly DryMonth[] | undefined;
  onChoose(key: string): void;
}) {
  const { clock, garden } = useGarden();
  const unitFormat = useUnitFormat();
  const now = clock.now();
  const scenes = useMemo(
    () =>
      sizes.map((tried) =>
        sceneOf(
          { support: { kind: 'none', heightMillimetres: 0 }, stations: Array.from({ length: tried.plants }) },
          tried.properties,
          grownOccupants(crop, habit, tried.plants, now),
          undefined,
          now,
          garden.settings,
        ),
      ),
    [crop, garden.settings, habit, now, sizes],
  );
  // words first, drawings in the next breath: six grown plants are a thousand strokes
  const drawn = useDeferredValue(scenes, NOT_YET);
  const scale = Math.min(0.15, TALL / Math.max(...scenes.map((s) => s.top)));
  return (
    <Box
      role="radiogroup"
      aria-label={`Sizes, watered ${roundWords}`}
      sx={{
        display: 'flex',
        alignItems: 'flex-end',
        gap: 0.5,
        overflowX: 'auto',
        paddingBlock: 1,
        marginBlockStart: 1,
      }}
    >
      {sizes.map((tried, i) => {
        const isChosen = tried.key === chosen?.key;
        const scene = drawn[i];
        return (
          <ButtonBase
            key={tried.key}
            role="radio"
            aria-checked={isChosen}
            onClick={() => onChoose(tried.key)}
            sx={{
              flex: '1 0 132px',
              display: 'grid',
              alignContent: 'end',
              textAlign: 'center',
              borderRadius: '10px',
              paddingBlockEnd: 1,
              backgroundColor: isChosen ? 'var(--action-wash)' : 'transparent',
              outline: isChosen ? '2px solid var(--action)' : 'none',
              outlineOffset: -2,
            }}
          >
            <Box sx={{ display: 'grid', justifyItems: 'center', borderBlockEnd: '3px solid var(--ink)' }}>
              {scene ? (
                <BagElevation scene={scene} pixelsPerMillimetre={scale} />
              ) : (
                <Box sx={{ height: TALL + 20 }} />
              )}
            </Box>
            <Box
              sx={{
                height: 7,
                marginBlockStart: '3px',
                backgroundColor: tried.isRecommended ? 'var(--action)' : 'transparent',
              }}
            />
            <Box component="strong" sx={{ fontSize: '1.25rem', marginBlockStart: 0.5 }}>
              {tried.name}
            </Box>
            <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>
              really{' '}
              {unitFormat.range(tried.properties.real.litres.low, tried.properties.real.litres.high, 'bag')}
            </Box>
            {tried.plants > 1 && <Box sx={{ fontSize: '0.85rem' }}>{tried.plants} plants</Box>}
            <Box sx={{ fontWeight: 700, fontSize: '0.95rem' }}>
              {FIT_WORDS[tried.fit]}
              {tried.isRecommended ? ', recommended' : ''}
            </Box>
            <Box sx={{ fontSize: '0.85rem', color: 'text.secondary', paddingInline: 0.5 }}>
              {KEPT_WORDS[tried.kept]}
            </Box>
            <Box sx={{ fontSize: '0.85rem', paddingInline: 0.5, minHeight: '2.6em' }}>
              {worstWords(dryOf(tried))}
            </Box>
            <Box sx={{ fontSize: '0.85rem', paddingInline: 0.5 }}>
              {unitFormat.show(tried.properties.drainedKilograms, 'weight')} wet
            </Box>
          </ButtonBase>
        );
      })}
    </Box>
  );
}
