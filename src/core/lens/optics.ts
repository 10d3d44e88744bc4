// Lengths of lenses and sensors in millimetres, as in handbooks. Source of the depth-of-field formulas: any optics
// handbook, for example Ray, Applied Photographic Optics, 3rd ed., 2002, ch. 22.

/** Diameter of the blur circle on the sensor, in mm, for an object at `distance` with focus at `focus` (both mm). */
export const blurCircleMm = (focalMm: number, fNumber: number, focusMm: number, distanceMm: number): number =>
  (focalMm * focalMm * Math.abs(distanceMm - focusMm)) / (fNumber * distanceMm * (focusMm - focalMm));

/** Hyperfocal distance in mm for a circle of confusion in mm. */
export const hyperfocalMm = (focalMm: number, fNumber: number, circleMm = 0.03): number =>
  (focalMm * focalMm) / (fNumber * circleMm) + focalMm;

/** Horizontal angle of view in degrees with focus at infinity. */
export const fieldOfViewDeg = (focalMm: number, sensorMm = 36): number =>
  (2 * Math.atan(sensorMm / (2 * focalMm)) * 180) / Math.PI;

/** Nearest and farthest sharp distance in mm; far is Infinity from the hyperfocal distance on. */
export function depthLimitsMm(
  focalMm: number,
  fNumber: number,
  focusMm: number,
  circleMm = 0.03,
): { near: number; far: number } {
  const h = hyperfocalMm(focalMm, fNumber, circleMm);
  const near = (focusMm * (h - focalMm)) / (h + focusMm - 2 * focalMm);
  const far = focusMm >= h ? Infinity : (focusMm * (h - focalMm)) / (h - focusMm);
  return { near, far };
}

/** Shutter time in seconds of a shutter angle in degrees at a frame rate in Hz. */
export const shutterSeconds = (angleDeg: number, hz: number): number => angleDeg / 360 / hz;

/**
 * Signed blur radius in pixels at depth d for the engine's geometry (laws §7): aperture diameter A = f/N in metres,
 * pixel focal length p; R = ½·A·p·(1/s − 1/d). Positive beyond the focus. Without perspective, where `flatM` is the distance
 * at which the lens would see as much, R = ½·A·p·(d − s)/flatM².
 */
export const blurRadiusPx = (
  apertureM: number,
  pixelFocal: number,
  focusM: number,
  depthM: number,
  flatM = 0,
): number =>
  flatM > 0
    ? (0.5 * apertureM * pixelFocal * (depthM - focusM)) / (flatM * flatM)
    : 0.5 * apertureM * pixelFocal * (1 / focusM - 1 / depthM);

/** Distance in mm behind the lens at which an object at `focusMm` is sharp: the thin-lens equation. */
export const imageDistanceMm = (focalMm: number, focusMm: number): number => (focalMm * focusMm) / (focusMm - focalMm);
