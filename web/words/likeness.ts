import type { Likeness } from '../../core/book/nearest';

/** How far a kept setting is from what is planned, in words: “same cloth, another machine”. */
export function likenessInWords(likeness: Likeness): string {
  const { cloth, machine, foot, variant, thicknessTimes, stretchPoints } = likeness;
  const parts = [
    cloth === 'same'
      ? 'the same cloth'
      : cloth === 'alike'
        ? 'a cloth much like it'
        : 'another cloth',
  ];
  if (cloth !== 'same') {
    const thicker = thicknessTimes >= 1;
    const times = thicker ? thicknessTimes : 1 / thicknessTimes;
    if (times >= 1.15)
      parts.push(`this one ${times.toFixed(1)} times as ${thicker ? 'thick' : 'thin'}`);
    if (Math.abs(stretchPoints) >= 10) {
      parts.push(`it stretches ${stretchPoints > 0 ? 'more' : 'less'}`);
    }
  }
  if (variant === 'other') parts.push('folded otherwise');
  parts.push(
    machine === 'same'
      ? 'the same machine'
      : machine === 'kind'
        ? 'another machine'
        : 'another kind of machine',
  );
  parts.push(
    foot === 'same'
      ? 'the same foot'
      : foot === 'guidance'
        ? 'a foot that guides alike'
        : 'another foot',
  );
  return parts.join(', ');
}
