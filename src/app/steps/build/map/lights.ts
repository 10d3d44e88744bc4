import { lightName, type Light } from '../../../../core/look/lights/kinds';
import type { Piece } from '../../../../core/piece/schema';
import { add, rotate, scale, subtract, type Vec3 } from '../../../../core/space/vector';
import { flightOf } from '../../../../core/world/camera';
import { lightMovedTo } from '../../../../core/world/lightMoves';
import { isAiming, isHanging, standingOf } from '../../../../core/world/lights';
import { token } from '../../../parts/Canvas';
import { colourOf } from '../../look/table/lightColour';
import { GRIP_PX } from './handles';
import { LANES, type Lane, type MapView } from './view';

/** A light with a place, as the map shows it: metres in the tile that the map begins with. */
export interface LightMark {
  light: Light;
  place: Vec3;
  /** a metre along its beam; null where it shines every way */
  way: Vec3 | null;
  /** metres along the travel by which the map has it elsewhere than it is */
  moved: number;
}

/** The lights that stand somewhere. @param span metres that the map shows */
export function lightMarks(piece: Piece, phase: number, span: number): LightMark[] {
  const travels = flightOf(piece).travel.advance !== 0;
  return piece.look.lights.flatMap((light): LightMark[] => {
    if (light.off || !isHanging(light)) return [];
    const { place, rotation } = standingOf(piece, light, phase);
    const along = -place[2];
    // what goes along with the camera is shown where the map has that
    const shown = travels && light.hangs === 'camera' ? ((along % span) + span) % span : along;
    return [
      {
        light,
        place: [place[0], place[1], -shown],
        way: isAiming(light) ? rotate(rotation, [0, 0, -1]) : null,
        moved: shown - along,
      },
    ];
  });
}

const spot = (view: MapView, lane: Lane, place: Vec3): [number, number] => [
  view.x(-place[2], lane),
  view.y(place[lane === 'plan' ? 0 : 1], lane),
];

/** The lights in both lanes, each in its colour with the way it shines. */
export function drawLights(
  c: CanvasRenderingContext2D,
  view: MapView,
  marks: readonly LightMark[],
  phase: number,
  chosen: string | null,
): void {
  c.font = `10px ${token('numbers')}`;
  for (const lane of LANES)
    for (const { light, place, way } of marks) {
      const [x, y] = spot(view, lane, place);
      c.strokeStyle = c.fillStyle = colourOf(light, phase);
      if (way) {
        const [tx, ty] = spot(view, lane, add(place, way));
        const long = Math.hypot(tx - x, ty - y);
        c.lineWidth = 1.4;
        c.beginPath();
        c.moveTo(x, y);
        // shorter the more it shines along the line of sight
        if (long > 1e-3) c.lineTo(x + ((tx - x) / view.perMetre) * 16, y + ((ty - y) / view.perMetre) * 16);
        c.stroke();
      }
      c.beginPath();
      c.arc(x, y, 3.5, 0, 2 * Math.PI);
      c.fill();
      if (light.id !== chosen) continue;
      c.strokeStyle = token('time');
      c.beginPath();
      c.arc(x, y, 7, 0, 2 * Math.PI);
      c.stroke();
      c.fillStyle = token('text');
      c.fillText(lightName(light), x + 9, y - 4);
    }
}

/** The light under a pointer. */
export function hitLight(
  view: MapView,
  marks: readonly LightMark[],
  x: number,
  y: number,
): { mark: LightMark; lane: Lane } | null {
  const lane = view.laneAt(x, y);
  const far = ({ place }: LightMark): number => {
    const [px, py] = spot(view, lane, place);
    return Math.hypot(px - x, py - y);
  };
  const nearest = [...marks].sort((a, b) => far(a) - far(b)).at(0);
  return nearest && far(nearest) < GRIP_PX * 0.7 ? { mark: nearest, lane } : null;
}

/** A light after it was dragged from one place of the map to another; sideways in plan, in height from the side. */
export function draggedLight(
  piece: Piece,
  phase: number,
  { light, place, moved }: LightMark,
  lane: Lane,
  view: MapView,
  from: readonly [number, number],
  to: readonly [number, number],
): Light {
  const across = -(to[1] - from[1]) / view.across;
  const by: Vec3 = [lane === 'plan' ? across : 0, lane === 'plan' ? 0 : across, -(to[0] - from[0]) / view.perMetre];
  return lightMovedTo(piece, light, phase, subtract(add(place, by), scale([0, 0, -1], moved)));
}
