import { dayOf } from '@rundel/core/calendar';
import { plantingRisks, type PlantingRisk } from '@rundel/core/care';
import { shortDay } from '../../text/text.ts';
import { causeName } from '../../text/trouble-text.ts';
import { containersInUse, useGarden, type Bag } from '../../store/index.ts';
import { Remark } from '../Remark.tsx';

function riskWords(risk: PlantingRisk, label: string, today: string): string {
  const { trouble } = risk;
  const seen = `${causeName(trouble.what)}, ${shortDay(dayOf(trouble.entry.at), today)}`;
  if (risk.kind === 'beside')
    return `Bag ${risk.container.label} beside it has trouble that spreads (${seen}). Put a new plant elsewhere, or wait until that is over.`;
  const { cleanliness } = risk;
  const wants =
    cleanliness.kind === 'part'
      ? `It was cleaned in part; it still wants to be ${cleanliness.wants
          .map((w) => (w === 'wash' ? 'washed' : 'dried right through'))
          .join(' and ')}.`
      : 'Wash it and let it dry right through first.';
  const mix = trouble.livesInMix ? ' Its old mix goes as well.' : '';
  return `Bag ${label} held a sick plant (${seen}) and has not been cleaned since. ${wants}${mix}`;
}

/** What speaks against new plants in these bags; it warns, and refuses nothing. */
export function PlantingRisks({ bags }: { readonly bags: readonly Bag[] }) {
  const { garden, live, clock } = useGarden();
  const today = dayOf(clock.now());
  const all = containersInUse(garden);
  const said = bags.flatMap(({ container, properties }) =>
    plantingRisks(
      container,
      all.filter((c) => c.placeId === container.placeId),
      live,
      today,
      properties.assumed,
    ).map((risk) => riskWords(risk, container.label, today)),
  );
  return [...new Set(said)].map((words) => (
    <Remark key={words} role="alert">
      {words}
    </Remark>
  ));
}
