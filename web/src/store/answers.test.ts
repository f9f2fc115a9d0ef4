import type { Container } from '@rundel/core/records';
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { answersFor, type Answers, type Asked } from './answers.ts';

vi.stubGlobal(
  'Worker',
  class {
    addEventListener(): void {
      // these workers are only told apart here, and never spoken to
    }
    postMessage(): void {
      // see above
    }
  },
);

afterAll(() => vi.unstubAllGlobals());

const asked = (id: string, ...from: readonly unknown[]): Asked => ({
  container: { id } as Container,
  key: `demo|${id}`,
  from,
});

describe('answers about bags', () => {
  let known: Answers<string>;
  let calls: string[][];
  let times = 0;
  const work = (_: unknown, containers: readonly Container[]) => {
    calls.push(containers.map((c) => c.id));
    times += 1;
    return Promise.resolve(containers.map((c) => `answer ${times} on ${c.id}`));
  };
  beforeEach(() => {
    known = new Map();
    calls = [];
  });

  it('come in the order asked, from two workers with a message each', async () => {
    const ids = ['con_answer1', 'con_answer2', 'con_answer3', 'con_answer4'];
    const found = await answersFor(
      known,
      ids.map((id) => asked(id, 1)),
      work,
    );
    expect(found.map((words) => words.split(' ').at(-1))).toEqual(ids);
    expect(calls).toHaveLength(2);
    expect(calls.flat().sort()).toEqual(ids);
  });

  it('are asked for again only where something has changed', async () => {
    const entries: readonly string[] = [];
    const both = [asked('con_answer1', entries, 5), asked('con_answer2', entries, 5)];
    const first = await answersFor(known, both, work);
    calls = [];
    expect(await answersFor(known, both, work)).toEqual(first);
    expect(calls).toEqual([]);
    const [one, two] = await answersFor(
      known,
      [asked('con_answer1', ['another'], 5), asked('con_answer2', entries, 5)],
      work,
    );
    expect(calls).toEqual([['con_answer1']]);
    expect(one).not.toBe(first[0]);
    expect(two).toBe(first[1]);
  });

  it('fail when a worker does, and are asked for again then', async () => {
    const broken = () => Promise.reject(new Error('out of memory'));
    await expect(answersFor(known, [asked('con_answer1', 1)], broken)).rejects.toThrow('out of memory');
    expect(known.size).toBe(0);
    expect(await answersFor(known, [asked('con_answer1', 1)], work)).toHaveLength(1);
  });
});
