export * from './field.ts';
export { FormDialog } from './FormDialog.tsx';
export { FormField, FormFields } from './FormField.tsx';
export { InlineForm } from './InlineForm.tsx';
export { isWhole, readForm, type FieldProblem, type FormStart } from './read-form.ts';
export { useFields, type FieldsForm } from './use-fields.ts';
