import { FileText } from 'lucide-react';
import { useLengths } from '../ground/lengths-context';

/** The work on paper: the page the browser prints is the file that is saved. */
export function WorkSheetLink({ of }: { of: `edges/${string}` | `projects/${string}` }) {
  // Who measures in inches has paper in inches.
  const page = useLengths().unit === 'in' ? 'letter' : 'a4';
  return (
    <a
      className="no-print inline-flex min-h-11 items-center gap-2 underline underline-offset-2"
      href={`/api/${of}/work.pdf?page=${page}`}
      target="_blank"
      rel="noreferrer"
    >
      <FileText size={18} aria-hidden /> Work sheet to print
    </a>
  );
}
