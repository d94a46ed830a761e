import type { GarmentTask, Wait } from '../../core/garment/garment-task';
import type { Garment, GarmentKind } from '../../core/garment/garment';
import type { Aid, ReadyKind } from '../../core/garment/ready';
import type { Changed } from '../../core/order/model';
import type { Lengths } from '../../core/measure/lengths';
import { fill } from '../../core/measure/fill';
import { machineKindNames, needleWords } from './kit';

export const garmentNames: Readonly<Record<GarmentKind, string>> = {
  singlet: 'singlet',
  't-shirt': 'T-shirt',
  jacket: 'unlined jacket',
  trousers: 'trousers',
  'circle-skirt': 'circle skirt',
  blanket: 'blanket',
  napkins: 'napkins',
  tote: 'tote',
  curtain: 'curtain',
};

const places: Readonly<Record<string, string>> = { table: 'table', iron: 'iron', hand: 'by hand' };

/** Where work is done, in a word or two. */
export function placeName(
  place: string,
  machines: readonly { readonly id: string; readonly name: string }[],
): string {
  const missing = /^missing (.*)$/.exec(place)?.[1];
  if (missing) return `${machineKindNames[missing as keyof typeof machineKindNames]}, not here`;
  return places[place] ?? machines.find(({ id }) => id === place)?.name ?? place;
}

/** The same in a lane, where there is little room: what a machine's name begins with. */
export function laneName(place: string, machines: Parameters<typeof placeName>[1]): string {
  const short = (name: string) => name.split(',')[0] ?? name;
  const name = placeName(place, machines);
  const alike = machines.filter((machine) => short(machine.name) === short(name));
  return alike.length > 1 ? name : short(name);
}

/** A task in words, in the person's unit. */
export const taskInWords = ({ text, values }: GarmentTask, lengths: Lengths): string =>
  fill(text, values, lengths);

/** Something that is changed before a task, in a word or two. */
export function changeInWords({ what, to }: Changed, here: (place: string) => string): string {
  switch (what) {
    case 'place':
      return `to: ${here(to)}`;
    case 'pressure':
      return `pressure ${to === 'normal' ? 'normal' : `a little ${to}`}`;
    case 'thread':
      return to.startsWith('#') ? 'thread of the colour picked' : `thread ${to}`;
    case 'foot':
      return `foot: ${to}`;
    case 'needle':
      return `needle ${needleWords(to)}`;
    default:
      return `${what} ${to}`;
  }
}

/** Why one thing waits for another. */
export const waitWords: Readonly<Record<Wait['why'], string>> = {
  chain: 'the step before it',
  second: 'both are marked before either is sewn',
  'edge-before-seam': 'the edge is finished before the seam closes it',
  'seam-before-edge': 'the seam is sewn and pressed before the edge crosses it',
  own: 'as the garment asks',
  wish: 'as you wished',
  'put-back': 'nothing more is sewn on it',
};

/** A time as one says it: 3 h 40 min, 12 min. */
export function minutesInWords(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 1 && minutes > 0) return 'under 1 min';
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** Minutes of change, which come in tenths. */
export const changeMinutesInWords = (minutes: number): string =>
  `${Math.round(minutes * 10) / 10} min`;

export const readyNames: Readonly<Record<ReadyKind, string>> = {
  machine: 'Machines',
  foot: 'Feet and attachments',
  needle: 'Needles',
  thread: 'Threads',
  strip: 'Strips',
  aid: 'At hand',
};

export const aidNames: Readonly<Record<Aid, string>> = {
  starch: 'Starch',
  chalk: 'Chalk or marking pencil',
  pins: 'Pins, counted',
  iron: 'Iron and board',
  'pressing-cloth': 'Pressing cloth',
};

/** What a garment is, in a line: its kind and its pieces. */
export function garmentInWords({ kind, pieces }: Pick<Garment, 'kind' | 'pieces'>): string {
  const cut = pieces.map(({ name, count }) => (count === 1 ? name : `${count} × ${name}`));
  return [kind && garmentNames[kind], cut.length > 0 && `pieces: ${cut.join(', ')}`]
    .filter(Boolean)
    .join(' · ');
}
