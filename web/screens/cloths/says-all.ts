/** Letters and digits alone, in lower case and without accents: a comma or a hyphen is no part of a name. */
const plain = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .replace(/[^\p{L}\p{N}\s]+/gu, ' ');

/** Whether every word that was typed is somewhere in a text, whatever stands between the words. */
export function saysAll(text: string, typed: string): boolean {
  const all = plain(text);
  return plain(typed)
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => all.includes(word));
}
