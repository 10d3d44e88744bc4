// How far something is there in each pixel of one pass, added to one of four numbers. By OF: 0 anything that hides what is behind it, 1 one
// layer of it, 2 what is near, 3 fog, 4 as bright as light is. Needs look/effects/mask.glsl; frame/view.glsl
// and frame/pixel.glsl for 0, 2 and 3, and air/veil.glsl for 0.
uniform sampler2D uMatter;
uniform sampler2D uOne;     // what the pass sees of one layer alone; or light
uniform vec2 uRange;        // metres
uniform float uDrawnBack;   // metres that the eye is behind the camera
uniform vec4 uUnit;         // 1 for the number it is added to
uniform float uShare;
out vec4 outShare;

void main() {
  ivec2 px = ivec2(gl_FragCoord.xy);
#if OF == 4
  float there = min(1.0, dot(texelFetch(uOne, px, 0).rgb, vec3(0.2126, 0.7152, 0.0722)));
#else
  float depth = texelFetch(uMatter, px, 0).w;
#endif
#if OF == 0
  // what is behind everything is dimmed by the mist before it
  float there = depth < 1e8 ? 1.0 : 1.0 - dot(veiled(vec3(1.0), depthOf(vUv, uAir.z)) - veiled(vec3(0.0), depthOf(vUv, uAir.z)), vec3(1.0 / 3.0));
#elif OF == 1
  float there = float(depth < 1e8 && depth == texelFetch(uOne, px, 0).w);
#elif OF == 2
  float there = nearMask(metresOff(placeAt(vUv, depth)) - uDrawnBack, uRange.x, uRange.y);
#elif OF == 3
  float there = fogMask(metresOff(placeAt(vUv, depth)) - uDrawnBack, uRange.x, uRange.y);
#endif
  outShare = uUnit * (there * uShare);
}
