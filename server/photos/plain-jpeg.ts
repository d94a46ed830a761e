/** The parts a JPEG needs to be seen: tables, one baseline frame, and the head of the file form. */
const needed = new Set([0xdb, 0xc4, 0xc0, 0xdd]);
const fileHead = 0xe0;
const scan = 0xda;

/**
 * Whether a JPEG holds nothing but what is needed to show it: no notes of a camera, no picture
 * within, nothing behind its end. Source: ITU-T T.81, annex B.
 */
export function isPlainJpeg(bytes: Buffer): boolean {
  if (bytes.length < 4 || bytes.readUInt16BE(0) !== 0xffd8) return false;
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === 0xff) {
    const kind = bytes[at + 1]!;
    const length = bytes.readUInt16BE(at + 2);
    const isHead =
      kind === fileHead && length === 16 && bytes.toString('latin1', at + 4, at + 8) === 'JFIF';
    if (kind === scan) return endsWithScan(bytes, at + 2 + length);
    if (!isHead && !needed.has(kind)) return false;
    at += 2 + length;
  }
  return false;
}

/** Whether from here on there is one scan, the end mark, and nothing else. */
function endsWithScan(bytes: Buffer, from: number): boolean {
  for (let at = from; at + 1 < bytes.length; at++) {
    if (bytes[at] !== 0xff) continue;
    const next = bytes[at + 1]!;
    const isData = next === 0 || (next >= 0xd0 && next <= 0xd7);
    if (!isData) return next === 0xd9 && at + 2 === bytes.length;
    at++;
  }
  return false;
}
