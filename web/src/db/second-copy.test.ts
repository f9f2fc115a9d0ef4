import { describe, expect, it } from 'vitest';
import { filesHere } from '../../test/files-here.ts';
import { SecondCopy, type Written } from './second-copy.ts';

const LATER = '2026-07-16T19:00:00.000+01:00';
const fileOf = (text: string) => () => Promise.resolve(new TextEncoder().encode(text));
const note = (id: string, database = 'first'): Written => ({
  database,
  entries: [{ kind: 'note', id: `ent_copied00${id}`, at: LATER, recordedAt: LATER, text: id }],
});
const idsIn = (written: readonly Written[] = []) =>
  written.flatMap(({ entries = [] }) => entries.map(({ id }) => id.slice(-1)));

function copyHere() {
  const files = filesHere();
  return { files, copy: new SecondCopy('rundel', files) };
}

describe('a second copy', () => {
  it('is a file and what was written since, in its order', async () => {
    const { copy } = copyHere();
    expect(await copy.isThere()).toBe(false);
    expect(await copy.find()).toBeUndefined();
    await copy.make('first', fileOf('the garden'));
    await copy.note(note('1'));
    await copy.note(note('2'));
    const found = await copy.find();
    expect(found?.text).toBe('the garden');
    expect(idsIn(found?.written)).toEqual(['1', '2']);
  });

  it('made whole again lets go of what is in it, and of nothing that came meanwhile', async () => {
    const { copy, files } = copyHere();
    await copy.make('first', fileOf('one'));
    await copy.note(note('1'));
    await copy.make('first', async () => {
      // another tab writes while the garden is being read
      await copy.note(note('2'));
      return fileOf('two')();
    });
    const found = await copy.find();
    expect(found?.text).toBe('two');
    expect(idsIn(found?.written)).toEqual(['2']);
    expect([...files.content.keys()].sort()).toEqual(['rundel.b', 'rundel.journal']);
  });

  it('stays as it was where a new one was cut short, at whatever byte', async () => {
    const { copy, files } = copyHere();
    await copy.make('first', fileOf('one'));
    const former = files.content.get('rundel.a') as Uint8Array<ArrayBuffer>;
    await copy.make('first', fileOf('the second, longer than the first'));
    const whole = files.content.get('rundel.b') as Uint8Array<ArrayBuffer>;
    files.content.set('rundel.a', former);
    for (let bytes = 0; bytes < whole.length; bytes++) {
      files.content.set('rundel.b', whole.slice(0, bytes));
      expect((await copy.find())?.text, `${bytes} bytes`).toBe('one');
    }
    files.content.set('rundel.b', whole);
    expect((await copy.find())?.text).toBe('the second, longer than the first');
  });

  it('loses no more than the line that was cut short', async () => {
    const { copy, files } = copyHere();
    await copy.make('first', fileOf('one'));
    await copy.note(note('1'));
    await copy.note(note('2'));
    const journal = files.content.get('rundel.journal') as Uint8Array<ArrayBuffer>;
    files.content.set('rundel.journal', journal.slice(0, -20));
    await copy.note(note('3'));
    expect(idsIn((await copy.find())?.written)).toEqual(['1', '3']);
  });

  it('has nothing in it of another garden that was opened since', async () => {
    const { copy } = copyHere();
    await copy.make('first', fileOf('one'));
    await copy.note(note('1'));
    await copy.note(note('2', 'second'));
    expect(idsIn((await copy.find())?.written)).toEqual(['1']);
    expect(await copy.isDue('second')).toBe(true);
    await copy.make('second', fileOf('two'));
    expect((await copy.find())?.text).toBe('two');
    expect(await copy.isDue('second')).toBe(false);
  });

  it('has in it what was written to the same garden after a file was merged with it', async () => {
    const { copy } = copyHere();
    await copy.make('first', fileOf('one'));
    await copy.note({ database: 'second', follows: 'first' });
    await copy.note(note('1', 'second'));
    await copy.note(note('2', 'another'));
    await copy.note({ database: 'third', follows: 'second' });
    await copy.note(note('3', 'third'));
    expect(idsIn((await copy.find())?.written)).toEqual(['1', '3']);
    expect(await copy.isDue('third')).toBe(true);
  });

  it('is due where it is not there, and once much was written since', async () => {
    const { copy, files } = copyHere();
    expect(await copy.isDue('first')).toBe(true);
    await copy.make('first', fileOf('one'));
    await copy.note(note('1'));
    expect(await copy.isDue('first')).toBe(false);
    await files.append('rundel.journal', new Uint8Array(250_000));
    expect(await copy.isDue('first')).toBe(true);
  });

  it('is made by one tab at a time', async () => {
    const { copy } = copyHere();
    let isBegun = false;
    await copy.make('first', async () => {
      await copy.make('first', () => {
        isBegun = true;
        return fileOf('of the other tab')();
      });
      return fileOf('one')();
    });
    expect(isBegun).toBe(false);
    expect((await copy.find())?.text).toBe('one');
  });
});
