import { mount, RouterLinkStub } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import {
  DEFAULT_STYLE,
  definitionText,
  readScale,
  reckon,
  type Quantity,
  type ScaleDefinition,
  type Side,
} from '@sprell/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { drawn } from '../../ui/drawn.ts';
import PickList from '../../ui/PickList.vue';
import type { JobScale } from '../../job/index.ts';
import ScaleFits from './ScaleFits.vue';
import ScaleForm from './ScaleForm.vue';
import ScaleStrip from './ScaleStrip.vue';
import { turnedLabel } from './side-words.ts';

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
});

const QUARTER: ScaleDefinition = { kind: 'sizes', paper: '1/4"', site: `1'` };
function aScale(definition: ScaleDefinition, name: string | null = null): JobScale {
  const read = readScale(definition);
  const says = definitionText(definition, DEFAULT_STYLE);
  return {
    id: 'a',
    title: name ?? says,
    says,
    content: { ...definition, name },
    scale: read.ok ? read.value : undefined,
  };
}
function quantity(entry: string): Quantity | undefined {
  const { outcome } = reckon(entry);
  return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
}

describe('the scale in hand', () => {
  const aStrip = (entry: string, from: Side) =>
    mount(ScaleStrip, {
      props: {
        scale: aScale(QUARTER, 'Old plan'),
        from,
        quantity: drawn(quantity(entry)),
        canLand: true,
        style: DEFAULT_STYLE,
      },
      global: { stubs: { RouterLink: RouterLinkStub } },
    });
  const sides = (strip: ReturnType<typeof aStrip>) =>
    ['typed', 'other'].map((side) =>
      [strip.get(`.${side} .where`).text(), strip.find(`.${side} .figure`).text()].join(' '),
    );

  it('shows the side that is typed first and the other behind it, both under their names', async () => {
    const strip = aStrip('2 5/8"', 'paper');
    expect(sides(strip)).toEqual(['on paper 2 5⁄8″', 'on site 10′ 6″']);
    expect(strip.get('.title').text()).toContain('1⁄4″ = 1′');
    await strip.setProps({ from: 'site' });
    expect(sides(strip)).toEqual(['on site 2 5⁄8″', 'on paper 1⁄16″']);
    await strip.get('[data-test=turn-round]').trigger('click');
    await strip.get('[data-test=scale-away]').trigger('click');
    await strip.get('[data-test=other-side]').trigger('click');
    expect(['turnRound', 'away', 'land'].map((what) => strip.emitted(what)?.length)).toEqual([1, 1, 1]);
  });

  it('says so where nothing turns, and offers nothing while nothing is typed', () => {
    const weight = aStrip('3 kg', 'paper');
    expect(weight.get('.problem').text()).toBe('A mass is the same on paper and on site; a scale turns sizes.');
    expect(weight.get('[data-test=other-side]').attributes('aria-disabled')).toBe('true');
    expect(aStrip('', 'paper').get('[data-test=other-side]').attributes('aria-disabled')).toBe('true');
  });
});

describe('a definition', () => {
  it.each([
    [QUARTER, '1⁄4″ = 1′', 'on site, 1⁄4″ = 1′'],
    [{ kind: 'ratio', paper: '1', site: '20' } as const, '1:20', 'on site, 1 to 20'],
    [{ kind: 'copy', paper: '6 3/8"', site: `26' 4"` } as const, '6 3⁄8″ is 26′ 4″', 'on site, 6 3⁄8″ is 26′ 4″'],
  ])('%o says %s, and labels lines so that the label ends where it should', (definition, says, label) => {
    const scale = aScale(definition);
    expect(scale.says).toBe(says);
    expect(turnedLabel(scale, 'site')).toBe(label);
    expect(reckon(`${turnedLabel(scale, 'site')}: 5'`).parsed.entry?.label).toBe(label);
  });
});

describe('the form of a scale', () => {
  it('adds by ratio, by a common scale, and asks for what is missing', async () => {
    const form = mount(ScaleForm, { props: { start: undefined } });
    await form.get('form').trigger('submit');
    expect(form.get('.problem').text()).toBe('Both sides of the scale are needed.');
    await form.get('[data-test=kind-ratio] input').setValue(true);
    const [paper, site] = form.findAll<HTMLInputElement>('.sides input');
    expect(paper?.element.value).toBe('1');
    await site?.setValue('0');
    expect(form.get('.issue').text()).toContain('has to be more than zero');
    await site?.setValue('20');
    await form.get('[data-test=scale-name]').setValue('Shoes');
    await form.get('form').trigger('submit');
    await form.getComponent(PickList).setValue(6);
    await form.get('form').trigger('submit');
    expect(form.emitted('keep')).toEqual([
      [{ kind: 'ratio', paper: '1', site: '20', name: 'Shoes' }],
      [{ kind: 'sizes', paper: '1/4"', site: `1'`, name: null }],
    ]);
  });

  it('takes a ratio written in one field for what it is', async () => {
    const form = mount(ScaleForm, { props: { start: undefined } });
    const [paper] = form.findAll<HTMLInputElement>('.sides input');
    await paper?.setValue('1:48');
    await form.get('[data-test=as-ratio]').trigger('click');
    await form.get('form').trigger('submit');
    expect(form.emitted('keep')).toEqual([[{ kind: 'ratio', paper: '1', site: '48', name: null }]]);
  });
});

describe('which scale a bar fits', () => {
  it('is shown with how far the print is off, and can be used as it came out', async () => {
    const fits = mount(ScaleFits);
    const [bar, says] = fits.findAll<HTMLInputElement>('input');
    await bar?.setValue('2 15/32"');
    await says?.setValue(`10'`);
    expect(fits.get('[data-test=fits] li').text().replace(/\s+/g, ' ')).toContain('1.25 % short');
    await fits.get('[data-fit="0"]').trigger('click');
    await fits.get('[data-test=as-printed]').trigger('click');
    expect(fits.emitted('use')).toEqual([
      [{ kind: 'sizes', paper: '1/4"', site: `1'`, name: null }],
      [{ kind: 'copy', paper: '2 15/32"', site: `10'`, name: null }],
    ]);
    await says?.setValue('10');
    expect(fits.get('[role=alert]').text()).toContain('give them a unit');
  });
});
