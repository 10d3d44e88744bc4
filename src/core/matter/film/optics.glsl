// What a thin film gives back of white light, as a colour.
// @export filmColour
// @include ../../noise/turn.glsl

// Wavelengths in nanometres that stand for red, green and blue, and how far each band reaches about its own as a share of it: a
// standard deviation of about 25 nm at 550, as of cameras (from memory).
const vec3 FILM_WAVES = vec3(650.0, 532.0, 450.0);
const float FILM_BAND = 0.045;

// Light from the lower side has gone 2 n d cos t farther, and half a wave is lost at the upper (any optics textbook, such as Hecht's
// "Optics", on interference in thin films): dark where the path is a whole number of waves, bright half way between. Bands are not of one wavelength, so colours
// pale where the path is many waves: the mean over a Gaussian band. cosine: of the angle of view, 0..1; thickness: nanometres; index: of
// refraction. Each number is 0..1.
vec3 filmColour(float cosine, float thickness, float index) {
  float inside = sqrt(max(0.0, 1.0 - (1.0 - cosine * cosine) / (index * index)));
  vec3 orders = vec3(2.0 * index * thickness * inside) / FILM_WAVES;
  float narrow = TAU * FILM_BAND;
  vec3 pale = exp(orders * orders * (-0.5 * narrow * narrow));
  vec3 wave = vec3(cosTurn(orders.x), cosTurn(orders.y), cosTurn(orders.z));
  return (1.0 - wave * pale) * 0.5;
}
