declare module 'polylabel' {
  /** The pole of inaccessibility of a polygon given as rings of [x, y]; the distance to the outline comes with it. */
  export default function polylabel(
    polygon: number[][][],
    precision?: number,
    debug?: boolean,
  ): number[] & { distance: number };
}

declare module 'css-tree/parser' {
  export { parse as default } from 'css-tree';
}
declare module 'css-tree/walker' {
  export { walk as default } from 'css-tree';
}
declare module 'css-tree/generator' {
  export { generate as default } from 'css-tree';
}
