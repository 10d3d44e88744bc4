import { describe, expect, it } from 'vitest';
import { deliveryFrames, DELIVERY } from './form';

const delivery = (first: number, last: number) => DELIVERY.schema.parse({ id: 'd', first, last });

describe('frames of a delivery', () => {
  it('are the whole lap by default, and never frame F', () => {
    expect(deliveryFrames(DELIVERY.schema.parse({ id: 'd' }), 250)).toEqual({
      first: 0,
      last: 249,
      count: 250,
      whole: true,
    });
  });

  it('are held inside the lap', () => {
    expect(deliveryFrames(delivery(10, 19), 250)).toMatchObject({ count: 10, whole: false });
    expect(deliveryFrames(delivery(300, 400), 250)).toEqual({ first: 249, last: 249, count: 1, whole: false });
    expect(deliveryFrames(delivery(20, 10), 250)).toMatchObject({ first: 10, last: 10 });
  });
});
