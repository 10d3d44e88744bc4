// A stretch of whole frames of a lap, with fades inside it.
// @export stretchLevel

float stretchEased(float t) {
  float x = clamp(t, 0.0, 1.0);
  return x * x * (3.0 - 2.0 * x);
}

// How far it is on, 0 to 1. since: whole frames since its first, less than those of the lap; lasts: frames of it, those of its fades among them, which share it where
// they are longer; comes, goes: frames of these fades, any number from 0; frames: of the lap, all of which it lasts without a fade.
float stretchLevel(float since, float lasts, float comes, float goes, float frames) {
  float share = min(1.0, lasts / max(1e-9, comes + goes));
  float come = comes * share;
  float go = goes * share;
  float level = min(come > 0.0 ? stretchEased((since + 1.0) / (come + 1.0)) : 1.0,
                    go > 0.0 ? stretchEased((lasts - since) / (go + 1.0)) : 1.0);
  return since >= lasts ? 0.0 : lasts >= frames ? 1.0 : level;
}
