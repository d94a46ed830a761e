import { Button } from '../../controls/button';

/** While a photo is looked at. @param share of it that is done, 0 … 1; null where that is not told */
export function LookingAt({
  what,
  share,
  onStop,
}: {
  readonly what: string;
  readonly share: number | null;
  onStop(): void;
}) {
  return (
    <div className="grid gap-3 py-6" role="status">
      <p>Looking at {what}…</p>
      {/* A bar of which nobody knows how far it is would look done. */}
      <progress
        aria-label={`Looking at ${what}`}
        className={`w-full ${share === null ? 'invisible' : ''}`}
        max={1}
        value={share ?? 0}
      />
      <Button className="justify-self-start" onClick={onStop}>
        Stop
      </Button>
    </div>
  );
}
