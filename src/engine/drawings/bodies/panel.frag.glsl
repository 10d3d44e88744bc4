// The picture on a panel: what colour it has there, how bright it is, and how far it is there. Whatever is finer than a pixel is
// faded to its own mean, so that dots and lines neither flicker nor ring. Needs random/hash.glsl and matter/body.glsl.
uniform mediump sampler2DArray uShown; // light multiplied by alpha
uniform vec2 uShownSize;  // pixels of a frame
uniform float uWide;      // width of the panel over its height
uniform vec4 uPanel[6];
in vec3 vUv;
flat in vec4 vRect;
flat in vec4 vFrames;

#define EMISSION uPanel[0].x
#define GIVES_BACK uPanel[0].y
#define OPACITY uPanel[0].z
#define BACK int(uPanel[0].w)
#define EDGE_COLOUR uPanel[1].xyz
#define EDGE_LIGHT uPanel[1].w
#define EDGE uPanel[2].x
#define DOTS int(uPanel[2].y)
#define DOT_ROWS uPanel[2].z
#define DOT_GAP uPanel[2].w
#define OPEN_GAPS uPanel[3].x
#define SMOOTH uPanel[3].y
#define BEHIND_LIGHT uPanel[3].z
#define LINE_ROWS uPanel[3].w
#define LINE_DARK uPanel[4].x
#define LINE_RUN uPanel[4].y
#define LOADS int(uPanel[4].z)
#define BLOCK_ROWS uPanel[4].w
#define BEFORE int(uPanel[5].x)
#define RUN uPanel[5].yz

const float PANEL_PI = 3.14159265;

// what a place of a panel is: its colour, how far it is there, how often it gives that off and how much of light it gives back
struct Shown { vec3 colour; float there; float light; float gives; };
const Shown NOTHING = Shown(vec3(0.0), 0.0, 0.0, 0.0);

// the picture at a place of the panel, over a stretch of it to either side
vec4 pictureAt(vec2 at, vec2 dx, vec2 dy) {
  vec2 p = vRect.xy + vRect.zw * at;
  bool runs = RUN != vec2(0.0);
  if (!runs && (any(lessThan(p, vec2(0.0))) || any(greaterThan(p, vec2(1.0))))) return vec4(0.0);
  dx *= vRect.zw;
  dy *= vRect.zw;
  // the half of a pixel at its border is not mixed with that of the other side
  vec2 half_ = 0.5 / uShownSize;
  if (runs) p += RUN * uLap;
  else p = clamp(p, half_, 1.0 - half_);
  if (SMOOTH < 0.5) {
    // clear edges of pixels, as wide as one of the frame
    vec2 texel = p * uShownSize;
    vec2 wide = max((abs(dx) + abs(dy)) * uShownSize, vec2(1e-5));
    vec2 seam = floor(texel + 0.5);
    p = mix((seam + clamp((texel - seam) / wide, -0.5, 0.5)) / uShownSize, p, step(1.0, wide));
  }
  // the longer side of what it covers decides the level, as it does by itself (OpenGL ES 3.0 §3.8.10)
  float level = 0.5 * log2(max(max(dot(dx * uShownSize, dx * uShownSize), dot(dy * uShownSize, dy * uShownSize)), 1e-12));
  vec4 a = textureLod(uShown, vec3(p, vFrames.x), level);
  return vFrames.z > 0.0 ? mix(a, textureLod(uShown, vec3(p, vFrames.y), level), vFrames.z) : a;
}

// how much of a pixel a dot covers. at: from its middle, in pitches; wide: pitches to a pixel
float dotMean(float r) { return DOTS == DOTS_ROUND ? PANEL_PI * r * r : 4.0 * r * r; }
float dotCover(vec2 at, float wide) {
  float r = 0.5 - 0.5 * DOT_GAP;
  float off = DOTS == DOTS_ROUND ? length(at) - r : max(abs(at.x), abs(at.y)) - r;
  return mix(clamp(0.5 - off / max(wide, 1e-5), 0.0, 1.0), dotMean(r), smoothstep(0.5, 1.2, wide));
}

// where in the order of its blocks one is, 0..1
float blockTurn(vec2 block, vec2 blocks, float mark) {
  if (LOADS == LOADS_ROWS) return (block.y * blocks.x + block.x) / (blocks.x * blocks.y);
  if (LOADS == LOADS_CHANCE) return unit(pcg4d(uvec4(uint(block.x), uint(block.y), uint(mark), 77u)).x);
  return 0.9 * length((block + 0.5) / blocks - 0.5) / 0.71 + 0.1 * unit(pcg4d(uvec4(uint(block.x), uint(block.y), uint(mark), 78u)).x);
}

Shown shownOn(float mark, bool front) {
  vec3 dark = EDGE_COLOUR;
  vec2 uv = vUv.xy;
  // derivatives are taken before the flow divides
  vec2 dx = dFdx(uv);
  vec2 dy = dFdy(uv);
  if (vUv.z > 1.5) return Shown(dark, 1.0, 0.0, 1.0);
  if (!front && BACK == BACK_DARK) return Shown(dark, 1.0, 0.0, 1.0);
  if (!front && BACK == BACK_NONE) return NOTHING;
  bool second = vUv.z > 0.5;
  vec2 wide = max(vec2(uWide, 1.0), vec2(1e-4));
  vec2 inside = min(uv, 1.0 - uv) * wide - EDGE;
  if (EDGE > 0.0 && min(inside.x, inside.y) < 0.0) {
    if (second) return NOTHING;
    return Shown(dark, 1.0, EDGE_LIGHT, 1.0);
  }
  // what is within the frame
  vec2 inner = 1.0 - 2.0 * EDGE / wide;
  uv = (uv - EDGE / wide) / inner;
  dx /= inner;
  dy /= inner;
  float ratio = uWide * inner.x / inner.y;

  float there = 1.0;
  vec2 from = uv;
  float cover = 1.0;
  vec2 gx = dx;
  vec2 gy = dy;
  if (DOTS != DOTS_NONE) {
    vec2 cells = vec2(max(1.0, floor(DOT_ROWS * ratio + 0.5)), DOT_ROWS);
    vec2 at = uv * cells + (second ? 0.5 : 0.0);
    vec2 cell = floor(at);
    float pixel = max(length(dx * cells), length(dy * cells));
    cover = dotCover(at - cell - 0.5, pixel);
    // one colour a dot, until dots are smaller than pixels
    float merged = smoothstep(0.5, 1.2, pixel);
    from = mix((cell + 0.5 - (second ? 0.5 : 0.0)) / cells, uv, merged);
    if (pixel < 1.2) {
      gx = vec2(1.0 / cells.x, 0.0);
      gy = vec2(0.0, 1.0 / cells.y);
    }
  }
  bool loaded = true;
  if (LOADS != LOADS_NONE) {
    vec2 blocks = vec2(max(1.0, floor(BLOCK_ROWS * ratio + 0.5)), BLOCK_ROWS);
    vec2 block = clamp(floor(uv * blocks), vec2(0.0), blocks - 1.0);
    loaded = vFrames.w >= 1.0 || blockTurn(block, blocks, mark) < vFrames.w;
    if (!loaded) {
      if (BEFORE == BEFORE_NONE) return NOTHING;
      from = (block + 0.5) / blocks;
      gx = vec2(1.0 / blocks.x, 0.0);
      gy = vec2(0.0, 1.0 / blocks.y);
    }
  }
  vec4 picture = loaded || BEFORE == BEFORE_COARSE ? pictureAt(from, gx, gy) : vec4(0.0, 0.0, 0.0, 1.0);
  if (LINE_ROWS > 0.5) {
    float at = uv.y * LINE_ROWS - LINE_RUN * uLap;
    float pixel = max(abs(dx.y), abs(dy.y)) * LINE_ROWS;
    float line = 0.5 - 0.5 * cos(2.0 * PANEL_PI * at);
    picture.rgb *= 1.0 - LINE_DARK * mix(line, 0.5, smoothstep(0.4, 1.0, pixel));
  }
  // dots together give as much light as the picture without them
  float light = EMISSION * (second ? BEHIND_LIGHT : 1.0) / (DOTS != DOTS_NONE ? max(dotMean(0.5 - 0.5 * DOT_GAP), 0.05) : 1.0);
  if (OPEN_GAPS > 0.5 && DOTS != DOTS_NONE) there = picture.a * cover;
  else {
    // what is dark must not shine with the dots
    picture.rgb = mix(dark * picture.a / (1.0 + light), picture.rgb, cover);
    there = picture.a;
  }
  // some light must be given back for a colour to be one
  return Shown(picture.rgb / max(picture.a, 1e-4), there, light, max(GIVES_BACK, 0.02));
}
