import { useState } from 'react';
import type { Photo } from '../../../contract/photo';
import { ApiError, sendFile } from '../../ground/api';

/** Keeps a photo on the server. @param kept what is in the form even if that fails, as a sentence */
export function useKeptPhoto(kept: string) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const [keeping, setKeeping] = useState(false);
  return {
    trouble,
    keeping,
    /** @returns the photo’s id; null where it could not be kept, and `trouble` says why */
    async keep(file: File): Promise<string | null> {
      setKeeping(true);
      setTrouble(null);
      try {
        return (await sendFile<Photo>('photos', file)).id;
      } catch (error) {
        const why = error instanceof ApiError ? error.message : 'The server does not answer.';
        setTrouble(`${kept} The photo could not be kept: ${why}`);
        return null;
      } finally {
        setKeeping(false);
      }
    },
  };
}
