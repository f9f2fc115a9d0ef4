export type { Command, CommandContext, CommandReading, SaidFeed, SaidSpray } from './command.ts';
export { inPlaceOfLast } from './correction.ts';
export { findingOf } from './finding.ts';
export { readPickedFacts } from './picked-facts.ts';
export { readCommand } from './read-command.ts';
export { bagNames, readBags, type BagNames, type NamedBag } from './which-bags.ts';
