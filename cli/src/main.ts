import { runPlanWithPictures } from './runPlan.ts';

const outcome = await runPlanWithPictures(process.argv.slice(2));
if (outcome.ok) {
  process.stdout.write(`${JSON.stringify(outcome.value, null, 2)}\n`);
} else {
  const { problem, detail } = outcome;
  const line = detail === undefined ? problem : `${problem} (${detail})`;
  process.stderr.write(`${line.replace(/\s*\n\s*/g, ' ')}\n`);
  process.exitCode = 1;
}
