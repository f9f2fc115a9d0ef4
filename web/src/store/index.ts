export { type Change } from './changes.ts';
export { moneyIn, useMoney, type Money } from './money.ts';
export { realClock, type Clock } from './clock.ts';
export { GardenProvider, useGarden, useGardenState } from './garden-context.tsx';
export { type AskedConflict, type GardenState, type OpenGarden } from './open-garden.ts';
export { told, type RecordChange, type Walk } from '../db/index.ts';
export { newId } from './ids.ts';
export { useNoteSavedToFile, useSavedToFile } from './saved-to-file.ts';
export { fetchTowns, type Town } from './towns.ts';
export { newGarden } from './new-garden.ts';
export { containersInUse, wateringMeasure, measuresInUse, placesInUse } from './selectors.ts';
export { useBagStates, useLedger, useWhatIf, type BagStates } from './bag-states.ts';
export {
  rememberGarden,
  rememberedGarden,
  gardenToOpen,
  withGardenNamed,
  type GardenId,
} from './garden-id.ts';
export { unitFormatIn, useUnitFormat, type UnitFormat } from './unit-format.ts';
export { useBags, type Bag } from './bags.ts';
export { useAwayPlan, useDryDays, type AwayState } from './away.ts';
export { canSaveItself, useAutoSave, useAutoSaving } from './auto-save.ts';
export { tidy } from './tidy.ts';
export { useStorageRoom } from './storage-room.ts';
export { useAddPhotos, useLoosePhotos, usePhotoUrl } from './photos.ts';
export { useOffline } from './offline.ts';
export { useCalendarFeed } from './calendar-feed.ts';
export { useReminderChoice } from './reminding.ts';
