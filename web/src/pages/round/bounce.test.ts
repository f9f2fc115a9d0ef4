// @vitest-environment happy-dom
import { expect, it } from 'vitest';
import { isBounce, type Tap } from './bounce.ts';

const given = document.createElement('button');
const grade = document.createElement('button');
grade.setAttribute('aria-pressed', 'false');

const tap = (button: Element | null, at: number, x = 200, y = 400): Tap => ({ button, at, x, y });

it('a tap at once at the same place was not meant for what was moved there', () => {
  expect(isBounce(tap(grade, 1000), tap(given, 1120, 204, 397))).toBe(true);
  // what was tapped may be gone, or nothing may be there
  expect(isBounce(tap(given, 1000), tap(null, 1120))).toBe(true);
});

it('a look is not made twice by a double click, but steps may be tapped fast', () => {
  expect(isBounce(tap(grade, 1000), tap(grade, 1150))).toBe(true);
  expect(isBounce(tap(given, 1000), tap(given, 1150))).toBe(false);
});

it('a tap that is later, elsewhere or the first is meant', () => {
  expect(isBounce(undefined, tap(given, 1000))).toBe(false);
  expect(isBounce(tap(grade, 1000), tap(given, 1400))).toBe(false);
  expect(isBounce(tap(grade, 1000), tap(given, 1120, 200, 440))).toBe(false);
});
