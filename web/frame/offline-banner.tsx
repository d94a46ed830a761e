import { WifiOff } from 'lucide-react';
import { useEffect } from 'react';
import { send } from '../ground/api';
import { setReachable, useHindrance } from '../ground/connection';
import { reloadAll, writer } from '../ground/records';

/** Asks an unreachable server until it answers, then shows what is stored. */
export function OfflineBanner() {
  const hindrance = useHindrance();
  const reachable = hindrance === null;
  useEffect(() => {
    if (reachable) return;
    const timer = setInterval(() => {
      send('GET', 'health')
        .then(() => {
          setReachable(true);
          if (!writer.pending) void reloadAll();
        })
        .catch(() => undefined);
    }, 1500);
    return () => clearInterval(timer);
  }, [reachable]);
  if (reachable) return null;
  return (
    <p
      role="alert"
      className="flex items-center gap-2 bg-ochre-wash px-5 py-2 font-bold text-ochre"
    >
      <WifiOff size={18} aria-hidden />
      {hindrance || 'The server does not answer.'} Keep this page open: changes are sent as soon as
      it is back.
    </p>
  );
}
