vec3 light_on(Light light, Surface s) { return lit(s, light.from, light.colour * light.strength); }
