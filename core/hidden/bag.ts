import type { Chance } from '../src/statistics/index.ts';
import type { HiddenDay } from './weather.ts';

/** What a hidden bag is made like; none of it is known to the app. */
export interface HiddenMake {
  /** available water at capacity, L; a quarter of it in the top layer */
  readonly availableLitres: number;
  /** shade it will cast when grown, m² */
  readonly canopySquareMetres: number;
  readonly weeksToFull: number;
  /** days of growth that it has behind it at the start; none when left out */
  readonly ageDays?: number;
  readonly isCovered: boolean;
  readonly openSquareMetres: number;
  readonly breathes: boolean;
  /** share of the sun that shade cloth takes */
  readonly shade?: number;
  /** water beside the mix: what it holds, and how much of the bag's deficit it makes good in an hour */
  readonly store?: { readonly litres: number; readonly perHour: number; readonly catchesDrained: boolean };
  /** drip that reaches the roots, L on a day, at six in the morning and six at night */
  readonly dripLitresADay?: number;
}

/**
 * A bag as it really is, with a structure of its own so that the estimator is not tested against itself: two layers,
 * hourly steps, another formula for use, a use that wanders, and water that runs past dry mix.
 */
export class HiddenBag {
  private top: number;
  private bottom: number;
  private stored: number;
  private age: number;

  constructor(
    private readonly chance: Chance,
    readonly make: HiddenMake,
    private use: number = Math.exp(0.3 * chance.normal()),
  ) {
    this.top = make.availableLitres * 0.2;
    this.bottom = make.availableLitres * 0.6;
    this.age = make.ageDays ?? 0;
    this.stored = (make.store?.litres ?? 0) * 0.5;
  }

  /** The same bag, to see what would become of it. */
  copy(): HiddenBag {
    const other = new HiddenBag(this.chance.copy(), this.make, this.use);
    other.top = this.top;
    other.bottom = this.bottom;
    other.stored = this.stored;
    other.age = this.age;
    return other;
  }

  /** Share of available water in the whole bag. */
  get share(): number {
    return (this.top + this.bottom) / this.make.availableLitres;
  }

  /** Share of its store that is full; 0 without one. */
  get level(): number {
    return this.make.store ? this.stored / this.make.store.litres : 0;
  }

  /** Passes some hours of a day; returns the lowest share on the way. */
  pass(weather: HiddenDay, fromHour: number, toHour: number): number {
    const { make } = this;
    const size = make.availableLitres;
    const leaves = make.canopySquareMetres / (1 + Math.exp(-(this.age - make.weeksToFull * 3.6) / 13));
    const shading = (make.isCovered ? 0.8 : 1) * (1 - 0.85 * (make.shade ?? 0));
    const warmth = (weather.minCelsius + weather.maxCelsius) / 2 + 4;
    // it grows with the warmth of the day, by a rule of its own
    const pace = Math.min(1.25, Math.max(0.35, (warmth + (make.isCovered ? 3 : 0) - 10) / 9));
    this.age += (pace * (toHour - fromHour)) / 24;
    let lowest = this.share;
    for (let hour = fromHour; hour < toHour; hour++) {
      const sun = Math.max(0, Math.sin(((hour + 0.5 - 4.5) / 15) * Math.PI));
      // mm an hour: radiation and warmth, peaking near 0.8 on a clear day at 24 °C
      const millimetres = sun * (0.15 + 0.66 * weather.clearness) * (warmth / 26) * shading;
      const wanted = millimetres * (1.1 * leaves * this.use + (make.breathes ? 0.1 : 0.03));
      const given = wanted * Math.min(1, (this.top + this.bottom) / (0.55 * size));
      const fromTop = Math.min(this.top * 0.5, given * 0.4);
      this.top -= fromTop;
      this.bottom = Math.max(0, this.bottom - (given - fromTop));
      this.drawUp();
      // the layers even out slowly
      const flow = 0.03 * (this.bottom / 3 - this.top);
      this.top += flow;
      this.bottom -= flow;
      if (!make.isCovered) this.pour((weather.rainMillimetres / 24) * make.openSquareMetres * 0.4);
      if (make.dripLitresADay && (hour === 6 || hour === 18)) this.pour(make.dripLitresADay / 2);
      lowest = Math.min(lowest, this.share);
    }
    if (toHour === 24) this.use *= Math.exp(0.04 * this.chance.normal());
    return lowest;
  }

  private drawUp(): void {
    const { store, availableLitres } = this.make;
    if (!store) return;
    const drawn = Math.min(this.stored, store.perHour * (0.75 * availableLitres - this.bottom));
    if (drawn <= 0) return;
    this.stored -= drawn;
    this.bottom += drawn;
  }

  /** Pours litres in; returns what ran through. Dry mix lets part of it past. */
  pour(litres: number): number {
    const size = this.make.availableLitres;
    const past = this.share < 0.22 ? 0.3 * litres : 0;
    const room = size - this.top - this.bottom;
    const kept = Math.min(room, litres - past);
    const toTop = Math.min(size * 0.25 - this.top, kept * 0.35);
    this.top += toTop;
    this.bottom += kept - toTop;
    const ran = litres - kept;
    if (this.make.store?.catchesDrained) this.fillStore(ran);
    return ran;
  }

  /** Pours litres into the store; returns what ran over. */
  fillStore(litres: number): number {
    const { store } = this.make;
    if (!store) return litres;
    const kept = Math.min(litres, store.litres - this.stored);
    this.stored += kept;
    return litres - kept;
  }

  /** The grade that a finger feels, 1 to 5: more of the top layer than the bag has, and not the same twice; `more` is noise on top. */
  finger(more = 0): number {
    const topShare = this.top / (this.make.availableLitres * 0.25);
    const felt = 0.45 * topShare + 0.55 * this.share + Math.hypot(0.09, more) * this.chance.normal();
    return 1 + [0.12, 0.33, 0.58, 0.85].filter((border) => felt >= border).length;
  }

  /** What a scale shows, kg: the bag drained and full weighs so much, and every litre less a kilogram less. */
  weigh(fullKilograms: number): number {
    const water = (1 - this.share) * this.make.availableLitres;
    return fullKilograms - water + 0.01 * fullKilograms * this.chance.normal();
  }

  /** What a probe in the lower layer shows, from `dry` to `full`. */
  probe(dry: number, full: number): number {
    const around = this.bottom / (this.make.availableLitres * 0.75);
    return dry + (full - dry) * Math.min(1.05, Math.max(0, around + 0.05 * this.chance.normal()));
  }
}
