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
