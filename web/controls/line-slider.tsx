import { Slider } from 'radix-ui';

interface LineSliderProps {
  /** The id of the words that name it. */
  readonly labelledBy: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  onChange(value: number): void;
  readonly className?: string;
}

/** A value to lean on, in steps: by pointer, or by the arrow keys. */
export function LineSlider(props: LineSliderProps) {
  const { labelledBy, value, least, most, step, onChange, className = '' } = props;
  return (
    <Slider.Root
      className={`relative flex h-9 touch-none items-center ${className}`}
      min={least}
      max={most}
      step={step}
      value={[value]}
      onValueChange={([next]) => next !== undefined && onChange(Math.round(next * 100) / 100)}
    >
      <Slider.Track className="relative h-1.5 grow rounded bg-line">
        <Slider.Range className="absolute h-full rounded bg-pencil" />
      </Slider.Track>
      <Slider.Thumb
        aria-labelledby={labelledBy}
        className="block size-5 rounded-full border-2 border-graphite bg-slip"
      />
    </Slider.Root>
  );
}
