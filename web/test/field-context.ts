import type { UnitSystem } from '@rundel/core/units';
import { unitFormatIn } from '../src/store/unit-format.ts';
import type { FieldContext } from '../src/ui/form/index.ts';

/** What fields are read with, in a system of units and without measures of one's own. */
export function fieldsIn(system: UnitSystem, measures: FieldContext['measures'] = []): FieldContext {
  return { unitFormat: unitFormatIn(system), measures, currency: '£' };
}
