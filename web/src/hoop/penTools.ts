/** What cuts, joins and follows shapes: loaded when the pen comes out, so that whoever only looks does not wait for it. */
export { addParts, colourBelow, cutPart, drawFreehand, veinLineOf } from '@junctura/core/drawing';
