import {
  machineAttributes,
  plainPlaces,
  usualChangeMinutes,
  type MachineAttribute,
  type OrderAsked,
} from './task';

/**
 * Something that stands at one value at a time and costs when it is changed: where one is, or an
 * attribute of a machine.
 */
interface Slot {
  readonly minutes: number;
}

/** What a task asks of one slot. */
export interface Want {
  readonly slot: number;
  readonly value: number;
}

/** Tasks by number, slots by number, values by number: what the search works on. */
export interface OrderModel {
  readonly count: number;
  readonly wants: readonly (readonly Want[])[];
  readonly after: readonly (readonly number[])[];
  /** How many tasks come directly before each. */
  readonly waitsFor: readonly number[];
  readonly slots: readonly Slot[];
  /** What each slot is of its machine. */
  readonly attributes: readonly (MachineAttribute | 'place')[];
  /** How many values a slot has. */
  readonly values: readonly number[];
  /** What each slot stands at to begin with; −1 for unknown. */
  readonly start: readonly number[];
}

/** Names to numbers, in the order in which they come up. */
class Numbers {
  private readonly known = new Map<string, number>();

  of(name: string): number {
    const known = this.known.get(name) ?? this.known.size;
    this.known.set(name, known);
    return known;
  }

  find(name: string): number | null {
    return this.known.get(name) ?? null;
  }

  get size(): number {
    return this.known.size;
  }
}

const isMachine = (place: string) => !(plainPlaces as readonly string[]).includes(place);

/** What is to be put in order, as numbers. The place is the first slot. */
export function orderModel({ tasks, before, costs = {}, start = {} }: OrderAsked): OrderModel {
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  const after: number[][] = tasks.map(() => []);
  const waitsFor = tasks.map(() => 0);
  for (const key of new Set(before.map(([first, then]) => JSON.stringify([first, then])))) {
    const [first, then] = JSON.parse(key) as [string, string];
    const [from, to] = [index.get(first) ?? 0, index.get(then) ?? 0];
    after[from]?.push(to);
    waitsFor[to] = (waitsFor[to] ?? 0) + 1;
  }
  const slots: Slot[] = [{ minutes: costs.place ?? usualChangeMinutes.place }];
  const attributes: (MachineAttribute | 'place')[] = ['place'];
  const slotNumbers = new Map<string, number>();
  const values: Numbers[] = [new Numbers()];
  const slotOf = (machine: string, attribute: MachineAttribute): number => {
    const key = JSON.stringify([machine, attribute]);
    const known = slotNumbers.get(key);
    if (known !== undefined) return known;
    const minutes =
      costs.perMachine?.[machine]?.[attribute] ?? costs[attribute] ?? usualChangeMinutes[attribute];
    slotNumbers.set(key, slots.length);
    slots.push({ minutes });
    attributes.push(attribute);
    values.push(new Numbers());
    return slots.length - 1;
  };
  const wants = tasks.map(({ place, state }): Want[] => [
    { slot: 0, value: values[0]!.of(place) },
    ...(isMachine(place)
      ? machineAttributes.flatMap((attribute): Want[] => {
          const name = state?.[attribute] ?? null;
          if (name === null) return [];
          const slot = slotOf(place, attribute);
          return [{ slot, value: values[slot]!.of(name) }];
        })
      : []),
  ]);
  const standing = slots.map(() => -1);
  if (start.place) standing[0] = values[0]!.find(start.place) ?? -1;
  for (const [key, slot] of slotNumbers) {
    const [machine, attribute] = JSON.parse(key) as [string, MachineAttribute];
    const name = start.machines?.[machine]?.[attribute] ?? null;
    if (name !== null) standing[slot] = values[slot]!.find(name) ?? -1;
  }
  return {
    ...{ count: tasks.length, wants, after, waitsFor, slots, attributes },
    values: values.map(({ size }) => size),
    start: standing,
  };
}

/** Minutes of change for a task where the slots stand so. */
export function changeMinutes(
  { slots }: Pick<OrderModel, 'slots'>,
  wants: readonly Want[],
  standing: ArrayLike<number>,
): number {
  let minutes = 0;
  for (const { slot, value } of wants) {
    if (standing[slot] !== value) minutes += slots[slot]?.minutes ?? 0;
  }
  return minutes;
}

/** Minutes of change of a whole sequence; null where it breaks what comes before what. */
export function minutesOf(model: OrderModel, sequence: readonly number[]): number | null {
  const waits = [...model.waitsFor];
  const standing = [...model.start];
  let minutes = 0;
  for (const task of sequence) {
    if ((waits[task] ?? 0) > 0) return null;
    const wants = model.wants[task] ?? [];
    minutes += changeMinutes(model, wants, standing);
    for (const { slot, value } of wants) standing[slot] = value;
    for (const next of model.after[task] ?? []) waits[next] = (waits[next] ?? 0) - 1;
  }
  return minutes;
}

/** Something that is changed before a task: where one is, or what a machine stands at. */
export interface Changed {
  readonly what: MachineAttribute | 'place';
  /** The place one goes to, or the machine it is changed on. */
  readonly place: string;
  /** What it is changed to. */
  readonly to: string;
  readonly minutes: number;
}

/** What is changed before each task of a sequence, in its order. */
export function changesAlong(asked: OrderAsked, sequence: readonly number[]): Changed[][] {
  const model = orderModel(asked);
  const standing = [...model.start];
  return sequence.map((number) => {
    const task = asked.tasks[number];
    const wants = model.wants[number] ?? [];
    const changed = wants.filter(({ slot, value }) => standing[slot] !== value);
    for (const { slot, value } of wants) standing[slot] = value;
    if (!task) return [];
    return changed.map(({ slot }): Changed => {
      const what = model.attributes[slot] ?? 'place';
      const to = what === 'place' ? task.place : (task.state?.[what] ?? '');
      return { what, place: task.place, to, minutes: model.slots[slot]?.minutes ?? 0 };
    });
  });
}
