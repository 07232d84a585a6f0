import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { collectWords, type Words } from './collect.ts';
import { wordsOfComponent } from './component.ts';
import { wordsOfScript } from './script.ts';
import { AVOIDED } from './glossary.ts';

const words = collectWords(join(dirname(fileURLToPath(import.meta.url)), '../..'));
const at = ({ file, line, text }: Words): string => `${file}:${line} ${text}`;
/** What is filled in, counted as a short word. */
const filled = (text: string): string => text.replace(/\{[^{}]*(\{[^{}]*\}[^{}]*)*\}/g, 'xxxxx');
const sentences = (text: string): string[] => filled(text).split(/(?<=[.!?…])\s+/);
const isInWordsFile = ({ file }: Words): boolean => /\/words\.ts$/.test(file);

describe('words that a person reads', () => {
  it('are collected from scripts, templates, attributes and the planner', () => {
    const texts = new Set(words.map(({ text }) => text));
    expect(words.length).toBeGreaterThan(3000);
    for (const known of ['Things to check', 'French knot', 'Save as PDF', 'use either --fit or --scale, not both']) {
      expect(texts, known).toContain(known);
    }
  });

  it('stand in the words file of their feature or floor where a figure or a name is filled in', () => {
    const astray = words.filter(
      (entry) =>
        // A sentence that many share, such as a caution, may follow another.
        entry.text.replace(/\{[A-Z_.]+\}|\{CAUTIONS\.\w+\}/g, '').includes('{') &&
        !isInWordsFile(entry) &&
        /\p{L}{2,}.*\s.*\p{L}{2,}/u.test(filled(entry.text).replaceAll('xxxxx', ' ')),
    );
    expect(astray.filter(({ file }) => !FIGURES_ELSEWHERE.has(file)).map(at)).toEqual([]);
  });

  it('are sentences, not the code that makes them', () => {
    const code = words.filter(
      ({ file, text }) => file.endsWith('.vue') && /=>|===|\?\?| \? ['\w]|\bsay\.|\w\(/.test(filled(text)),
    );
    expect(code.map(at)).toEqual([]);
  });

  it('are sentences of at most 160 characters', () => {
    const long = words.filter(({ text }) => sentences(text).some((sentence) => sentence.length > 160));
    expect(long.map(at)).toEqual([]);
  });

  it('say one thing in one place: no sentence of six words stands in two files', () => {
    const places = new Map<string, Set<string>>();
    for (const { file, text } of words) {
      for (const sentence of sentences(text)) {
        if (sentence.split(' ').length >= 6) places.set(sentence, (places.get(sentence) ?? new Set()).add(file));
      }
    }
    expect([...places].filter(([, files]) => files.size > 1).map(([sentence, files]) => [sentence, ...files])).toEqual(
      [],
    );
  });

  it.each(AVOIDED.map(({ word, say, in: where }) => [String(word), word, say, where] as const))(
    'are those of the glossary: never %s',
    (_, word, say, where) => {
      const found = words.filter(({ file, text }) => (where?.test(file) ?? true) && word.test(filled(text)));
      expect(found.map((entry) => `${at(entry)} — say: ${say}`)).toEqual([]);
    },
  );
});

/** Files whose templates are read by programs or by developers: HTML of the guide, CSV, the keys of a check. */
const FIGURES_ELSEWHERE: ReadonlySet<string> = new Set([
  'core/src/paper/guide/guideHtml.ts',
  'core/src/paper/shoppingList.ts',
  'core/src/piece/file.ts',
]);

describe('the collector', () => {
  it('reads a template with its figures as one sentence, and leaves out what programs read', () => {
    const component = `<script setup lang="ts">
const label = \`Remove \${name}\`;
const path = \`M\${x} 3\`;
if (kind === 'Some kind of thing') emit('change of it');
</script>
<template>
  <p class="very small">You have {{ count }} skeins <b>left over</b></p>
  <input :aria-label="\`Day of \${day}\`" title="Pick a day" />
</template>`;
    expect(wordsOfComponent(component).map(({ line, text }) => [line, text])).toEqual([
      [2, 'Remove {name}'],
      [7, 'You have {count} skeins'],
      [7, 'left over'],
      [8, 'Day of {day}'],
      [8, 'Pick a day'],
    ]);
  });

  it('tells what the planner throws, and nothing of a programmer’s mistake', () => {
    const source = `throw new Error('The file has no name.')`;
    expect(wordsOfScript(source, 1, true)).toHaveLength(1);
    expect(wordsOfScript(source)).toEqual([]);
  });
});
