import sharp from 'sharp';
import { told } from '../work/told-refusal';
import { pictureWork, type PictureAsked } from './pictures';

// One picture at a time, on one thread, with nothing remembered of the last.
sharp.concurrency(1);
sharp.cache(false);

/** A process's whole life: a picture in, what is kept of it out. */
process.on('message', ({ work, bytes, path }: PictureAsked) => {
  void told(() => pictureWork[work](Buffer.from(bytes), path)).then((answer) =>
    process.send?.(answer),
  );
});
// Nobody is left to ask once the server is gone.
process.on('disconnect', () => process.exit(0));
