import { describe, expect, it } from 'vitest';
import { minutesWords, timeIn } from './minutes-text.ts';

describe('minutes', () => {
  it.each([
    ['40', 40],
    ['40 min', 40],
    ['1 h', 60],
    ['1h20', 80],
    ['1 h 20 min', 80],
    ['1 hour and 5 minutes', 65],
    ['1,5 h', 90],
    ['½ hour', 30],
    ['0:45', 45],
    ['90 s', 1.5],
    ['5 min 30', 5.5],
  ])('are read as they are said: %s', (text, minutes) => {
    expect(timeIn('minute', text)).toBe(minutes);
  });

  it.each([
    ['70', 70],
    ['1 min 10 s', 70],
    ['1 min 10', 70],
    ['1:10', 70],
    ['½ min', 30],
  ])('of a bucket are seconds: %s', (text, seconds) => {
    expect(timeIn('second', text)).toBe(seconds);
  });

  it.each(['', 'long', '3 days', '1 h long'])('that are none are not read: "%s"', (text) => {
    expect(timeIn('minute', text)).toBeUndefined();
  });

  it.each([
    [45, '45 min'],
    [59.6, '1 h 0 min'],
    [200, '3 h 20 min'],
  ])('%d are told as %s', (minutes, words) => {
    expect(minutesWords(minutes)).toBe(words);
  });
});
