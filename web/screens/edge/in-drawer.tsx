import type { StartingValue } from '../../../core/finish/work';
import type { ThreadUse } from '../../../core/kit/thread';
import { useList } from '../../ground/records';

/** The threads of the drawer that do for what a starting value asks for, by its code. */
const usesFor: Readonly<Record<string, readonly ThreadUse[]>> = {
  topstitching: ['topstitching'],
  cone: ['cone'],
  'cone-fine': ['cone'],
  fine: ['fine', 'all-purpose'],
};

/** Whether the drawer holds the needle or thread that a starting value asks for. */
export function InDrawer({ value: { id, value } }: { value: StartingValue }) {
  const needles = useList('needles').data;
  const threads = useList('threads').data;
  if ((id !== 'needle' && id !== 'thread') || !needles || !threads) return null;
  const there =
    id === 'needle'
      ? needles
          .filter(({ size, left }) => size === Number.parseInt(String(value), 10) && left > 0)
          .map(({ name, left }) => `${name}, ${left} left`)
      : threads
          .filter(({ use }) => (usesFor[String(value)] ?? ['all-purpose']).includes(use))
          .map(({ name }) => name);
  return there.length > 0 ? (
    <span className="block text-sm text-moss">✓ in the drawer: {there.join('; ')}</span>
  ) : (
    <span className="block text-sm text-ochre">not in the drawer</span>
  );
}
