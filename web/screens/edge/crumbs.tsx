import { Smartphone } from 'lucide-react';
import { memo, useLayoutEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { Link } from 'react-router';

interface CrumbsProps {
  readonly projectId: string;
  readonly projectName: string;
  readonly edgeId: string;
  readonly edgeName: string;
}

/** Where an edge belongs, in the head of the page, and the way to the machine. */
export const Crumbs = memo(function Crumbs(props: CrumbsProps) {
  const { projectId, projectName, edgeId, edgeName } = props;
  const [place, setPlace] = useState(() => document.getElementById('crumbs'));
  // Coming from a view without that head, both are put on the page at once.
  useLayoutEffect(() => setPlace(document.getElementById('crumbs')), []);
  if (!place) return null;
  return createPortal(
    <nav aria-label="Where you are" className="flex min-w-0 items-center gap-2">
      <Link
        to={`/projects/${projectId}`}
        className="max-w-44 min-w-12 shrink truncate underline underline-offset-2"
      >
        {projectName}
      </Link>
      <span aria-hidden>/</span>
      <h1 className="min-w-0 truncate font-body font-bold" title={edgeName}>
        {edgeName}
      </h1>
      <Link
        to={`/at/${edgeId}`}
        aria-label="At the machine"
        className="inline-flex min-h-9 shrink-0 items-center gap-1.5 rounded-[3px] px-2 underline underline-offset-2 hover:bg-paper"
      >
        <Smartphone size={17} aria-hidden /> <span className="max-sm:hidden">At the machine</span>
      </Link>
    </nav>,
    place,
  );
});
