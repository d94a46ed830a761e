// Small things that are large inside, or that take for ever, while the server's health is watched.
import { deflateSync, gzipSync } from 'node:zlib';
import { ask, expect, json, underAttack, watchHealth } from './server-under-attack.mjs';

const crcTable = Array.from({ length: 256 }, (_, n) => {
  for (let k = 0; k < 8; k++) n = n & 1 ? 0xedb88320 ^ (n >>> 1) : n >>> 1;
  return n >>> 0;
});
const crc = (bytes) =>
  (bytes.reduce((c, byte) => crcTable[(c ^ byte) & 0xff] ^ (c >>> 8), 0xffffffff) ^ 0xffffffff) >>>
  0;

/** A PNG of one colour that says it is so large. */
function png(width, height, rows = height) {
  const chunk = (name, data) => {
    const body = Buffer.concat([Buffer.from(name), data]);
    const out = Buffer.alloc(body.length + 8);
    out.writeUInt32BE(data.length, 0);
    body.copy(out, 4);
    out.writeUInt32BE(crc(body), body.length + 4);
    return out;
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([1, 0, 0, 0, 0], 8);
  const data = deflateSync(Buffer.alloc((Math.ceil(width / 8) + 1) * rows));
  const mark = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([
    mark,
    chunk('IHDR', head),
    chunk('IDAT', data),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

const raw = (body, headers = {}) => ({
  method: 'POST',
  body,
  headers: { 'content-type': 'application/octet-stream', ...headers },
});
const tsv = (header, row, many) => `${header}\n${Array.from({ length: many }, row).join('\n')}`;
const deep = (many) => '['.repeat(many) + ']'.repeat(many);

const bombs = {
  'a picture of 1 by 20,000,000': ['photos', raw(png(1, 20_000_000, 2_000_000))],
  'a picture of 60 megapixels': ['photos', raw(png(19_000, 3_100))],
  'a picture that is torn': ['photos', raw(png(4000, 4000).subarray(0, 300))],
  'a number of 60,000 digits': ['import/preview', raw(`name,size\nx,${'1'.repeat(60_000)}x`)],
  'counts of 60,000 spaces': [
    'import/preview',
    raw(`id,setUp,counts\na,{},bite${' '.repeat(60_000)}x`),
  ],
  'base64 of 60,000 spaces': [
    'import/preview',
    raw(
      JSON.stringify({
        format: 'pin-margin-shelf-and-drawer',
        version: 1,
        photos: [{ id: 'x', base64: `${'A'.repeat(60_000)}${' '.repeat(60_000)}!` }],
      }),
    ),
  ],
  '20,000 columns': [
    'import/preview',
    raw(`${Array.from({ length: 20_000 }, (_, i) => `c${i}`).join(',')}\n`),
  ],
  '10,000 rows of one id': [
    'import/preview',
    raw(tsv('id,name,size,point', () => 'same,x,80,ball', 10_000)),
  ],
  '10,000 rows of faults': [
    'import/preview',
    raw(tsv('id,name,size,point', () => ',,x,y', 10_000)),
  ],
  'ids that are objects': [
    'import/preview',
    raw(
      JSON.stringify({
        format: 'pin-margin-shelf-and-drawer',
        version: 1,
        needles: [{ id: { toString: 1 } }, { id: [[]] }],
      }),
    ),
  ],
  'a gzip of 60 MB of digits': [
    'import/preview',
    raw(gzipSync(Buffer.alloc(60e6, 0x31)), { 'content-encoding': 'gzip' }),
  ],
  'a gzip of 60 MB of lines': [
    'import/preview',
    raw(gzipSync(Buffer.alloc(60e6, 'a,b\n')), { 'content-encoding': 'gzip' }),
  ],
  'a gzip within JSON': [
    'cloths',
    {
      method: 'POST',
      body: gzipSync(Buffer.alloc(60e6, 0x20)),
      headers: { 'content-type': 'application/json', 'content-encoding': 'gzip' },
    },
  ],
  'brackets 100,000 deep': [
    'cloths',
    { method: 'POST', body: deep(100_000), headers: { 'content-type': 'application/json' } },
  ],
  'brackets 100,000 deep in a file': [
    'import/preview',
    raw(`{"format":"pin-margin-shelf-and-drawer","version":1,"cloths":${deep(100_000)}}`),
  ],
  'a set-up 100,000 deep in a cell': ['import/preview', raw(`id,setUp\na,"${deep(90_000)}"`)],
  'a text of 200,000 signs to be measured': [
    'compute/measure',
    json('POST', { text: '1 '.repeat(100_000), unit: 'mm', round: '1/16' }),
  ],
  'a search of 2,000 words': [`book?q=${'ab%20'.repeat(2000)}`, {}],
};

/** @param timed whether the clock may fail it too */
export async function bombed(timed) {
  await underAttack(async ({ api }) => {
    for (const [name, [path, request]] of Object.entries(bombs)) {
      const end = watchHealth(api);
      const all = await Promise.all(
        Array.from({ length: 3 }, () => ask(`${api}/${path}`, request)),
      );
      const { p99 } = await end();
      const slowest = Math.max(...all.map(({ ms }) => ms));
      console.log(
        `  ${name}: ${all.map(({ status }) => status).join(' ')}, ${Math.round(slowest)} ms, health ${p99.toFixed(0)} ms`,
      );
      for (const { status, response, text } of all) {
        const told = status === 503 && response.headers.get('retry-after');
        expect(status > 0 && (status < 500 || told), `${name}: ${status} ${text.slice(0, 300)}`);
      }
      if (timed) expect(p99 < 150, `${name}: health took ${p99.toFixed(0)} ms`);
    }
  });
}
