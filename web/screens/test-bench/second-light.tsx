import { Button } from '../../controls/button';
import { ChoosePhoto } from './choose-photo';
import type { Issue } from '../../../core/impossible';

/** Asks for the same face once more, lit from the other side. */
export function SecondLight({
  first,
  issues,
  onFile,
  onBack,
}: {
  /** What the first photo came to, in words. */
  readonly first: string;
  readonly issues: readonly Issue[];
  onFile(file: File): void;
  onBack(): void;
}) {
  return (
    <ChoosePhoto
      lay="Leave the scrap as it lies and turn its card half round under the lamp"
      hasCard
      issues={issues}
      onFile={onFile}
    >
      <div className="flex flex-wrap items-center gap-x-3" role="status">
        <p>
          <b>The first photo is counted: {first}.</b> What its light hid of the edge, light from the
          other side shows.
        </p>
        <Button onClick={onBack}>Back to the first photo</Button>
      </div>
    </ChoosePhoto>
  );
}
