import { Autocomplete, TextField } from '@mui/material';
import { useMemo } from 'react';
import type { Town } from '../store/index.ts';

/** How many towns are offered for what is typed. */
const OFFERED = 30;

const countries = new Intl.DisplayNames(['en'], { type: 'region', fallback: 'code' });

/** "Springfield, Oregon, United States" */
function townWords({ name, province, country }: Town): string {
  return [name, province, countries.of(country)].filter(Boolean).join(', ');
}

/** A name as it is compared: without accents and capitals. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** The town by which a garden's sun and usual weather are known, from the list that ships with the app. */
export function TownField({
  towns,
  value,
  onChange,
}: {
  readonly towns: readonly Town[];
  readonly value: Town | null;
  onChange(town: Town): void;
}) {
  const searched = useMemo(() => new Map(towns.map((town) => [town, plain(townWords(town))])), [towns]);
  return (
    <Autocomplete
      options={towns}
      value={value}
      onChange={(_, town) => town && onChange(town)}
      getOptionLabel={townWords}
      getOptionKey={(town) => `${town.name} ${town.country} ${town.province ?? ''} ${town.latitudeDegrees}`}
      filterOptions={(all, { inputValue }) => {
        const wanted = plain(inputValue.trim());
        const found: Town[] = [];
        for (const town of all) {
          const words = searched.get(town) ?? '';
          if (words.startsWith(wanted)) found.push(town);
          if (found.length === OFFERED) break;
        }
        return found;
      }}
      noOptionsText="No such town in the list: take a larger one nearby, or give the latitude."
      renderInput={(props) => (
        <TextField {...props} label="The nearest town" helperText="For the sun and the usual weather." />
      )}
    />
  );
}
