export { ALPHABETS, loadAlphabet, type AlphabetId } from './letterFonts.ts';
export { default as TidyDrawing } from './TidyDrawing.vue';
