import { plantName } from '../../text/plant-text.ts';
import { hasTrusses, TrussLog } from '../../ui/care/TrussLog.tsx';
import type { Bag } from '../../store/index.ts';

/** The trusses of a bag's plants at its stop. */
export default function StopTrusses({ bag }: { readonly bag: Bag }) {
  const plants = bag.occupants.filter(hasTrusses);
  return plants.map((occupant) => (
    <div key={occupant.plant.id}>
      {plants.length > 1 && <strong>{plantName(occupant, bag.occupants)}</strong>}
      <TrussLog bag={bag} occupant={occupant} />
    </div>
  ));
}
