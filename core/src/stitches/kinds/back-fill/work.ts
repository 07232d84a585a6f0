import { pathBy } from '../../kind.ts';
import { workBack } from '../../shared/backLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { workRowsInShades } from '../../shared/shadedRows.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workRowsInShades(rowsAsLines(shape.region, context, values.spacingMm), context, sink, (rows) =>
    workBack(rows, values.stitchMm, context, sink),
  ),
);
