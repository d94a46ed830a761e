import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import * as z from 'zod';

/** A device that was let in. Its token is kept as a hash: who reads the file can't come in by it. */
const device = z.strictObject({
  id: z.string(),
  name: z.string(),
  tokenHash: z.string(),
  pairedAt: z.string(),
  seenAt: z.string(),
});
export type Device = z.infer<typeof device>;
const file = z.strictObject({ devices: z.array(device) });

export const devicesName = 'devices.json';
/** More than this are no household, nor a class. */
const mostDevices = 250;
/** How often it is written down that a device was seen, ms. */
const seenEveryMs = 60_000;

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

/**
 * The devices that may come in, in a file of their own beside the database: no archive carries them
 * off, and going back to a snapshot brings none back that was taken away.
 */
export class Devices {
  private devices: Device[];
  private readonly gone = new Set<(id: string) => void>();

  constructor(private readonly folder: string) {
    this.devices = this.read();
  }

  list(): readonly Device[] {
    return this.devices;
  }

  /** Lets a device in. @returns its token, which is told once. */
  pair(name: string): { readonly device: Device; readonly token: string } {
    const token = randomBytes(32).toString('base64url');
    const now = new Date().toISOString();
    const paired: Device = {
      ...{ id: randomUUID(), name, tokenHash: hashOf(token), pairedAt: now, seenAt: now },
    };
    // The one that was seen longest ago makes room.
    const kept = [...this.devices].sort((a, b) => (a.seenAt < b.seenAt ? 1 : -1));
    for (const { id } of kept.slice(mostDevices - 1)) this.remove(id);
    this.write([...this.devices, paired]);
    return { device: paired, token };
  }

  /** The device that a token belongs to; null for none. */
  known(token: string | undefined): Device | null {
    if (!token) return null;
    // Found by its hash: how long that takes says nothing of the token.
    const hash = hashOf(token);
    const found = this.devices.find(({ tokenHash }) => tokenHash === hash) ?? null;
    if (found && Math.abs(Date.now() - Date.parse(found.seenAt)) > seenEveryMs) {
      const seen = { ...found, seenAt: new Date().toISOString() };
      this.write(this.devices.map((one) => (one.id === found.id ? seen : one)));
    }
    return found;
  }

  /** Takes a device away; whatever it has open is closed. @returns whether there was one */
  remove(id: string): boolean {
    const rest = this.devices.filter((one) => one.id !== id);
    if (rest.length === this.devices.length) return false;
    this.write(rest);
    this.gone.forEach((tell) => tell(id));
    return true;
  }

  /** Calls whenever a device is taken away. */
  onGone(tell: (id: string) => void): void {
    this.gone.add(tell);
  }

  private read(): Device[] {
    const path = join(this.folder, devicesName);
    if (!existsSync(path)) return [];
    try {
      return file.parse(JSON.parse(readFileSync(path, 'utf8'))).devices;
    } catch {
      throw new Error(
        `“${path}” is damaged, so that nobody can tell which devices may come in. Delete it, and pair them again.`,
      );
    }
  }

  private write(devices: Device[]): void {
    const path = join(this.folder, devicesName);
    // Whole or not at all, and for nobody else's eyes.
    writeFileSync(`${path}.new`, JSON.stringify({ devices }, null, 1), { mode: 0o600 });
    renameSync(`${path}.new`, path);
    this.devices = devices;
  }
}
