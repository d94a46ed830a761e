import { X } from 'lucide-react';
import { notify, useNotice } from '../ground/notices';

/** What was just done, or went wrong, for a moment at the foot of the page. */
export function NoticeLine() {
  const notice = useNotice();
  return (
    <div
      aria-live="polite"
      className="no-print pointer-events-none fixed inset-x-0 bottom-3 z-50 grid place-items-center"
    >
      {notice && (
        <p
          className={`pointer-events-auto flex max-w-xl items-center gap-3 rounded-[3px] border-2 bg-slip px-4 py-2 ${notice.kind === 'trouble' ? 'border-madder text-madder' : 'border-graphite'}`}
        >
          {notice.text}
          <button
            type="button"
            aria-label="Dismiss"
            className="shrink-0 p-1"
            onClick={() => notify(null)}
          >
            <X size={16} aria-hidden />
          </button>
        </p>
      )}
    </div>
  );
}
