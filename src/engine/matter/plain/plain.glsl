vec3 shade(Body b, out float opaque) {
  opaque = 1.0;
  float metal = uMaterial[0].x;
  return shine(b, mix(vec3(0.04), b.base, metal), b.base * (1.0 - metal), uMaterial[0].y, 1.0) + b.base * uMaterial[0].z;
}
