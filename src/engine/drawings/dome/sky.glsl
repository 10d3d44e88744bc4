// A sky at any distance: colours by height above the horizon, and long clouds that break them up.
uniform sampler2D uSkyGradient;  // from straight below to straight above
uniform vec4 uSky;               // brightness (0: there is none), gathering about the horizon, clouds, turns of their cycle

// d: unit direction in the world
vec3 skyColour(vec3 d) {
  float up = sign(d.y) * (1.0 - exp(-abs(d.y) * uSky.y)) / (1.0 - exp(-uSky.y));
  float turn = 6.2831853 * uSky.w;
  float around = atan(d.x, -d.z);
  float band = sin(around * 3.0 + up * 17.0 + turn) + 0.7 * sin(around * 5.0 - up * 29.0 - turn + 1.7)
             + 0.5 * sin(around * 2.0 + up * 43.0 + sin(around * 4.0 + turn) * 1.3);
  up += band * uSky.z * 0.09 * exp(-3.0 * abs(d.y));
  return textureLod(uSkyGradient, vec2(0.5 + 0.5 * clamp(up, -1.0, 1.0), 0.5), 0.0).rgb * uSky.x;
}
