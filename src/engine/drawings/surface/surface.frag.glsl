// A wall between elements: dark, lit by a lamp at the camera and glowing by itself. Needs frame/view.glsl and matter/surface.glsl.
uniform float uLight;
in vec3 vView;
in vec3 vLook;

void main() {
  vec3 n = normalize(cross(dFdx(vView), dFdy(vView)));
  float d = length(vView);
  float facing = abs(dot(n, toEye(vView)));
  float lamp = facing / (1.0 + d * d * 0.06);
  float sheen = pow(1.0 - facing, 5.0) * 0.35;
  keepShone(vLook * uLight * (0.06 + 0.4 * lamp + sheen), -vView.z, false);
}
