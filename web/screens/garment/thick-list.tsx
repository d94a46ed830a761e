import type { EdgeRecord } from '../../../contract/records';
import type { OrderedWork } from '../../../core/garment/work-of';
import { MeetingVerdict } from '../../controls/meeting-verdict';

/** Where seams close over bound edges: the layers, and whether they pass, before anyone gets there. */
export function ThickList({
  work,
  edges,
}: {
  work: Pick<OrderedWork, 'thick'>;
  edges: readonly EdgeRecord[];
}) {
  const nameOf = (id: string) => edges.find((edge) => edge.id === id)?.name ?? id;
  return work.thick.map((meeting) => (
    <p key={`${meeting.edgeId} ${meeting.seamId}`} role="status">
      Where “{nameOf(meeting.seamId)}” closes over “{nameOf(meeting.edgeId)}” lie{' '}
      <MeetingVerdict {...meeting} />
    </p>
  ));
}
