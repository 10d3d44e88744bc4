// Elements turned towards the camera's picture plane or towards a point.
// @kernel face faceElement weight position
// @include ../../space/rotation.glsl

// to: 0 the rotation `view`, 1 the point; amount: 0 as they are .. 1 wholly. Their own front is +z, their top +y.
void faceElement(float weight, vec3 position, float amount, int to, vec4 view, vec3 point, inout vec4 rotation) {
  vec4 goal = view;
  if (to == 1) {
    vec3 z = point - position;
    z = z * inversesqrt(dot(z, z) + 1e-12);
    // first turn about the upright axis, then lean: the top stays up
    float flat_ = sqrt(z.x * z.x + z.z * z.z);
    float c = flat_ > 1e-6 ? z.z / flat_ : 1.0;
    float s = flat_ > 1e-6 ? z.x / flat_ : 0.0;
    float halfC = sqrt(max(0.0, 0.5 + 0.5 * c));
    float halfS = (s < 0.0 ? -1.0 : 1.0) * sqrt(max(0.0, 0.5 - 0.5 * c));
    float leanC = sqrt(max(0.0, 0.5 + 0.5 * flat_));
    float leanS = (z.y < 0.0 ? 1.0 : -1.0) * sqrt(max(0.0, 0.5 - 0.5 * flat_));
    goal = quatTimes(vec4(0.0, halfS, 0.0, halfC), vec4(leanS, 0.0, 0.0, leanC));
  }
  float near = dot(goal, rotation) < 0.0 ? -1.0 : 1.0;
  vec4 q = mix(rotation, goal * near, clamp(amount * weight, 0.0, 1.0));
  rotation = q * inversesqrt(dot(q, q) + 1e-12);
}
