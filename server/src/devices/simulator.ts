import { addDays, dayOf, daysBetween, hourOf, offsetMinutesOf } from '@rundel/core/calendar';
import {
  chanceFrom,
  CLIMATES,
  HiddenBag,
  hiddenWeather,
  type HiddenDay,
  type HiddenMake,
} from '@rundel/core/hidden';

/** What a device does beside its work, to try how the app takes it. */
export const FAULTS = ['none', 'frozen', 'silent', 'out-of-range'] as const;
export type Fault = (typeof FAULTS)[number];

export interface Device {
  readonly id: string;
  readonly kind: 'probe' | 'scale' | 'timer' | 'kitchen-scale';
  readonly name: string;
  readonly unit: 'percent' | 'kilograms' | 'litres-a-day';
}

export interface Reading {
  readonly deviceId: string;
  readonly at: string;
  readonly value: number;
  readonly unit: Device['unit'];
}

/** A simulated bag with the device that stands in it. */
interface SimulatedDevice {
  readonly device: Device;
  readonly make: HiddenMake;
  /** what a scale shows when the bag is drained and full, kg; a probe's raw values when dry and full */
  readonly full: number;
  readonly dry: number;
}

const TIMER_ID = 'timer-a';

const SIMULATED_DEVICES: readonly SimulatedDevice[] = [
  {
    device: { id: 'probe-a', kind: 'probe', name: 'Probe A', unit: 'percent' },
    make: {
      availableLitres: 8,
      canopySquareMetres: 0.5,
      weeksToFull: 11,
      isCovered: false,
      openSquareMetres: 0.1,
      breathes: true,
    },
    full: 78,
    dry: 21,
  },
  {
    device: { id: 'probe-b', kind: 'probe', name: 'Probe B', unit: 'percent' },
    make: {
      availableLitres: 6,
      canopySquareMetres: 0.3,
      weeksToFull: 10,
      isCovered: true,
      openSquareMetres: 0.08,
      breathes: false,
    },
    full: 84,
    dry: 30,
  },
  {
    device: { id: 'scale-a', kind: 'scale', name: 'Hanging scale', unit: 'kilograms' },
    make: {
      availableLitres: 5,
      canopySquareMetres: 0.3,
      weeksToFull: 10,
      isCovered: true,
      openSquareMetres: 0.07,
      breathes: false,
    },
    full: 17.5,
    dry: 12.5,
  },
  {
    device: { id: TIMER_ID, kind: 'timer', name: 'Drip timer', unit: 'litres-a-day' },
    make: {
      availableLitres: 9,
      canopySquareMetres: 0.5,
      weeksToFull: 11,
      isCovered: false,
      openSquareMetres: 0.1,
      breathes: true,
    },
    full: 0,
    dry: 0,
  },
];

/** Stands in the kitchen, with whatever bowl was put on it last; it belongs to no bag. */
const KITCHEN_SCALE: Device = {
  id: 'kitchen-scale',
  kind: 'kitchen-scale',
  name: 'Kitchen scale',
  unit: 'kilograms',
};

export const DEVICES: readonly Device[] = [...SIMULATED_DEVICES.map(({ device }) => device), KITCHEN_SCALE];

/** Bowls weigh between these, kg. */
const BOWL = { from: 0.15, to: 1.4 };

/** A device that keeps silent. */
export class SilentDevice extends Error {}

/** So many simulated years are remembered, and lives of bags in them; whoever asks for a thousand gets them, one after another. */
const MOST_YEARS = 12;
const MOST_LIVES = 60;

/** Puts something into a memory of a size: what was put there first goes. */
function remember<T>(memory: Map<string, T>, key: string, value: T, most: number): void {
  memory.delete(key);
  memory.set(key, value);
  for (const oldest of [...memory.keys()].slice(0, Math.max(0, memory.size - most))) memory.delete(oldest);
}

/** The first day of each simulated year, and how many days it has. */
const START = '04-20';
const DAYS = 220;
/** Whoever tends the simulated bags waters at this hour what is drier than this. */
const TENDED_HOUR = 19;
const TENDED_BELOW = 0.4;

/** One bag on its way through the year. */
interface SimulationState {
  bag: HiddenBag;
  /** hours from the start that have been lived through */
  hours: number;
  drippedLitres: number;
}

/**
 * The simulated place that the devices stand in: weather and hidden bags, the same for the same seed. It is asked for a moment
 * and lives up to it; a moment before the last one is lived through anew from the start of its year.
 */
export class Simulator {
  private readonly weathers = new Map<string, readonly HiddenDay[]>();
  private readonly lives = new Map<string, SimulationState>();
  private readonly faults = new Map<string, Fault>();
  private dripLitresADay = 2;

  constructor(private readonly seed: number) {}

  /** Days of the station's record, both ends included; none outside of the simulated year. */
  days(from: string, to: string): readonly HiddenDay[] {
    const years = [...new Set([from.slice(0, 4), to.slice(0, 4)])];
    return years.flatMap((year) => this.weather(year)).filter(({ day }) => day >= from && day <= to);
  }

  /**
   * The days to come as somebody foretells them on the eve: near the truth for tomorrow, and further from it with every day.
   *
   * @param count 1 to 10
   */
  forecast(from: string, count: number): readonly HiddenDay[] {
    return this.days(addDays(from, 1), addDays(from, count)).map((day, i) => {
      const chance = chanceFrom(this.seed + hashOf(`${from} ${day.day}`));
      const off = (0.4 + 0.35 * (i + 1)) * chance.normal();
      const tenth = (x: number) => Math.round(x * 10) / 10;
      return {
        ...day,
        minCelsius: tenth(day.minCelsius + off),
        maxCelsius: tenth(day.maxCelsius + off + 0.3 * Math.abs(chance.normal())),
        rainMillimetres: chance.next() < 0.06 * (i + 1) ? tenth(6 * chance.next()) : day.rainMillimetres,
      };
    });
  }

  /** The air at a moment, °C: coldest before sunrise, warmest in the afternoon. */
  air(at: string): { readonly celsius: number; readonly clearness: number } | undefined {
    const today = this.weather(at.slice(0, 4)).find(({ day }) => day === dayOf(at));
    if (!today) return undefined;
    const swing = (1 - Math.cos(((hourOf(at) - 4) / 24) * 2 * Math.PI)) / 2;
    const celsius = today.minCelsius + (today.maxCelsius - today.minCelsius) * swing;
    return { celsius: Math.round(celsius * 10) / 10, clearness: today.clearness };
  }

  /**
   * A device's reading at a moment.
   *
   * @throws SilentDevice when it does not answer, RangeError for a moment outside of the simulated year
   */
  read(deviceId: string, at: string): Reading {
    if (deviceId === KITCHEN_SCALE.id) return this.weighBowl(at);
    const post = SIMULATED_DEVICES.find(({ device }) => device.id === deviceId);
    if (!post) throw new RangeError(`There is no device "${deviceId}".`);
    const fault = this.faults.get(deviceId) ?? 'none';
    if (fault === 'silent') throw new SilentDevice(`${post.device.name} does not answer.`);
    const { device } = post;
    // a frozen device shows what it showed at the last midnight
    const { bag } = this.livedTo(post, fault === 'frozen' ? `${dayOf(at)}T00:00:00.000Z` : at);
    if (device.kind === 'timer') return { deviceId, at, value: this.dripLitresADay, unit: device.unit };
    const value = device.kind === 'scale' ? bag.weigh(post.full) : bag.probe(post.dry, post.full);
    const unitFormat = fault === 'out-of-range' ? value * 1.9 + 20 : value;
    return { deviceId, at, value: Math.round(unitFormat * 100) / 100, unit: device.unit };
  }

  /** Another bowl each minute, to the gram. */
  private weighBowl(at: string): Reading {
    const fault = this.faults.get(KITCHEN_SCALE.id) ?? 'none';
    if (fault === 'silent') throw new SilentDevice(`${KITCHEN_SCALE.name} does not answer.`);
    const minute = fault === 'frozen' ? 0 : Math.floor(Date.parse(at) / 60_000);
    const kilograms = BOWL.from + (BOWL.to - BOWL.from) * chanceFrom(this.seed + minute).next();
    const value = Math.round((fault === 'out-of-range' ? 100 * kilograms : kilograms) * 1000) / 1000;
    return { deviceId: KITCHEN_SCALE.id, at, value, unit: KITCHEN_SCALE.unit };
  }

  /** The real share of available water: for tests, never told over the wire. */
  truth(deviceId: string, at: string): number {
    const post = SIMULATED_DEVICES.find(({ device }) => device.id === deviceId) as SimulatedDevice;
    return this.livedTo(post, at).bag.share;
  }

  setFault(deviceId: string, fault: Fault): void {
    this.faults.set(deviceId, fault);
  }

  setDrip(litresADay: number): void {
    this.dripLitresADay = litresADay;
    // the bag under the timer begins its year anew, in every year that was asked about
    for (const key of this.lives.keys()) if (key.startsWith(TIMER_ID)) this.lives.delete(key);
  }

  private weather(year: string): readonly HiddenDay[] {
    const found = this.weathers.get(year);
    if (found) return found;
    const days = hiddenWeather(
      chanceFrom(this.seed + Number(year)),
      `${year}-${START}`,
      DAYS,
      CLIMATES.boatyard,
    );
    remember(this.weathers, year, days, MOST_YEARS);
    return days;
  }

  private livedTo(post: SimulatedDevice, at: string): SimulationState {
    const year = at.slice(0, 4);
    const start = `${year}-${START}`;
    const hours = daysBetween(start, dayOf(at)) * 24 + Math.floor(hourOf(at));
    if (hours < 0 || hours >= DAYS * 24)
      throw new RangeError(`The simulated year runs from ${start} to ${addDays(start, DAYS - 1)}.`);
    const key = `${post.device.id}${year}`;
    const known = this.lives.get(key);
    const make =
      post.device.kind === 'timer' ? { ...post.make, dripLitresADay: this.dripLitresADay } : post.make;
    const life =
      known && known.hours <= hours
        ? known
        : {
            bag: new HiddenBag(chanceFrom(this.seed + key.length + hashOf(key)), make),
            hours: 0,
            drippedLitres: 0,
          };
    const weather = this.weather(year);
    for (; life.hours < hours; life.hours++) {
      const day = weather[Math.floor(life.hours / 24)] as HiddenDay;
      const hour = life.hours % 24;
      if (hour === TENDED_HOUR && life.bag.share < TENDED_BELOW && post.device.kind !== 'timer')
        life.bag.pour(post.make.availableLitres);
      life.bag.pass(day, hour, hour + 1);
    }
    remember(this.lives, key, life, MOST_LIVES);
    // a reading must not move the bag on: the devices' own noise is drawn from a copy
    return { ...life, bag: life.bag.copy() };
  }
}

function hashOf(text: string): number {
  return [...text].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 100_003, 7);
}

/** A moment some seconds later, in the same local clock. */
export function later(at: string, seconds: number): string {
  const offset = offsetMinutesOf(at);
  const local = new Date(Date.parse(at) + seconds * 1000 + offset * 60_000).toISOString().slice(0, 23);
  return `${local}${/(Z|[+-]\d{2}:\d{2})$/.exec(at)?.[0] ?? 'Z'}`;
}
