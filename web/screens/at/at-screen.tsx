import { useParams } from 'react-router';
import { LoadState } from '../../controls/trouble';
import { useEdgeBench } from '../../bench/use-edge-bench';
import { useKept, type Kept } from '../../bench/use-kept';
import { AtEdge } from './at-edge';
import { AtGarment } from './at-garment';

function WithBench({ kept }: { kept: Kept }) {
  return <AtEdge bench={useEdgeBench(kept)} />;
}

/** An edge beside the machine. */
export function AtEdgeScreen() {
  const { edgeId = '' } = useParams();
  const kept = useKept(edgeId);
  if (kept.state === 'ready') return <WithBench key={edgeId} kept={kept.kept} />;
  return <LoadState what="edge" error={kept.state === 'failed' ? kept.error : null} />;
}

/** A garment beside the machine. */
export function AtGarmentScreen() {
  const { projectId = '' } = useParams();
  return <AtGarment key={projectId} projectId={projectId} />;
}
