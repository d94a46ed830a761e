import { Camera, Trash2 } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { mostPhotoBytes, type Photo } from '../../contract/photo';
import { sendFile } from '../ground/api';
import { FileInput } from './file-input';

interface PhotoFieldProps {
  /** What is on it, for those who can't see it. */
  readonly of: string;
  readonly photoId: string | null;
  onChange(photoId: string | null): void;
}

const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

/** A photo: taken, shown, taken away. What is no picture is refused with the reason. */
export function PhotoField({ of, photoId, onChange }: PhotoFieldProps) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async (file: File) => {
    setTrouble(null);
    if (file.size > mostPhotoBytes) {
      setTrouble(
        `This file is ${megabytes(file.size)}; a photo can be ${megabytes(mostPhotoBytes)} at most.`,
      );
      return;
    }
    setBusy(true);
    try {
      onChange((await sendFile<Photo>('photos', file)).id);
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'It could not be sent.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <div>
      {photoId && (
        <img
          src={`/api/photos/${photoId}`}
          alt={`Photo of ${of}`}
          className="mb-2 max-h-48 w-full rounded-[3px] border border-line object-cover"
        />
      )}
      <div className="flex items-center gap-2">
        <button
          type="button"
          disabled={busy}
          className="flex min-h-11 grow items-center gap-2 rounded-[3px] border border-dashed border-seam px-3 hover:bg-cloth"
          onClick={() => input.current?.click()}
        >
          <Camera size={18} aria-hidden />
          {busy ? 'Sending the photo…' : photoId ? 'Another photo' : 'Add a photo'}
        </button>
        {photoId && (
          <button
            type="button"
            aria-label={`Take the photo of ${of} away`}
            className="grid size-11 place-items-center rounded-[3px] text-soft hover:bg-cloth hover:text-madder"
            onClick={() => onChange(null)}
          >
            <Trash2 size={18} aria-hidden />
          </button>
        )}
      </div>
      <FileInput
        ref={input}
        id={id}
        accept="image/jpeg,image/png,image/webp,image/gif"
        label={`Photo of ${of}`}
        onFile={(file) => void send(file)}
      />
      {trouble && (
        <p role="alert" className="pt-1 text-sm font-bold text-madder">
          {trouble}
        </p>
      )}
    </div>
  );
}
