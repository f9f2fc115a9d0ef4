import * as z from '@rundel/core/schema';
import type { FieldContext, Fields, Texts, ValuesOf } from './field.ts';

export type AnyTexts = Record<string, string>;

/** What is wrong although every field reads, and at which field it is said. */
export interface FieldProblem<Name extends string = string> {
  readonly at: Name;
  readonly problem: string;
}

/** What a form begins with, and what it watches over. */
export interface FormStart<F extends Fields> {
  /** values that fields begin with; the others are empty. One whose text is not touched stays just what it was */
  readonly values?: { readonly [K in keyof F]?: ValuesOf<F>[K] | undefined };
  /** texts to show for values, as they were once typed */
  readonly texts?: { readonly [K in keyof F]?: string | undefined };
  /** whether what is wrong is said while it is typed, since an answer beside the form follows it */
  readonly isLive?: boolean;
  /** whether a field is asked now: one that is not keeps its text and is not read (its value is undefined) */
  isAsked?(name: keyof F & string, texts: Readonly<Texts<F>>): boolean;
  /** what does not go together in values of which each reads; one that does not is undefined here */
  check?(values: Partial<ValuesOf<F>>): readonly FieldProblem<keyof F & string>[];
}

export interface Beginning {
  readonly values: Readonly<Record<string, unknown>>;
  readonly texts: AnyTexts;
}

/** The values and texts of a form at its start; which fields there are may hang on the texts themselves. */
export function beginning<F extends Fields>(
  fieldsFor: (texts: AnyTexts) => F,
  start: Pick<FormStart<F>, 'values' | 'texts'>,
  context: FieldContext,
): Beginning {
  const values: Readonly<Record<string, unknown>> = start.values ?? {};
  const textsOf = (fields: F) =>
    Object.fromEntries(
      Object.entries(fields).map(([name, field]): [string, string] => {
        const typed = start.texts?.[name];
        if (typed !== undefined) return [name, typed];
        if (values[name] !== undefined) return [name, field.write(values[name], context)];
        const { input } = field;
        // of a row of buttons none is pressed until one is
        return [name, input.kind === 'choice' && !input.isRow ? (input.options[0]?.id ?? '') : ''];
      }),
    );
  return { values, texts: textsOf(fieldsFor(textsOf(fieldsFor({})))) };
}

/**
 * The fields as they are read now: one that is not asked has no value, and what a field began with and nobody touched is its
 * value to the last digit, not what its rounded text reads as.
 */
export function asked<F extends Fields>(
  fields: F,
  first: Beginning,
  start: Pick<FormStart<F>, 'isAsked'>,
  texts: AnyTexts,
): F {
  return Object.fromEntries(
    Object.entries(fields).map(([name, field]): [string, Fields[string]] => {
      const began = first.values[name];
      const isUntouched = began !== undefined && texts[name] === first.texts[name];
      if (start.isAsked?.(name, texts as Texts<F>) === false)
        return [name, { ...field, read: () => ({ ok: true, value: undefined }) }];
      return [name, isUntouched ? { ...field, read: () => ({ ok: true, value: began }) } : field];
    }),
  ) as F;
}

export function valuesOf<F extends Fields>(
  fields: F,
  texts: Readonly<Record<string, string | undefined>>,
  context: FieldContext,
): Partial<ValuesOf<F>> {
  const read = Object.entries(fields).flatMap(([name, field]) => {
    const result = field.read(texts[name] ?? '', context);
    return result.ok ? [[name, result.value]] : [];
  });
  return Object.fromEntries(read) as Partial<ValuesOf<F>>;
}

/** Whether all of some fields read, so that their values are there. */
export function isWhole<F extends Fields>(form: {
  readonly fields: F;
  readonly values: Partial<ValuesOf<F>>;
}): form is { readonly fields: F; readonly values: ValuesOf<F> } {
  return Object.keys(form.fields).every((name) => name in form.values);
}

/**
 * The schema of a form: each text is read by its field, what is wrong is said there, and all of it at once. What does not go
 * together is looked for among the values that read; the first that is wrong with a field is what is said of it.
 */
export function schemaOf<F extends Fields>(
  fields: F,
  context: FieldContext,
  check: FormStart<F>['check'] = () => [],
) {
  return z.pipe(
    z.custom<Readonly<Partial<AnyTexts>>>(),
    z.transform((texts, { issues }): ValuesOf<F> => {
      const say = (at: string, message: string) =>
        issues.push({ code: 'custom', path: [at], message, input: texts });
      const values: Record<string, unknown> = {};
      for (const [name, field] of Object.entries(fields)) {
        // a field that has just come into the form has no text yet
        const read = field.read(texts[name] ?? '', context);
        if (read.ok) values[name] = read.value;
        else say(name, read.problem);
      }
      for (const { at, problem } of check(values as Partial<ValuesOf<F>>)) say(at, problem);
      return values as ValuesOf<F>;
    }),
  );
}

/** A form's texts read at once, without a screen: the values, or what is wrong by field. */
export function readForm<F extends Fields>(
  described: F | ((texts: Readonly<AnyTexts>) => F),
  start: FormStart<F>,
  typed: { readonly [K in keyof F]?: string },
  context: FieldContext,
):
  | { readonly ok: true; readonly fields: F; readonly values: ValuesOf<F> }
  | { readonly ok: false; readonly problems: Readonly<Record<string, string>> } {
  const fieldsFor = (texts: AnyTexts) => (typeof described === 'function' ? described(texts) : described);
  const first = beginning(fieldsFor, start, context);
  const texts = { ...first.texts, ...(typed as AnyTexts) };
  const fields = fieldsFor(texts);
  const read = schemaOf(asked(fields, first, start, texts), context, start.check?.bind(start)).safeParse(
    texts,
  );
  if (read.success) return { ok: true, fields, values: read.data };
  const problems = read.error.issues.map(({ path, message }) => [path.join('.'), message] as const);
  // of several that are wrong with one field the first is said
  return { ok: false, problems: Object.fromEntries(problems.reverse()) };
}
