// A drawn line: its ink gives off its colour, with round ends. Needs random/hash.glsl, matter/surface.glsl and lens/noise.glsl.
uniform sampler2D uLineInk;
uniform vec4 uLines[3];
uniform vec4 uPass;
uniform float uFade;
uniform float uShown;    // how strongly it is there: hidden lines are faint
in vec2 vAt;
in float vNear;
flat in vec3 vStrip;
flat in float vThere;
flat in float vMark;

void main() {
  float share = vStrip.x > 0.0 ? clamp(vAt.x / vStrip.x, 0.0, 1.0) : 0.0;
  float half_ = mix(vStrip.y, vStrip.z, share);
  float off = length(vec2(vAt.x - share * vStrip.x, vAt.y));
  if (off > max(half_, 0.5)) discard;
  float there = vThere * uFade * uShown * min(1.0, 2.0 * half_);
  if (there < 0.999) {
    float at = uPass.w < 3.5 ? noiseOf(gl_FragCoord.xy + 5.588238 * mod(vMark + 17.0, 64.0))
      : unit(pcg4d(uvec4(uint(gl_FragCoord.x), uint(gl_FragCoord.y), uint(vMark), 13u)).x);
    if (fract(at + uPass.z) > there) discard;
  }
  float depth = 1.0 / vNear;
  vec3 ink = texture(uLineInk, vec2((0.5 + 255.0 * clamp(depth / uLines[1].w, 0.0, 1.0)) / 256.0, 0.5)).rgb;
  keepShone(ink * uLines[2].w, depth, there < 0.999);
}
