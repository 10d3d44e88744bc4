Matter matterOf(Body b) { return Matter(b.base, uMaterial[0].y, uMaterial[0].x, uMaterial[0].z, 1.0); }
