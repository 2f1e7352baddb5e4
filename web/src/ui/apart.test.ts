import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { defineComponent, h, nextTick, ref } from 'vue';
import { Apart } from './Apart.ts';

describe('what is drawn apart', () => {
  it('changes without what stands around it', async () => {
    const typed = ref('5′');
    let drawn = 0;
    const Around = defineComponent({
      setup(_, { slots }) {
        return () => {
          drawn += 1;
          return h('main', slots['default']?.());
        };
      },
    });
    const around = mount(Around, {
      slots: { default: () => [h(Apart, () => [h('p', { class: 'entry' }, typed.value)]), h('p', 'keys')] },
    });
    typed.value = '5′ 3″';
    await nextTick();
    expect(around.get('.entry').text()).toBe('5′ 3″');
    expect(drawn).toBe(1);
  });

  it('takes no element of its own', () => {
    const row = mount({ render: () => h('ul', [h(Apart, () => [h('li', 'one')])]) });
    expect(row.element.innerHTML).toBe('<li>one</li>');
  });
});
