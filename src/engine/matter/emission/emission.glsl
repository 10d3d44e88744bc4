Matter matterOf(Body b) { return Matter(b.base, 1.0, 0.0, b.glow, 1.0); }
