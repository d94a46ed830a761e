/**
 * Asks something that tells how far it is, and lets it tell no more once it has answered: a thread tells
 * on a line of its own, and what comes over that may come after the answer.
 *
 * @param told hears how far it is
 * @param ask asks, given what to tell that to
 */
export async function untilAnswered<A extends readonly unknown[], T>(
  told: (...args: A) => void,
  ask: (told: (...args: A) => void) => Promise<T>,
): Promise<T> {
  let isAnswered = false;
  try {
    return await ask((...args) => {
      if (!isAnswered) told(...args);
    });
  } finally {
    isAnswered = true;
  }
}
