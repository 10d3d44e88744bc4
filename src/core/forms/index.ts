// What forms are declared with. Those who walk over them, or draw their rows, import the files themselves.
export { animated, largest, reachedValues, statedValues } from './animated';
export { choice } from './choice';
export { colour } from './colour';
export {
  heading,
  holds,
  isShown,
  stored,
  tag,
  valueAt,
  type Condition,
  type Control,
  type Field,
  type Heading,
  type Info,
} from './field';
export { elementRef } from './element';
export { file } from './file';
export { flag } from './flag';
export {
  form,
  headingsOf,
  shownIf,
  unshown,
  without,
  type Fields,
  type FieldsValue,
  type Form,
  type ValueOf,
} from './form';
export { gradient, ramp } from './gradient';
export { kinds, type Kind, type KindValue, type Kinds } from './kinds';
export { integer, number, three, vectorFields } from './number';
export { outline } from './outline';
export { given, grouped, list, listOf, part, partOf, shownList, shownPart, shownPartOf, shownParts } from './part';
export { picture } from './picture';
export { MOST_POINTS, points, type CurvePoint } from './points';
export { profile, profileHalves } from './profile';
export { FRAMES } from './quantities';
export { layerRef } from './reference';
export { seed } from './seed';
export { stretch } from './stretch';
export { text } from './text';
