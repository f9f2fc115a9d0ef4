import type { EntryOf, Container, Gauge } from '@rundel/core/records';

/** A bag's gauge of a kind, if it has one. */
export function gaugeOf(container: Pick<Container, 'gauges'>, kind: Gauge['kind']): Gauge | undefined {
  return container.gauges?.find((gauge) => gauge.kind === kind);
}

/** A bag's gauges with one of them changed or added. */
export function gaugesWith(container: Pick<Container, 'gauges'>, next: Gauge): Gauge[] {
  return [...(container.gauges ?? []).filter((gauge) => gauge.kind !== next.kind), next];
}

/** A reading as a check in the diary. */
export function readingCheck(
  kind: Gauge['kind'],
  value: number,
  deviceId: string,
): EntryOf<'check'>['check'] {
  return kind === 'scale'
    ? { method: 'scale', kilograms: value, deviceId }
    : { method: 'probe', reading: value, deviceId };
}
