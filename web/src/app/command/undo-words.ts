import type { Command } from '@rundel/core/commands';
import { shortDay } from '../../text/text.ts';

/** What undo calls it. */
export function undoWords(said: readonly [Command, ...Command[]]): string {
  const [{ kind, bags: of, drafts }] = said;
  if (said.length > 1) return `${said.length} deeds`;
  const [first] = drafts;
  if (first?.kind === 'weather') return `weather of ${shortDay(first.day)}`;
  return `${kind === 'tended' ? 'job' : kind === 'trouble' ? 'trouble seen' : kind} ${of.length === 1 ? `at ${of[0]?.label ?? ''}` : `at ${of.length} bags`}`;
}
