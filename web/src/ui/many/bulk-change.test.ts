import { gannetSlip } from '@rundel/core/demo';
import { RECORD_SCHEMAS, type Container } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { changedTogether } from './bulk-change.ts';

const NOW = '2026-07-16T19:00:00.000+01:00';
const { containers } = gannetSlip(3);
const labelled = (...labels: string[]) => containers.filter((c) => labels.includes(c.label));

describe('several bags changed at once', () => {
  it('changes what was asked for and leaves the rest as it was', () => {
    const changes = changedTogether(labelled('5', '7'), { mulchMillimetres: 70 }, NOW);
    expect(changes).toHaveLength(2);
    for (const { before, after } of changes) {
      expect(after).toEqual({ ...before, mulchMillimetres: 70, changedAt: NOW });
      expect(RECORD_SCHEMAS.containers.safeParse(after).success).toBe(true);
    }
  });

  it('leaves out bags that are so already', () => {
    const [bag] = labelled('5') as [Container];
    expect(changedTogether([bag], { mixId: bag.mixId, mulchMillimetres: bag.mulchMillimetres }, NOW)).toEqual(
      [],
    );
    expect(changedTogether([bag], {}, NOW)).toEqual([]);
  });

  it('gives no cane to a bag that cannot hold one, but the rest of the change', () => {
    const support = { kind: 'stake' as const, heightMillimetres: 1500 };
    const changes = changedTogether(labelled('1', '9'), { support, mixId: 'bark-coir' }, NOW);
    const of = (label: string) => changes.find((c) => c.after.label === label)?.after;
    expect(of('1')?.support.kind).toBe('string');
    expect(of('1')?.mixId).toBe('bark-coir');
    expect(of('9')?.support).toEqual(support);
  });

  it('takes layers out when one mix is chosen for all, and keeps them otherwise', () => {
    const [bag] = labelled('5') as [Container];
    const layered: Container = {
      ...bag,
      layers: [
        { mixId: 'loam-compost', share: 0.5 },
        { mixId: 'bought', share: 0.5 },
      ],
    };
    expect(changedTogether([layered], { mixId: 'bought' }, NOW)[0]?.after).not.toHaveProperty('layers');
    expect(changedTogether([layered], { mulchMillimetres: 0 }, NOW)[0]?.after.layers).toEqual(layered.layers);
    expect(changedTogether([layered], {}, NOW)).toEqual([]);
  });
});
