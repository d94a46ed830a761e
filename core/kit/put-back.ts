import type { DialSettings } from './dial-steps';

/** What of a machine is changed for some work and put back afterwards. */
export const usualIds = [
  'pressure',
  'tension',
  'lift',
  'differential',
  'needle-position',
  'plate',
  'hover',
  'cutting-width',
  'loopers',
] as const;
export type UsualId = (typeof usualIds)[number];

/** How a machine usually stands, by what is set: a number, or a code or a word. */
export type UsualState = { readonly [id in UsualId]?: number | string | undefined };

/** How machines stand where nobody said. Starting guesses. */
export const plainUsual: UsualState = {
  ...{ pressure: 'normal', tension: 'normal', lift: 0, differential: 1 },
  ...{ 'needle-position': 0, hover: 'off' },
};

/** Something that stands otherwise than usual. */
export interface PutBack {
  readonly id: UsualId;
  readonly was: number | string | null;
  readonly is: number | string;
}

const isUsualId = (id: string): id is UsualId => (usualIds as readonly string[]).includes(id);
const same = (a: number | string, b: number | string) =>
  typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) < 1e-6 : a === b;

/**
 * What a piece of work changes from how a machine usually stands.
 *
 * @param values what is set beside the solved dials
 * @returns in the order of {@link usualIds}; what was is null where nobody ever said
 * @example putBackOf({}, [{ id: 'pressure', value: 'less' }], null)[0]?.was // 'normal'
 */
export function putBackOf(
  usual: UsualState,
  values: readonly { readonly id: string; readonly value: number | string }[],
  settings: Pick<DialSettings, 'needlePositionMm'> | null,
): PutBack[] {
  const set = [
    ...values,
    ...(settings ? [{ id: 'needle-position', value: settings.needlePositionMm }] : []),
  ];
  return usualIds.flatMap((id): PutBack[] => {
    const now = set.find((value) => value.id === id && isUsualId(value.id));
    if (!now) return [];
    const was = usual[id] ?? plainUsual[id] ?? null;
    return was !== null && same(was, now.value) ? [] : [{ id, was, is: now.value }];
  });
}
