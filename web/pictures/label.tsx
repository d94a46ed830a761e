import { widthOf } from './place-labels';

/** Words on a picture, with a light rim so that they stand on anything. */
export function Label(props: {
  x: number;
  y: number;
  text: string;
  end?: boolean;
  strong?: boolean;
  colour?: string;
  /** The words are shifted so that they stay between these two, px. */
  between?: readonly [number, number];
}) {
  const { y, text, between, end = false, strong = false, colour = 'var(--color-graphite)' } = props;
  const wide = widthOf(text, 14);
  const [from, to] = between ?? [-Infinity, Infinity];
  const x = end
    ? Math.max(Math.min(props.x, to), Math.min(to, from + wide))
    : Math.min(Math.max(props.x, from), Math.max(from, to - wide));
  return (
    <text
      x={x}
      y={y}
      fontSize={14}
      fontWeight={strong ? 700 : 400}
      textAnchor={end ? 'end' : 'start'}
      fill={colour}
      stroke="var(--color-halo)"
      strokeWidth={4}
      paintOrder="stroke"
    >
      {text}
    </text>
  );
}
