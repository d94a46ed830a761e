import { Refusal } from '../http/refusal';

export interface Decoded {
  readonly text: string;
  readonly repairs: readonly string[];
}

/** What a file's first two bytes say of its encoding, by their code. */
const marks: Readonly<Record<number, 'utf-16le' | 'utf-16be'>> = {
  0xfffe: 'utf-16le',
  0xfeff: 'utf-16be',
};

/**
 * The text of a file. UTF-8 is expected, with or without its mark; UTF-16 is read by its mark, and
 * what is neither is read as Windows-1252, and says so, since spreadsheets still write that.
 *
 * @throws Refusal 400 when the bytes are no text at all
 */
export function decoded(bytes: Buffer): Decoded {
  const mark = bytes.length >= 2 ? marks[bytes.readUInt16BE(0)] : undefined;
  if (mark) {
    return {
      text: new TextDecoder(mark).decode(bytes),
      repairs: [`The file is in ${mark.toUpperCase()}; it was read as that.`],
    };
  }
  if (bytes.includes(0)) {
    const message = 'This is no text: it holds zero bytes. Send JSON or CSV in UTF-8.';
    throw new Refusal(400, 'not-text', message, [{ path: 'file', message }]);
  }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), repairs: [] };
  } catch {
    const text = new TextDecoder('windows-1252').decode(bytes);
    return {
      text,
      repairs: [
        'The file is not in UTF-8; it was read as Windows-1252. Look whether its accents are right.',
      ],
    };
  }
}
