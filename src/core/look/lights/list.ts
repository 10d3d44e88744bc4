import { farBox } from './farBox/farBox';
import { panorama } from './panorama/panorama';
import { point } from './point/point';
import { softBox } from './softBox/softBox';
import { spot } from './spot/spot';
import { sun } from './sun/sun';
import { surroundings } from './surroundings/surroundings';

/** Every kind of light, in the order they are offered. A new kind is a folder and its name here, and its program in engine/lights. */
export const LIST = [spot, softBox, point, sun, panorama, farBox, surroundings] as const;
