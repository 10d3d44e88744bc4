// Which lines there are.
uniform vec4 uLines[3];  // see core/lines/lines.ts

bool drawsContours() { return uLines[2].x > 0.5; }
bool drawsBorders() { return uLines[2].z > 0.5; }
// whether lines are drawn where faces turn by the angle of that cosine
bool drawsCreases(float fold) { return fold < uLines[2].y; }
// every edge is a line
bool drawsAll() { return uLines[2].y > 1.5; }
