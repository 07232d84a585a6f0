/** Colours as people call them, to say what is in a box without a card: a thread of one of them may have lost its label. */
export const COMMON_COLOURS: readonly (readonly [name: string, hex: string])[] = [
  ['White', '#f7f5ef'],
  ['Cream', '#efe2c4'],
  ['Yellow', '#e9c53a'],
  ['Gold', '#c99a2e'],
  ['Orange', '#dd7a2d'],
  ['Coral', '#e2705f'],
  ['Red', '#b8272f'],
  ['Dark red', '#7d1f2b'],
  ['Pink', '#d9798d'],
  ['Pale pink', '#ecc3c4'],
  ['Lilac', '#a993c0'],
  ['Purple', '#6a3d77'],
  ['Navy', '#22335c'],
  ['Blue', '#2f62a4'],
  ['Sky blue', '#7fb0d4'],
  ['Turquoise', '#2b9a9b'],
  ['Mint', '#a5d3b5'],
  ['Green', '#4f8a43'],
  ['Dark green', '#22523a'],
  ['Olive', '#7c7f3a'],
  ['Tan', '#c19a6b'],
  ['Brown', '#6d4427'],
  ['Grey', '#8b8f94'],
  ['Black', '#1f2124'],
];
/** Where such colours are said to come from. */
export const NO_LABEL = 'no-label';
