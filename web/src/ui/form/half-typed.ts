import { createContext, use, useCallback, useEffect, useRef, useState } from 'react';
import type { FieldsForm } from './use-fields.ts';
import type { Fields } from './field.ts';

type AnyForm = FieldsForm<Fields>;
type Texts = Readonly<Record<string, string>>;

/** What was half typed in forms that were left, by what the form is for, until the page is loaded again. */
const LEFT = new Map<string, Texts>();

const Adopting = createContext<((form: AnyForm) => void) | undefined>(undefined);
export const AdoptingProvider = Adopting.Provider;

/** A field tells the dialog that it stands in which form it is of. */
export function useAdopted(form: AnyForm): void {
  const adopt = use(Adopting);
  useEffect(() => adopt?.(form));
}

/**
 * Keeps what was typed in a dialog that is left by Escape or a tap beside it, and puts it back when the same is asked again.
 *
 * @param key what the form is for
 */
export function useHalfTyped(key: string) {
  const [name] = useState(key);
  const [isAsLeft, setAsLeft] = useState(false);
  const form = useRef<AnyForm>(undefined);
  const adopt = useCallback(
    (adopted: AnyForm) => {
      const isFirst = form.current === undefined;
      form.current = adopted;
      const left = isFirst ? LEFT.get(name) : undefined;
      if (!left) return;
      adopted.restore(left);
      setAsLeft(true);
    },
    [name],
  );
  return {
    adopt,
    /** whether the form shows what was typed before it was left */
    isAsLeft,
    /** call when it is left without a word */
    leave() {
      if (form.current?.isChanged) LEFT.set(name, form.current.texts);
    },
    /** call when what was typed has been stored, or is not wanted */
    forget() {
      LEFT.delete(name);
    },
    beginAnew() {
      LEFT.delete(name);
      form.current?.restore({});
      setAsLeft(false);
    },
  };
}
