import { Box, Button, Typography } from '@mui/material';
import { IconPrinter } from '@tabler/icons-react';
import { propertiesOf } from '@rundel/core/garden-state';
import { flatOf, planSleeves, sleeveKindId, type CuttingPlan, type SleeveOrder } from '@rundel/core/bags';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { FormField, FormFields, useFields } from '../../../ui/form/index.ts';
import { WorkedLines } from '../../../ui/HowCalculated.tsx';
import { BagSection, sceneOf } from '../../../section/index.ts';
import { useGarden, useUnitFormat, type UnitFormat } from '../../../store/index.ts';
import { CuttingDrawing } from './CuttingDrawing.tsx';
import { FILM_FIELDS, filmStart, orderOf } from './film-form.ts';
import { SheetPanel } from './SheetPanel.tsx';

/** Sleeves cut from film: the plan to scale, what is wasted, what one really holds; and other things cut from sheet. */
export default function FilmBench() {
  const unitFormat = useUnitFormat();
  const form = useFields(FILM_FIELDS, filmStart(unitFormat));
  const { values } = form;
  const order = orderOf(values);
  const result = order && planSleeves(order);
  const isFlat = values.film === 'flat';
  return (
    <Box>
      <Panel title="Sleeves from film">
        <Box
          sx={{
            display: 'grid',
            gap: 2,
            gridTemplateColumns: { xs: 'repeat(2, minmax(0, 1fr))', lg: 'repeat(4, 1fr)' },
            '@media print': { display: 'none' },
          }}
        >
          <FormFields form={form} names={['film', 'filmWidth', 'flatWidth', 'across', 'stripLength']} />
          <FormField
            form={form}
            name="seam"
            help={
              isFlat
                ? 'Along its side.'
                : (values.across ?? 1) > 1
                  ? 'Along each cut, and across a sealed base.'
                  : 'Across its base, if that is sealed.'
            }
          />
          <FormFields form={form} names={['base', 'rim', 'count', 'hoped']} />
        </Box>
        {result?.kind === 'planned' && order ? (
          <Planned order={order} plan={result.plan} />
        ) : (
          <Typography sx={{ marginBlockStart: 2, color: 'text.secondary' }}>
            The plan comes back when the numbers work out; see the fields above.
          </Typography>
        )}
      </Panel>
      <SheetPanel />
    </Box>
  );
}

function Planned({ order, plan }: { readonly order: SleeveOrder; readonly plan: CuttingPlan }) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const navigate = useNavigate();
  const flat = flatOf(order);
  const kindId = sleeveKindId(order);
  const now = clock.now();
  const scene = useMemo(() => {
    const properties = propertiesOf(
      {
        kindId,
        size: {
          by: 'measured',
          dimensions: { flatMillimetres: flat, heightMillimetres: plan.standingMillimetres },
        },
        mixId: 'bought',
        mulchMillimetres: 0,
        stations: [1],
        fill: { by: 'rim', headroomMillimetres: order.rimMillimetres },
      },
      garden,
    );
    const support = { kind: 'none' as const, heightMillimetres: 0 };
    return sceneOf({ support, stations: [1] }, properties, [], undefined, now, garden.settings);
  }, [flat, garden, kindId, now, order.rimMillimetres, plan.standingMillimetres]);
  const send = () => {
    const query = new URLSearchParams({
      kind: kindId,
      count: String(order.count),
      stations: '1',
      flatMillimetres: String(flat),
      heightMillimetres: String(Math.round(plan.standingMillimetres)),
      // the rim that was left free is left free in the bag as well
      rim: String(Math.round(order.rimMillimetres)),
    });
    void navigate(`/bags/new?${query.toString()}`);
  };
  const size = (mm: number) => unitFormat.show(mm, 'size');
  return (
    <Box sx={{ marginBlockStart: 2 }}>
      <Typography sx={{ fontSize: '1.1rem', marginBlockEnd: 1 }}>
        <strong>
          Each stands {size(plan.diameterMillimetres)} across and holds {unitFormat.show(plan.litres, 'bag')}{' '}
          filled to {size(plan.fillMillimetres)}.
        </strong>{' '}
        {hopedWords(plan, unitFormat)}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', lg: '1.5fr 1fr' },
          alignItems: 'start',
        }}
      >
        <Box>
          <CuttingDrawing order={order} plan={plan} />
          <WorkedLines
            lines={[
              ['Side by side across the roll', plan.across],
              ['Rows along it', plan.rows],
              ['Width of one piece', size(plan.pieceMillimetres)],
              ['Film to buy, off the roll', unitFormat.show(plan.filmLengthMillimetres, 'height')],
              ['Of that, wasted', `${Math.round(plan.wasteShare * 100)} %`],
              ['Stands full', size(plan.standingMillimetres)],
            ]}
          />
        </Box>
        <Box sx={{ height: 300, '@media print': { display: 'none' } }}>
          <BagSection
            scene={scene}
            unitFormat={unitFormat}
            height={300}
            title="One sleeve standing full, in section"
          />
        </Box>
      </Box>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          gap: 1,
          marginBlockStart: 2,
          '@media print': { display: 'none' },
        }}
      >
        <Button variant="contained" onClick={send}>
          Set up {order.count === 1 ? 'this sleeve' : `these ${order.count} sleeves`}
        </Button>
        <Button variant="outlined" startIcon={<IconPrinter aria-hidden />} onClick={() => window.print()}>
          Print the plan
        </Button>
      </Box>
      <CautionOf id="film" />
    </Box>
  );
}

/** How the mix that was meant for it would stand, in words that help. */
function hopedWords(plan: CuttingPlan, unitFormat: UnitFormat): string {
  const { hoped } = plan;
  if (!hoped) return '';
  const litres = unitFormat.show(hoped.litres, 'bag');
  if (hoped.kind === 'overflows') {
    return `The ${litres} that you hoped for do not go in: ${unitFormat.show(hoped.litresOver, 'bag')} would be over. Cut it longer or wider.`;
  }
  const off = hoped.millimetres - plan.fillMillimetres;
  const places = `The ${litres} meant for it will stand ${unitFormat.show(hoped.millimetres, 'size')} high`;
  if (Math.abs(off) < 10) return `${places}, just as filled.`;
  return off > 0
    ? `${places}, ${unitFormat.show(off, 'size')} into the rim.`
    : `${places}: ${unitFormat.show(-off, 'size')} below the line, so it could be cut shorter.`;
}
