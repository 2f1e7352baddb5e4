import { mount, RouterLinkStub } from '@vue/test-utils';
import { DEFAULT_STYLE, readQuantity, reckon, type Quantity } from '@sprell/core';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import type { JobMark } from '../../../job/index.ts';
import { drawn } from '../../../ui/drawn.ts';
import type { Amount, Refusal } from './amount.ts';
import { ordered } from '../../../parts/marks/mark-order.ts';
import LaidOut from './LaidOut.vue';
import { useStickLook, type StickLook } from './stick-look.ts';
import StoryStick from './StoryStick.vue';

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
});

function quantity(entry: string): Quantity {
  const { outcome } = reckon(entry);
  if (outcome?.kind !== 'quantity') throw new Error(entry);
  return outcome.quantity;
}
let kept = 0;
const aMark = (name: string, entry: string): JobMark => ({
  name,
  reading: readQuantity(quantity(entry)).text,
  quantity: quantity(entry),
  problem: undefined,
  keptBy: name,
  keptAt: (kept += 1),
  changedBy: 1,
});
const anAmount = (entry: string, label?: string): Amount => ({
  entry,
  label,
  reading: readQuantity(quantity(entry)).text,
  quantity: quantity(entry),
});
const squeezed = (text: string) => text.replace(/\s+/g, ' ').trim();

interface StickParts {
  readonly marks?: readonly JobMark[];
  readonly inHand?: JobMark;
  readonly amount?: Amount | undefined;
  readonly canKeep?: () => boolean;
  readonly refusal?: Refusal;
}

function aStick(more: StickParts = {}) {
  const marks = more.marks ?? [aMark('A', `4'`), aMark('long', `9' 2"`), aMark('floor', '20 sq ft')];
  const look = useStickLook();
  const amount = drawn('amount' in more ? more.amount : anAmount(`2"`));
  const stick = mount(StoryStick, {
    props: {
      marks,
      style: DEFAULT_STYLE,
      used: new Set(['a']),
      inHand: more.inHand ?? marks[0],
      amount,
      canKeep: more.canKeep ?? (() => true),
      refusal: more.refusal,
      ...look,
      'onUpdate:order': (order) => show({ order }),
      'onUpdate:gaps': (gaps) => show({ gaps }),
      'onUpdate:laidOut': (laidOut) => show({ laidOut }),
    },
    slots: { default: '<p class="postings">postings</p>' },
    global: { stubs: { RouterLink: RouterLinkStub } },
  });
  function show(changed: Partial<StickLook>): void {
    Object.assign(look, changed);
    void stick.setProps(changed);
  }
  return stick;
}

describe('the story stick on the bench', () => {
  it('stands the longest at the top and other kinds below; one touch uses a mark, one takes it in hand', async () => {
    const stick = aStick();
    expect(stick.findAll('[data-mark]').map((mark) => mark.attributes('data-mark'))).toEqual(['long', 'A', 'floor']);
    const mark = stick.get('[data-mark=A]');
    expect(mark.classes()).toContain('used');
    await mark.trigger('click');
    expect(stick.emitted('use')).toEqual([['A']]);
    await stick.get('[data-hold=long]').trigger('click');
    expect(stick.emitted('hold')).toEqual([['long']]);
    expect(stick.get('[data-hold=A]').attributes('aria-pressed')).toBe('true');
  });

  it('shows what lies between neighbours at one touch, and sorts', async () => {
    const stick = aStick();
    await stick.get('[data-test=gaps]').trigger('click');
    expect(squeezed(stick.get('[data-mark=long] .size').text())).toBe('+5′ 2″');
    expect(squeezed(stick.get('[data-mark=A] .size').text())).toBe('4′');
    const names = () => stick.findAll('[data-mark]').map((mark) => mark.attributes('data-mark'));
    await stick.get('[data-test=order]').trigger('click');
    expect(names()).toEqual(['A', 'long', 'floor']);
    await stick.get('[data-test=order]').trigger('click');
    expect(names()).toEqual(['long', 'A', 'floor']);
    expect(localStorage.getItem('sprell.stick.order')).toBe('"age"');
  });

  it('sorts names as people count', () => {
    const marks = ['s10', 's9', 'S1'].map((name) => aMark(name, `1'`));
    expect(ordered(marks, 'name').map(({ name }) => name)).toEqual(['S1', 's9', 's10']);
    expect(ordered(marks, 'age').map(({ name }) => name)).toEqual(['S1', 's9', 's10']);
  });
});

describe('every mark laid out', () => {
  it('takes the place of the list beside the bench, and is remembered', async () => {
    const stick = aStick();
    await stick.get('[data-test=lay-out]').trigger('click');
    await nextTick();
    expect(stick.findAll('[data-mark]')).toHaveLength(0);
    expect(stick.get('.postings').text()).toBe('postings');
    expect(useStickLook().laidOut).toBe(true);
    await stick.get('[data-test=lay-out]').trigger('click');
    expect(stick.findAll('[data-mark]')).toHaveLength(3);
    expect(useStickLook().laidOut).toBe(false);
  });

  it('shows each once, joined to its stretch of the rod while they stand by size', async () => {
    const marks = [...Array.from({ length: 9 }, (_, n) => aMark(`s${n}`, `${10 - n}'`)), aMark('floor', '20 sq ft')];
    const laid = mount(LaidOut, {
      props: { marks, style: DEFAULT_STYLE, used: new Set(['s3']), inHand: 's1', order: 'size', gaps: false },
    });
    const names = () => laid.findAll('[data-mark]').map((mark) => mark.attributes('data-mark'));
    expect(names()).toEqual(marks.map(({ name }) => name));
    // Nothing has a size here, so that every row is a column: the whole rod, and a stretch of it for each length.
    expect(laid.findAll('.whole .tick')).toHaveLength(9);
    expect(laid.findAll('.column .tick')).toHaveLength(9);
    expect(laid.findAll('.column .tick.lit')).toHaveLength(2);
    await laid.setProps({ order: 'age', gaps: true });
    expect(names().slice(0, 2)).toEqual(['s8', 's7']);
    expect(laid.findAll('.tick')).toHaveLength(0);
    expect(squeezed(laid.get('[data-mark=s3] .size').text())).toBe('+1′');
    expect(laid.get('[data-mark=s3]').attributes('aria-label')).toBe('s3: 1′ over s4');
    await laid.get('[data-mark=s3]').trigger('click');
    await laid.get('[data-hold=s3]').trigger('click');
    expect(laid.emitted('use')).toEqual([['s3']]);
    expect(laid.emitted('hold')).toEqual([['s3']]);
  });
});

describe('keeping', () => {
  it('takes two touches: a free letter, or the label of the line', async () => {
    const stick = aStick({ amount: anAmount(`2"`, 'top rail') });
    await stick.get('[data-test=keep]').trigger('click');
    expect(stick.findAll('[data-test=keep-as]').map((button) => button.text())).toEqual(['top_rail', 'B', 'C']);
    await stick.get('[data-test=keep-as]').trigger('click');
    expect(stick.emitted('keep')).toEqual([['top_rail']]);
    expect(stick.find('[data-test=keep-as]').exists()).toBe(false);
  });

  it('says what is wrong with a name, with a way out, and shows what would be written over', async () => {
    const stick = aStick();
    await stick.get('[data-test=keep]').trigger('click');
    const field = stick.get<HTMLInputElement>('input');
    await field.setValue('top rail');
    expect(stick.get('[role=alert]').text()).toContain('letters, digits and _');
    await stick.get('[data-test=fix]').trigger('click');
    expect(field.element.value).toBe('top_rail');
    await field.setValue('inch');
    await stick.get('form').trigger('submit');
    expect(stick.emitted('keep')).toBeUndefined();
    await field.setValue('LONG');
    expect(squeezed(stick.get('.over').text())).toBe('long is 9′ 2″ now. Replace it: 2″');
    await stick.get('form').trigger('submit');
    expect(stick.emitted('keep')).toEqual([['long']]);
  });

  it('keeps nothing that has become wrong since the name was asked for', async () => {
    let canKeep = true;
    const stick = aStick({ canKeep: () => canKeep });
    await stick.get('[data-test=keep]').trigger('click');
    // What is drawn is as it was: what is asked is whether there is something now.
    canKeep = false;
    await stick.get('[data-test=keep-as]').trigger('click');
    await stick.get('input').setValue('sill');
    await stick.get('form').trigger('submit');
    expect(stick.emitted('keep')).toBeUndefined();
  });
});

describe('the mark in hand', () => {
  it('says what was touched, and leaves the amount to what is in hand by then', async () => {
    const stick = aStick();
    expect(squeezed(stick.get('[data-test=held]').text())).toBe('A 4′');
    expect(stick.get('[data-test=add-on]').attributes('aria-label')).toBe('Add two inches to A');
    await stick.get('[data-test=add-on]').trigger('click');
    await stick.get('[data-test=add-on]').trigger('click');
    await stick.get('[data-test=knock-off]').trigger('click');
    expect(stick.emitted('post')).toEqual([['add'], ['add'], ['subtract']]);
  });

  it('says so when kinds do not add up, and offers the unit that was left out or a new mark', async () => {
    const refusal: Refusal = { operator: 'add', mark: 'A', kinds: ['length', 'number'], reading: '4' };
    const stick = aStick({ amount: anAmount('4'), refusal });
    expect(squeezed(stick.get('.refused').text())).toContain('A is a length, and this is a plain number');
    await stick.get('[data-test=post-fix]').trigger('click');
    expect(stick.emitted('postAs')).toEqual([['"']]);
    await stick.setProps({ refusal: { ...refusal, kinds: ['length', 'area'], reading: '3 sq ft' } });
    expect(stick.findAll('[data-test=post-fix]')).toHaveLength(0);
    await stick.get('[data-test=post-new]').trigger('click');
    expect(stick.emitted('keepNew')).toHaveLength(1);
  });

  it('looks idle while there is nothing to post, and while the mark itself is in error, and can be touched all the same', async () => {
    const wrong: JobMark = { ...aMark('B', `1'`), quantity: undefined, problem: 'Mend it.', reading: 'needs mending' };
    const stick = aStick({ marks: [wrong], inHand: wrong });
    expect(stick.get('[data-test=add-on]').attributes('aria-disabled')).toBe('true');
    await stick.setProps({ inHand: aMark('B', `1'`), amount: drawn<Amount | undefined>(undefined) });
    const off = stick.get('[data-test=knock-off]');
    expect(off.attributes('aria-disabled')).toBe('true');
    // What was typed a moment ago is not drawn yet; the touch counts.
    await off.trigger('click');
    expect(stick.emitted('post')).toEqual([['subtract']]);
  });
});
