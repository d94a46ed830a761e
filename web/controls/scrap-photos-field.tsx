import type { ReactNode } from 'react';
import { PhotoField } from './photo-field';

/** The photos of a scrap: the one in which the depths have their places, and the other face’s. */
export interface ScrapPhotos {
  readonly photoId: string | null;
  readonly otherFacePhotoId?: string | null;
}

interface ScrapPhotosFieldProps {
  /** Which scrap, in words. */
  readonly of: string;
  readonly photos: ScrapPhotos;
  /** What belongs to the first of them. */
  readonly children?: ReactNode;
  onChange(patch: Partial<ScrapPhotos>): void;
}

/** A scrap’s photo; and that of its other face, where both were counted. */
export function ScrapPhotosField({ of, photos, children, onChange }: ScrapPhotosFieldProps) {
  const { photoId, otherFacePhotoId } = photos;
  return (
    <>
      <PhotoField of={of} photoId={photoId} onChange={(id) => onChange({ photoId: id })} />
      {children}
      {otherFacePhotoId && (
        <>
          <p className="pt-2 text-sm text-soft">Its other face</p>
          <PhotoField
            of={`the other face of ${of}`}
            photoId={otherFacePhotoId}
            onChange={(id) => onChange({ otherFacePhotoId: id })}
          />
        </>
      )}
    </>
  );
}
