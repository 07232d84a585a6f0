import type { StitchId } from './registry.ts';

/** The stitches that another is made of or stands on: whoever learns it learns these first. */
const RESTS_ON: Partial<Readonly<Record<StitchId, readonly StitchId[]>>> = {
  'split-back': ['split'],
  'whipped-back': ['back'],
  pekingese: ['back'],
  'cable-chain': ['chain'],
  'long-arm-feather': ['feather'],
  'fly-column': ['fly'],
  'closed-herringbone': ['herringbone'],
  'satin-leaf': ['satin'],
  'block-shading': ['satin'],
  'long-short': ['split'],
  'needle-painting': ['long-short'],
  'split-fill': ['split'],
  'stem-fill': ['stem'],
  'back-fill': ['back'],
  'chain-fill': ['chain'],
  'running-fill': ['running'],
  'fly-leaf': ['fly'],
  'detached-chain-fill': ['detached-chain'],
  'couched-fill': ['couching'],
  'french-fill': ['french'],
  'colonial-fill': ['colonial'],
  'seed-pair': ['seed'],
  'buttonhole-wheel': ['buttonhole'],
  'daisy-ring': ['detached-chain'],
};

/** What lies under padded satin, by its settings. */
const UNDER_PADDED: Readonly<Record<string, readonly StitchId[]>> = {
  satin: ['satin'],
  running: ['satin', 'running'],
  chain: ['satin', 'chain'],
};

/**
 * The stitches that one rests on directly.
 * @param params its settings, where what lies under it depends on them
 */
export function restsOn(id: StitchId, params: Readonly<Record<string, number | string>> = {}): readonly StitchId[] {
  if (id !== 'satin-padded') return RESTS_ON[id] ?? [];
  const edge: StitchId[] = params['edge'] === 'none' ? [] : ['split'];
  return [...edge, ...(UNDER_PADDED[String(params['padding'] ?? 'satin')] ?? [])];
}

/** Some stitches and all that they rest on, each once, what is learned first before what rests on it. */
export function withWhatTheyRestOn(
  used: readonly { readonly stitch: StitchId; readonly params?: Readonly<Record<string, number | string>> }[],
): StitchId[] {
  const learned = new Set<StitchId>();
  const learn = (stitch: StitchId, params?: Readonly<Record<string, number | string>>): void => {
    if (learned.has(stitch)) return;
    for (const below of restsOn(stitch, params)) if (below !== stitch) learn(below);
    learned.add(stitch);
  };
  for (const { stitch, params } of used) learn(stitch, params);
  return [...learned];
}
