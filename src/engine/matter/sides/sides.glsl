// up, to the right and to the left as an isometric camera sees them, which looks along -z
const mat3 ISOMETRIC_SIDES = mat3(0.70710678, -0.40824829, 0.57735027, 0.0, 0.81649658, 0.57735027, -0.70710678, -0.40824829, 0.57735027);

// how much of a face looks each way is the square of its normal there: of all three 1
Matter matterOf(Body b) {
  vec3 n = uMaterial[0].w > 0.5 ? (mat3(uView) * b.n) * ISOMETRIC_SIDES : b.n;
  vec3 share = n * n * mix(vec3(uMaterial[1].y), vec3(1.0), step(0.0, n));
  vec3 tone = vec3(0.0);
  tone += share.y * texture(uMatterColours, vec2(0.5 / 256.0, 0.25)).rgb;
  tone += share.x * texture(uMatterColours, vec2(0.5, 0.25)).rgb;
  tone += share.z * texture(uMatterColours, vec2(255.5 / 256.0, 0.25)).rgb;
  return Matter(b.base * mix(vec3(1.0), tone, uMaterial[1].x), 1.0, 0.0, b.glow, 1.0);
}
