// 0 where it faces the eye .. 1 at its rim
Matter matterOf(Body b) {
  float turned = pow(1.0 - clamp(dot(b.n, b.v), 0.0, 1.0), uMaterial[1].x);
  vec3 colour = texture(uMatterColours, vec2((0.5 + 255.0 * turned) / 256.0, 0.25)).rgb;
  return Matter(mix(b.base, colour, uMaterial[0].w), b.rough, uMaterial[0].x, b.glow + uMaterial[1].y * turned, 1.0);
}
