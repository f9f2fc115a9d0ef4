import { useRef } from 'react';

/** How long a finger rests before it means "this one, and more", in milliseconds. */
const LONG = 450;

/** Tells a finger that rests from one that taps. */
export function useLongPress(onLong: () => void) {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const was = useRef(false);
  const end = () => clearTimeout(timer.current);
  return {
    /** whether the press that is ending was a long one: the click that follows it means nothing more */
    wasLong: () => was.current,
    handlers: {
      onPointerDown({ pointerType }: { readonly pointerType: string }) {
        was.current = false;
        if (pointerType !== 'touch') return;
        timer.current = setTimeout(() => {
          was.current = true;
          onLong();
        }, LONG);
      },
      onPointerUp: end,
      onPointerCancel: end,
      onPointerMove({ movementX, movementY }: { readonly movementX: number; readonly movementY: number }) {
        // a finger that scrolls does not rest
        if (Math.hypot(movementX, movementY) > 6) end();
      },
      onContextMenu(event: { preventDefault(): void }) {
        if (was.current) event.preventDefault();
      },
    },
  };
}
