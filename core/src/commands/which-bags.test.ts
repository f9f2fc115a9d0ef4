import { describe, expect, it } from 'vitest';
import { bag, done, read } from '../../test/command-line.ts';
import { bagNames, readBags } from './which-bags.ts';

/** A young garden: nobody has named anything, and what grows is called by its crop. */
const bags = [
  bag('1', 'Yard', 'Tomato'),
  bag('2', 'Yard', 'Tomato'),
  bag('3', 'Roof terrace', 'Tomato'),
  bag('4', 'Roof terrace', 'Cucumber'),
];
const names = bagNames(bags);
const labels = (text: string) => readBags(text, names).bags.map(({ label }) => label);

describe('which bags are meant', () => {
  it.each([
    ['tomatoes', ['1', '2', '3']],
    ['the tomato in 2', ['2']],
    ['tomato 2', ['2']],
    ['bag 2 (tomato)', ['2']],
    ['3 on the terrace', ['3']],
    ['the tomatoes on the terrace', ['3']],
    ['the tomatoes in the yard', ['1', '2']],
    ['everything on the terrace', ['3', '4']],
    ['cucumber and 1', ['1', '4']],
    ['1 and the terrace', ['1', '3', '4']],
    ['3 and the terrace', ['3', '4']],
    ['yard and terrace', ['1', '2', '3', '4']],
    ['the yard but not 2', ['1']],
    ['tomatoes except in the yard', ['3']],
  ] as const)('%s', (text, expected) => {
    expect(labels(text)).toEqual(expected);
  });

  it.each([
    ['picked 450 g of tomatoes from 2', ['con_2xxxxx']],
    ['picked tomatoes from 2, 450 g', ['con_2xxxxx']],
    ['picked 2 lb tomatoes off 1 and 3', ['con_1xxxxx', 'con_3xxxxx']],
    ['2 has tomato blight', ['con_2xxxxx']],
    ['watered tomato 2 1 L', ['con_2xxxxx']],
  ] as const)('%s: is of no other bag in which the same grows', (line, ids) => {
    expect(done(line, { bags }).map((draft) => 'containerId' in draft && draft.containerId)).toEqual(ids);
  });

  it('fruit of a bag in which something else grows is still of that bag', () => {
    expect(done('picked 450 g of tomatoes from 4', { bags })).toHaveLength(1);
    expect(read('picked 450 g of tomatoes', { bags }).kind).toBe('unfinished');
    expect(done('picked 450 g of tomatoes in all', { bags })).toHaveLength(3);
    expect(done('picked 450 g of cucumbers', { bags })).toMatchObject([{ containerId: 'con_4xxxxx' }]);
  });
});
