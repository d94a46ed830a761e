/** Nothing that is stored or computed here is nested deeper. */
export const deepestNesting = 32;

/**
 * Whether objects and lists lie deeper in one another than a number of times. Goes through them
 * without calling itself, since a few thousand brackets would be more than a stack holds.
 */
export function isNestedDeeper(value: unknown, most: number): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    const inner = level.filter((it): it is object => typeof it === 'object' && it !== null);
    if (inner.length > 0 && depth >= most) return true;
    level = inner.flatMap((it) => Object.values(it) as unknown[]);
  }
  return false;
}

const [quote, backslash, openBrace, openBracket, closeBrace, closeBracket] = [...'"\\{[}]'].map(
  (sign) => sign.charCodeAt(0),
);

/**
 * Whether a text in JSON opens more brackets within one another than a number of times; told
 * before it is parsed, since the parser goes down as deep as it is led.
 */
export function isWrittenDeeper(json: Uint8Array, most: number): boolean {
  let depth = 0;
  for (let at = 0; at < json.length; at++) {
    const sign = json[at];
    if (sign === quote) {
      at++;
      while (at < json.length && json[at] !== quote) at += json[at] === backslash ? 2 : 1;
    } else if (sign === openBrace || sign === openBracket) {
      if (++depth > most) return true;
    } else if (sign === closeBrace || sign === closeBracket) depth--;
  }
  return false;
}
