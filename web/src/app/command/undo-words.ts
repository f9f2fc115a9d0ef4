import type { Command } from '@rundel/core/commands';
import { shortDay } from '../../text/text.ts';

/** What is not called as its kind is. */
const CALLED: Readonly<Partial<Record<Command['kind'], string>>> = {
  tended: 'job',
  trouble: 'trouble seen',
  gone: 'plant gone',
};

/** What undo calls it. */
export function undoWords(said: readonly [Command, ...Command[]]): string {
  const [{ kind, bags: of, drafts }] = said;
  if (said.length > 1) return `${said.length} deeds`;
  const [first] = drafts;
  if (first?.kind === 'weather') return `weather of ${shortDay(first.day)}`;
  return `${CALLED[kind] ?? kind} ${of.length === 1 ? `at ${of[0]?.label ?? ''}` : `at ${of.length} bags`}`;
}
