import type { FootRecord, MachineRecord } from '../../contract/records';
import { kitOf } from '../../core/choose/of-records';
import type { ChooseRequest } from '../../core/choose/request';
import { genericFeet } from '../../core/kit/generic-feet';
import { genericMachines } from '../../core/kit/generic-machines';
import type { MachineKind } from '../../core/kit/machine';

/** One fact changed to see what it would do; nothing of it is stored. */
export interface WhatIf {
  /** Thicker by so much; thinner below nothing. */
  readonly thickerMm: number;
  /** A plain foot that were in the drawer, or one of the drawer's that were not. */
  readonly foot: string;
  /** A kind of machine that were there, or one of the kit's that were not. */
  readonly machine: string;
}

export const asItIs: WhatIf = { thickerMm: 0, foot: '', machine: '' };

/** No cloth is thinner than this, mm. */
const thinnestMm = 0.05;

const plus = 'with ';
const minus = 'without ';

/** The choices of a list: with what is not there, without what is. */
export const withOne = (id: string) => plus + id;
export const withoutOne = (id: string) => minus + id;

type Facts = Omit<ChooseRequest, 'wishes' | 'kit'>;

/** What a ranking is worked out from, with one fact or more changed. */
export function requestWith(
  facts: Facts,
  machines: readonly MachineRecord[],
  feet: readonly FootRecord[],
  { thickerMm, foot, machine }: WhatIf,
): Omit<ChooseRequest, 'wishes'> {
  const moreFoot = genericFeet.find(({ id }) => withOne(id) === foot);
  const kind = machine.startsWith(plus) ? (machine.slice(plus.length) as MachineKind) : null;
  return {
    ...facts,
    cloth:
      thickerMm === 0
        ? facts.cloth
        : {
            ...facts.cloth,
            thicknessMm: Math.max(thinnestMm, facts.cloth.thicknessMm + thickerMm),
          },
    kit: kitOf(
      [
        ...machines.filter(({ id }) => withoutOne(id) !== machine),
        ...(kind ? [{ specs: genericMachines[kind] }] : []),
      ],
      [
        ...feet.filter(({ id }) => withoutOne(id) !== foot),
        ...(moreFoot
          ? [
              {
                ...moreFoot,
                channelMm: moreFoot.channelMm ?? null,
                stripMm: moreFoot.stripMm ?? null,
              },
            ]
          : []),
      ],
    ),
  };
}
