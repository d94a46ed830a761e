/** What a machine stands at, or a task asks of it; null or left out is as it is. */
export const machineAttributes = ['foot', 'needle', 'thread', 'plate', 'pressure'] as const;
export type MachineAttribute = (typeof machineAttributes)[number];

/** Where work is done beside machines. */
export const plainPlaces = ['table', 'iron', 'hand'] as const;

/** A machine's set-up, as far as it is named. */
export type MachineState = {
  readonly [attribute in MachineAttribute]?: string | null | undefined;
};

/** A piece of work, with where it is done and what the machine there must stand at. */
export interface Task {
  readonly id: string;
  /** Of the work itself, which no order changes. */
  readonly minutes: number;
  /** `table`, `iron`, `hand`, or a machine's id. */
  readonly place: string;
  readonly state?: MachineState | null | undefined;
}

/** This task before that one, by their ids. */
export type Before = readonly [first: string, then: string];

/** Minutes that a change takes. */
export type ChangeCosts = {
  readonly [change in MachineAttribute | 'place']?: number | undefined;
} & {
  /** A machine of its own kind: by its id, what differs. */
  readonly perMachine?:
    | {
        readonly [machine in string]?: {
          readonly [change in MachineAttribute]?: number | undefined;
        };
      }
    | undefined;
};

/** Where one begins; what is not named is unknown, so that naming it is a change. */
export interface OrderStart {
  readonly place?: string | null | undefined;
  readonly machines?: { readonly [machine in string]?: MachineState } | undefined;
}

/** Minutes of each change where nobody said. Starting guesses. */
export const usualChangeMinutes: Readonly<Record<MachineAttribute | 'place', number>> = {
  place: 0.5,
  foot: 1,
  needle: 1.5,
  thread: 1,
  plate: 2,
  pressure: 0.3,
};

/** What is to be put in order. */
export interface OrderAsked {
  readonly tasks: readonly Task[];
  readonly before: readonly Before[];
  readonly costs?: ChangeCosts | undefined;
  readonly start?: OrderStart | undefined;
}
