Matter matterOf(Body b) { return Matter(b.base, b.rough, uMaterial[0].x, b.glow, 1.0); }
// how far a clear coat is on it, and how rough that is
vec2 coatOf() { return uMaterial[0].w > 0.0 ? vec2(uMaterial[0].w, uMaterial[1].x) : vec2(0.0); }
