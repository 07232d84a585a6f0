import { createLocale, enUS } from 'naive-ui';

/** The words of the controls’ own: an empty field says nothing, as its label says what belongs in it. */
export const controlWords = createLocale({ Input: { placeholder: '' }, InputNumber: { placeholder: '' } }, enUS);
