import { Button, type ButtonProps } from '@mui/material';
import { lazy, Suspense, useState, type ComponentType } from 'react';
import type ChoiceMenuOf from './ChoiceMenu.tsx';

/** Not part of the first load: it is fetched when a button that needs it is first pressed. */
const ChoiceMenu = lazy(() => import('./ChoiceMenu.tsx')) as unknown as typeof ChoiceMenuOf & ComponentType;

/** A button that asks which of some choices, in one more tap. */
export function ChoiceButton<T extends string>({
  choices,
  onChoose,
  children,
  ...button
}: Omit<ButtonProps, 'onClick'> & {
  readonly choices: readonly { readonly id: T; readonly label: string }[];
  onChoose(id: T): void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button {...button} aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        {children}
      </Button>
      {anchor && (
        <Suspense>
          <ChoiceMenu
            anchor={anchor}
            choices={choices}
            onChoose={(id: T) => {
              setAnchor(null);
              onChoose(id);
            }}
            onClose={() => setAnchor(null)}
          />
        </Suspense>
      )}
    </>
  );
}
