import type { ButtonProps } from '@mui/material';
import { SKIP_REASONS } from '@rundel/core/records';
import { ChoiceButton } from '../../ui/ChoiceButton.tsx';
import { SKIP_WORDS } from '../../text/water-text.ts';

export type SkipReason = (typeof SKIP_REASONS)[number];

const CHOICES = SKIP_REASONS.map((id) => ({ id, label: SKIP_WORDS[id] }));

/** Leaves a bag for later, with the reason in one more tap. */
export function SkipButton({ onSkip, ...button }: ButtonProps & { onSkip(reason: SkipReason): void }) {
  return (
    <ChoiceButton {...button} choices={CHOICES} onChoose={onSkip}>
      Skip
    </ChoiceButton>
  );
}
