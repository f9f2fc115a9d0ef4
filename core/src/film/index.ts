export { planSleeves, type CuttingPlan, type OrderProblem, type SleeveOrder } from './sleeves.ts';
export { liningStrip, piecesFrom, rolledDiameter, sheetFor, type SheetCut } from './rolled.ts';
