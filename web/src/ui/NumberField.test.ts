import { mount } from '@vue/test-utils';
import { expect, it } from 'vitest';
import NumberField from './NumberField.vue';

function field() {
  const shown = mount(NumberField, { props: { label: 'Shades', value: 5, min: 2, max: 60, unit: 'mm' } });
  const input = shown.get('input');
  return { shown, input, heard: () => (shown.emitted('change') ?? []).map(([value]) => value) };
}

it('tells a number while it is typed, not only when the field is left', async () => {
  const { input, heard } = field();
  await input.setValue('2');
  expect(heard()).toEqual([2]);
});

it('waits for the rest of a number that would be out of range', async () => {
  const { shown, input, heard } = field();
  for (const text of ['1', '12', '12 ', '12 m', '12 mm']) await input.setValue(text);
  expect(new Set(heard())).toEqual(new Set([12]));
  expect(shown.find('.problem').exists()).toBe(false);
});

it('says what it takes when it is left with something else, and tells nothing', async () => {
  const { shown, input, heard } = field();
  await input.setValue('70');
  await input.trigger('focusout');
  expect(heard()).toEqual([]);
  expect(shown.get('[role=alert]').text()).toContain('60');
});
