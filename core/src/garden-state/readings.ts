import { entriesAt, type Entry, type EntryOf, type Container, type Gauge } from '../records/index.ts';
import type { MoistureCheck } from '../water/index.ts';
import type { BagProperties } from './properties.ts';

/** Why a reading does not count; it stays in the diary. */
export type ReadingFault =
  /** wetter than full or drier than dry by more than the gauge is off */
  | 'out-of-span'
  /** the same to the last digit for half a day and more, while the bag went on drinking */
  | 'frozen'
  /** a probe that has not been calibrated and does not read from 0 to 100 */
  | 'uncalibrated';

export interface SetAsideReading {
  readonly entryId: string;
  readonly at: string;
  readonly fault: ReadingFault;
}

/** How much a reading may lie beyond full or dry before it is no reading of this bag, share of available water. */
const BEYOND = 0.35;
const FROZEN_HOURS = 12;
const FROZEN_COUNT = 4;
/** Readings of one device closer together than this share their error: only the first counts. */
const APART_HOURS = 3;

/** A reading as a share of available water. */
export interface GaugeScale {
  readonly full: number;
  readonly dry: number;
  /** sd of the share */
  readonly sd: number;
}

type Reading = EntryOf<'check'> & {
  readonly check: Extract<EntryOf<'check'>['check'], { method: 'scale' | 'probe' }>;
};

function isReading(entry: EntryOf<'check'>): entry is Reading {
  return entry.check.method === 'scale' || entry.check.method === 'probe';
}

const valueOf = ({ check }: Reading) => (check.method === 'scale' ? check.kilograms : check.reading);

/**
 * How a gauge reads a bag: by its two points where both are known; a scale else by the bag's calculated weight when drained,
 * less a litre a kilogram; a probe else from 0 (dry) to 100 (full).
 */
export function gaugeScale(
  kind: Gauge['kind'],
  gauge: Gauge | undefined,
  properties: BagProperties,
  probeNoise = properties.assumed.probeNoise,
): GaugeScale {
  const { availableLitres, assumed } = properties;
  if (kind === 'scale') {
    const full = gauge?.fullReading ?? properties.drainedKilograms;
    const dry = gauge?.dryReading ?? full - availableLitres;
    return { full, dry, sd: (assumed.scaleNoise * full) / Math.max(0.5, full - dry) };
  }
  return { full: gauge?.fullReading ?? 100, dry: gauge?.dryReading ?? 0, sd: probeNoise };
}

/**
 * A bag's checks as the water model takes them: grades as they are, readings by the bag's gauge, and those that cannot be
 * right set aside with the reason.
 *
 * @param live the garden's live entries, oldest first
 * @param probeNoise what this bag's probe has shown to be off; left out: what is assumed of probes
 */
export function checksOf(
  container: Pick<Container, 'id' | 'gauges'>,
  properties: BagProperties,
  live: readonly Entry[],
  probeNoise?: number,
): { readonly checks: ReadonlyMap<string, MoistureCheck>; readonly setAside: readonly SetAsideReading[] } {
  const checks = new Map<string, MoistureCheck>();
  const setAside: SetAsideReading[] = [];
  const runs = new Map<string, { value: number; since: number; count: number; countedAt: number }>();
  for (const entry of entriesAt(live, container.id)) {
    if (entry.kind !== 'check') continue;
    if (!isReading(entry)) {
      checks.set(entry.id, entry.check as MoistureCheck);
      continue;
    }
    const { method, deviceId } = entry.check;
    const gauge = container.gauges?.find((g) => g.kind === method);
    const scale = gaugeScale(method, gauge, properties, probeNoise);
    const value = valueOf(entry);
    const share = (value - scale.dry) / (scale.full - scale.dry);
    const time = Date.parse(entry.at);
    const key = `${method} ${deviceId ?? ''}`;
    const before = runs.get(key);
    const isSame = before?.value === value;
    const run = {
      value,
      since: isSame ? before.since : time,
      count: isSame ? before.count + 1 : 1,
      countedAt: before?.countedAt ?? -Infinity,
    };
    runs.set(key, run);
    const fault = faultOf(share, gauge, method, run, time);
    if (fault) {
      setAside.push({ entryId: entry.id, at: entry.at, fault });
      continue;
    }
    // typed readings all count; a device's share their error when they are close together
    if (deviceId !== undefined && time - run.countedAt < APART_HOURS * 3_600_000) continue;
    run.countedAt = time;
    checks.set(entry.id, { method: 'reading', share, sd: scale.sd });
  }
  return { checks, setAside };
}

function faultOf(
  share: number,
  gauge: Gauge | undefined,
  kind: Gauge['kind'],
  run: { readonly since: number; readonly count: number },
  time: number,
): ReadingFault | undefined {
  if (share < -BEYOND || share > 1 + BEYOND) {
    return kind === 'probe' && gauge?.fullReading === undefined ? 'uncalibrated' : 'out-of-span';
  }
  const isFrozen = run.count >= FROZEN_COUNT && time - run.since >= FROZEN_HOURS * 3_600_000;
  return isFrozen ? 'frozen' : undefined;
}
