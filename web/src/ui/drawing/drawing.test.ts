import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { basename } from 'node:path';
import { PDFDocument } from '@cantoo/pdf-lib';
import { mount } from '@vue/test-utils';
import { makeRational, quantityIn, rodOf, rodSheets, unitById, type Drawing, type TextShape } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import DrawingPicture from './DrawingPicture.vue';
import { drawingsToPdf } from './drawing-pdf.ts';
import { fileName } from './save-file.ts';

const drawing: Drawing = {
  width: 100,
  height: 50,
  shapes: [
    { kind: 'line', x1: 0, y1: 10, x2: 90, y2: 10, weight: 'cut' },
    { kind: 'box', x: 5, y: 5, width: 20, height: 4, filled: true },
    { kind: 'text', x: 50, y: 20, text: 'rail ≈ 3 5⁄8″', size: 4, anchor: 'middle', upright: true, strong: true },
    { kind: 'text', x: 50, y: 30, text: '長さ −2′', size: 4, anchor: 'end', upright: false, strong: false },
  ],
};
const SIZE = quantityIn(makeRational(59, 4), unitById('in'));
const require = createRequire(import.meta.url);
/** The faces as they are installed, in place of the page's own. */
function face(url: string): Promise<ArrayBuffer> {
  const name = basename(url).replace(/\?.*$/, '');
  const bytes = readFileSync(require.resolve(`@fontsource/${name.replace(/-latin.*/, '')}/files/${name}`));
  return Promise.resolve(new Uint8Array(bytes).buffer);
}

describe('a drawing as a picture', () => {
  it('is drawn in millimetres, its fractions as fractions, cut lines broken', () => {
    const picture = mount(DrawingPicture, { props: { drawings: [drawing, drawing], title: 'Rod', actualSize: true } });
    const svg = picture.get('svg');
    expect(svg.attributes()).toMatchObject({ viewBox: '0 0 100 106', width: '100mm', height: '106mm', role: 'img' });
    expect(picture.findAll('g')[1]?.attributes('transform')).toBe('translate(0 56)');
    expect(picture.get('line').attributes('stroke-dasharray')).toBe('2 1.5');
    const [upright] = picture.findAll('text');
    expect(upright?.attributes('transform')).toBe('rotate(-90 50 20)');
    expect(upright?.text()).toBe('rail ≈ 3 5⁄8″');
    expect(upright?.findAll('tspan')[1]?.attributes('style')).toContain('diagonal-fractions');
  });
});

describe('drawings as a PDF', () => {
  it('have a page for each sheet, of its size', async () => {
    const bytes = await drawingsToPdf([drawing, { ...drawing, width: 254, height: 127 }], 'Rod', face);
    const read = await PDFDocument.load(bytes);
    expect(read.getTitle()).toBe('Rod');
    expect(read.getPages().map((page) => page.getSize())).toEqual([
      { width: expect.closeTo(283.4646, 3) as number, height: expect.closeTo(141.7323, 3) as number },
      { width: expect.closeTo(720, 6) as number, height: expect.closeTo(360, 6) as number },
    ]);
  });

  it('are written for a rod with any name, in signs that the face has', async () => {
    const sheets = rodSheets(rodOf([{ name: 'länge_長', text: '≈ 1′ 2 3⁄4″', quantity: SIZE }]), {
      sheet: 'a4',
      size: 'full-size',
      metric: true,
      title: '棚 (№ 7) −3',
    });
    if (!sheets.ok) throw new Error(sheets.issue.code);
    await expect(drawingsToPdf(sheets.value, '棚', face)).resolves.toBeInstanceOf(Uint8Array);
  });
});

describe('signs that the usual face has not', () => {
  const writing = async (text: string) => {
    const loaded: string[] = [];
    const load = (url: string) => {
      loaded.push(basename(url).replace(/-(500|600|400)-normal.*/, ''));
      return face(url);
    };
    const sheet: Drawing = { ...drawing, shapes: [{ ...(drawing.shapes[3] as TextShape), text }] };
    const bytes = await drawingsToPdf([sheet], 'Signs', load);
    return { loaded: [...new Set(loaded)], bytes: bytes.length };
  };

  it('come from a face that has them, which is loaded for them alone', async () => {
    const [latin, extended, every] = ['barlow-latin', 'barlow-latin-ext', 'dejavu-sans-latin'];
    expect((await writing('rail 3 5⁄8″ é')).loaded).toEqual([latin]);
    expect((await writing('Łódź')).loaded).toEqual([latin, extended]);
    const roots = await writing('#1 × (√2 − 1) ≈ π');
    expect(roots.loaded).toEqual([latin, extended, every]);
    // Of a face of 370 kB only what is written is in the file.
    expect(roots.bytes).toBeLessThan(20_000);
  });
});

describe('the name of a file', () => {
  it.each([
    ['Bandstand, Quill Park story stick', 'bandstand-quill-park-story-stick.pdf'],
    ['../../etc: 1:20', 'etc-1-20.pdf'],
    ['…', 'sprell.pdf'],
  ])('of "%s"', (title, name) => {
    expect(fileName(title, 'pdf')).toBe(name);
  });
});
