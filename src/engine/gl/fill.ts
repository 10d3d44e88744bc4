import * as THREE from 'three';

type Values = Int32Array | Uint32Array | Float32Array;

/** Room for an attribute that is given anew every frame, one an instance or one a vertex; whole numbers stay whole. */
function room(geometry: THREE.BufferGeometry, values: Values, width: number): THREE.BufferAttribute {
  const length = Math.max(256 * width, Math.ceil((values.length / width) * 1.4) * width);
  const array =
    values instanceof Float32Array
      ? new Float32Array(length)
      : values instanceof Int32Array
        ? new Int32Array(length)
        : new Uint32Array(length);
  const instanced = geometry instanceof THREE.InstancedBufferGeometry;
  const attribute = new (instanced ? THREE.InstancedBufferAttribute : THREE.BufferAttribute)(array, width);
  if (!(array instanceof Float32Array)) attribute.gpuType = THREE.IntType;
  return attribute.setUsage(THREE.DynamicDrawUsage);
}

/**
 * Fills an attribute of a geometry; its buffer grows when it must.
 * @param width numbers a vertex or an instance
 */
export function fillAttribute(geometry: THREE.BufferGeometry, name: string, values: Values, width: number): void {
  let attribute = geometry.getAttribute(name) as THREE.BufferAttribute | undefined;
  if (!attribute || attribute.array.length < values.length) {
    // three remembers how many instances the attribute of before had room for, and would draw no more
    if (attribute) geometry.dispose();
    attribute = room(geometry, values, width);
    geometry.setAttribute(name, attribute);
  }
  attribute.array.set(values);
  attribute.clearUpdateRanges();
  attribute.addUpdateRange(0, values.length);
  attribute.needsUpdate = true;
}
