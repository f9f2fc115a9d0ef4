import { lazy } from 'react';

/**
 * The dialogs of a bag's page. They are a third of its code and most visits open none, so they are read together a little
 * after the page is drawn, or when the first is asked for.
 */
export const readDialogs = () => import('./all-dialogs.ts');

export const CarryDialog = lazy(() => readDialogs().then((all) => ({ default: all.CarryDialog })));
export const CheckDialog = lazy(() => readDialogs().then((all) => ({ default: all.CheckDialog })));
export const CorrectDialog = lazy(() => readDialogs().then((all) => ({ default: all.CorrectDialog })));
export const CorrectPlanting = lazy(() => readDialogs().then((all) => ({ default: all.CorrectPlanting })));
export const EntryDialog = lazy(() => readDialogs().then((all) => ({ default: all.EntryDialog })));
export const GaugeDialog = lazy(() => readDialogs().then((all) => ({ default: all.GaugeDialog })));
export const LeaveDialog = lazy(() => readDialogs().then((all) => ({ default: all.LeaveDialog })));
export const MeasureDialog = lazy(() => readDialogs().then((all) => ({ default: all.MeasureDialog })));
export const MovePlantDialog = lazy(() => readDialogs().then((all) => ({ default: all.MovePlantDialog })));
export const PlantDialog = lazy(() => readDialogs().then((all) => ({ default: all.PlantDialog })));
export const TemplateDialog = lazy(() => readDialogs().then((all) => ({ default: all.TemplateDialog })));
export const CleanDialog = lazy(() => readDialogs().then((all) => ({ default: all.CleanDialog })));
export const SprayDialog = lazy(() => readDialogs().then((all) => ({ default: all.SprayDialog })));
export const TestLeafDialog = lazy(() => readDialogs().then((all) => ({ default: all.TestLeafDialog })));
