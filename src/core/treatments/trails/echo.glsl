// An earlier moment of an element, there only as far as the trails reach.
// @kernel echo echoElement weight

// weight: how far they act where it is; echo: 1 for an earlier moment, 0 for the present one; fade: 0 not there .. 1 there.
void echoElement(float weight, float echo, inout float fade) {
  fade *= mix(1.0, weight, echo);
}
