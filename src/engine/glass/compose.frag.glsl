// The light of a pass with its glass: what is lit behind it, or that of the glass where there is some, in the air between. Counts by the
// share of the pass. Needs frame/view.glsl and air/veil.glsl.
uniform sampler2D uBehind;
uniform sampler2D uGlass;
uniform sampler2D uGlassColour;
uniform sampler2D uGlassManner;
uniform vec3 uFogColour;
uniform float uShare;
uniform float uKeepDepth;
out vec4 outLight;
void main() {
  ivec2 px = ivec2(gl_FragCoord.xy);
  vec4 behind = texelFetch(uBehind, px, 0);
  float depth = texelFetch(uGlass, px, 0).w;
  if (depth > 1e8) outLight = vec4(behind.rgb * uShare, uKeepDepth * behind.a);
  else {
    vec3 light = texelFetch(uGlassColour, px, 0).rgb;
    float partly = texelFetch(uGlassManner, px, 0).z;
    float off = metresOff(placeAt(vUv, depth));
    // what is behind it has come through all of the air already
    outLight = vec4(veiled(mix(uFogColour, light, clearAir(off) * presence(off)), depth) * uShare, uKeepDepth * depth * (1.0 - 2.0 * partly));
  }
}
