import { useMemo, useState } from 'react';

/** Whether the list of keys is open. */
export function useKeysHelp() {
  const [isOpen, setOpen] = useState(false);
  return useMemo(
    () => ({ isOpen, open: () => setOpen(true), close: () => setOpen(false) }),
    [isOpen],
  );
}
