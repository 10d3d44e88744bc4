import { describe, expect, it } from 'vitest';
import { PieceSchema } from '../piece/schema';
import { newLayer } from '../layers/kinds';
import { crystalPicture } from './crystal';
import { pictureFrom, pixmapOf, pixmapUrl } from './pixmap';

describe('pixmaps', () => {
  const rgb = Uint8Array.from({ length: 5 * 3 * 3 }, (_, i) => (i * 37) % 256);

  it('come back as they were', () => {
    const url = pixmapUrl({ width: 5, height: 3, rgb });
    expect(pixmapOf(url)).toEqual({ width: 5, height: 3, rgb });
  });

  // Netpbm, "ppm" format: magic P6, width, height, maximum 255, one white space, then the bytes
  it('are the bytes the format asks for', () => {
    const bytes = atob(pixmapUrl({ width: 1, height: 2, rgb: Uint8Array.of(255, 0, 0, 0, 0, 10) }).split(',')[1]);
    expect(bytes).toBe('P6\n1 2\n255\nÿ\0\0\0\0\n');
    expect(pixmapOf(`data:image/x-portable-pixmap;base64,${btoa('P6 1 1 255 abc')}`)).toEqual({
      width: 1,
      height: 1,
      rgb: Uint8Array.of(97, 98, 99),
    });
  });

  it.each([
    ['another address', 'data:image/png;base64,AAAA'],
    ['bytes that are missing', `data:image/x-portable-pixmap;base64,${btoa('P6\n2 2\n255\nabc')}`],
    ['another depth', `data:image/x-portable-pixmap;base64,${btoa('P6\n1 1\n127\nabc')}`],
    ['one too large', `data:image/x-portable-pixmap;base64,${btoa(`P6\n129 1\n255\n${'a'.repeat(387)}`)}`],
    ['what is not base64', 'data:image/x-portable-pixmap;base64,%%%'],
  ])('%s is none, and no piece takes it', (_, url) => {
    expect(pixmapOf(url)).toBeNull();
    const piece = (picture: string) => ({
      id: 'p',
      name: 'P',
      lap: { frames: 10, rate: { num: 25, den: 1 } },
      layers: [{ ...newLayer('field', 'f', 'F', 1), sprite: 'picture', picture }],
      flight: {},
      look: {},
    });
    expect(PieceSchema.safeParse(piece(url)).success).toBe(false);
    expect(PieceSchema.safeParse(piece('')).success).toBe(true);
  });

  it('what is clear in a picture is black in one of light', () => {
    const { rgb: light } = pictureFrom([200, 100, 50, 255, 200, 100, 50, 0, 200, 100, 50, 128], 3, 1);
    expect([...light]).toEqual([200, 100, 50, 0, 0, 0, 100, 50, 25]);
  });
});

describe('the crystal', () => {
  it('has six arms alike and is black at the corners', () => {
    const { width, height, rgb } = crystalPicture();
    const at = (turn: number, r: number): number => {
      const a = turn * 2 * Math.PI;
      const [x, y] = [Math.sin(a) * r, Math.cos(a) * r].map((v) => Math.floor((v * 0.5 + 0.5) * width));
      return rgb[(y * width + x) * 3 + 1];
    };
    for (const corner of [0, width - 1, width * (height - 1), width * height - 1])
      expect(rgb[corner * 3]).toBeLessThan(8);
    for (let arm = 0; arm < 6; arm++) {
      expect(at(arm / 6, 0.5)).toBeGreaterThan(140);
      expect(at((arm + 0.5) / 6, 0.85)).toBeLessThan(30);
    }
  });
});
