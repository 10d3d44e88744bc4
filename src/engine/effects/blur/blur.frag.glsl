// A picture at four places along a way, evenly. Passes that are each four times as far make 64 places of four times four times four. Needs held.glsl.
uniform sampler2D uSource;
uniform vec2 uPicture;   // pixels
uniform vec2 uStep;      // from one place to the next: shares of width and height;
uniform vec2 uAbout;     // or about a place,
uniform float uFactor;   // by a factor, its natural logarithm,
uniform float uAngle;    // and an angle in radians
uniform float uUneven;   // how uneven that is, see patches.glsl,
uniform float uPatch;
uniform float uLap;
uniform int uCycles;
uniform uint uSeed;
in vec2 vUv;
out vec4 outColour;

vec3 at(float i) {
  vec2 d = (vUv - uAbout) * uPicture * exp(uFactor * i);
  float a = uAngle * i;
  d = vec2(d.x * cos(a) - d.y * sin(a), d.x * sin(a) + d.y * cos(a));
  return texture(uSource, heldPlace(uAbout + d / uPicture + uStep * i)).rgb;
}

void main() {
  vec2 place = (vUv - 0.5) * uPicture / min(uPicture.x, uPicture.y);
  float by = patchShare(place, uPatch, uUneven, uLap, uCycles, uSeed);
  outColour = vec4((at(-1.5 * by) + at(-0.5 * by) + at(0.5 * by) + at(1.5 * by)) * 0.25, 1.0);
}
