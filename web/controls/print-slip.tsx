import { Printer } from 'lucide-react';
import { memo } from 'react';
import { Button } from './button';

/** Prints the slip; everything else on the page stays off the paper. */
export const PrintSlip = memo(function PrintSlip() {
  return (
    <Button
      aria-label="Print the slip"
      title="Print the slip"
      className="px-3!"
      onClick={() => window.print()}
    >
      <Printer size={18} aria-hidden />
    </Button>
  );
});
