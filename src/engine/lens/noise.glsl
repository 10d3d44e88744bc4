// Numbers 0..1 of which every few neighbouring pixels have all about evenly (Jimenez, "Next Generation Post Processing", SIGGRAPH
// courses 2014).
float noiseOf(vec2 at) { return fract(52.9829189 * fract(dot(at, vec2(0.06711056, 0.00583715)))); }
