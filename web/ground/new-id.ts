/** A version-4 UUID; `crypto.randomUUID` is missing where the page is not on the loopback name. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return [8, 13, 18, 23].reduce((text, at) => `${text.slice(0, at)}-${text.slice(at)}`, hex);
}
