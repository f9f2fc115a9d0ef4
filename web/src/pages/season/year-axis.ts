import { addDays, daysBetween } from '@rundel/core/calendar';
import type { BandKind, FrostYear } from '@rundel/core/season';

/** Where a day lies on the year's axis, percent of its width. */
export function percentOf(day: string, start: string): number {
  return (Math.min(366, Math.max(0, daysBetween(start, day))) / 365) * 100;
}

/** The day at a share of the axis, 0 to 1. */
export function dayAt(share: number, start: string): string {
  return addDays(start, Math.round(Math.min(1, Math.max(0, share)) * 364));
}

/** The months of the growing year: name and where they begin. */
export function monthsOf(start: string): readonly { readonly name: string; readonly percent: number }[] {
  const names = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
  const first = Number(start.slice(5, 7)) - 1;
  const year = Number(start.slice(0, 4));
  return Array.from({ length: 12 }, (_, i) => {
    const month = (first + i) % 12;
    const day = `${first + i >= 12 ? year + 1 : year}-${String(month + 1).padStart(2, '0')}-01`;
    return { name: names[month] ?? '', percent: percentOf(day, start) };
  });
}

/** Frost likelihood as the stops of a CSS gradient along the axis: the likelier, the colder. */
export function frostGradient(frost: FrostYear): string {
  const stops = Array.from({ length: 37 }, (_, i) => {
    const share = Math.round((frost.chance[i * 10] ?? 0) * 45);
    return `color-mix(in srgb, var(--cold) ${share}%, transparent) ${((i * 10) / 365) * 100}%`;
  });
  return `linear-gradient(to right, ${stops.join(', ')})`;
}

export const BAND_WORDS: Record<BandKind, string> = {
  sow: 'sow',
  harden: 'harden',
  grow: 'grow',
  flower: 'flower',
  pick: 'pick',
  clear: 'clear',
};

/** Colours of bands with the ink that reads on them; each band carries its word as well. */
export const BAND_COLOURS: Record<BandKind, { readonly fill: string; readonly ink: string }> = {
  sow: { fill: 'var(--mulch)', ink: '#1d1206' },
  harden: { fill: 'var(--surface)', ink: 'var(--ink)' },
  grow: { fill: 'var(--leaf)', ink: 'var(--surface)' },
  flower: { fill: 'var(--flower)', ink: 'var(--on-flower)' },
  pick: { fill: 'var(--fruit)', ink: 'var(--surface)' },
  clear: { fill: 'var(--ink)', ink: 'var(--surface)' },
};
