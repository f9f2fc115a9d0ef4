import {
  Box,
  Button,
  ButtonBase,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Stack,
} from '@mui/material';
import { containerKind } from '@rundel/core/bags';
import type { Spot, SpotId } from '../../section/index.ts';
import { FormFields, type Fields, type FieldsForm } from '../../ui/form/index.ts';
import { NEW_PLACE, STORE_FIELDS } from './bag-form.ts';

/** What can be said of a bag beyond the first questions, part by part; most of it has a spot in the drawing. */
interface Part {
  readonly id: PartId;
  readonly label: string;
  readonly names: readonly string[];
  /** what goes without saying */
  readonly unsaid: string;
}

export type PartId = SpotId | 'called' | 'side-by-side' | 'price' | 'variety';

const PARTS: readonly Part[] = [
  { id: 'called', label: 'Number or name', names: ['label'], unsaid: 'none yet' },
  {
    id: 'place',
    label: 'Where it stands',
    names: ['placeId', 'newPlaceName', 'newPlaceCover', 'shade', 'shadeFrom', 'shadeUntil'],
    unsaid: '',
  },
  { id: 'mix', label: 'Mix', names: ['mixId', 'lowerMixId', 'lowerShare'], unsaid: '' },
  {
    id: 'fill',
    label: 'How it is filled',
    names: ['fillBy', 'headroom', 'fillLevel', 'looseLitres', 'settling', 'rounding'],
    unsaid: 'as usual',
  },
  { id: 'mulch', label: 'Mulch', names: ['mulch'], unsaid: 'none' },
  {
    id: 'support',
    label: 'Support',
    names: ['supportKind', 'supportHeight', 'secondSupport', 'secondHeight'],
    unsaid: 'none',
  },
  {
    id: 'ball',
    label: 'Root ball and depth',
    names: ['ball', 'graft', 'leaves', 'practiceId'],
    unsaid: 'as usual',
  },
  {
    id: 'variety',
    label: 'Variety, name, sowing',
    names: ['varietyName', 'plantName', 'sownOn'],
    unsaid: 'not said',
  },
  { id: 'side-by-side', label: 'How many plants', names: ['stations', 'sizeException'], unsaid: '1' },
  { id: 'holes', label: 'Holes', names: ['hasNoHoles', 'hole'], unsaid: 'at the base' },
  {
    id: 'water',
    label: 'Wells, saucer, drum',
    names: ['wells', 'wellLitres', ...Object.keys(STORE_FIELDS)],
    unsaid: 'none',
  },
  {
    id: 'companions',
    label: 'Plants beside the crop',
    names: ['companions', 'companionsName', 'companionsFrom', 'companionsUntil'],
    unsaid: 'none',
  },
  { id: 'price', label: 'What it cost', names: ['price', 'seasons'], unsaid: 'not said' },
];

const SPOTS: readonly SpotId[] = [
  'support',
  'fill',
  'mulch',
  'companions',
  'mix',
  'ball',
  'holes',
  'water',
  'place',
];

type AnyForm = FieldsForm<Fields>;

/** The fields of a part that are asked of this bag: what the form has not at all is not of it. */
function askedOf(part: Part, form: AnyForm): readonly string[] {
  const isAlone = containerKind(form.texts.kindId ?? '').stations.most === 1;
  return part.names.filter(
    (name) => name in form.fields && form.isAsked(name) && !(name === 'stations' && isAlone),
  );
}

/** What is said of a part so far, in a few words. */
function wordsOf(part: Part, form: AnyForm): string {
  const said = askedOf(part, form).flatMap((name) => {
    const text = form.texts[name]?.trim() ?? '';
    const input = form.fields[name]?.input;
    if (input?.kind === 'switch') return text === 'on' ? [form.fields[name]?.label ?? ''] : [];
    if (input?.kind !== 'choice') return text === '' ? [] : [text];
    const chosen = input.options.find(({ id }) => id === text);
    // "None: one mix throughout" needs no saying
    return !chosen || text === '' || text === 'none' || text === NEW_PLACE || name === 'fillBy'
      ? []
      : [chosen.label];
  });
  return said.length > 0 ? said.join(', ') : part.unsaid;
}

/** The part to open for fields that do not read; none while one of the first questions does not, which are in sight. */
export function partToMend(names: readonly string[]): PartId | undefined {
  const parts = names.map((name) => PARTS.find((part) => part.names.includes(name)));
  return parts.every(Boolean) ? parts[0]?.id : undefined;
}

/** The spots of a bag's drawing, for the parts that are asked of it. */
export function spotsFor(form: AnyForm, onOpen: (id: PartId) => void): readonly Spot[] {
  return SPOTS.flatMap((id) => {
    const part = PARTS.find((each) => each.id === id);
    return part && askedOf(part, form).length > 0 ? [{ id, onPress: () => onOpen(id) }] : [];
  });
}

/** The parts as a list; what stands in the drawing stands here too, for keyboards, screen readers and thumbs. */
export function BagParts({
  form,
  openId,
  onOpen,
}: {
  readonly form: AnyForm;
  readonly openId: PartId | undefined;
  onOpen(id: PartId | undefined): void;
}) {
  const asked = PARTS.filter((part) => askedOf(part, form).length > 0);
  const open = asked.find(({ id }) => id === openId);
  return (
    <Box>
      <Box
        role="group"
        aria-label="More about the bag"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'repeat(2, minmax(0, 1fr))', sm: 'repeat(3, minmax(0, 1fr))' },
          gap: 1,
        }}
      >
        {asked.map((part) => {
          const hasProblem = form.hasProblem(askedOf(part, form));
          return (
            <ButtonBase
              key={part.id}
              onClick={() => onOpen(part.id)}
              aria-haspopup="dialog"
              sx={{
                display: 'block',
                textAlign: 'start',
                minHeight: 56,
                paddingInline: 1.25,
                paddingBlock: 0.75,
                borderRadius: '10px',
                border: '1.5px solid',
                borderColor: hasProblem ? 'error.main' : 'var(--line)',
                backgroundColor: 'var(--raised)',
                fontSize: '0.92rem',
                lineHeight: 1.3,
              }}
            >
              <Box component="span" sx={{ fontWeight: 'fontWeightMedium', display: 'block' }}>
                {part.label}
              </Box>
              <Box component="span" sx={{ color: hasProblem ? 'error.main' : 'text.secondary' }}>
                {hasProblem ? 'does not read yet' : wordsOf(part, form)}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
      {open && <PartSheet part={open} form={form} onClose={() => onOpen(undefined)} />}
    </Box>
  );
}

/** What is said of one part. It is part of the form that it came from: there is nothing to store yet. */
function PartSheet({
  part,
  form,
  onClose,
}: {
  readonly part: Part;
  readonly form: AnyForm;
  onClose(): void;
}) {
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="bag-part">
      <DialogTitle id="bag-part" variant="h2">
        {part.label}
      </DialogTitle>
      <DialogContent
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.target as HTMLElement).tagName === 'INPUT') onClose();
        }}
      >
        <Stack spacing={2} sx={{ paddingBlockStart: 1 }}>
          <FormFields form={form} names={askedOf(part, form)} autoFocus />
        </Stack>
      </DialogContent>
      <DialogActions sx={{ padding: 2 }}>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** A part by its name in an address. */
export function partNamed(id: string | null): PartId | undefined {
  return PARTS.find((part) => part.id === id)?.id;
}
