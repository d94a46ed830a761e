import type { QueryClient } from '@tanstack/react-query';
import { ApiError, Unreachable, send } from './api';
import type { Dispute } from './disputes';
import { Copies, type Stored, type StoredFields } from './copies';
import { LeftBehind } from './left-behind';
import { basesOf, merged, type Bases, type Disputed } from './merge';
import { nothing, together, under, type Patch, type Unsent, type Waiting } from './waiting';

/** What a writer tells while it works. */
export interface WriterEvents {
  /** The server could, or could not, be reached. */
  reachable(yes: boolean, why?: string | null): void;
  /** A write was refused; the record shows what is stored again. */
  refused(error: ApiError): void;
  /** Somebody changed the same field to something else; the person is asked. */
  disputed(dispute: Dispute): void;
  /** Something was written: the history has a new entry. */
  written(): void;
}

/** How long to wait before asking an unreachable server again, ms. */
const retryMs = 1500;

/**
 * Writes changes of records in the order they are made.
 *
 * A change shows at once, in the cache. While one write is under way, later changes of the same
 * record gather and go out together. An unreachable server is asked until it answers; a refusal
 * puts the stored record back and is reported.
 */
export class RecordWriter {
  private readonly waiting = new Map<string, Waiting>();
  /** Changes that are under way, one a record. */
  private readonly under = new Map<string, Waiting>();
  private readonly busy = new Set<string>();
  private readonly idle = new Set<() => void>();
  /** What came of own changes, and after how many answers: a load may have begun before. */
  private readonly answers = new Map<string, { readonly record: Stored; readonly count: number }>();
  private answered = 0;
  private readonly left = new LeftBehind();
  private held: Promise<void> = Promise.resolve();

  private readonly copies: Copies;

  constructor(
    cache: QueryClient,
    private readonly events: WriterEvents,
  ) {
    this.copies = new Copies(cache);
  }

  /** True while something is not yet on the server's disk. */
  get pending(): boolean {
    return this.waiting.size > 0 || this.busy.size > 0 || this.left.all.length > 0;
  }

  /**
   * Does something that changes records on the server's side, and loads what came of it. Changes
   * made meanwhile wait for it, so that they are sent with the versions it left behind.
   */
  async during<T>(work: () => Promise<T>): Promise<T> {
    await this.settled();
    const done = work();
    this.held = done.then(
      () => undefined,
      () => undefined,
    );
    return done;
  }

  /** Resolves when everything changed so far is stored or refused. */
  settled(): Promise<void> {
    return this.pending ? new Promise((done) => this.idle.add(done)) : Promise.resolve();
  }

  /**
   * Changes fields of a record.
   *
   * @param resource the address's name of the table, e.g. `plans`
   */
  change(resource: string, id: string, patch: Patch): void {
    this.changeOn(resource, id, patch, this.left.changedAgain(`${resource}/${id}`, patch));
  }

  /**
   * @param known values that are one's own besides: what an earlier page sent may land only now, and
   *   is nobody else's
   */
  private changeOn(resource: string, id: string, patch: Patch, known: Bases): void {
    const key = `${resource}/${id}`;
    const waiting = this.waiting.get(key) ?? nothing;
    const before = together(known, { ...this.under.get(key)?.bases, ...waiting.bases });
    const bases = basesOf(this.copies.newest(resource, id), patch, before);
    this.copies.show(resource, id, (record) => ({ ...record, ...patch }));
    this.waiting.set(key, { patch: { ...waiting.patch, ...patch }, bases });
    if (!this.busy.has(key)) void this.work(resource, id, key);
  }

  /**
   * What no answer has come to yet, to be taken over by the page that comes after this one: what
   * waits, and what is under way. Whether that arrives nobody can tell who leaves now; the page after
   * this one looks, and sends it if it has not.
   */
  unsent(): Unsent[] {
    const keys = new Set([...this.under.keys(), ...this.waiting.keys()]);
    const own = [...keys].map((key) => ({
      key,
      ...under(this.waiting.get(key) ?? nothing, this.under.get(key) ?? nothing),
    }));
    return [...this.left.all, ...own];
  }

  /**
   * Takes over what an earlier page had not sent, one record after the other: one that is refused
   * does not take the others with it, and a server that is away is asked until it answers. Its own
   * last write may have landed meanwhile, so each record is read again first, and what is stored
   * already is not written a second time: that would be one undo more than there were changes.
   *
   * @param left called with what is still to be taken over, whenever that becomes less
   */
  async takeOver(
    unsent: readonly Unsent[],
    left: (rest: readonly Unsent[]) => void = () => undefined,
  ): Promise<void> {
    this.left.begin(unsent);
    this.standOnLeft();
    while (this.left.first) {
      await this.takeOne(this.left.first.key);
      this.left.dropFirst();
      left(this.left.all);
    }
    this.tellIfSettled();
  }

  /** What of a record is set here, or was by an earlier page, and is not stored yet. */
  private unstored(key: string): Patch {
    return {
      ...this.left.of(key),
      ...this.under.get(key)?.patch,
      ...this.waiting.get(key)?.patch,
    };
  }

  /** Takes over the first of what was left, a change of a record. */
  private async takeOne(key: string): Promise<void> {
    const [resource = '', id = ''] = key.split('/');
    for (;;) {
      // What this page kept of the record shows the change meanwhile, under what was changed since.
      this.copies.show(resource, id, (record) => ({ ...record, ...this.unstored(key) }));
      try {
        const stored = await send<StoredFields>('GET', key);
        this.events.reachable(true);
        // What was loaded meanwhile may be newer than this answer.
        if ((this.copies.newest(resource, id)?.version ?? 0) > stored.version) continue;
        // Of what was left some may have been changed again while it was read.
        const { patch, bases = {} } = this.left.first!;
        const isChanged = this.under.has(key) || this.waiting.has(key);
        if (!isChanged) this.copies.keep(resource, stored);
        this.putOn(resource, id, { patch, bases }, stored);
        return;
      } catch (error) {
        if (error instanceof ApiError) {
          this.events.refused(error);
          return;
        }
        if (!(error instanceof Unreachable)) throw error;
        this.events.reachable(false, error.said);
        await new Promise((again) => setTimeout(again, retryMs));
      }
    }
  }

  /** What this page changed before it looked at what was left stands on that, as what it changes later does. */
  private standOnLeft(): void {
    const changes = [this.under, this.waiting];
    for (const key of new Set(changes.flatMap((some) => [...some.keys()]))) {
      const patches = changes.map((some) => some.get(key)?.patch);
      const known = this.left.changedAgain(key, Object.assign({}, ...patches) as Patch);
      for (const some of changes) {
        const change = some.get(key);
        if (change) some.set(key, { ...change, bases: together(known, change.bases) });
      }
    }
  }

  /** Puts a change on top of what is stored by now, and asks about what it would write over. */
  private putOn(
    resource: string,
    id: string,
    { patch, bases }: Waiting,
    stored: StoredFields,
  ): void {
    const { mine, disputed } = merged(patch, bases, stored);
    if (Object.keys(mine).length > 0) this.changeOn(resource, id, mine, bases);
    if (disputed.length > 0) this.ask(resource, id, disputed, stored);
  }

  /**
   * What of a waiting change may go out. The record may have been loaded anew since it was made,
   * with what somebody else set the same field to: that is asked about, and not written over with
   * the version that came along.
   */
  private undisputed(resource: string, id: string, { patch, bases }: Waiting): Waiting {
    const record = this.copies.newest(resource, id);
    if (!record) return { patch, bases };
    const { disputed, together: combined } = merged(patch, bases, { ...record });
    if (disputed.length > 0) this.ask(resource, id, disputed, record);
    const fields = disputed.map(({ field }) => field);
    const kept = Object.fromEntries(
      Object.entries(patch).filter(([name]) => !fields.includes(name)),
    );
    // What holds many things goes out with what others put into it.
    const whole = { ...kept, ...combined };
    this.copies.show(resource, id, (shown) => ({ ...shown, ...whole }));
    return { patch: whole, bases };
  }

  private ask(resource: string, id: string, fields: readonly Disputed[], { name }: Patch): void {
    this.events.disputed({
      ...{ resource, id, fields },
      name: typeof name === 'string' ? name : '',
    });
  }

  /**
   * Loads records and puts on them what is changed here: what is not stored yet, and what was stored
   * while the load was under way. What somebody else set meanwhile stands as it was loaded, and is
   * asked about when the change goes out.
   */
  async loaded<T extends Stored>(resource: string, load: () => Promise<T[]>): Promise<T[]> {
    const since = this.answered;
    const records = await load();
    return records.map((record) => this.withOwn(resource, record, since));
  }

  private withOwn<T extends Stored>(resource: string, record: T, since: number): T {
    const key = `${resource}/${record.id}`;
    const own = this.answers.get(key);
    const isOlder = own !== undefined && own.count > since && own.record.version > record.version;
    let shown = { ...(isOlder ? (own.record as T) : record) };
    for (const changes of [this.under, this.waiting]) {
      const { patch, bases } = changes.get(key) ?? nothing;
      shown = { ...shown, ...merged(patch, bases, { ...shown }).mine };
    }
    return shown;
  }

  /** The record as it is on the screen by now, whatever a part of the page last saw of it. */
  latest(resource: string, id: string): Readonly<Record<string, unknown>> | undefined {
    const newest = this.copies.newest(resource, id);
    return newest && { ...newest, ...this.unstored(`${resource}/${id}`) };
  }

  /** What the server made of one's own last change is no change of somebody else's. */
  private knowAsStored(key: string, stored: Stored): void {
    const waiting = this.waiting.get(key);
    if (!waiting) return;
    const bases = basesOf({ ...stored }, waiting.patch, waiting.bases);
    this.waiting.set(key, { ...waiting, bases });
  }

  /** A change that could not go out waits again, under what was changed since. */
  private waitAgain(key: string, sent: Waiting): void {
    this.waiting.set(key, under(this.waiting.get(key) ?? nothing, sent));
  }

  /** The record was changed elsewhere: what of the change can goes on top, the rest is asked about. */
  private async onTop(resource: string, id: string, key: string, sent: Waiting): Promise<void> {
    this.waitAgain(key, sent);
    try {
      const stored = await send<StoredFields>('GET', key);
      // With what was changed while it was being read.
      const whole = this.waiting.get(key) ?? nothing;
      this.waiting.delete(key);
      this.under.delete(key);
      this.copies.show(resource, id, () => stored);
      this.copies.keep(resource, stored);
      this.putOn(resource, id, whole, stored);
    } catch (error) {
      if (error instanceof Unreachable) {
        this.events.reachable(false, error.said);
        await new Promise((again) => setTimeout(again, retryMs));
        return;
      }
      this.waiting.delete(key);
      this.under.delete(key);
      await this.copies.reload(resource);
      if (error instanceof ApiError) this.events.refused(error);
    }
  }

  private async work(resource: string, id: string, key: string): Promise<void> {
    this.busy.add(key);
    while (this.waiting.has(key)) {
      // The change is painted before it is sent; quick ones after one another go out as one.
      await new Promise((painted) => setTimeout(painted));
      await this.held;
      const sent = this.undisputed(resource, id, this.waiting.get(key) ?? nothing);
      this.waiting.delete(key);
      if (Object.keys(sent.patch).length === 0) continue;
      this.under.set(key, sent);
      try {
        const version = this.copies.newest(resource, id)?.version;
        const stored = await send<Stored>('PATCH', key, { version, ...sent.patch });
        this.events.reachable(true);
        this.under.delete(key);
        this.answers.set(key, { record: stored, count: ++this.answered });
        this.knowAsStored(key, stored);
        this.copies.show(resource, id, () => ({ ...stored, ...this.waiting.get(key)?.patch }));
        this.events.written();
      } catch (error) {
        if (error instanceof Unreachable) {
          this.events.reachable(false, error.said);
          this.waitAgain(key, this.under.get(key) ?? sent);
          await new Promise((again) => setTimeout(again, retryMs));
          continue;
        }
        if (error instanceof ApiError && error.code === 'stale') {
          await this.onTop(resource, id, key, this.under.get(key) ?? sent);
          continue;
        }
        // What was refused is not shown over what is loaded; what was changed since goes out.
        this.under.delete(key);
        await this.copies.reload(resource);
        if (error instanceof ApiError) this.events.refused(error);
      }
    }
    this.under.delete(key);
    this.busy.delete(key);
    this.tellIfSettled();
  }

  private tellIfSettled(): void {
    if (this.pending) return;
    this.idle.forEach((done) => done());
    this.idle.clear();
  }
}
