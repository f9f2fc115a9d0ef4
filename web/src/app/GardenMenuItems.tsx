import { Divider, ListItemText, Menu, MenuItem } from '@mui/material';
import { useNavigate } from 'react-router';
import type { GardenId } from '../store/index.ts';

/** What stands under the garden's name; loaded when it is first opened. */
export default function GardenMenuItems({
  anchor,
  gardenId,
  onChange,
  onClose,
}: {
  readonly anchor: HTMLElement;
  readonly gardenId: GardenId;
  onChange(next: GardenId): void;
  onClose(): void;
}) {
  const navigate = useNavigate();
  const go = (path: string) => () => {
    onClose();
    void navigate(path);
  };
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      <MenuItem onClick={go('/settings')}>Settings, units and theme</MenuItem>
      <MenuItem onClick={go('/files')}>Files: save, open, bin</MenuItem>
      <MenuItem onClick={go('/help')}>Help and keys</MenuItem>
      <Divider />
      <MenuItem
        onClick={() => {
          onClose();
          onChange(gardenId === 'demo' ? 'own' : 'demo');
        }}
      >
        <ListItemText
          primary={gardenId === 'demo' ? 'Go to my own bags' : 'Walk round the demo'}
          secondary="Two gardens, kept apart"
        />
      </MenuItem>
    </Menu>
  );
}
