import { useId, type CSSProperties, type ReactNode } from "react";

import type { PhotoLook } from "./look";
import "./photo.css";

/** What each part comes to at its most: degrees, pixels, opacity. */
const MOST = { tilt: 4, blur: 1.6, step: 5, glare: 0.85, light: 0.7 };

interface Props {
  look: PhotoLook;
  width: number;
  top: number;
  height: number;
  children: ReactNode;
}

/** A drawing as if photographed: metal, engraved lines, uneven light, glare, tilt, blur, a step. */
export function Photographed({ look, width, top, height, children }: Props) {
  const id = useId();
  const [metal, blur, light, glare] = ["metal", "blur", "light", "glare"].map(
    (name) => `${name}${id}`,
  ) as [string, string, string, string];
  const middle = top + height / 2;
  const style = {
    "--metal": `url(#${metal})`,
    "--step": `${look.step * MOST.step}px`,
  } as CSSProperties;
  return (
    <>
      <defs>
        <filter id={metal} x="0" y="0" width="1" height="1">
          <feTurbulence type="fractalNoise" baseFrequency="0.006 0.9" numOctaves={2} seed={7} />
          <feColorMatrix values="0 0 0 0 0  0 0 0 0 0  0 0 0 0 0  0.34 0 0 0 -0.02" />
          <feComposite in2="SourceGraphic" operator="in" />
          <feBlend in2="SourceGraphic" mode="multiply" />
        </filter>
        <filter id={blur} x="0" y="0" width="1" height="1">
          <feGaussianBlur stdDeviation={look.blur * MOST.blur} />
        </filter>
        <linearGradient id={light} x1="0" x2="1" y1="0.2" y2="0.8">
          <stop offset="0" stopColor="#000" stopOpacity={look.light * MOST.light} />
          <stop offset="0.55" stopColor="#000" stopOpacity="0" />
          <stop offset="1" stopColor="#000" stopOpacity={(look.light * MOST.light) / 2} />
        </linearGradient>
        <radialGradient id={glare}>
          <stop offset="0" stopColor="#fff" stopOpacity={look.glare} />
          <stop offset="0.45" stopColor="#fff" stopOpacity={look.glare * MOST.glare} />
          <stop offset="1" stopColor="#fff" stopOpacity="0" />
        </radialGradient>
      </defs>
      <g filter={`url(#${blur})`}>
        <rect className="photo-table" x={0} y={top} width={width} height={height} />
        <g
          className="photo"
          style={style}
          transform={`rotate(${(look.tilt - 0.4) * MOST.tilt} ${width / 2} ${middle})`}
        >
          {children}
        </g>
        <rect x={0} y={top} width={width} height={height} fill={`url(#${light})`} />
        <ellipse
          cx={width * 0.62}
          cy={middle - 8}
          rx={90 + 160 * look.glare}
          ry={30 + 40 * look.glare}
          fill={`url(#${glare})`}
        />
      </g>
    </>
  );
}
