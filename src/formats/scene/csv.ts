import type { GivenCamera } from '../../core/world/given';

const COLUMNS = [
  ...['frame', 'seconds', 'x_m', 'y_m', 'z_m', 'qx', 'qy', 'qz', 'qw'],
  ...['focal_mm', 'sensor_mm', 'fov_deg', 'focus_m', 'f_number', 'parallel_width_m'],
];

/** A camera as a table (RFC 4180), a row a frame: it looks along its −z, y is up. */
export function cameraCsv({ times, poses, views }: GivenCamera, frames: readonly number[]): Uint8Array<ArrayBuffer> {
  const rows = poses.map((pose, i) => {
    const { position, quaternion, focalMm, sensorMm, focusDistance, fNumber, orthoWidth } = pose;
    const numbers = [...position, ...quaternion, focalMm, sensorMm, views[i], focusDistance, fNumber];
    return [frames[i], times[i], ...numbers.map((v) => Number(v.toPrecision(12))), orthoWidth ?? ''].join(',');
  });
  return new TextEncoder().encode(`${[COLUMNS.join(','), ...rows].join('\r\n')}\r\n`);
}
