import type { GarmentKind } from '../../core/garment/garment';

/** Outlines in a square of 40: cloth, and the edges that are finished. */
const outlines: Readonly<Record<GarmentKind, readonly [cloth: string, edges: string]>> = {
  singlet: [
    'M13,4 Q14,14 8,17 L8,36 H32 V17 Q26,14 27,4 H24 Q20,14 16,4 Z',
    'M8,36 H32 M16,4 Q20,14 24,4 M13,4 Q14,14 8,17 M27,4 Q26,14 32,17',
  ],
  't-shirt': [
    'M14,5 L4,11 L8,19 L11,17 V36 H29 V17 L32,19 L36,11 L26,5 Q20,11 14,5 Z',
    'M11,36 H29 M4,11 L8,19 M36,11 L32,19 M14,5 Q20,11 26,5',
  ],
  jacket: [
    'M14,4 L4,12 L7,32 H11 V18 V36 H29 V18 V32 H33 L36,12 L26,4 L20,9 Z',
    'M11,36 H29 M7,32 H11 M29,32 H33 M20,9 V36',
  ],
  trousers: ['M12,3 H28 L31,37 H22 L20,15 L18,37 H9 Z', 'M9,37 H18 M22,37 H31 M12,3 H28'],
  'circle-skirt': ['M15,6 H25 L37,31 Q20,40 3,31 Z', 'M37,31 Q20,40 3,31 M15,6 H25'],
  blanket: ['M6,8 H34 V32 H6 Z', 'M6,8 H34 V32 H6 Z'],
  napkins: ['M5,14 L23,6 L35,18 L17,34 Z', 'M5,14 L23,6 L35,18 L17,34 Z'],
  tote: [
    'M8,14 H32 L30,37 H10 Z M14,14 Q14,3 20,3 Q26,3 26,14 H24 Q24,5 20,5 Q16,5 16,14 Z',
    'M8,14 H32',
  ],
  curtain: ['M5,5 H35 V36 H23 Q27,20 20,8 Q13,20 17,36 H5 Z', 'M5,36 H17 M23,36 H35 M5,5 H35'],
};

/** A small outline of a garment, with the edges that are finished. */
export function GarmentSketch({ kind }: { kind: GarmentKind | null }) {
  const [cloth, edges] = kind ? outlines[kind] : ['M6,20 H34', ''];
  return (
    <svg viewBox="0 0 40 40" className="mx-auto h-full" aria-hidden>
      <path d={cloth} className="fill-cloth stroke-seam [stroke-width:1]" fillRule="evenodd" />
      <path d={edges} className="fill-none stroke-pencil [stroke-width:2.2]" />
    </svg>
  );
}
