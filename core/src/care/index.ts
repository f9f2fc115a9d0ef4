export {
  formOfPlant,
  ruleKey,
  rulesFollowed,
  TRAINING_FORMS,
  trainingForm,
  type TrainingForm,
} from './training/forms.ts';
export type { CutAt, CutMark, TrainingRule, TrainingTask } from './training/rules.ts';
export {
  bareStem,
  trainingDue,
  type SeenOrReckoned,
  type TrainedPlant,
  type TrainingDue,
} from './training/due.ts';
