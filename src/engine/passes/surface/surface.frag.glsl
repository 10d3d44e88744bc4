// A dark wall lit by a lamp at the camera, glowing by itself, fading into the air. Alpha holds the depth in metres.
uniform float uLight;
uniform vec3 uFogColour;
in vec3 vView;
in vec3 vLook;
out vec4 outColour;

void main() {
  vec3 n = normalize(cross(dFdx(vView), dFdy(vView)));
  float d = length(vView);
  float facing = abs(dot(n, vView / d));
  float lamp = facing / (1.0 + d * d * 0.06);
  float sheen = pow(1.0 - facing, 5.0) * 0.35;
  vec3 colour = vLook * uLight * (0.06 + 0.4 * lamp + sheen);
  float depth = -vView.z;
  float seen = clearAir(depth) * presence(depth);
  outColour = vec4(mix(uFogColour, colour, seen), depth);
}
