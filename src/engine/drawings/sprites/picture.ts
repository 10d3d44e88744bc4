import * as THREE from 'three';
import { toLinear } from '../../../core/colour/colour';
import { crystalPicture } from '../../../core/pictures/crystal';
import { pixmapOf, type Picture } from '../../../core/pictures/pixmap';

/** A nearly black picture is not made brighter than this. */
const MOST_GAIN = 60;

const LUMINANCE = [0.2126, 0.7152, 0.0722];

/** Mean linear red, green and blue. */
function meanOf({ rgb }: Picture): [number, number, number] {
  const sum: [number, number, number] = [0, 0, 0];
  for (let i = 0; i < rgb.length; i++) sum[i % 3] += toLinear(rgb[i] / 255);
  return sum.map((v) => (v * 3) / rgb.length) as [number, number, number];
}

function textureOf({ width, height, rgb }: Picture): THREE.DataTexture {
  const bytes = new Uint8Array(width * height * 4).fill(255);
  for (let i = 0; i < width * height; i++) bytes.set(rgb.subarray(i * 3, i * 3 + 3), i * 4);
  const texture = new THREE.DataTexture(bytes, width, height, THREE.RGBAFormat, THREE.UnsignedByteType);
  texture.colorSpace = THREE.SRGBColorSpace;
  texture.magFilter = THREE.LinearFilter;
  texture.minFilter = THREE.LinearMipmapLinearFilter;
  texture.generateMipmaps = true;
  texture.needsUpdate = true;
  return texture;
}

/** What sprites need to show a picture. */
export const pictureUniforms = () => ({
  uSpritePicture: { value: null as THREE.Texture | null },
  uSpriteGain: { value: new THREE.Vector3(1, 1, 1) },
  uSpriteTint: { value: new THREE.Vector3(1, 1, 1) },
});

/**
 * Sets a picture: itself, its mean colour at luminance 1, and the gain by which it gives as much light as a plain disc,
 * whose area is π/2 times that of the square within its rim.
 * @param url its pixmap, empty for our own, null for none
 */
export function showPicture(uniforms: ReturnType<typeof pictureUniforms>, url: string | null): void {
  const { uSpritePicture, uSpriteGain, uSpriteTint } = uniforms;
  const former = uSpritePicture.value;
  if (former) {
    if (former.userData.url === url) return;
    former.dispose();
  }
  const picture = url === null ? null : url === '' ? crystalPicture() : pixmapOf(url);
  if (!picture) {
    uSpritePicture.value = null;
    uSpriteGain.value.set(1, 1, 1);
    uSpriteTint.value.set(1, 1, 1);
    return;
  }
  const mean = meanOf(picture);
  const luminance = mean.reduce((sum, v, k) => sum + v * LUMINANCE[k], 0);
  const [red, green, blue] = mean.map((v) => (luminance > 0 ? v / luminance : 1));
  const gain = Math.min(MOST_GAIN, Math.PI / 2 / Math.max(1e-6, luminance));
  const texture = textureOf(picture);
  texture.userData.url = url;
  uSpritePicture.value = texture;
  // the tint is in the energy already, for what is too small or too blurred to show a picture
  const own = (tint: number): number => gain / Math.max(1e-3, tint);
  uSpriteGain.value.set(own(red), own(green), own(blue));
  uSpriteTint.value.set(red, green, blue);
}
