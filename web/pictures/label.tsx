/** Words on a picture, with a light rim so that they stand on anything. */
export function Label(props: {
  x: number;
  y: number;
  text: string;
  end?: boolean;
  strong?: boolean;
  colour?: string;
}) {
  const { x, y, text, end = false, strong = false, colour = '#26272b' } = props;
  return (
    <text
      x={x}
      y={y}
      fontSize={14}
      fontWeight={strong ? 700 : 400}
      textAnchor={end ? 'end' : 'start'}
      fill={colour}
      stroke="#f7f1e5"
      strokeWidth={4}
      paintOrder="stroke"
    >
      {text}
    </text>
  );
}
