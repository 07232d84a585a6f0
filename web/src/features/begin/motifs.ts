import told from '@junctura/demo/motifs/motifs.json' with { type: 'json' };

/** A motif that ships with Junctura: a drawing as a person could have brought it, and its picture in thread. */
export interface Motif {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly words: readonly string[];
  /** The text of its SVG file. */
  readonly drawing: string;
  /** The address of its picture. */
  readonly picture: string;
}

const DRAWINGS: Readonly<Record<string, string>> = import.meta.glob('../../../../demo/motifs/*.svg', {
  query: '?raw',
  import: 'default',
  eager: true,
});
const PICTURES: Readonly<Record<string, string>> = import.meta.glob('../../../../demo/motifs/*.webp', {
  query: '?url',
  import: 'default',
  eager: true,
});
const named = (files: Readonly<Record<string, string>>, name: string): string =>
  Object.entries(files).find(([path]) => path.endsWith(`/${name}`))?.[1] ?? '';

export const MOTIFS: readonly Motif[] = told.map((motif) => ({
  ...motif,
  drawing: named(DRAWINGS, `${motif.id}.svg`),
  picture: named(PICTURES, `${motif.id}.webp`),
}));

/** The frames that go round a name. */
export const FRAMES: readonly Motif[] = MOTIFS.filter(({ kind }) => kind === 'Frames');

/** The motifs that a person means by a word or two. */
export function motifsFor(search: string): readonly Motif[] {
  const wanted = search.toLowerCase().split(/\s+/).filter(Boolean);
  return MOTIFS.filter(({ name, kind, words }) => {
    const all = [name, kind, ...words].join(' ').toLowerCase();
    return wanted.every((word) => all.includes(word));
  });
}
