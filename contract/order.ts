import * as z from 'zod';
import { machineAttributes, type MachineAttribute } from '../core/order/task';
import { within } from './number';

const id = z.string().min(1, 'A task has an id.').max(64, 'An id has at most 64 characters.');
const name = z.string().min(1).max(80, 'At most 80 characters.').nullish();
const minutes = within(0, 10_000, ' min');

const named = <T>(field: T) =>
  Object.fromEntries(machineAttributes.map((attribute) => [attribute, field])) as Record<
    MachineAttribute,
    T
  >;

/** What a machine stands at, as far as it is named. */
const state = z.strictObject(named(name));
const changes = named(minutes.optional());

/** `/api/compute/order`. */
export const orderRequest = z.strictObject({
  tasks: z.array(
    z.strictObject({
      id,
      /** Of the work itself; no order changes them. */
      minutes: minutes.default(0),
      /** `table`, `iron`, `hand`, or a machine's id. */
      place: id,
      state: state.nullish(),
    }),
  ),
  before: z
    .array(z.tuple([id, id]))
    .max(20_000, 'At most 20,000 pairs.')
    .default([]),
  costs: z
    .strictObject({
      place: minutes.optional(),
      ...changes,
      perMachine: z.record(id, z.strictObject(changes)).optional(),
    })
    .default({}),
  start: z
    .strictObject({ place: id.nullish(), machines: z.record(id, state).optional() })
    .default({}),
});
