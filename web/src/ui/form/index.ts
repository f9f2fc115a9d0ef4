export { useAsBegun } from './as-begun.ts';
export * from './field.ts';
export { FormDialog } from './FormDialog.tsx';
export { FormField, FormFields } from './FormField.tsx';
export { InlineForm } from './InlineForm.tsx';
export { beginning, isWhole, readForm, type FieldProblem, type FormStart } from './read-form.ts';
export { useFieldContext, useFields, type FieldsForm } from './use-fields.ts';
