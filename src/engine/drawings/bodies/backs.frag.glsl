// The back of a body that is seen through: which way it faces, and how deep it is. Needs matter/surface.glsl.
in vec3 vView;
in vec3 vNormal;
void main() {
  outSurface = vec4(octahedron(normalize(vNormal)), 0.0, -vView.z);
  outColour = vec4(0.0);
  outManner = vec4(0.0);
}
