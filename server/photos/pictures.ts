import { fork, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { FairQueue } from '../work/fair-queue';
import { soon } from '../work/soon';
import { heard, type Told } from '../work/told-refusal';
import { colourPhoto, noPicture, sentPhoto, shrunkPhoto } from './keep-photo';

/** What is done with a picture. */
export const pictureWork = { shrunk: shrunkPhoto, sent: sentPhoto, colours: colourPhoto };
export type PictureWork = keyof typeof pictureWork;
/** What comes of it. */
export type Pictured<W extends PictureWork> = Awaited<ReturnType<(typeof pictureWork)[W]>>;

/** Unpacks pictures that somebody sent. */
export interface Pictures {
  /**
   * @param path where the picture stood in what was sent
   * @param client whose turn it takes
   * @throws Refusal 400 when it can't be taken, 503 when too many wait
   */
  run<W extends PictureWork>(
    work: W,
    bytes: Buffer,
    path: string,
    client: string,
  ): Promise<Pictured<W>>;
  close(): void;
}

/** In the process that asks; where there is no other, as in tests. */
export const picturesHere: Pictures = {
  run: (work, bytes, path) => pictureWork[work](bytes, path) as never,
  close: () => undefined,
};

/** No picture that may be sent takes nearly so long, or so much. */
const deadlineMs = 10_000;
const mostMemoryBytes = 700 * 1024 * 1024;
const lookEveryMs = 200;

export interface PictureAsked {
  readonly work: PictureWork;
  readonly bytes: Uint8Array;
  readonly path: string;
}

/** How much memory a process holds; 0 where the system does not say. */
function memoryOf(pid: number | undefined): number {
  try {
    return Number(readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1]) * 4096;
  } catch {
    return 0;
  }
}

/**
 * In a process of its own, one picture at a time: whatever a picture does to its reader, it does it
 * there, and a process that takes too long or too much is ended and begun anew.
 */
export function picturesApart(file: string): Pictures {
  const queue = new FairQueue({
    ...{ atOnce: 1, waitingOfOne: 8, waiting: 24 },
    full: 'Too many pictures wait already; send it again in a while.',
  });
  let child: ChildProcess | null = null;

  const ready = (): ChildProcess => {
    if (child?.connected) return child;
    child = fork(file, { serialization: 'advanced', execArgv: [] });
    return child;
  };

  // Begun before anyone sends a picture: beginning a process keeps this one waiting.
  let isClosed = false;
  soon(() => {
    if (!isClosed) ready();
  });

  const one = <W extends PictureWork>(asked: PictureAsked): Promise<Told<Pictured<W>>> =>
    new Promise((done, failed) => {
      const process = ready();
      let why = '';
      const end = (reason: string) => {
        why = reason;
        process.kill('SIGKILL');
      };
      const late = setTimeout(() => end('takes too long to unpack'), deadlineMs);
      const look = setInterval(() => {
        if (memoryOf(process.pid) > mostMemoryBytes) end('takes too much memory to unpack');
      }, lookEveryMs);
      const settle = () => {
        clearTimeout(late);
        clearInterval(look);
        process.off('message', answered);
        process.off('exit', ended);
      };
      const answered = (answer: unknown) => {
        settle();
        done(answer as Told<Pictured<W>>);
      };
      const ended = () => {
        settle();
        child = null;
        failed(noPicture(asked.path, `This picture ${why || 'can’t be unpacked'}.`));
      };
      process.on('message', answered);
      process.on('exit', ended);
      process.send(asked);
    });

  return {
    async run<W extends PictureWork>(work: W, bytes: Buffer, path: string, client: string) {
      const photo = heard(await queue.run(client, () => one<W>({ work, bytes, path })));
      return { ...photo, bytes: Buffer.from(photo.bytes) };
    },
    close: () => {
      isClosed = true;
      child?.kill();
    },
  };
}
