import { create } from 'zustand';
import { USUAL_WALL, type Wall, type WallPart } from '../../../../core/deliveries/wall';

interface WallState {
  /** whether the picture is shown as the wall shows it */
  shown: boolean;
  wall: Wall;
  /** what of the wall is seen */
  part: WallPart;
}

const WHOLE: WallPart = { x: 0.5, y: 0.5, wide: 1 };

/** The wall that stands in for one: of this tab, and of no piece. */
export const useWall = create<WallState>(() => ({ shown: false, wall: USUAL_WALL, part: WHOLE }));

export const setWall = (more: Partial<Wall>): void => useWall.setState(({ wall }) => ({ wall: { ...wall, ...more } }));

/** Looks at a part of it of so many metres, within its edges. @param at its middle, as a share of the wall; as it is where none is given */
export function lookAt(metres: number, at?: { x: number; y: number }): void {
  useWall.setState(({ wall, part }) => {
    const wide = Math.min(1, metres / wall.widthM);
    const within = (share: number): number => Math.min(1 - wide / 2, Math.max(wide / 2, share));
    return { part: { x: within((at ?? part).x), y: within((at ?? part).y), wide } };
  });
}
