import { Divider, ListItemText, Menu, MenuItem } from '@mui/material';
import { useNavigate } from 'react-router';
import type { Which } from '../store/index.ts';

/** What stands under the garden's name; loaded when it is first opened. */
export default function GardenMenuItems({
  anchor,
  which,
  onChange,
  onClose,
}: {
  readonly anchor: HTMLElement;
  readonly which: Which;
  onChange(next: Which): void;
  onClose(): void;
}) {
  const navigate = useNavigate();
  const go = (path: string) => () => {
    onClose();
    void navigate(path);
  };
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      <MenuItem onClick={go('/settings')}>Settings, units and look</MenuItem>
      <MenuItem onClick={go('/files')}>Files: save, open, bin</MenuItem>
      <MenuItem onClick={go('/help')}>Help and keys</MenuItem>
      <Divider />
      <MenuItem
        onClick={() => {
          onClose();
          onChange(which === 'demo' ? 'own' : 'demo');
        }}
      >
        <ListItemText
          primary={which === 'demo' ? 'Go to my own bags' : 'Walk round the demo'}
          secondary="Two gardens, kept apart"
        />
      </MenuItem>
    </Menu>
  );
}
