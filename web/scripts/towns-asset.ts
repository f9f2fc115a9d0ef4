import type { Plugin } from 'vite';
import { cityMapping } from 'city-timezones';

/**
 * The list of towns that ships with the app, made from the package's: by time zone, the largest first; a town is its name, its
 * country, its latitude to a tenth of a degree (negative south), and its province where the country has several of the name.
 */
function townList(): string {
  const perName = new Map<string, number>();
  const nameOf = ({ city, iso2 }: { readonly city: string; readonly iso2: string }) => `${city} ${iso2}`;
  for (const town of cityMapping) perName.set(nameOf(town), (perName.get(nameOf(town)) ?? 0) + 1);
  const byZone = new Map<string, unknown[]>();
  for (const town of [...cityMapping].sort((a, b) => b.pop - a.pop)) {
    if (!town.timezone || !/^[A-Z]{2}$/.test(town.iso2) || Math.abs(town.lat) > 66) continue;
    const row = [town.city, town.iso2, Math.round(town.lat * 10) / 10];
    if ((perName.get(nameOf(town)) ?? 0) > 1 && town.province) row.push(town.province);
    byZone.set(town.timezone, [...(byZone.get(town.timezone) ?? []), row]);
  }
  return JSON.stringify(Object.fromEntries(byZone));
}

/** Ships `towns.json` beside the app; nothing is asked of a network. */
export const townsAsset: Plugin = {
  name: 'towns-asset',
  configureServer(server) {
    server.middlewares.use('/towns.json', (_, response) => {
      response.setHeader('content-type', 'application/json');
      response.end(townList());
    });
  },
  generateBundle() {
    this.emitFile({ type: 'asset', fileName: 'towns.json', source: townList() });
  },
};
