/** A letter on a drawing, the same as stands at its row of readings. */
export const Badge = ({ x, y, letter }: { x: number; y: number; letter: string }) => (
  <g>
    <rect x={x - 11} y={y - 11} width={22} height={22} fill="#1d2c5e" />
    <text
      x={x}
      y={y + 5}
      textAnchor="middle"
      fontSize={14}
      fontWeight={700}
      className="font-label"
      fill="#ffffff"
    >
      {letter}
    </text>
  </g>
);
