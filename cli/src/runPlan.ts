import { readFileSync, statSync } from 'node:fs';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { readOptions } from './options.ts';
import { planText } from './planFile.ts';
import { orderReport } from './orderReport.ts';
import { report } from './report.ts';

/** Nothing that can be planned is larger. */
const MAX_BYTES = 32_000_000;

function readFile(file: string): Outcome<string> {
  try {
    const { size } = statSync(file);
    if (size > MAX_BYTES)
      return failure(`${file} is too large: ${Math.round(size / 1e6)} MB; up to ${MAX_BYTES / 1e6} MB are read`);
    return success(readFileSync(file, 'utf8'));
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    return failure(code === 'ENOENT' ? `there is no file ${file}` : `${file} cannot be read (${code})`);
  }
}

/** What the command line asks for, worked out: the report, or one sentence that says what is wrong. */
export function runPlan(args: readonly string[]): Outcome<object> {
  const options = readOptions(args);
  if (!options.ok) return options;
  const text = readFile(options.value.file);
  if (!text.ok) return text;
  const planned = planText(text.value, options.value);
  if (!planned.ok) return planned;
  const { piece, workings } = planned.value;
  const order = options.value.order && { order: orderReport(piece, workings.plan) };
  return success({ ...report(piece, workings), ...order });
}
