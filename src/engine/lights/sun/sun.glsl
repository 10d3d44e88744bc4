vec3 light_on(Light light, Surface s) { return litByBall(s, light.from, 1.0, light.size, light.colour * light.strength); }
