import { Menu, MenuItem } from '@mui/material';

/** A menu of choices at a button, each large enough for a wet thumb. */
export default function ChoiceMenu<T extends string>({
  anchor,
  choices,
  onChoose,
  onClose,
}: {
  readonly anchor: HTMLElement | null;
  readonly choices: readonly { readonly id: T; readonly label: string }[];
  onChoose(id: T): void;
  onClose(): void;
}) {
  return (
    <Menu open={anchor !== null} anchorEl={anchor} onClose={onClose}>
      {choices.map(({ id, label }) => (
        <MenuItem key={id} onClick={() => onChoose(id)} sx={{ minHeight: 48 }}>
          {label}
        </MenuItem>
      ))}
    </Menu>
  );
}
