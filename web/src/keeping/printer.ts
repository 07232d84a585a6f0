import { failure, success, z, type Outcome } from '@junctura/core/measure';

const schema = z.object({
  simulated: z.literal(true),
  name: z.string().max(80),
  across: z.number().min(0.5).max(1.5),
  down: z.number().min(0.5).max(1.5),
});
export type SimulatedPrinter = z.infer<typeof schema>;

const PATIENCE_MS = 4000;

/** What the simulated printer makes of a page. */
export async function askPrinter(): Promise<Outcome<SimulatedPrinter>> {
  try {
    const response = await fetch('/stand-ins/printer', { signal: AbortSignal.timeout(PATIENCE_MS) });
    const answer = schema.safeParse(await response.json());
    return answer.success ? success(answer.data) : failure('The simulated printer gave an answer that makes no sense.');
  } catch {
    return failure('The simulated printer does not answer. Is the server still running?');
  }
}
