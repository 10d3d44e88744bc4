// What a vertex of a panel says of the picture on it.
in vec3 aUv;              // 0..1 to the right and down, and which plane
uniform sampler2D uPanels; // two texels a panel: its part of the picture; layers of two frames, the share of the second, how far it is loaded
uniform int uFirst;
out vec3 vUv;
flat out vec4 vRect;
flat out vec4 vFrames;

void showPicture(int element) {
  vUv = aUv;
  int at = (element - uFirst) * 2;
  vRect = texelFetch(uPanels, ivec2(at & 1023, at >> 10), 0);
  vFrames = texelFetch(uPanels, ivec2((at + 1) & 1023, (at + 1) >> 10), 0);
}
