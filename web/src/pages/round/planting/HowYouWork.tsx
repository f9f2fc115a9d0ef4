import { Box } from '@mui/material';
import { SUPPORT_PRACTICES } from '@rundel/core/plants';
import { ORDER_PRACTICES, orderPracticeOf, STRIP_PRACTICES, type MixAtPlanting } from '@rundel/core/planting';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { told, useGarden } from '../../../store/index.ts';

/** What the first watering comes to, by how the mix is. */
const MIX_WORDS: Readonly<Record<MixAtPlanting, string>> = {
  moistened: 'It wants little more than to settle round the roots.',
  flooded: 'Flood it twice with a pause between. It is full then: the first watering is small and gentle.',
  dry: 'Dry mix gets twice the first watering.',
};

/** How the mix is, and the practices that are kept from one planting to the next. */
export function HowYouWork({
  mixIs,
  onMix,
}: {
  readonly mixIs: MixAtPlanting;
  onMix(mixIs: MixAtPlanting): void;
}) {
  const { garden, saveSettings } = useGarden();
  const { settings } = garden;
  const order = orderPracticeOf(settings.orderPracticeId);
  const support = SUPPORT_PRACTICES.find((s) => s.id === settings.supportPracticeId) ?? SUPPORT_PRACTICES[0];
  const strip = STRIP_PRACTICES.find((s) => s.id === settings.stripPracticeId) ?? STRIP_PRACTICES[0];
  const change = (patch: Partial<typeof settings>) => told(saveSettings({ ...settings, ...patch }));
  return (
    <Panel title="How you work">
      <Box sx={{ display: 'grid', gap: 2 }}>
        <Select
          label="The mix is"
          value={mixIs}
          options={[
            { id: 'moistened', label: 'moistened before filling' },
            { id: 'flooded', label: 'filled in dry, and flooded in the bag' },
            { id: 'dry', label: 'dry still' },
          ]}
          onChange={onMix}
          help={MIX_WORDS[mixIs]}
        />
        <Select
          label="Order of the work"
          value={order.id}
          options={ORDER_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
          onChange={(id) => change({ orderPracticeId: id })}
          help={order.description}
        />
        <Select
          label="Leaves come off"
          value={strip.id}
          options={STRIP_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
          onChange={(id) => change({ stripPracticeId: id })}
          help={strip.description}
        />
        <Select
          label="Supports go on"
          value={support.id}
          options={SUPPORT_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
          onChange={(id) => change({ supportPracticeId: id })}
          help={support.description}
        />
      </Box>
    </Panel>
  );
}
