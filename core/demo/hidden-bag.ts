import type { Chance } from './chance.ts';
import type { HiddenDay } from './hidden-weather.ts';

/**
 * A bag as it really is, with a structure of its own so that the estimator is not tested against itself: two layers,
 * hourly steps, another formula for use, a use that wanders, and water that runs past dry mix.
 */
export class HiddenBag {
  private top: number;
  private bottom: number;
  private use: number;

  /**
   * @param size available water at capacity, L; a quarter of it in the top layer
   * @param canopy shade it will cast when grown, m²
   */
  constructor(
    private readonly chance: Chance,
    private readonly size: number,
    private readonly canopy: number,
    private readonly weeksToFull: number,
    private readonly place: {
      readonly isCovered: boolean;
      readonly openSquareMetres: number;
      readonly breathes: boolean;
    },
  ) {
    this.top = size * 0.2;
    this.bottom = size * 0.6;
    this.use = Math.exp(0.3 * chance.normal());
  }

  /** Share of available water in the whole bag. */
  get share(): number {
    return (this.top + this.bottom) / this.size;
  }

  /** Passes some hours of a day. */
  pass(weather: HiddenDay, ageDays: number, fromHour: number, toHour: number): void {
    for (let hour = fromHour; hour < toHour; hour++) {
      const sun = Math.max(0, Math.sin(((hour + 0.5 - 4.5) / 15) * Math.PI));
      const warmth = (weather.minCelsius + weather.maxCelsius) / 2 + 4;
      // mm an hour: radiation and warmth, peaking near 0.8 on a clear day at 24 °C
      const millimetres =
        sun * (0.15 + 0.66 * weather.clearness) * (warmth / 26) * (this.place.isCovered ? 0.8 : 1);
      const leaves = this.canopy / (1 + Math.exp(-(ageDays - this.weeksToFull * 3.6) / 13));
      const wanted = millimetres * (1.1 * leaves * this.use + (this.place.breathes ? 0.1 : 0.03));
      const total = this.top + this.bottom;
      const given = wanted * Math.min(1, total / (0.55 * this.size));
      const fromTop = Math.min(this.top * 0.5, given * 0.4);
      this.top -= fromTop;
      this.bottom = Math.max(0, this.bottom - (given - fromTop));
      // the layers even out slowly
      const flow = 0.03 * (this.bottom / 3 - this.top);
      this.top += flow;
      this.bottom -= flow;
      if (!this.place.isCovered)
        this.pour((weather.rainMillimetres / 24) * this.place.openSquareMetres * 0.4);
    }
    if (toHour === 24) this.use *= Math.exp(0.04 * this.chance.normal());
  }

  /** Pours litres in; returns what ran through. Dry mix lets part of it past. */
  pour(litres: number): number {
    const past = this.share < 0.22 ? 0.3 * litres : 0;
    const room = this.size - this.top - this.bottom;
    const kept = Math.min(room, litres - past);
    const toTop = Math.min(this.size * 0.25 - this.top, kept * 0.35);
    this.top += toTop;
    this.bottom += kept - toTop;
    return litres - kept;
  }

  /** The grade that a finger feels, 1 to 5: more of the top layer than the bag has, and not the same twice. */
  finger(): number {
    const felt = 0.45 * (this.top / (this.size * 0.25)) + 0.55 * this.share + 0.09 * this.chance.normal();
    return 1 + [0.12, 0.33, 0.58, 0.85].filter((border) => felt >= border).length;
  }
}
