// Elements that are there in a stretch of whole frames, or gone in it, one after another.
// @kernel appear appearElement order weight
// @include ../../time/stretch.glsl
// @include ../../time/frameInLap.glsl

// amount: 0 untouched .. 1 all of it; frame: whole, of a lap of `frames`; begins: on which the first one comes; lasts: frames that each is there, those of its fades among them;
// comes, goes: frames of these fades; wait: frames from the first one's turn to the last one's; gone: 1 where they are there in all other frames.
void appearElement(float order, float weight, float amount, int frame, int frames, int begins, int lasts, int comes, int goes, int wait, int gone, inout float fade) {
  int since = frameInLap(frame - begins - int(floor(order * float(wait) + 0.5)), frames);
  float level = stretchLevel(float(since), float(lasts), float(comes), float(goes), float(frames));
  fade *= mix(1.0, gone == 1 ? 1.0 - level : level, weight * amount);
}
