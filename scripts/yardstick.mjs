/**
 * Milliseconds of two fixed loops: twenty million multiply-adds that wait for one another, and eighty million that need not.
 * A shared machine is not always equally fast, and figures of two days can only be held against each other by these; a
 * neighbour on the same core slows only the second, and most of what the bench measures. Prints one line of JSON.
 */
const numbers = Float64Array.from({ length: 1000 }, (_, i) => 1 + i / 1000);

function chained() {
  let sum = 0;
  for (let n = 0; n < 20_000; n++) for (let i = 0; i < 1000; i++) sum = sum * 0.999 + numbers[i];
  return sum;
}

function free() {
  let a = 0.5;
  let b = 0.5;
  let c = 0.5;
  let d = 0.5;
  for (let n = 0; n < 80_000; n++)
    for (let i = 0; i < 1000; i += 4) {
      a += numbers[i] * numbers[i + 1];
      b += numbers[i + 1] * numbers[i + 2];
      c += numbers[i + 2] * numbers[i + 3];
      d += numbers[i + 3] * numbers[i];
    }
  return a + b + c + d;
}

/** Milliseconds of some work that gives a number, median of 7. */
function medianTime(work) {
  const times = Array.from({ length: 7 }, () => {
    const started = performance.now();
    return work() > 0 ? performance.now() - started : 0;
  });
  return Math.round(times.sort((a, b) => a - b)[3]);
}

console.log(JSON.stringify({ chained: medianTime(chained), free: medianTime(free) }));
