import { Pipette } from 'lucide-react';
import { useState } from 'react';
import type { ClothRecord } from '../../../contract/records';
import { change } from '../../ground/records';
import { Button } from '../../controls/button';
import { ColourField } from '../../controls/colour-field';
import { colourOfPhoto } from './photo-colour';

/** The colour a cloth is drawn in: picked, or taken from the middle of its photo. */
export function ClothColour({ cloth }: { cloth: ClothRecord }) {
  const { photoId } = cloth;
  const [trouble, setTrouble] = useState<string | null>(null);
  const set = (colour: string | null) => {
    setTrouble(null);
    change('cloths', cloth.id, { colour });
  };
  const sample = async (id: string) => {
    try {
      set(await colourOfPhoto(`/api/photos/${id}`));
    } catch {
      setTrouble('The photo could not be read; pick the colour instead.');
    }
  };
  return (
    <div>
      <div className="flex flex-wrap items-center gap-3">
        <span className="text-sm text-soft">Colour</span>
        <ColourField label="Colour of the cloth" value={cloth.colour} onChange={set} />
        {photoId && (
          <Button onClick={() => void sample(photoId)}>
            <Pipette size={18} aria-hidden /> From the photo
          </Button>
        )}
      </div>
      {trouble && (
        <p role="alert" className="text-sm font-bold text-madder">
          {trouble}
        </p>
      )}
    </div>
  );
}
