// A whole frame of any lap as the same of the first, 0 to frames - 1: by a float division, as % of negative integers is undefined in GLSL. Half a
// frame more keeps it away from where that rounds, for fewer than a million frames.
int frameInLap(int frame, int frames) { return frame - frames * int(floor((float(frame) + 0.5) / float(frames))); }
