// a: cosines of its edge and of where that begins, tangent of its edge, pattern; b: the pattern's repetitions beside the beam's size,
// its turn in turns, steps it has moved on, how blurred it is

// 1 where x lies in the first part of every whole step, with edges so soft
float light_gaps(float x, float open, float soft) {
  float at = abs(fract(x) - 0.5) * 2.0;
  return 1.0 - smoothstep(open - soft, open + soft, at);
}

// how much of the light the pattern lets through. p: place in the beam, 1 at its edge
float light_through(int kind, vec2 p, float run, float soft) {
  float blur = 0.02 + 0.6 * soft;
  float r = length(p);
  float turn = atan(p.y, p.x) / (2.0 * PI_);
  if (kind == 1) return light_gaps(p.x * 2.5 + run, 0.5, blur);
  if (kind == 2) {
    vec2 pane = p * vec2(1.5, 1.2) + vec2(run, 0.0);
    float frame = light_gaps(pane.x, 0.84, 0.5 * blur) * light_gaps(pane.y + 0.5, 0.84, 0.5 * blur);
    vec2 inside = 1.0 - smoothstep(vec2(1.0 - blur), vec2(1.0 + blur), abs(p) * vec2(0.75, 0.85) * 1.6);
    return frame * inside.x * inside.y;
  }
  if (kind == 3) return light_gaps(r * 3.0 - run, 0.52, blur);
  if (kind == 4) return mix(1.0, light_gaps(turn * 14.0 + run, 0.5, blur), smoothstep(0.04, 0.2, r));
  if (kind == 5) {
    // leaves: the nearest of points in cells, each a lens that leans its own way
    // the cells repeat after four rows: a step is all of them
    vec2 q = p * 3.2 + vec2(0.0, 4.0 * run);
    float there = 0.0;
    for (int k = 0; k < 9; k++) {
      ivec2 cell = ivec2(floor(q)) + ivec2(k % 3 - 1, k / 3 - 1);
      uvec4 h = pcg4d(uvec4(cell.x, cell.y & 3, 5, 11));
      vec2 d = q - vec2(cell) - vec2(unit(h.x), unit(h.y));
      float lean = 2.0 * PI_ * unit(h.z);
      d = mat2(cos(lean), sin(lean), -sin(lean), cos(lean)) * d;
      float leaf = abs(d.y) + d.x * d.x * 0.9;
      there = max(there, 1.0 - smoothstep(0.34 - 0.5 * blur, 0.34 + 0.5 * blur, leaf * (1.0 + 0.5 * unit(h.w))));
    }
    return 1.0 - there;
  }
  vec2 q = p * 3.0 + vec2(run, run);
  return light_gaps(q.x + q.y, 0.68, blur) * light_gaps(q.x - q.y, 0.68, blur);
}

#ifdef SLIDES
// what comes through a slide, which lies once across the beam and goes on beside itself
vec3 light_slide(int cell, vec2 p, float run, float soft) {
  vec2 at = clamp(fract(0.5 + vec2(0.5 * p.x + run, -0.5 * p.y)) * SLIDE, 0.5, SLIDE - 0.5);
  float blurred = soft * (SLIDE_LEVELS - 1.0);
  float level = min(floor(blurred), SLIDE_LEVELS - 2.0);
  vec2 size = SLIDE * vec2(SLIDES, SLIDE_LEVELS);
  vec2 place = (at + SLIDE * vec2(float(cell), level)) / size;
  vec3 sharp = textureLod(uSlides, place, 0.0).rgb;
  vec3 soft_ = textureLod(uSlides, place + vec2(0.0, SLIDE / size.y), 0.0).rgb;
  return mix(sharp * sharp, soft_ * soft_, blurred - level);
}
#endif

// the share of its strength, by colour, that it gives away from a direction in which it is seen
vec3 light_beam(Light light, vec3 to) {
  float along = dot(to, light.from);
  float cone = smoothstep(light.a.x, max(light.a.y, light.a.x + 1e-5), along);
  vec3 through = vec3(1.0);
  if (light.a.w > 0.5) {
    vec3 up = cross(light.from, light.side);
    vec2 p = vec2(dot(to, light.side), dot(to, up)) * (-light.b.x / (max(along, 1e-3) * light.a.z));
    float c = cos(2.0 * PI_ * light.b.y);
    float t = sin(2.0 * PI_ * light.b.y);
    p = mat2(c, t, -t, c) * p;
    int kind = int(light.a.w + 0.5);
#ifdef SLIDES
    if (kind >= 7) through = light_slide(kind - 7, p, light.b.z, light.b.w);
    else
#endif
    through = vec3(light_through(kind, p, light.b.z, light.b.w));
  }
  return cone * through;
}

vec3 light_on(Light light, Surface s) {
  vec3 to = light.place - s.place;
  float away = max(length(to), 1e-4);
  to /= away;
  return litByBall(s, to, away, light.size, light.colour * (light.strength * light_beam(light, to) * fallOff(away, light.size, light.reach)));
}
