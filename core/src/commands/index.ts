export {
  findingOf,
  readCommand,
  type Command,
  type CommandContext,
  type CommandReading,
} from './read-command.ts';
export type { NamedBag } from './which-bags.ts';
