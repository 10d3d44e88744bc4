// A wall between elements: dark, lit by a lamp at the camera and glowing by itself. Needs frame/view.glsl and matter/surface.glsl.
uniform float uLight;
in vec3 vView;
in vec3 vLook;

void main() {
  vec3 n = cross(dFdx(vView), dFdy(vView));
  float size = length(n);
  // of a triangle that is seen from its edge neighbouring pixels say nothing: it is as if it faced the eye
  n = size > 1e-20 && size < 1e12 ? n / size : toEye(vView);
  float d = length(vView);
  float facing = abs(dot(n, toEye(vView)));
  float lamp = facing / (1.0 + d * d * 0.06);
  float sheen = pow(max(1.0 - facing, 0.0), 5.0) * 0.35;
  keepShone(vLook * uLight * (0.06 + 0.4 * lamp + sheen), -vView.z, false);
}
