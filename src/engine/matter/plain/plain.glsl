Matter matterOf(Body b) { return Matter(b.base, b.rough, uMaterial[0].x, b.glow, 1.0); }
