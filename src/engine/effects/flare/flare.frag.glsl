// One part of a flare; every one is nothing at its rim.
uniform vec3 uTint;
in vec2 vAt;
flat in int vPart;
flat in vec3 vLight;
out vec4 outColour;

vec3 ringAt(float r) {
  // red outside, blue inside
  vec3 d = (vec3(r) - vec3(0.9, 0.86, 0.82)) / 0.045;
  return exp(-d * d);
}

void main() {
  float r = length(vAt);
  float rim = clamp(1.0 - r, 0.0, 1.0);
  vec3 shape;
  if (vPart == 0) shape = vec3(rim * rim * rim);
  else if (vPart == 1) shape = ringAt(r) * min(rim * 12.0, 1.0) * 0.4;
  else if (vPart == 2) {
    float along = 1.0 - abs(vAt.x);
    float across = 1.0 - vAt.y * vAt.y;
    shape = vec3(along * along * along * across * across);
  } else shape = vec3(smoothstep(0.0, 0.1, rim) * (0.3 + 0.7 * r * r) * 0.16);
  outColour = vec4(shape * vLight * uTint, 1.0);
}
