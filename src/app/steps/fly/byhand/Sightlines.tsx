import { useMemo } from 'react';
import type { View } from '../../../../core/flight/routes/view';
import type { Vec3 } from '../../../../core/space/vector';
import { useBench, usePiece } from '../../../state/bench';
import { lightName } from '../../../../core/look/lights/kinds';
import { colourOf } from '../../look/table/lightColour';
import { cameraFigure, fieldCorners, lightFigures, projector } from './sight';
import styles from './ByHand.module.css';

/** The camera as its observer sees it: route, field, sharp plane and the limits of what is sharp; and the lights, each in its colour. */
export function Sightlines({ view, size: { width, height } }: { view: View; size: { width: number; height: number } }) {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const figure = useMemo(() => cameraFigure(piece, phase), [piece, phase]);
  const lights = useMemo(() => lightFigures(piece, phase), [piece, phase]);
  const project = projector(view, width, height);
  const aspect = piece.frame.width / piece.frame.height;
  const line = (a: Vec3, b: Vec3): string => {
    const p = project(a, b);
    return p ? `M${p[0].toFixed(1)} ${p[1].toFixed(1)}L${p[2].toFixed(1)} ${p[3].toFixed(1)}` : '';
  };
  const frameAt = (distance: number): string => {
    const corners = fieldCorners(figure.pose, distance, aspect);
    return corners.map((p, i) => line(p, corners[(i + 1) % 4])).join('');
  };
  const eye = fieldCorners(figure.pose, 0, aspect);
  const rays = fieldCorners(figure.pose, figure.sharp, aspect)
    .map((p, i) => line(eye[i], p))
    .join('');
  const here = project(figure.pose.position, figure.pose.position);
  return (
    <svg className={styles.lines} width={width} height={height} fill="none">
      {lights.map(({ light, place, lines }) => {
        const at = project(place, place);
        const colour = colourOf(light, phase);
        return (
          <g key={light.id}>
            <path
              d={lines
                .map((l) =>
                  l
                    .slice(1)
                    .map((p, i) => line(l[i], p))
                    .join(''),
                )
                .join('')}
              stroke={colour}
              opacity={0.8}
            />
            {at ? (
              <>
                <circle cx={at[0]} cy={at[1]} r={3.5} fill={colour} />
                <text x={at[0] + 8} y={at[1] - 5}>
                  {lightName(light)}
                </text>
              </>
            ) : null}
          </g>
        );
      })}
      <path
        d={figure.route
          .slice(1)
          .map((p, i) => line(figure.route[i], p))
          .join('')}
        stroke="var(--text)"
        strokeWidth={1.4}
      />
      <path d={rays} stroke="var(--time)" opacity={0.7} />
      <path d={frameAt(figure.sharp)} stroke="var(--time)" strokeWidth={1.8} />
      <path d={frameAt(figure.near) + frameAt(figure.far)} stroke="var(--time)" strokeDasharray="3 3" opacity={0.7} />
      {here ? <circle cx={here[0]} cy={here[1]} r={5} fill="var(--time)" /> : null}
    </svg>
  );
}
