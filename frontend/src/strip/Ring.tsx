const MINUTES = 360 * 60;

/** The whole circle, small, with the arm and its two windows. */
export function Ring({ position }: { position: number }) {
  const angle = (position / MINUTES) * 360;
  return (
    <g className="ring" transform="translate(96 214)">
      <circle r={50} className="steel" />
      <circle r={37} className="ring-inner" />
      {Array.from({ length: 36 }, (_, tenth) => (
        <line
          key={tenth}
          y1={-50}
          y2={tenth % 9 === 0 ? -40 : -45}
          transform={`rotate(${tenth * 10})`}
        />
      ))}
      <g transform={`rotate(${angle})`}>
        <line className="ring-arm" y1={-56} y2={56} />
        <rect className="ring-window" x={-9} y={-54} width={18} height={15} rx={2} />
        <rect className="ring-window" x={-9} y={39} width={18} height={15} rx={2} />
      </g>
    </g>
  );
}
