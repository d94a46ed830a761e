import { Impossible } from '../../core/impossible';
import { Refusal } from '../http/refusal';

/** A refusal as it is told from one thread or process to another. */
export interface ToldRefusal {
  readonly status: number;
  readonly code: string;
  readonly message: string;
  readonly issues: Refusal['issues'];
}

/** How something ended elsewhere. */
export type Told<T> = { readonly ok: T } | { readonly refused: ToldRefusal };

/** Does something and tells how it ended; what is no refusal is thrown on. */
export async function told<T>(work: () => T | Promise<T>): Promise<Told<T>> {
  try {
    return { ok: await work() };
  } catch (error) {
    if (error instanceof Impossible) {
      const { message, issues } = error;
      return { refused: { status: 400, code: 'impossible', message, issues: [...issues] } };
    }
    if (!(error instanceof Refusal)) throw error;
    const { status, code, message, issues } = error;
    return { refused: { status, code, message, issues } };
  }
}

/** What was told. @throws Refusal when it was one */
export function heard<T>(answer: Told<T>): T {
  if ('ok' in answer) return answer.ok;
  const { status, code, message, issues } = answer.refused;
  throw new Refusal(status, code, message, issues);
}
