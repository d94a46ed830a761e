import { useEffect, useState } from 'react';
import { Outlet } from 'react-router';
import { Disputes } from './dispute-line';
import { NoticeLine } from './notice-line';
import { OfflineBanner } from './offline-banner';
import { travelKeys, useKeys } from './keys';
import { keepPage } from '../screens/at/keep-view';
import { useTravel } from '../ground/records';

/** The frame of the view beside the machine: nothing but the step, and what keeps it from the server. */
export function AtFrame() {
  const { mutate } = useTravel();
  const [kept, setKept] = useState(false);
  useEffect(() => {
    // After everything of the view was fetched that it is shown with.
    const timer = setTimeout(() => void keepPage().then(setKept), 1500);
    return () => clearTimeout(timer);
  }, []);
  useKeys(travelKeys(mutate));
  return (
    <div className="flex h-dvh flex-col">
      <OfflineBanner />
      <Disputes />
      <Outlet />
      {kept && (
        <p className="shrink-0 bg-cloth px-3 pb-1 text-sm text-soft" role="status">
          Kept on this device, should the network go.
        </p>
      )}
      <NoticeLine />
    </div>
  );
}
