import { WateringDialog, NoteDialog, PickDialog } from '../../ui/EntryDialogs.tsx';
import type { Bag } from '../../store/index.ts';

export type StopDialog = 'pick' | 'note' | 'watering';

/** The small forms of a stop; loaded when the first of them is asked for. */
export default function StopDialogs({
  bag,
  dialog,
  onClose,
}: {
  readonly bag: Bag;
  readonly dialog: StopDialog;
  onClose(): void;
}) {
  const Dialog = { pick: PickDialog, note: NoteDialog, watering: WateringDialog }[dialog];
  return <Dialog bag={bag} isOpen onClose={onClose} />;
}
