// A particle as a point sprite that draws only this pass's own cell of its aperture and of its shutter streak, so that
// the passes of a frame sum exactly to the analytic picture. Needs lens/aperture.glsl, frame/view.glsl and particle.glsl; where lamps light it (LAMPS), lights/lamps.ts.
// Two programs share this file: SMALL draws what is under four pixels as a bell in closed form, cheaply, because most
// particles are that small; the other cuts the aperture into cells. Only particles that are seen come here: see sort.glsl.
in ivec2 aElement;              // the particle, and the number of its repetition
uniform vec4 uPass;             // a, b, t of this pass; log2 of the number of passes
uniform float uLevel;           // size of this target relative to the picture
uniform vec3 uSpriteTint;       // mean colour of a picture, of luminance 1
uniform float uSmallSlices;     // slices of the shutter that small particles are drawn in

flat out vec4 fCentre;   // x, y in target pixels, radius in target pixels, sign of the blur
#ifndef SMALL
flat out vec4 fCell;     // cell index a, b; cells along a, b
#endif
flat out vec4 fStreak;   // streak in target pixels, taps, share of the radius that is blur
flat out vec3 fEnergy;   // light per pixel of the target
flat out vec4 fKind;     // bell 0..1, depth; the way it is longer along

void skip() {
  gl_Position = vec4(2.0, 2.0, 2.0, 1.0);
  gl_PointSize = 0.0;
}

void main() {
  ivec2 texel = ivec2(aElement.x & 1023, aElement.x >> 10);
  Particle p = particle(texelFetch(uOpenPlace, texel, 0), texelFetch(uClosePlace, texel, 0), aElement.y);
  vec3 seenAt = vec3((p.s1.xy - uPicture * 0.5) * (over(p.s1.z) / uPixelFocal), -p.s1.z);
  vec3 s0 = p.s0;
  vec3 s1 = p.s1;
  vec3 s2 = p.s2;
  float depth = s1.z;
  float own = p.own;
  float blur = p.blur;
  float bell = p.bell;
  float re = p.re;
  float here = p.here;
  fCentre = vec4(0.0); fStreak = vec4(0.0); fEnergy = vec3(0.0); fKind = vec4(0.0);
#ifndef SMALL
  fCell = vec4(0.0);
#endif

  // behind what mirrors it nothing is seen
  if (beforeMirror(seenAt) < 0.0) { skip(); return; }

  // which cell of aperture and shutter this pass owns for this particle
  float m = uPass.w;
  float travel = length(s2.xy - s0.xy);
  float c = clamp(floor((2.0 * log2(max(travel, 1e-3) / (1.7725 * re)) + m) / 3.0 + 0.5), 0.0, m);
  float a = ceil((m - c) * 0.5);
  float b = m - c - a;
#ifdef SMALL
  c = log2(uSmallSlices);
  a = 0.0;
  b = 0.0;
#endif
  float slices = exp2(c);
  vec2 cells = vec2(exp2(a), exp2(b));
  vec2 cell = floor(uPass.xy * cells);
  float t = (floor(uPass.z * slices) + 0.5) / slices;

  // the screen path through opening, middle and closing of the shutter, as a parabola
  vec2 centre = s0.xy * ((1.0 - t) * (1.0 - 2.0 * t)) + s1.xy * (4.0 * t * (1.0 - t)) + s2.xy * (t * (2.0 * t - 1.0));
  vec2 streak = (s2.xy - s0.xy) / slices;
  float facing = blur < 0.0 ? -1.0 : 1.0;
  float blurred = blur * blur / (re * re);

  vec2 low = vec2(-1.0);
  vec2 high = vec2(1.0);
#ifndef SMALL
  if (cells.x * cells.y > 1.0) {
    vec2 s_0 = max(cell / cells - uAperture.w * 0.5 / cells, 0.0);
    vec2 s_1 = min((cell + 1.0) / cells + uAperture.w * 0.5 / cells, 1.0);
    low = vec2(1e9);
    high = vec2(-1e9);
    for (int i = 0; i <= 3; i++) {
      float f = float(i) / 3.0;
      for (int side = 0; side < 4; side++) {
        vec2 at = side == 0 ? vec2(mix(s_0.x, s_1.x, f), s_0.y) : side == 1 ? vec2(mix(s_0.x, s_1.x, f), s_1.y)
                : side == 2 ? vec2(s_0.x, mix(s_0.y, s_1.y, f)) : vec2(s_1.x, mix(s_0.y, s_1.y, f));
        vec2 p = lensPoint(at, uAperture.x, uAperture.y, uAperture.z) * facing;
        low = min(low, p);
        high = max(high, p);
      }
    }
    vec2 pad = vec2(0.04 + 0.2 / max(cells.x, cells.y));
    low -= pad;
    high += pad;
  } else {
    float rim = mix(1.0, widest(), blurred);
    low *= rim;
    high *= rim;
  }
#endif
  vec2 way = longWay(s1.xy - uPicture * 0.5);
  float times = longer(way);
  // a bell is nothing at its rim; a disc's soft edge reaches beyond it
  float pad = 0.05 + (1.0 - bell);
  vec2 lowPx = (centre + low * (re * times) - abs(streak) * 0.5) * uLevel - pad;
  vec2 highPx = (centre + high * (re * times) + abs(streak) * 0.5) * uLevel + pad;
  vec2 target = uPicture * uLevel;
  if (highPx.x < 0.0 || highPx.y < 0.0 || lowPx.x > target.x || lowPx.y > target.y) { skip(); return; }

  // points whose centre is outside are dropped by the rasteriser: hold the centre inside and grow to still cover
  vec2 middle = (lowPx + highPx) * 0.5;
  vec2 held = clamp(middle, vec2(0.5), target - 0.5);
  vec2 grow = abs(middle - held);
  gl_PointSize = max(highPx.x - lowPx.x + 2.0 * grow.x, highPx.y - lowPx.y + 2.0 * grow.y);
  gl_Position = vec4(held / target * 2.0 - 1.0, 0.0, 1.0);

  vec3 look = texelFetch(uOpenLook, texel, 0).rgb;
  float energy = uLight * here * clearWhole(uViewMid, seenAt) * PI * own * own * uTimes;
#ifdef LAMPS
  look *= lampsAt(worldOf(uViewMid, seenAt), -(transpose(mat3(uViewMid)) * toEye(seenAt)));
#endif
  fEnergy = look * uSpriteTint * (energy / slices / (PI * (re * re + 0.0833)));
  fCentre = vec4(centre * uLevel, re * uLevel, facing);
#ifndef SMALL
  fCell = vec4(cell, cells);
#endif
  float pace = max(1.5, 1.7725 * re * 0.25 / sqrt(cells.x * cells.y)) ;
  fStreak = vec4((streak - way * dot(way, streak)) * uLevel, clamp(ceil(length(streak) / pace), 1.0, 12.0), blurred);
  fKind = vec4(bell, depth, way);
}
