import { build } from 'esbuild';

/** A file of the bench with all that it needs, as the text of a script for a page. */
export async function scriptOf(entry: string): Promise<string> {
  const { outputFiles } = await build({
    entryPoints: [`bench/src/${entry}`],
    bundle: true,
    write: false,
    format: 'iife',
    target: 'es2022',
  });
  return outputFiles[0]!.text;
}
