import { pathBy } from '../../kind.ts';
import { workChain } from '../../shared/chainLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { workRowsInShades } from '../../shared/shadedRows.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workRowsInShades(rowsAsLines(shape.region, context, values.spacingMm), context, sink, (rows) =>
    workChain(rows, values.stitchMm, context, sink),
  ),
);
