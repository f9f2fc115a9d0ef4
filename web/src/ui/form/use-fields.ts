import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo, useRef, useState } from 'react';
import { useForm, useWatch, type Control, type Resolver } from 'react-hook-form';
import { measuresInUse, useGarden, useMoney, useUnitFormat, wateringMeasure } from '../../store/index.ts';
import type { FieldContext, Fields, Texts, ValuesOf } from './field.ts';
import { asked, beginning, schemaOf, valuesOf, type AnyTexts, type FormStart } from './read-form.ts';

/** A form made from its fields. */
export interface FieldsForm<F extends Fields> {
  readonly fields: F;
  readonly context: FieldContext;
  readonly control: Control<AnyTexts>;
  /** what stands in the fields */
  readonly texts: Readonly<Texts<F>>;
  /** what of it reads; a field that was left out and may be is there and undefined */
  readonly values: Partial<ValuesOf<F>>;
  readonly hasFailed: boolean;
  /** whether one of these fields says what is wrong with it */
  hasProblem(names: readonly (keyof F & string)[]): boolean;
  isAsked(name: keyof F & string): boolean;
  set(name: keyof F & string, text: string): void;
  /** whether anything stands in it that it did not begin with */
  readonly isChanged: boolean;
  /** puts texts back that were typed before; what they leave out is as the form began */
  restore(texts: Readonly<Partial<Texts<F>>>): void;
  /** begins again with other values */
  begin(values: NonNullable<FormStart<F>['values']>): void;
  /** says beside a field what is wrong with it; what was typed stays */
  refuse(name: keyof F & string, problem: string): void;
  /**
   * acts on the values once all fields read; else the first that does not has the focus, and says why
   *
   * @param refused is told which fields do not read: some may be out of sight
   */
  submit(
    act: (values: ValuesOf<F>, texts: Texts<F>) => unknown,
    refused?: (names: readonly string[]) => void,
  ): () => Promise<unknown>;
}

/**
 * The state of a form that is made from field descriptors.
 *
 * @param described the fields, or what gives them for what stands in the form (the habits of the crop that is chosen)
 */
export function useFields<F extends Fields>(
  described: F | ((texts: Readonly<AnyTexts>) => F),
  start: FormStart<F> = {},
): FieldsForm<F> {
  const context = useFieldContext();
  const fieldsFor = (texts: AnyTexts) => (typeof described === 'function' ? described(texts) : described);
  const [first, setFirst] = useState(() => beginning(fieldsFor, start, context));
  const read = (texts: AnyTexts) =>
    schemaOf(asked(fieldsFor(texts), first, start, texts), context, start.check?.bind(start));
  const latest = useRef(read);
  latest.current = read;
  const resolver = useMemo<Resolver<AnyTexts, unknown, ValuesOf<F>>>(
    () => (texts, extra, options) =>
      (zodResolver(latest.current(texts)) as unknown as Resolver<AnyTexts, unknown, ValuesOf<F>>)(
        texts,
        extra,
        options,
      ),
    [],
  );
  const form = useForm<AnyTexts, unknown, ValuesOf<F>>({
    defaultValues: first.texts,
    mode: start.isLive ? 'onChange' : 'onTouched',
    resolver,
  });
  const texts: AnyTexts = { ...first.texts, ...(useWatch({ control: form.control }) as AnyTexts) };
  const fields = fieldsFor(texts);
  const { errors, isSubmitted, isValid } = form.formState;
  return {
    fields,
    context,
    control: form.control as unknown as Control<AnyTexts>,
    texts: texts as Texts<F>,
    values: valuesOf(asked(fields, first, start, texts), texts, context),
    hasFailed: isSubmitted && !isValid,
    hasProblem: (names) => names.some((name) => errors[name] !== undefined),
    isAsked: (name) => start.isAsked?.(name, texts as Texts<F>) ?? true,
    // what was said to be wrong does not stand beside what put it right
    set: (name, text) =>
      form.setValue(name as string, text, { shouldValidate: isSubmitted || errors[name] !== undefined }),
    isChanged: Object.entries(texts).some(([name, text]) => text !== first.texts[name]),
    restore: (left) => form.reset({ ...first.texts, ...left }),
    begin(values) {
      const next = beginning(fieldsFor, { values }, context);
      setFirst(next);
      form.reset(next.texts);
    },
    refuse: (name, problem) => form.setError(name, { message: problem }, { shouldFocus: true }),
    submit: (act, refused) => () =>
      form.handleSubmit(
        (values) => act(values, { ...first.texts, ...form.getValues() } as Texts<F>),
        (problems) => refused?.(Object.keys(problems)),
      )(),
  };
}

/** What fields are read with in this garden. */
export function useFieldContext(): FieldContext {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  return useMemo(
    () => ({
      unitFormat,
      measures: [wateringMeasure(garden), ...measuresInUse(garden)],
      currency: money.sign,
    }),
    [garden, money, unitFormat],
  );
}
