export { ID_PREFIXES, idSchema, type IdOf } from './ids.ts';
export { daySchema, momentSchema } from './time.ts';
export {
  RECORD_SCHEMAS,
  monthNormalSchema,
  settingsSchema,
  type AddedStore,
  type Batch,
  type Container,
  type Gauge,
  type Measure,
  type OwnGood,
  type OwnMix,
  type Pack,
  type Plan,
  type Plant,
  type RecordOf,
  type Records,
  type Settings,
  type Stand,
  type TableName,
  type Template,
  type Variety,
} from './records.ts';
