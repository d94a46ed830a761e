import type { BoundMeeting } from '../../core/seam/where-bound-meet';
import { useLengths } from '../ground/lengths-context';
import { passageVerdicts } from '../words/passage';

/** How many layers lie where bound edges meet, how thick, and whether that passes. */
export function MeetingVerdict({ layers, stackMm, passage }: BoundMeeting) {
  const { fine } = useLengths();
  const [sign, colour, words] = passageVerdicts[passage];
  return (
    <>
      <b>
        {layers} layers, {fine(stackMm)}
      </b>
      :{' '}
      <span className={`font-bold ${colour}`}>
        {sign} {words}.
      </span>
    </>
  );
}
