// A colour table: which of the eight corners of a cell a colour lies between, and a curve of one channel.
// @export tetrahedron
// @export curveAt
// @include ../space/profile.glsl

// The cell is cut into six tetrahedra along its diagonal from dark to bright, each the colours whose channels stand in one order of
// size: the colour is a mean of the cell's darkest corner, of `first`, of `second` and of its brightest, by `share` (Kasson, Nin, Plouffe &
// Hafner, "Performing color space conversions with three-dimensional linear interpolation", Journal of Electronic Imaging 4(3), 1995).
// f: place in the cell, 0..1
void tetrahedron(vec3 f, out vec3 first, out vec3 second, out vec4 share) {
  float xy = step(f.y, f.x);
  float xz = step(f.z, f.x);
  float yz = step(f.z, f.y);
  first = vec3(xy * xz, (1.0 - xy) * yz, (1.0 - xz) * (1.0 - yz));
  second = vec3(1.0 - (1.0 - xy) * (1.0 - xz), 1.0 - xy * (1.0 - yz), 1.0 - xz * yz);
  float most = max(max(f.x, f.y), f.z);
  float least = min(min(f.x, f.y), f.z);
  float mid = f.x + f.y + f.z - most - least;
  share = vec4(1.0 - most, most - mid, mid - least, least);
}

// slope at a knot of the curve between two of its chords
float curveSlope(float before, float after) {
  float both = sign(before) + sign(after);
  return both * min(min(abs(before), abs(after)), 0.25 * abs(before + after));
}

// slope at an end, before a chord and the one after it
float curveEnd(float near, float next) {
  float slope = 1.5 * near - 0.5 * next;
  return slope * near <= 0.0 ? 0.0 : sign(near) * min(abs(slope), 2.0 * abs(near));
}

// A curve over 0..1 through eight equally spaced values, which rises where they rise and turns nowhere but at one of them; through values on a line it
// is that line (Steffen, "A simple method for monotonic interpolation in one dimension", Astronomy and Astrophysics 239, 1990).
float curveAt(vec4 a, vec4 b, float t) {
  float x = clamp(t, 0.0, 1.0) * 7.0;
  float cell = min(floor(x), 6.0);
  int i = int(cell);
  float u = x - cell;
  float low = profileKnot(a, b, i);
  float high = profileKnot(a, b, i + 1);
  float chord = high - low;
  float before = low - profileKnot(a, b, i - 1);
  float after = profileKnot(a, b, i + 2) - high;
  float from = i == 0 ? curveEnd(chord, after) : curveSlope(before, chord);
  float to = i == 6 ? curveEnd(chord, before) : curveSlope(chord, after);
  float bend = from + to - 2.0 * chord;
  return low + u * (from + u * (3.0 * chord - 2.0 * from - to + u * bend));
}
