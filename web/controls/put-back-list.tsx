import type { PutBack } from '../../core/kit/put-back';
import { useLengths } from '../ground/lengths-context';
import { settingName, setToInWords } from '../words/set-to';

/** What stands otherwise than usual, and what it goes back to. */
export function PutBackList({ changes }: { changes: readonly PutBack[] }) {
  const lengths = useLengths();
  return (
    <ul>
      {changes.map(({ id, was, is }) => (
        <li key={id}>
          {settingName(id)}:{' '}
          {was === null ? (
            <>
              as it was, from <b>{setToInWords(id, is, lengths)}</b>
            </>
          ) : (
            <>
              back to <b>{setToInWords(id, was, lengths)}</b>{' '}
              <span className="text-soft">from {setToInWords(id, is, lengths)}</span>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
